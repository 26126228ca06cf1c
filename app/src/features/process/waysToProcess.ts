import { type Household } from '@hoddle/contract/household';
import { methodsOf } from '@hoddle/core/canner/canner';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { findProcess, findTestedRow, type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type Method, METHODS } from '@hoddle/core/process/method';

/** The ways a product in a jar is tested for in this kitchen, among them those that a canner of the household serves. */
export interface Ways {
  readonly tested: readonly Method[];
  readonly served: readonly Method[];
}

export function waysToProcess(
  { canners, altitudeFt }: Household,
  product: ProductRow,
  jar: JarSize,
  pages: HouseholdPages,
): Ways {
  const question = { product: product.product, pack: usualPack(product), jar };
  const tested = METHODS.filter((method) =>
    altitudeFt === null
      ? findTestedRow({ ...question, method }, pages).kind === 'testedRow'
      : findProcess({ ...question, method, altitudeFt }, pages).kind === 'tested',
  );
  const able = new Set(canners.flatMap((canner) => methodsOf(canner)));
  return { tested, served: tested.filter((method) => able.has(method)) };
}

/** The one to begin with: a tested one that is served, then a tested one; where nothing is tested, the plainest to ask. */
export function firstWay({ tested, served }: Ways): Method {
  return served[0] ?? tested[0] ?? 'boiling-water';
}
