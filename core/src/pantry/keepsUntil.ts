import { cardsOf } from '../handbook/cards';
import { productRow, type ProductClass, type ProductId } from '../handbook/products';
import { type JarLot } from './jarLot';

const DAY_MS = 24 * 60 * 60_000;

/** How long a sealed jar is said to be at its best. The handbook says a year; some households stretch it. */
export const BEST_MONTHS = [12, 18] as const;
export type BestMonths = (typeof BEST_MONTHS)[number];

/** Best within a year in a cool, dark, dry place: handbook rule 10. Eighteen months: common practice. */
const BEST_DAYS: Readonly<Record<BestMonths, number>> = { 12: 365, 18: 548 };

/**
 * Days in the refrigerator, opened or unsealed. Common practice, handbook rule 10: jam and jelly a month, pickles 2 to 3
 * months, fruit and tomatoes a week, low-acid food 3 to 4 days; the shorter end of each.
 */
const REFRIGERATED_DAYS: Readonly<Record<ProductClass, number>> = {
  tomato: 7,
  fruit: 7,
  'fruit-acidified': 7,
  'recipe-acid': 7,
  spread: 30,
  pickle: 60,
  ferment: 60,
  'low-acid': 3,
};

/** Whatever its class, food with oil in it. Handbook rule 10. */
const WITH_OIL_DAYS = 3;

/** At its best in the freezer: 8 to 12 months, the shorter end. Common practice. */
const FROZEN_DAYS = 240;

/** Best by for a sealed jar on the shelf, epoch milliseconds. */
export function bestBy(madeAt: number, months: BestMonths = 12): number {
  return madeAt + BEST_DAYS[months] * DAY_MS;
}

/** Use by for an opened or unsealed jar put in the refrigerator at `since`, epoch milliseconds. */
export function refrigeratedUseBy(product: ProductId, since: number): number {
  const holdsOil = cardsOf(product).some(({ ingredients }) =>
    ingredients.some(({ role, optional }) => role === 'oil' && !optional),
  );
  const days = holdsOil ? WITH_OIL_DAYS : REFRIGERATED_DAYS[productRow(product).productClass];
  return since + days * DAY_MS;
}

/** Best by for what is put into the freezer at `since`, epoch milliseconds. */
export function frozenBestBy(since: number): number {
  return since + FROZEN_DAYS * DAY_MS;
}

/** Until when a lot keeps as this household counts: its choice of months holds for every sealed jar. */
export function keepsUntilOf(lot: JarLot, months: BestMonths): number {
  return lot.seal === 'sealed' ? bestBy(lot.madeAt, months) : lot.keepsUntil;
}

/** When a product is at its best for the first time: pickles want weeks. Epoch milliseconds. */
export function readyFrom({ product, madeAt, readyAt }: Pick<JarLot, 'product' | 'madeAt' | 'readyAt'>): number {
  if (readyAt !== undefined) return readyAt;
  return madeAt + productRow(product).readyAfterDays * DAY_MS;
}
