import { ACIDS, checkDose } from './checkDose';

const TBSP = 14.786_764_781_25; // NIST Handbook 44, Appendix C
const TSP = TBSP / 3;

// USDA Complete Guide to Home Canning, 2015, guide 3, "Acidification".
test('one tablespoon of lemon juice in a quart of tomatoes is half the dose', () => {
  expect(checkDose('tomatoes-crushed', 'quart', 'bottled-lemon', TBSP)).toEqual({
    kind: 'short',
    share: expect.closeTo(0.5, 9),
    neededMl: expect.closeTo(2 * TBSP, 6),
  });
  expect(checkDose('tomatoes-crushed', 'pint', 'bottled-lemon', TBSP)).toEqual({ kind: 'enough' });
});

test.each([
  ['tomatoes-crushed', 'quart', 'citric-acid', TSP / 2, 'enough'],
  ['tomatoes-crushed', 'quart', 'citric-acid', TSP / 4, 'short'],
  ['tomatoes-crushed', 'quart', 'vinegar', 4 * TBSP, 'enough'],
  ['tomatoes-crushed', 'quart', 'vinegar', 2 * TBSP, 'short'],
  ['tomatoes-crushed', 'pint', 'bottled-lemon', 3 * TBSP, 'much'],
  ['figs', 'quart', 'vinegar', 4 * TBSP, 'refused'],
  ['figs', 'quart', 'citric-acid', TSP / 2, 'enough'],
  // Handbook rule 2: Asian pears take lemon juice only.
  ['asian-pears', 'quart', 'citric-acid', TSP / 2, 'refused'],
  ['asian-pears', 'quart', 'bottled-lemon', 2 * TBSP, 'enough'],
  ['tomatoes-crushed', 'quart', 'fresh-lemon', 4 * TBSP, 'refused'],
  ['tomatoes-crushed', 'quart', 'home-made-vinegar', 9 * TBSP, 'refused'],
  ['tomatoes-crushed', 'half-pint', 'bottled-lemon', 0, 'short'],
] as const)('%s, %s, %s, %d ml: %s', (kind, jar, acid, ml, expected) => {
  expect(checkDose(kind, jar, acid, ml)?.kind).toBe(expected);
});

test('food that takes no acid by the jar has no verdict', () => {
  for (const acid of ACIDS) expect(checkDose('peaches', 'pint', acid, TBSP)).toBeUndefined();
});
