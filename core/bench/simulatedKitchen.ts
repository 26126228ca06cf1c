import { type ProduceId } from '../src/handbook/produce';
import { type ProductId } from '../src/handbook/products';
import { type BatchRecord, NOTHING_MORE } from '../src/yields/batchRecord';
import { printedYield } from '../src/yields/printedYield';
import { KG_PER_LB } from '../src/measure/amount';
import { type Chance } from './chance';

/** What a simulated kitchen makes: crops with products of them, printed by the pound a quart. */
const MADE: readonly (readonly [ProduceId, readonly ProductId[]])[] = [
  ['tomato-paste', ['tomatoes-crushed', 'tomato-sauce-thin', 'tomato-juice', 'tomatoes-whole-in-water']],
  ['tomato-slicing', ['tomatoes-crushed', 'tomatoes-raw-no-liquid', 'tomato-juice']],
  ['apple', ['applesauce', 'apples-sliced']],
  ['bean-snap', ['snap-beans']],
  ['beet', ['beets']],
  ['carrot', ['carrots']],
  ['peach', ['peaches']],
  ['pear', ['pears-halved']],
  ['damson', ['plums']],
  ['cherry-sour', ['cherries-whole']],
  ['corn-sweet', ['corn-whole-kernel']],
];

export const CROPS_MADE = MADE.map(([crop]) => crop);

export interface SimulatedKitchen {
  /** The next batch of a crop; `of` leaves out a product, or names the only one. */
  make(crop: ProduceId, at: number, of?: { only?: ProductId; not?: ProductId }): BatchRecord;
  productsOf(crop: ProduceId): readonly ProductId[];
}

/** Where a household that is far from the book is far: in all it makes, or in one crop. */
export type Far = 'household' | 'crop';

/**
 * A kitchen with a known truth: its jars a pound differ from the printed ones by a spread of 20 % in all (the household, the
 * crop, the product), in one of ten by a factor of 0.4 to 0.6 instead; its batches by a spread of their own about that.
 */
export function simulateKitchen(chance: Chance, far: Far = 'household', { mayBeFar = true } = {}): SimulatedKitchen {
  const isFar = mayBeFar && far === 'household' && chance.uniform(0, 1) < 0.1;
  const factor = () => -Math.log(chance.uniform(0.4, 0.6));
  const household = isFar ? factor() : chance.normal(0, 0.2 * Math.sqrt(0.25));
  const ofCrop = new Map(
    MADE.map(([crop]) => [
      crop,
      mayBeFar && far === 'crop' && chance.uniform(0, 1) < 0.1
        ? factor()
        : isFar
          ? 0
          : chance.normal(0, 0.2 * Math.sqrt(0.4)),
    ]),
  );
  const ofProduct = new Map(
    MADE.flatMap(([, products]) =>
      products.map((product) => [product, isFar ? 0 : chance.normal(0, 0.2 * Math.sqrt(0.35))]),
    ),
  );
  const batchSpread = Math.exp(chance.normal(Math.log(0.07), 0.35));
  let made = 0;
  const productsOf = (crop: ProduceId) => MADE.find(([each]) => each === crop)?.[1] ?? [];
  return {
    productsOf,
    make: (crop, at, { only, not } = {}) => {
      const product = only ?? chance.oneOf(productsOf(crop).filter((each) => each !== not));
      const printed = printedYield(product, crop);
      if (!printed) throw new RangeError(`nothing printed for ${product} of ${crop}`);
      const lb = chance.uniform(12, 70);
      const deviation =
        household + (ofCrop.get(crop) ?? 0) + (ofProduct.get(product) ?? 0) + chance.normal(0, batchSpread);
      const quarts = lb / (printed.medianLbPerQuart * Math.exp(deviation));
      const count = Math.floor(quarts);
      return {
        id: `batch ${made++}`,
        batchId: null,
        product,
        crop,
        massKg: lb * KG_PER_LB,
        waterMl: 0,
        sugarKg: 0,
        jars: [{ jar: 'quart', count }],
        // A cook tells the part jar by quarters.
        partJar: { jar: 'quart', part: Math.round((quarts - count) * 4) / 4 },
        madeAt: at,
        note: '',
        ...NOTHING_MORE,
        learnFrom: true,
      };
    },
  };
}
