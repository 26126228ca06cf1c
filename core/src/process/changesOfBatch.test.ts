import { PRODUCTS, productRow } from '../handbook/products';
import { formulasOf } from '../handbook/recipes';
import { changesOfBatch } from './changesOfBatch';
import { conditionsOf } from './conditions';
import { neverIn } from './editedBatch';
import { findTestedRow } from './findProcess';
import { readFormula } from '../handbook/formula';
import { METHODS } from './method';
import { similarProducts } from './similarProducts';

const changes = (product: string, ...lines: string[]) => changesOfBatch(product, lines).map(({ change }) => change);

test('every published formula, written down as it is printed, is its own product', () => {
  for (const { product } of PRODUCTS) {
    for (const { mainInputs } of formulasOf(product)) {
      const lines = readFormula(mainInputs).ingredients.map(({ text }) => text);
      expect([product, changesOfBatch(product, lines)]).toEqual([product, []]);
    }
  }
});

// Handbook rule 17: food without a formula is itself, with salt, sugar, water, acid and dry spices.
test.each([
  ['tomatoes-crushed', ['22 lb tomatoes', '1 Tbsp salt', '14 Tbsp bottled lemon juice'], []],
  ['tomatoes-crushed', ['22 lb tomatoes', '2 lb onions'], ['more-low-acid']],
  ['tomato-sauce-thin', ['35 lb tomatoes', '1/4 cup olive oil', '2 Tbsp flour'], ['oil', 'thickener']],
  ['applesauce', ['20 lb apples', '2 cups sugar', '1 tsp cinnamon'], ['dry-spices']],
  ['applesauce', ['20 lb apples', '3 cups cranberries'], ['new-ingredient']],
  ['snap-beans', ['14 lb green beans', '7 tsp salt'], []],
  ['snap-beans', ['14 lb green beans', '1 lb carrots'], ['more-low-acid']],
  ['berries-whole', ['8 lb gooseberries', '4 cups sugar', '5 cups water'], []],
  ['zucchini-bread-and-butter', ['6 lb zucchini'], ['other-proportion']],
  ['moon-cheese', ['1 moon'], []],
] as const)('%s of %j: %j', (product, lines, expected) => expect(changes(product, ...lines)).toEqual(expected));

test.each([
  ['jam-no-pectin', ['4 cups crushed raspberries', '4 cups sugar'], []],
  ['jam-no-pectin', ['4 cups crushed elderberries', '4 cups sugar'], ['new-ingredient']],
  [
    'jam-no-pectin',
    ['5.5 cups crushed white peaches', '4 cups sugar', '2 tbsp bottled lemon juice'],
    ['new-ingredient'],
  ],
  [
    'jam-with-pectin',
    ['6 cups chopped damsons', '1/2 cup water', '1/4 cup bottled lemon juice', '8 cups sugar', '1 box powdered pectin'],
    [],
  ],
  [
    'pickled-beets',
    ['7 lb beetroot', '4 cups 5% vinegar', '1.5 tsp salt', '2 cups sugar', '2 cups water', '5 onions'],
    [],
  ],
  [
    'tomato-chile-salsa',
    ['5 lb tomatoes', '4 lb pepper', '1 lb onions', '1 cup 5% vinegar', '3 tsp salt'],
    ['more-low-acid'],
  ],
  [
    'tomato-chile-salsa',
    ['5 lb tomatoes', '2 lb chile peppers', '1 lb onions', '1 cup 5% vinegar', '3 tsp salt', '1 tsp garlic powder'],
    ['dry-spices'],
  ],
  [
    'tomato-chile-salsa',
    ['5 lb tomatoes', '2 lb chile peppers', '1 lb onions', '1 cup 5% vinegar', '3 tsp salt', '2 cups dill'],
    ['new-ingredient'],
  ],
] as const)('%s as cooks call things, %j: %j', (product, lines, expected) =>
  expect(changes(product, ...lines)).toEqual(expected),
);

test('what is never allowed is told first where several things are changed', () => {
  const told = changesOfBatch('tomato-sauce-thin', ['35 lb tomatoes', '1 tsp oregano', '1/4 cup oil']);
  expect(neverIn(told)?.change).toBe('oil');
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
