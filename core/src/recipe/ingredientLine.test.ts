import fc from 'fast-check';
import { numericQuantity } from 'numeric-quantity';
import { readIngredientLine } from './ingredientLine';

const CUP = 236.588_236_5;
const LB = 0.453_592_37;

// Measures from NIST Handbook 44, Appendix C; spellings as cooks and pages use them.
test.each([
  ['4 cups 5% vinegar', 'vinegar', 'ml', 4 * CUP],
  ['1.25 cups 5% cider vinegar', 'vinegar', 'ml', 1.25 * CUP],
  ['2.5 l vinegar', 'vinegar', 'ml', 2_500],
  ['2,5 litres of white vinegar', 'vinegar', 'ml', 2_500],
  ['500 ml water', 'water', 'ml', 500],
  ['5 dl sugar', 'sugar', 'ml', 500],
  ['½ cup bottled lemon juice', 'lemon', 'ml', CUP / 2],
  ['1½ tsp. salt', 'salt', 'ml', (1.5 * CUP) / 48],
  ['1 1/2 tbsp canning salt', 'salt', 'ml', (1.5 * CUP) / 16],
  ['2 T sugar', 'sugar', 'ml', CUP / 8],
  ['2 t sugar', 'sugar', 'ml', CUP / 24],
  ['1 cup + 1 Tbsp + 1 1/2 tsp vinegar', 'vinegar', 'ml', CUP + CUP / 16 + (1.5 * CUP) / 48],
  ['7 pounds beets', 'low-acid', 'kg', 7 * LB],
  ['3 kg beetroot', 'low-acid', 'kg', 3],
  ['750 g onions, sliced', 'low-acid', 'kg', 0.75],
  ['24 oz cranberries', 'acid-food', 'kg', 1.5 * LB],
  ['8 oz vinegar', 'vinegar', 'ml', CUP],
  ['8 fl oz lemon juice', 'lemon', 'ml', CUP],
  ['tomatoes, 5 lb', 'acid-food', 'kg', 5 * LB],
  ['sugar: 2 cups', 'sugar', 'ml', 2 * CUP],
  ['half a cup of sugar', 'sugar', 'ml', CUP / 2],
  ['a cup of vinegar', 'vinegar', 'ml', CUP],
  ['1-1/4 cups sugar', 'sugar', 'ml', 1.25 * CUP],
  ['6 cloves garlic', 'low-acid', 'pieces', 6],
  ['2 garlic cloves', 'low-acid', 'pieces', 2],
  ['1 tsp cloves', 'spice', 'ml', CUP / 48],
  ['6 oz liquid pectin', 'pectin', 'pieces', 2],
  ['2 pouches liquid pectin', 'pectin', 'pieces', 2],
  ['1 box (1.75 oz) powdered pectin', 'pectin', 'pieces', 1],
  ['1.75 oz powdered pectin', 'pectin', 'pieces', 1],
  ['4 lb pepper', 'low-acid', 'kg', 4 * LB],
  ['1/2 tsp black pepper', 'spice', 'ml', CUP / 96],
  ['10 cups tomatoes', 'acid-food', 'ml', 10 * CUP],
  ['1 tsp garlic powder', 'spice', 'ml', CUP / 48],
  ['2 tsp celery seed', 'spice', 'ml', CUP / 24],
  ['1/2 tsp butter', 'oil', 'ml', CUP / 96],
  ['1 tsp citric acid', 'citric-acid', 'ml', CUP / 48],
  ['1 1/2 cups pickling lime', 'firming', 'ml', 1.5 * CUP],
  ['2 lb butternut squash', 'low-acid', 'kg', 2 * LB],
] as const)('%s is %s: %s %d', (text, role, of, amount) => {
  const line = readIngredientLine(text);
  expect([line.role, line.amount?.of, line.unread]).toEqual([role, of, undefined]);
  expect(line.amount!.high).toBeCloseTo(amount, 6);
});

test('a range keeps both ends, and what stands in brackets is the same in another measure', () => {
  expect(readIngredientLine('10-11 lb green tomatoes').amount).toMatchObject({
    low: expect.closeTo(10 * LB, 6),
    high: expect.closeTo(11 * LB, 6),
  });
  expect(readIngredientLine('4 to 6 onions').amount).toMatchObject({ of: 'pieces', low: 4, high: 6 });
  expect(readIngredientLine('8 cups sliced onions (about 3 lb)')).toMatchObject({
    crops: ['onion'],
    also: { of: 'kg', high: expect.closeTo(3 * LB, 6) },
  });
});

test.each([
  ['asdf', 'asdf'],
  ['2 cups gribble', 'gribble'],
  ['5 lb', '5 lb'],
])('%j stays as it is typed, and %j is said not to be understood', (text, unread) =>
  expect(readIngredientLine(text)).toMatchObject({ text, unread }),
);

test('words that are no amount are no fault, and nothing at all is nothing', () => {
  for (const text of [
    'salt to taste',
    'spices',
    'boiling water to cover',
    '2 in deep ice',
    '1 in over the vegetables water',
  ]) {
    const { amount, unread } = readIngredientLine(text);
    expect([text, amount, unread]).toEqual([text, undefined, undefined]);
  }
  expect(readIngredientLine('  ')).toMatchObject({ text: '', food: '' });
});

// An independent reader of quantities knows nothing of this one.
test('every figure before a measure is read as another reader of quantities reads it', () => {
  const figure = fc.oneof(
    fc.integer({ min: 1, max: 99 }).map(String),
    fc
      .tuple(fc.integer({ min: 1, max: 20 }), fc.constantFrom('1/2', '1/3', '3/4', '5/8'))
      .map(([w, part]) => `${w} ${part}`),
    fc.tuple(fc.nat(20), fc.integer({ min: 1, max: 99 })).map(([w, part]) => `${w}.${part}`),
    fc.tuple(fc.integer({ min: 1, max: 20 }), fc.constantFrom('½', '¼', '⅔')).map(([w, sign]) => `${w}${sign}`),
  );
  fc.assert(
    fc.property(figure, fc.constantFrom('cups', 'c', 'lb', 'kg', 'g', 'ml', 'tsp', 'quarts', 'l'), (count, unit) => {
      const one = readIngredientLine(`1 ${unit} onions`).amount!.high;
      const read = readIngredientLine(`${count} ${unit} onions`).amount!.high;
      expect(read / one).toBeCloseTo(numericQuantity(count, { round: false }), 6);
    }),
    { numRuns: 500 },
  );
});
