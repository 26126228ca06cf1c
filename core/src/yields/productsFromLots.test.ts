import { type BatchRecord, lbPerQuartOf, NOTHING_MORE } from './batchRecord';
import { byProductsOf } from './byProducts';
import { checkRecord } from './checkRecord';
import { cardForCrop } from './cardForCrop';
import { KG_PER_LB } from '../measure/amount';
import { productsFromLots } from './productsFromLots';

const lb = (pounds: number) => pounds * KG_PER_LB;
const find = (product: string, all: ReturnType<typeof productsFromLots>) =>
  all.find((each) => each.product.product === product)!;

// USDA Complete Guide to Home Canning, 2015, guides 2, 3, 6 and 7: what one batch takes, as picked. Cups go by the forms.
test.each([
  ['tomato-ketchup', 'tomato-paste', 24, false],
  ['pickled-beets', 'beet', 7, false],
  ['dilled-beans', 'bean-snap', 4, false],
  ['jam-with-pectin', 'strawberry', 4.51, true],
  ['jam-with-pectin', 'peach', 3, true],
  ['jam-with-pectin', 'pear', 2, true],
  ['jelly-no-pectin', 'apple', 3.01, true],
  ['fig-jam', 'fig', 5, true],
  ['tomatillo-green-salsa', 'tomatillo', 2, true],
  ['pepper-onion-relish', 'pepper-sweet', 2, true],
  ['pickled-corn-relish', 'corn-sweet', 13, true],
  ['jam-with-pectin', 'blueberry', 1.875, true],
  ['green-tomato-relish', 'tomato-slicing', 10, false],
] as const)('one batch of %s takes %s: %d lb', (product, crop, pounds, byCups) => {
  const card = cardForCrop(product, crop)!;
  expect(card.main.lbPerBatch).toBeCloseTo(pounds, 1);
  expect(card.byCups).toBe(byCups);
});

test.each([
  ['jelly-no-pectin', 'gooseberry'],
  ['jam-with-pectin', 'gooseberry'],
  ['jelly-with-pectin', 'damson'],
  ['jam-no-pectin', 'plum'],
  ['jam-with-pectin', 'cherry-sour'],
] as const)('%s has no card of %s: no card, no offer', (product, crop) => {
  expect(cardForCrop(product, crop)).toBeUndefined();
  expect(productsFromLots([{ crop, massKg: lb(20) }]).some((made) => made.product.product === product)).toBe(false);
});

test('ripe tomatoes become nothing that is made of green ones, and green ones nothing else', () => {
  const green = ['piccalilli', 'green-tomato-relish', 'pickled-green-tomatoes', 'green-tomato-pie-filling'];
  const made = (isGreen: boolean) =>
    productsFromLots([{ crop: 'tomato-slicing', massKg: lb(30), green: isGreen }]).map(
      ({ product }) => product.product,
    );
  expect(made(true).sort()).toEqual([...green].sort());
  expect(made(false).filter((product) => green.includes(product))).toEqual([]);
  expect(made(false)).toContain('tomatoes-crushed');
});

// The same guide, 7: about 3 1/2 quarts of berries, a box of pectin, 5 to 6 half-pints; a quart weighs 1 1/2 lb.
test('4 quarts of blackberries are one batch of jelly, 5 to 6 half-pints', () => {
  const jelly = find('jelly-with-pectin', productsFromLots([{ crop: 'blackberry', massKg: lb(6) }]));
  expect([jelly.pots, jelly.jarsOf('half-pint')]).toEqual([1, { p10: 5, p50: 5, p90: 6 }]);
});

// The same guide, 3: 5 lb tomatoes, 2 lb chile peppers, 1 lb onions, 6 to 8 pints.
test('what a formula takes beside its main crop is told as missing, less what is there', () => {
  const alone = productsFromLots([{ crop: 'tomato-paste', massKg: lb(10) }]);
  expect(find('tomato-chile-salsa', alone).missing).toEqual([
    { crop: 'pepper-hot', text: '2 lb chile peppers', massKg: expect.closeTo(lb(4), 6), stops: false },
    { crop: 'onion', text: '1 lb onions', massKg: expect.closeTo(lb(2), 6), stops: false },
  ]);
  const withOnions = productsFromLots([
    { crop: 'tomato-paste', massKg: lb(10) },
    { crop: 'onion', massKg: lb(1.5) },
  ]);
  const { missing } = find('tomato-chile-salsa', withOnions);
  expect(missing.find(({ crop }) => crop === 'onion')!.massKg).toBeCloseTo(lb(0.5), 6);
});

// The same guide: 4 cups long green chiles and 1/2 cup jalapenos are both hot peppers.
test('two ingredients of one crop are missing together, and what is counted in pieces is weighed', () => {
  const made = productsFromLots([{ crop: 'tomato-paste', massKg: lb(14) }]);
  const peppers = (product: string) => find(product, made).missing.filter(({ crop }) => crop === 'pepper-hot');
  expect(peppers('tomato-salsa-paste-tomatoes')).toEqual([
    {
      crop: 'pepper-hot',
      text: '4 cups long green chiles, 1/2 cup jalapenos',
      massKg: expect.closeTo(lb(4.5 / 4), 2),
      stops: false,
    },
  ]);
  // Eight peppers for 16 lb of tomatoes, at about an ounce each (common practice).
  expect(peppers('tomato-taco-sauce')).toMatchObject([
    { crop: 'pepper-hot', text: '4 jalapenos, 4 long green chiles' },
  ]);
});

test('lots of both tomatoes fill the same jars together; a formula of one fruit stands for itself', () => {
  const amounts = [
    { crop: 'tomato-paste', massKg: lb(30) },
    { crop: 'tomato-slicing', massKg: lb(20) },
  ] as const;
  const [both, paste, slicing] = [amounts, [amounts[0]], [amounts[1]]].map((some) =>
    find('tomatoes-crushed', productsFromLots(some)),
  );
  expect(both!.crops).toEqual(['tomato-paste', 'tomato-slicing']);
  expect(both!.quarts.p50).toBeCloseTo(paste!.quarts.p50 + slicing!.quarts.p50, 9);
  expect(both!.jarsOf('pint').p50).toBe(Math.floor(both!.quarts.p50 * 2));
  expect(productsFromLots(amounts).filter(({ product }) => product.product === 'tomato-ketchup')).toHaveLength(2);
});

// The same guide, 3: about 3 1/4 lb of tomatoes a quart of juice, 5 lb a quart of thin sauce. Trimming: table of produce.
test('sauce gives thin juice at most, peeled apples give peels and cores, and each goes by its own tested time', () => {
  const [juice] = byProductsOf('tomato-sauce-thin', 'tomato-paste', lb(50));
  expect(juice).toMatchObject({ kind: 'thin juice', feeds: 'tomato-juice' });
  expect(juice!.quartsAtMost).toBeGreaterThan(4);
  expect(juice!.quartsAtMost).toBeLessThan(7);
  expect(juice!.quarts!.p90).toBeLessThan(1.05 * juice!.quartsAtMost!);
  expect(juice!.quarts!.p10).toBeGreaterThan(0);
  expect(byProductsOf('apples-sliced', 'apple', lb(50))).toEqual([
    { kind: 'peels and cores', feeds: 'jelly-no-pectin', massKg: expect.closeTo(lb(11), 6) },
  ]);
  expect(byProductsOf('plums', 'damson', lb(50))).toEqual([]);
});

const record = (more: Partial<BatchRecord>): BatchRecord => ({
  id: 'r',
  batchId: null,
  ...NOTHING_MORE,
  product: 'tomatoes-crushed',
  crop: 'tomato-paste',
  massKg: lb(22),
  waterMl: 0,
  sugarKg: 0,
  jars: [{ jar: 'quart', count: 7 }],
  partJar: null,
  madeAt: 0,
  note: '',
  learnFrom: true,
  ...more,
});

test('the part jar counts, and water and sugar count where they are in the jars as produce', () => {
  expect(lbPerQuartOf(record({}))).toBeCloseTo(22 / 7, 9);
  expect(lbPerQuartOf(record({ partJar: { jar: 'pint', part: 0.5 } }))).toBeCloseTo(22 / 7.25, 9);
  // Two quarts of water in nine quarts of applesauce: seven are of apples.
  const sauce = {
    product: 'applesauce',
    crop: 'apple',
    jars: [{ jar: 'quart', count: 9 }],
    waterMl: 2 * 946.352946,
  } as const;
  expect(lbPerQuartOf(record(sauce))).toBeCloseTo(22 / 7, 6);
  // The syrup of a jar of plums is what its printed yield reckons with.
  expect(lbPerQuartOf(record({ ...sauce, product: 'plums', crop: 'damson' }))).toBeCloseTo(22 / 9, 9);
  expect(lbPerQuartOf(record({ jars: [{ jar: 'quart', count: 0 }] }))).toBeUndefined();
});

test('three times the possible jars are asked about, with the jar that was likely meant', () => {
  expect(checkRecord(record({}))).toEqual({ kind: 'likely' });
  expect(checkRecord(record({ jars: [{ jar: 'quart', count: 20 }] }))).toEqual({
    kind: 'slip',
    meant: 'pint',
    sentence: expect.stringMatching(/^20 quarts from 22 lb of paste tomatoes is 2\.\d times .* Quarts or pints\?$/),
  });
  expect(checkRecord(record({ jars: [{ jar: 'pint', count: 3 }] }))).toMatchObject({ kind: 'slip' });
  // A kitchen at half of the book is one in ten, and no slip.
  expect(checkRecord(record({ jars: [{ jar: 'quart', count: 3 }] }))).toEqual({ kind: 'likely' });
});
