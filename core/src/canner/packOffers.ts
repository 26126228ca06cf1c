import { type Pack } from '../handbook/boilingWater';
import { type Card } from '../handbook/cards/card';
import { type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { type Method } from '../process/method';
import { plannedProcess } from '../process/plannedProcess';
import { otherPackOf, packOf } from '../recipe/packs';
import { type Canner } from './canner';
import { firstWay, type Ways, waysToProcess } from './waysToProcess';

/** A pack in which a product is tested in a jar, with its ways. */
export interface PackOffer {
  readonly pack: Pack;
  readonly ways: Ways;
  /** Tested here, in the way asked for where that is tested, else in the first one; undefined without an altitude. */
  readonly minutes?: number;
}

/** The packs that a product is tested in, in this jar: the usual one first, then the other one that its card's page allows. */
export function packOffers(
  {
    product,
    card,
    jar,
    method,
  }: { product: ProductRow; card?: Card | undefined; jar: JarSize; method?: Method | undefined },
  kitchen: { readonly canners: readonly Canner[]; readonly altitudeFt: number | null },
  pages: HouseholdPages,
): PackOffer[] {
  const other = card && otherPackOf(card);
  const packs = new Set([usualPack(product), ...(card && other ? [packOf(card), other.pack] : [])]);
  return [...packs].flatMap((pack): PackOffer[] => {
    const ways = waysToProcess(kitchen, product, jar, pages, pack);
    if (ways.tested.length === 0) return [];
    const { altitudeFt } = kitchen;
    if (altitudeFt === null) return [{ pack, ways }];
    const way = method !== undefined && ways.tested.includes(method) ? method : firstWay(ways);
    const tested = findProcess({ product: product.product, pack, jar, method: way, altitudeFt }, pages);
    return [{ pack, ways, ...(tested.kind === 'tested' && { minutes: plannedProcess(tested).minutes }) }];
  });
}
