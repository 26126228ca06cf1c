import { JAR_SIZES, type JarSize } from '../handbook/jars';
import { type ProductId, PRODUCTS } from '../handbook/products';
import { recipeName } from '../recipe/recipeName';
import { type JarLot, jarCounts, type Movement } from './jarLot';
import { type BestMonths, keepsUntilOf } from './keepsUntil';
import { type PantryPlace, placeOf, type PlaceKind } from './place';

/** A lot with what is left in it, kept as this household counts. */
export interface StockedLot extends JarLot {
  readonly jars: number;
  readonly placeKind: PlaceKind;
}

/** All jars of one name and size that stand in one kind of place, the one to take first in front. */
export interface ShelfGroup {
  /** "Strawberry jam": of one product there may be several. */
  readonly name: string;
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly placeKind: PlaceKind;
  readonly lots: readonly StockedLot[];
  readonly jars: number;
}

/** Every lot that still holds jars. One that is as it was is the same object as before: what is drawn of it stays. */
export function stockedLots(
  lots: readonly JarLot[],
  movements: readonly Movement[],
  places: readonly PantryPlace[],
  months: BestMonths = 12,
): StockedLot[] {
  const counts = jarCounts(lots, movements);
  const kinds = new Map<string, PlaceKind>();
  const kindOf = (id: string) => {
    const known = kinds.get(id) ?? placeOf(places, id).kind;
    kinds.set(id, known);
    return known;
  };
  return lots.flatMap((lot) => {
    const jars = counts.get(lot.id) ?? 0;
    if (jars <= 0) return [];
    return [asBefore(lot, { jars, keepsUntil: keepsUntilOf(lot, months), placeKind: kindOf(lot.place) })];
  });
}

const stockedBefore = new WeakMap<JarLot, StockedLot>();

function asBefore(lot: JarLot, now: Pick<StockedLot, 'jars' | 'keepsUntil' | 'placeKind'>): StockedLot {
  const before = stockedBefore.get(lot);
  const same = before?.jars === now.jars && before.keepsUntil === now.keepsUntil && before.placeKind === now.placeKind;
  if (same) return before;
  const stocked = { ...lot, ...now };
  stockedBefore.set(lot, stocked);
  return stocked;
}

/** First in, first out: by best-by, then by the day made. */
export function inTakingOrder(a: JarLot, b: JarLot): number {
  return a.keepsUntil - b.keepsUntil || a.madeAt - b.madeAt || (a.id < b.id ? -1 : 1);
}

/** What is to be eaten first stands first. */
const PLACE_ORDER: readonly PlaceKind[] = ['refrigerator', 'shelf', 'freezer', 'aside'];

const HANDBOOK_ORDER = new Map<string, number>(PRODUCTS.map(({ product }, i) => [product, i]));

/** Tomatoes with tomatoes, pickles with pickles, the household's own last; a board stays where it is, however many jars are taken from it. */
function inHandbook({ product }: ShelfGroup): number {
  return HANDBOOK_ORDER.get(product) ?? PRODUCTS.length;
}

const groupBefore = new WeakMap<StockedLot, ShelfGroup>();

/**
 * The shelf as boards: lots grouped by kind of place, name and size, each in the order they are to be taken. A group of the same
 * lots is the same object as before.
 */
export function shelfGroups(lots: readonly StockedLot[]): ShelfGroup[] {
  const groups = new Map<string, StockedLot[]>();
  for (const lot of lots) {
    const key = `${lot.placeKind} ${lot.product} ${lot.jar} ${recipeName(lot)}`;
    const group = groups.get(key);
    if (group) group.push(lot);
    else groups.set(key, [lot]);
  }
  return [...groups.values()]
    .flatMap((group) => {
      const first = group.sort(inTakingOrder)[0];
      if (!first) return [];
      const name = recipeName(first);
      const before = groupBefore.get(first);
      const isSame = before?.lots.length === group.length && group.every((lot, i) => lot === before.lots[i]);
      if (isSame && before.name === name) return [before];
      const jars = group.reduce((sum, lot) => sum + lot.jars, 0);
      const { product, jar, placeKind } = first;
      const made: ShelfGroup = { name, product, jar, placeKind, lots: group, jars };
      groupBefore.set(first, made);
      return [made];
    })
    .sort(
      (a, b) =>
        PLACE_ORDER.indexOf(a.placeKind) - PLACE_ORDER.indexOf(b.placeKind) ||
        inHandbook(a) - inHandbook(b) ||
        JAR_SIZES.indexOf(b.jar) - JAR_SIZES.indexOf(a.jar) ||
        a.name.localeCompare(b.name),
    );
}
