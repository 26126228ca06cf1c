import { produceRow, type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { type LeftKind } from '../harvest/leftOf';
import { type Range } from '../math/range';
import { type BatchRecord } from './batchRecord';
import { mostThinJuice, thinJuiceQuarts } from './thinJuice';

/** What a product leaves over that another can be made of. */
export interface ByProduct {
  readonly kind: 'thin juice' | 'peels and cores';
  /** The tested product it may become, by its own time and acid. */
  readonly feeds: ProductId;
  /** Quarts of thin juice at most; the rest of it cooks off. */
  readonly quartsAtMost?: number;
  /** Of thin juice likely, as this household ladles it off. */
  readonly quarts?: Range;
  /** Of peels and cores. */
  readonly massKg?: number;
}

/** The tested products that may begin with what was left behind of a crop; none for most. */
export function productsOfLeft(kind: LeftKind, crop: ProduceId): ProductId[] {
  return kind === 'peels-and-cores' && crop === 'apple' ? ['jelly-no-pectin'] : [];
}

/** What is made of peeled and cored apples. Common practice: peels and cores boil to a juice for jelly. */
const PEELED_APPLES: readonly ProductId[] = ['apples-sliced', 'apple-pie-filling', 'spiced-apple-rings'];

/**
 * The by-products of a batch. Thin juice: {@link mostThinJuice}. Peels and cores: the crop's trimming loss.
 *
 * @param massKg of the crop that is used, as picked
 */
export function byProductsOf(
  product: ProductId,
  crop: ProduceId,
  massKg: number,
  records: readonly BatchRecord[] = [],
): ByProduct[] {
  const quartsAtMost = mostThinJuice(product, crop, massKg);
  if (quartsAtMost !== undefined) {
    const quarts = thinJuiceQuarts(product, crop, massKg, records);
    return [{ kind: 'thin juice', feeds: 'tomato-juice', quartsAtMost, ...(quarts && { quarts }) }];
  }
  if (crop === 'apple' && PEELED_APPLES.includes(product)) {
    const [feeds] = productsOfLeft('peels-and-cores', crop);
    return feeds ? [{ kind: 'peels and cores', feeds, massKg: massKg * produceRow(crop).trimLoss }] : [];
  }
  return [];
}
