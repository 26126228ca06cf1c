import { type Pack } from '../handbook/boilingWater';
import { type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { type Method } from '../process/method';
import { mixedLoad } from '../process/mixedLoad';
import { plannedProcess } from '../process/plannedProcess';
import { type Canner, type OwnJar } from './canner';
import { holdsMixed } from './holdsMixed';

/** Jars of several sizes, of one product, that are to go into a canner together. */
export interface SeveralSizes {
  readonly product: ProductRow;
  readonly pack: Pack;
  readonly method: Method;
  readonly sizes: readonly JarSize[];
  /** Of all of them. */
  readonly jars: number;
}

/**
 * The minutes that jars of several sizes take together: the longest of all. Handbook rules 7 and 15.
 *
 * @returns undefined where one of them is not tested here, they do not surely fit, or may not be processed together
 */
export function togetherMinutes(
  { product, pack, method, sizes, jars }: SeveralSizes,
  canner: Canner,
  { altitudeFt, ownJars }: { readonly altitudeFt: number | null; readonly ownJars: readonly OwnJar[] },
  pages: HouseholdPages,
): number | undefined {
  if (altitudeFt === null || !holdsMixed(canner, sizes, jars, { method, ownJars })) return undefined;
  const asked = { product: product.product, pack, method, altitudeFt } as const;
  const tested = sizes.flatMap((jar) => {
    const answer = findProcess({ ...asked, jar }, pages);
    return answer.kind === 'tested' ? [{ ...answer, minutes: plannedProcess(answer).minutes }] : [];
  });
  if (tested.length < sizes.length) return undefined;
  const mixed = mixedLoad(tested);
  return mixed.kind === 'mixed' ? mixed.minutes : undefined;
}
