import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';
import { type JarLot, jarsInLot, type Movement } from './jarLot';

/** A lot with what is left in it. */
export interface StockedLot extends JarLot {
  readonly jars: number;
}

/** All jars of one product and size in one place, the one to take first in front. */
export interface ShelfGroup {
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly place: JarLot['place'];
  readonly lots: readonly StockedLot[];
  readonly jars: number;
}

/**
 * The shelf: lots that still hold jars, grouped by place, product and size, each group first in, first out: by best-by,
 * then by the day made. The refrigerator comes first, since it is to be eaten first.
 */
export function shelfGroups(lots: readonly JarLot[], movements: readonly Movement[]): ShelfGroup[] {
  const groups = new Map<string, StockedLot[]>();
  for (const lot of lots) {
    const jars = jarsInLot(lot.id, movements);
    if (jars <= 0) continue;
    const key = `${lot.place} ${lot.product} ${lot.jar}`;
    groups.set(key, [...(groups.get(key) ?? []), { ...lot, jars }]);
  }
  return [...groups.values()]
    .map((group) => group.sort((a, b) => a.keepsUntil - b.keepsUntil || a.madeAt - b.madeAt || (a.id < b.id ? -1 : 1)))
    .flatMap((group) => {
      const first = group[0];
      if (!first) return [];
      const jars = group.reduce((sum, lot) => sum + lot.jars, 0);
      return [{ product: first.product, jar: first.jar, place: first.place, lots: group, jars }];
    })
    .sort((a, b) => a.place.localeCompare(b.place) || b.jars - a.jars || a.product.localeCompare(b.product));
}
