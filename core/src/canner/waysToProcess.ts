import { type Pack } from '../handbook/boilingWater';
import { type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { findProcess, findTestedRow, type HouseholdPages } from '../process/findProcess';
import { type Method, METHODS } from '../process/method';
import { type Canner, methodsOf } from './canner';

/** The ways a product in a jar, and in one pack, is tested for in this kitchen, among them those that a canner of the household serves. */
export interface Ways {
  readonly tested: readonly Method[];
  readonly served: readonly Method[];
}

export function waysToProcess(
  { canners, altitudeFt }: { readonly canners: readonly Canner[]; readonly altitudeFt: number | null },
  product: ProductRow,
  jar: JarSize,
  pages: HouseholdPages,
  pack: Pack = usualPack(product),
): Ways {
  const question = { product: product.product, pack, jar };
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
