import fc from 'fast-check';
import { productRow } from '../handbook/products';
import { RECIPES } from '../handbook/recipes';
import { changesOf, neverIn } from './editedBatch';
import { type Formula, type Ingredient, readFormula, readIngredient } from '../handbook/formula';

const FORMULAS = RECIPES.filter(({ confidence }) => confidence !== 'low').map((row) => ({
  product: productRow(row.product),
  formula: readFormula(row.mainInputs),
}));

const scaled = ({ ingredients }: Formula, factor: number): Ingredient[] =>
  ingredients.map((own) => ({
    ...own,
    ...(own.amount && {
      amount: { of: own.amount.of, span: { low: own.amount.span.low * factor, high: own.amount.span.high * factor } },
    }),
  }));

const withRole = (formula: Formula, role: Ingredient['role'], factor: number) => ({
  ...formula,
  ingredients: formula.ingredients.map((own) =>
    own.role === role ? (scaled({ kind: '', ingredients: [own] }, factor)[0] ?? own) : own,
  ),
});

const anyFormula = fc.constantFrom(...FORMULAS);

test('every published ingredient is read, with its amount where the page has one', () => {
  for (const { product, formula } of FORMULAS) {
    expect(formula.ingredients.length).toBeGreaterThan(1);
    for (const { text, food, amount } of formula.ingredients) {
      expect(food).toMatch(/[a-z]/);
      if (/^\d/.test(text)) expect({ of: product.product, text, amount }).toMatchObject({ amount: expect.any(Object) });
    }
  }
});

// Handbook rule 14: jelly and pectin jam one batch at a time.
test('a formula at any size is the formula; in one pot it is doubled only where it may be', () => {
  fc.assert(
    fc.property(anyFormula, fc.double({ min: 0.25, max: 6, noNaN: true }), ({ product, formula }, factor) => {
      const changes = changesOf(product, formula, scaled(formula, factor));
      const isDoubled = factor > 1.02 && !product.mayDouble;
      if (factor < 1.01 || factor > 1.03)
        expect(changes.map(({ change }) => change)).toEqual(isDoubled ? ['doubled'] : []);
      if (isDoubled && product.productClass === 'spread') expect(neverIn(changes)?.change).toBe('doubled');
    }),
  );
});

// Handbook rule 17; USDA Complete Guide to Home Canning, 2015, guide 6, on the acidity of pickles.
test('less acid, more water, more vegetables, oil or flour: never, in every formula and at any size', () => {
  // From 15 % on: a page that says "10-11 lb" leaves a tenth open by itself.
  const rise = fc.double({ min: 1.15, max: 4, noNaN: true });
  fc.assert(
    fc.property(anyFormula, rise, fc.double({ min: 0.25, max: 4, noNaN: true }), ({ product, formula }, more, size) => {
      const never = (edited: Formula) => neverIn(changesOf(product, formula, scaled(edited, size)))?.change;
      const has = (role: Ingredient['role']) =>
        formula.ingredients.some((own) => own.role === role && own.amount && !own.optional);
      if (has('vinegar')) expect(never(withRole(formula, 'vinegar', 1 / more))).toBeDefined();
      if (has('lemon')) expect(never(withRole(formula, 'lemon', 1 / more))).toBeDefined();
      if (has('water')) expect(never(withRole(formula, 'water', more))).toBeDefined();
      if (has('pectin')) expect(never(withRole(formula, 'pectin', 1 / more))).toBeDefined();
      if (has('low-acid') && has('vinegar')) expect(never(withRole(formula, 'low-acid', more))).toBeDefined();
      for (const extra of ['1 cup oil', '0.5 cup flour', '3 lb broccoli', '2 cups rosehips']) {
        expect(never({ ...formula, ingredients: [...formula.ingredients, readIngredient(extra)] })).toBeDefined();
      }
    }),
  );
});

describe('pickled beets as a cook writes them', () => {
  const product = productRow('pickled-beets');
  const formula = FORMULAS.find((one) => one.product === product)!.formula;
  const written = (...lines: string[]) =>
    changesOf(product, formula, lines.map(readIngredient)).map(({ change }) => change);
  const rest = ['2 cups sugar', '2 cups water', '1 1/2 tsp salt', '4 onions'];

  test.each([
    ['the formula in other words', ['7 pounds beets', '4 cups cider vinegar, 5 %', ...rest], []],
    ['another spice', ['7 lb beets', '4 cups 5% vinegar', '1 tsp star anise seed', ...rest], ['dry-spices']],
    [
      'less sugar',
      ['7 lb beets', '4 cups 5% vinegar', '1 cup sugar', '2 cups water', '1 1/2 tsp salt', '4 onions'],
      ['less-sugar'],
    ],
    [
      'fewer onions',
      ['7 lb beets', '4 cups 5% vinegar', '2 cups sugar', '2 cups water', '1 1/2 tsp salt', '1 onion'],
      ['less-low-acid'],
    ],
    [
      'half the vinegar',
      ['7 lb beets', '2 cups 5% vinegar', ...rest],
      ['less-acid', 'more-low-acid', 'more-water', 'other-proportion'],
    ],
    ['vinegar of 4 %', ['7 lb beets', '4 cups 4% vinegar', ...rest], ['weaker-vinegar']],
    ['home-made vinegar', ['7 lb beets', '4 cups home-made vinegar', ...rest], ['home-made-vinegar']],
  ] as const)('%s', (_, lines, changes) => expect(written(...lines)).toEqual(changes));
});

test('pounds are held against pounds where the page gives both measures, and peppers may be swapped at the same total', () => {
  const chutney = FORMULAS.find(({ product }) => product.product === 'tomato-chile-salsa')!;
  const salsa = (...lines: string[]) =>
    changesOf(chutney.product, chutney.formula, lines.map(readIngredient)).map(({ change }) => change);
  const rest = ['5 lb tomatoes', '1 lb onions', '1 cup 5% vinegar', '3 tsp salt'];
  expect(salsa(...rest, '1 lb jalapenos', '1 lb bell peppers')).toEqual(['swap-peppers']);
  expect(salsa(...rest, '3 lb bell peppers')).toEqual(['more-low-acid']);
  const pickles = FORMULAS.find(({ product }) => product.product === 'bread-and-butter-pickles')!;
  const lines = ['6 lb cucumbers', '0.5 cup salt', '4 cups 5% vinegar', '4.5 cups sugar'];
  const pickled = (onions: string) =>
    changesOf(pickles.product, pickles.formula, [...lines, onions].map(readIngredient)).map(({ change }) => change);
  expect(pickled('3 lb onions')).toEqual([]);
  expect(pickled('5 lb onions')).toEqual(['more-low-acid']);
});

test('liquid pectin does not stand for powdered, nor the other way round', () => {
  const jam = FORMULAS.find(({ formula }) => formula.kind === 'strawberry, powdered pectin')!;
  const lines = ['5.5 cups crushed strawberries', '8 cups sugar', '6 oz liquid pectin'];
  expect(changesOf(jam.product, jam.formula, lines.map(readIngredient)).map(({ change }) => change)).toEqual([
    'other-pectin',
  ]);
});
