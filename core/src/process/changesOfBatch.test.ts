import { PRODUCTS, productRow } from '../handbook/products';
import { changesOfBatch } from './changesOfBatch';
import { conditionsOf } from './conditions';
import { findTestedRow } from './findProcess';
import { METHODS } from './method';
import { similarProducts } from './similarProducts';

// What a change does to a card: core/src/recipe/compareCards.test.ts.
test.each([
  ['jam-no-pectin', ['4 cups crushed raspberries', '4 cups sugar'], []],
  ['jam-no-pectin', ['4 cups crushed elderberries', '4 cups sugar'], ['new-ingredient', 'other-proportion']],
  [
    'jam-with-pectin',
    ['6 cups chopped damsons', '1/2 cup water', '1/4 cup bottled lemon juice', '8 cups sugar', '1 box powdered pectin'],
    [],
  ],
  ['berries-whole', ['8 lb gooseberries', '4 cups sugar', '5 cups water'], []],
  ['moon-cheese', ['1 moon'], []],
] as const)('of several cards the nearest counts: %s of %j: %j', (product, lines, expected) =>
  expect(changesOfBatch(product, lines).map(({ change }) => change)).toEqual(expected),
);

test('food that is never for the shelf is told by its own reason', () => {
  const [told] = changesOfBatch('jam-no-pectin', ['4 cups crushed elderberries', '4 cups sugar']);
  expect(told).toMatchObject({
    verdict: 'never',
    reason: expect.stringMatching(/^Elderberries/),
    line: '4 cups crushed elderberries',
  });
});

test('conditions of every tested row name its cut, pack, jar and canner, and its formula where it has one', () => {
  for (const { product } of PRODUCTS) {
    for (const method of METHODS) {
      for (const pack of ['hot', 'raw'] as const) {
        const row = findTestedRow({ product, pack, jar: 'half-pint', method });
        if (row.kind === 'refusal') continue;
        const said = row.conditions.join('; ').toLowerCase();
        const { form, hasFormula } = productRow(product);
        for (const part of [form, `${pack} pack`, 'half-pints'])
          expect([product, said]).toEqual([product, expect.stringContaining(part)]);
        expect(/clock|thermometer/.test(said)).toBe(true);
        expect(/formula/.test(said)).toBe(hasFormula || method === 'low-temperature-bath');
        expect(row.conditions.every((words) => !words.endsWith('.'))).toBe(true);
      }
    }
  }
  const own = { product: productRow('plums'), pack: 'hot', jar: 'half-pint', rowJar: 'pint', method: 'steam' } as const;
  expect(conditionsOf(own)).toContain("No time of its own for half-pints: the pint's holds");
});

test('similar products are other ones of the same crops, and none that is not offered', () => {
  for (const product of PRODUCTS) {
    const crops = new Set(product.crops.flat());
    for (const near of similarProducts(product, 9)) {
      expect(near).not.toBe(product.product);
      expect(near).not.toBe('zucchini-bread-and-butter');
      expect(
        productRow(near)
          .crops.flat()
          .some((crop) => crops.has(crop)),
      ).toBe(true);
    }
  }
  expect(similarProducts(productRow('tomato-sauce-thin'))[0]).toBe('tomato-sauce-thick');
});
