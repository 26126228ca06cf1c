import { productRow, type ProductId } from '../handbook/products';

const DAY_MS = 24 * 60 * 60_000;

/** Best within a year in a cool, dark, dry place. Handbook rule 10. */
const BEST_DAYS = 365;

/** Opened or unsealed, in the refrigerator: fruit and tomatoes a week. Common practice, handbook rule 10. */
const REFRIGERATED_DAYS: Readonly<Record<'tomato' | 'fruit', number>> = { tomato: 7, fruit: 7 };

/** Best by for a sealed jar on the shelf, epoch milliseconds. */
export function bestBy(madeAt: number): number {
  return madeAt + BEST_DAYS * DAY_MS;
}

/** Use by for an unsealed jar put in the refrigerator at `since`, epoch milliseconds. */
export function refrigeratedUseBy(product: ProductId, since: number): number {
  return since + REFRIGERATED_DAYS[productRow(product).keepingClass] * DAY_MS;
}
