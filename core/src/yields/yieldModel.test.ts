import { type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { type BatchRecord, NOTHING_MORE } from './batchRecord';
import { mixtureQuantile } from './mixture';
import { printedYield } from './printedYield';
import { learnYields } from './yieldModel';
import { drawsFrom } from '../math/draws';
import { basisWords, yieldRange } from './yieldRange';

const YEAR = 365.25 * 24 * 60 * 60_000;
const NOW = Date.UTC(2026, 7, 29);

type Sign = readonly [crop: ProduceId, product: ProductId, deviation: number, yearsAgo?: number];

/** A batch that needed so much more (on the log scale) than the printed pounds a quart. */
function recordOf([crop, product, deviation, yearsAgo = 0]: Sign, i: number): BatchRecord {
  const lbPerQuart = printedYield(product, crop)!.medianLbPerQuart * Math.exp(deviation);
  return {
    id: String(i),
    batchId: null,
    product,
    crop,
    massKg: 10 * lbPerQuart * KG_PER_LB,
    waterMl: 0,
    sugarKg: 0,
    jars: [{ jar: 'quart', count: 10 }],
    partJar: null,
    madeAt: NOW - yearsAgo * YEAR,
    note: '',
    ...NOTHING_MORE,
    learnFrom: true,
  };
}

/**
 * The model once more, by brute force: kitchens drawn from what is believed beforehand, each weighed by how well it explains
 * the batches, and the next batch of each. The figures are those of docs/yields-and-harvest.md.
 */
function byBruteForce(signs: readonly Sign[], crop: ProduceId, product: ProductId, kitchens: number) {
  const { unit, normal } = drawsFrom(7);
  const oneOf = (list: readonly (readonly [chance: number, spread: number])[]) => {
    let left = unit();
    return list.find(([chance]) => (left -= chance) < 0)?.[1] ?? list.at(-1)![1];
  };
  const crops = [...new Set([crop, ...signs.map(([each]) => each)])];
  const products = [...new Set([product, ...signs.map(([, each]) => each)])];
  const cropOf = (each: ProductId) => signs.find(([, made]) => made === each)?.[0] ?? crop;
  const productSpread = (each: ProductId) => Math.max(0.17, 0.75 * printedYield(each, cropOf(each))!.sigma);
  const drawn: { next: number; weight: number }[] = [];
  for (let n = 0; n < kitchens; n++) {
    const household =
      normal() *
      oneOf([
        [0.98, 0.06],
        [0.02, 0.65],
      ]);
    const ofCrop = new Map(
      crops.map((each) => [
        each,
        normal() *
          oneOf([
            [0.99, 0.07],
            [0.01, 0.5],
          ]),
      ]),
    );
    const ofProduct = new Map(products.map((each) => [each, normal() * productSpread(each)]));
    const ofRecipe = new Map(
      crops.flatMap((c) =>
        products.map((p) => [
          `${c} ${p}`,
          normal() *
            oneOf([
              [0.86, 0],
              [0.14, 0.6],
            ]),
        ]),
      ),
    );
    const spread = oneOf([
      [0.13, 0.03],
      [0.26, 0.05],
      [0.27, 0.07],
      [0.2, 0.1],
      [0.1, 0.15],
      [0.04, 0.25],
    ]);
    const mean = (c: ProduceId, p: ProductId) =>
      household + ofCrop.get(c)! + ofProduct.get(p)! + ofRecipe.get(`${c} ${p}`)!;
    const log = signs.reduce((sum, [c, p, deviation, yearsAgo = 0]) => {
      const own = spread * 0.8 ** (-yearsAgo / 2);
      return sum - Math.log(own) - ((deviation - mean(c, p)) / own) ** 2 / 2;
    }, 0);
    drawn.push({ next: mean(crop, product) + normal() * spread, weight: Math.exp(log) });
  }
  drawn.sort((a, b) => a.next - b.next);
  const whole = drawn.reduce((sum, { weight }) => sum + weight, 0);
  return (chance: number) => {
    let sum = 0;
    return drawn.find(({ weight }) => (sum += weight) >= chance * whole)!.next;
  };
}

const CRUSHED: ProductId = 'tomatoes-crushed';
const SAUCE: ProductId = 'tomato-sauce-thin';
const PASTE: ProduceId = 'tomato-paste';

test.each<[string, Sign[], ProduceId, ProductId]>([
  ['nothing is known', [], PASTE, CRUSHED],
  ['one batch of it', [[PASTE, CRUSHED, 0.2]], PASTE, CRUSHED],
  [
    'another product of the crop',
    [
      [PASTE, SAUCE, 0.2],
      [PASTE, SAUCE, 0.15],
    ],
    PASTE,
    CRUSHED,
  ],
  [
    'the product from another crop',
    [
      ['tomato-slicing', CRUSHED, -0.2],
      ['tomato-slicing', CRUSHED, -0.1, 2],
    ],
    PASTE,
    CRUSHED,
  ],
  ['a recipe far from the book', [['damson', 'plums', 0.7]], PASTE, CRUSHED],
  [
    'a recipe far off beside one that is not',
    [
      [PASTE, SAUCE, 0.5],
      [PASTE, CRUSHED, 0.05],
    ],
    PASTE,
    CRUSHED,
  ],
  [
    'two groups and a bridge',
    [
      [PASTE, SAUCE, 0.1],
      ['damson', 'plums', 0.1],
      [PASTE, CRUSHED, -0.05, 1],
    ],
    PASTE,
    CRUSHED,
  ],
])('the mixture is what drawn kitchens say: %s', (_, signs, crop, product) => {
  const told = learnYields(signs.map(recordOf), NOW).deviationOf(crop, product);
  const drawn = byBruteForce(signs, crop, product, 90_000);
  expect(told.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
  for (const chance of [0.1, 0.5, 0.9])
    expect(Math.abs(mixtureQuantile(told, chance) - drawn(chance))).toBeLessThan(0.025);
});

test('a recipe far from the book is believed at once, one that is near moves the page a little', () => {
  const likely = (deviation: number) =>
    Math.log(
      yieldRange(CRUSHED, PASTE, learnYields([[PASTE, CRUSHED, deviation] as Sign].map(recordOf), NOW))!.lbPerQuart
        .p50 / printedYield(CRUSHED, PASTE)!.medianLbPerQuart,
    );
  expect(likely(0.8) / 0.8).toBeGreaterThan(0.9);
  expect(likely(0.1) / 0.1).toBeGreaterThan(0.6);
  expect(likely(0.1) / 0.1).toBeLessThan(likely(0.8) / 0.8);
});

/** Relish that took as many pounds as pints came out had lowered bread-and-butter pickles from 16 pints to 12. */
test.each([Math.log(1.6), Math.log(0.4)])(
  'one recipe that is off by 60 %% (%d) is its own: others of its crop widen, and once known stand',
  (off) => {
    const rangeAfter = (signs: Sign[]) => yieldRange(CRUSHED, PASTE, learnYields(signs.map(recordOf), NOW))!.lbPerQuart;
    const odd: Sign[] = [
      [PASTE, SAUCE, off],
      [PASTE, SAUCE, off + 0.04],
    ];
    const moved = (own: Sign[]) => Math.abs(rangeAfter([...own, ...odd]).p50 / rangeAfter(own).p50 - 1);
    const width = ({ p10, p90 }: { p10: number; p90: number }) => Math.log(p90 / p10);
    expect(moved([])).toBeLessThan(0.1);
    expect(width(rangeAfter(odd))).toBeGreaterThan(width(rangeAfter([])));
    for (const own of [-0.15, 0, 0.15]) {
      const twice: Sign[] = [
        [PASTE, CRUSHED, own],
        [PASTE, CRUSHED, own + 0.05, 1],
      ];
      expect(moved(twice)).toBeLessThan(0.03);
    }
  },
);

test('a kitchen is far off in all it makes when several of its recipes say so, not by one', () => {
  const far: Sign[] = [
    ['damson', 'plums', 0.7],
    ['bean-snap', 'snap-beans', 0.75],
    ['apple', 'applesauce', 0.65],
    ['beet', 'beets', 0.7],
  ];
  const told = far.map((_, made) =>
    mixtureQuantile(learnYields(far.slice(0, made + 1).map(recordOf), NOW).deviationOf(PASTE, CRUSHED), 0.5),
  );
  expect(told[0]).toBeLessThan(0.1);
  expect(told.at(-1)).toBeGreaterThan(0.5);
  for (const [i, each] of told.entries()) expect(each).toBeGreaterThan(told[i - 1] ?? 0);
});

test('the range narrows with batches that agree, and an older season counts less than a new one', () => {
  const rangeAfter = (signs: Sign[]) => yieldRange(CRUSHED, PASTE, learnYields(signs.map(recordOf), NOW))!.lbPerQuart;
  const width = ({ p10, p90 }: { p10: number; p90: number }) => Math.log(p90 / p10);
  const same = (count: number): Sign[] => Array.from({ length: count }, () => [PASTE, CRUSHED, 0.1]);
  expect(width(rangeAfter(same(1)))).toBeLessThan(width(rangeAfter([])) / 1.5);
  expect(width(rangeAfter(same(6)))).toBeLessThan(width(rangeAfter(same(1))));
  const newestHigh: Sign[] = [
    [PASTE, CRUSHED, 0.2],
    [PASTE, CRUSHED, -0.2, 5],
  ];
  const newestLow: Sign[] = [
    [PASTE, CRUSHED, 0.2, 5],
    [PASTE, CRUSHED, -0.2],
  ];
  expect(rangeAfter(newestHigh).p50).toBeGreaterThan(rangeAfter(newestLow).p50);
});

test('a batch that is not to be learned from changes nothing, and the basis says what it stands on', () => {
  const signs: Sign[] = [
    [PASTE, CRUSHED, 0.1, 1],
    [PASTE, CRUSHED, 0.2],
  ];
  const records = signs.map(recordOf);
  const silent = records.map((record) => ({ ...record, learnFrom: false }));
  const basis = (all: BatchRecord[]) => yieldRange(CRUSHED, PASTE, learnYields(all, NOW))!;
  expect(basis(silent).lbPerQuart).toEqual(basis([]).lbPerQuart);
  expect(basisWords(basis([]).basis)).toBe('handbook');
  expect(basisWords(basis(records).basis)).toBe('handbook + your 2 batches, last time 10 quarts from 36 lb');
  const other = yieldRange(SAUCE, PASTE, learnYields(records, NOW))!;
  expect(basisWords(other.basis)).toBe('handbook + 2 batches of this crop');
  expect(basisWords(yieldRange('jam-with-pectin', 'damson')!.basis)).toBe('formula');
});

test('many crops in one group are still solved', () => {
  const crops: ProduceId[] = ['blackberry', 'raspberry', 'gooseberry', 'blueberry', 'currant'];
  const signs = crops.map((crop): Sign => [crop, 'berries-whole', 0.15]);
  const told = learnYields(signs.map(recordOf), NOW).deviationOf('currant', 'berries-whole');
  expect(mixtureQuantile(told, 0.5)).toBeGreaterThan(0.08);
});
