import { produceRow, type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { printedYield } from './printedYield';

/** What a product leaves over that another can be made of. */
export interface ByProduct {
  readonly kind: 'thin juice' | 'peels and cores';
  /** The tested product it may become, by its own time and acid. */
  readonly feeds: ProductId;
  /** Quarts of thin juice at most; the rest of it cooks off. */
  readonly quartsAtMost?: number;
  /** Of peels and cores. */
  readonly massKg?: number;
}

/** Sauces whose thin juice can be ladled off before they cook down. Common practice. */
const COOKED_DOWN: readonly ProductId[] = ['tomato-sauce-thin', 'tomato-sauce-thick'];
/** What is made of peeled and cored apples. Common practice: peels and cores boil to a juice for jelly. */
const PEELED_APPLES: readonly ProductId[] = ['apples-sliced', 'apple-pie-filling', 'spiced-apple-rings'];

/**
 * The by-products of a batch. Thin juice: what the same tomatoes would fill as juice, less what they fill as sauce; both
 * as printed. Peels and cores: the crop's trimming loss.
 *
 * @param massKg of the crop that is used, as picked
 */
export function byProductsOf(product: ProductId, crop: ProduceId, massKg: number): ByProduct[] {
  if (COOKED_DOWN.includes(product)) {
    const [juice, sauce] = [printedYield('tomato-juice', crop), printedYield(product, crop)];
    if (!juice || !sauce) return [];
    const lb = massKg / KG_PER_LB;
    const quartsAtMost = lb / juice.medianLbPerQuart - lb / sauce.medianLbPerQuart;
    return [{ kind: 'thin juice', feeds: 'tomato-juice', quartsAtMost }];
  }
  if (crop === 'apple' && PEELED_APPLES.includes(product)) {
    return [{ kind: 'peels and cores', feeds: 'jelly-no-pectin', massKg: massKg * produceRow(crop).trimLoss }];
  }
  return [];
}
