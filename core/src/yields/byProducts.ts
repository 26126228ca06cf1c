import { produceRow, type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { type LeftKind } from '../harvest/leftOf';
import { mostThinJuice } from './thinJuice';

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
export function byProductsOf(product: ProductId, crop: ProduceId, massKg: number): ByProduct[] {
  const quartsAtMost = mostThinJuice(product, crop, massKg);
  if (quartsAtMost !== undefined) return [{ kind: 'thin juice', feeds: 'tomato-juice', quartsAtMost }];
  if (crop === 'apple' && PEELED_APPLES.includes(product)) {
    const [feeds] = productsOfLeft('peels-and-cores', crop);
    return feeds ? [{ kind: 'peels and cores', feeds, massKg: massKg * produceRow(crop).trimLoss }] : [];
  }
  return [];
}
