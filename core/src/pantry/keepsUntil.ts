import { productRow, type ProductClass, type ProductId } from '../handbook/products';
import { formulasOf } from '../handbook/recipes';

const DAY_MS = 24 * 60 * 60_000;

/** Best within a year in a cool, dark, dry place. Handbook rule 10. */
const BEST_DAYS = 365;

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

/** Best by for a sealed jar on the shelf, epoch milliseconds. */
export function bestBy(madeAt: number): number {
  return madeAt + BEST_DAYS * DAY_MS;
}

/** Use by for an unsealed jar put in the refrigerator at `since`, epoch milliseconds. */
export function refrigeratedUseBy(product: ProductId, since: number): number {
  const holdsOil = formulasOf(product).some(({ mainInputs }) => /\boil\b/.test(mainInputs));
  const days = holdsOil ? WITH_OIL_DAYS : REFRIGERATED_DAYS[productRow(product).productClass];
  return since + days * DAY_MS;
}
