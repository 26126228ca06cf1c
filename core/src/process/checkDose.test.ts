import { ACIDS, checkDose } from './checkDose';

const TBSP = 14.786_764_781_25; // NIST Handbook 44, Appendix C
const TSP = TBSP / 3;

// USDA Complete Guide to Home Canning, 2015, guide 3, "Acidification".
test('one tablespoon of lemon juice in a quart of tomatoes is half the dose', () => {
  expect(checkDose('tomato', 'quart', 'bottled-lemon', TBSP)).toEqual({
    kind: 'short',
    share: expect.closeTo(0.5, 9),
    neededMl: expect.closeTo(2 * TBSP, 6),
  });
  expect(checkDose('tomato', 'pint', 'bottled-lemon', TBSP)).toEqual({ kind: 'enough' });
});

test.each([
  ['tomato', 'quart', 'citric-acid', TSP / 2, 'enough'],
  ['tomato', 'quart', 'citric-acid', TSP / 4, 'short'],
  ['tomato', 'quart', 'vinegar', 4 * TBSP, 'enough'],
  ['tomato', 'quart', 'vinegar', 2 * TBSP, 'short'],
  ['tomato', 'pint', 'bottled-lemon', 3 * TBSP, 'much'],
  ['fruit-acidified', 'quart', 'vinegar', 4 * TBSP, 'refused'],
  ['tomato', 'quart', 'fresh-lemon', 4 * TBSP, 'refused'],
  ['tomato', 'quart', 'home-made-vinegar', 9 * TBSP, 'refused'],
  ['tomato', 'half-pint', 'bottled-lemon', 0, 'short'],
] as const)('%s, %s, %s, %d ml: %s', (kind, jar, acid, ml, expected) => {
  expect(checkDose(kind, jar, acid, ml)?.kind).toBe(expected);
});

test('food that takes no acid by the jar has no verdict', () => {
  for (const acid of ACIDS) expect(checkDose('fruit', 'pint', acid, TBSP)).toBeUndefined();
});
