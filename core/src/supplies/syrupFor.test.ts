import { syrupFor } from './syrupFor';

// USDA Complete Guide to Home Canning, 2015, guide 2, "Preparing and using syrups": cups for 9 pints and for 7 quarts.
test.each([
  ['light', 'pint', 9, 5.75, 1.5],
  ['light', 'quart', 7, 9, 2.25],
  ['medium', 'quart', 14, 16.5, 7.5],
  ['heavy', 'pint', 1, 0.75, 0.5],
] as const)('%s syrup for %s x %d: %d cups water, %d cups sugar', (syrup, jar, jars, waterCups, sugarCups) => {
  expect(syrupFor(syrup, jar, jars)).toMatchObject({ waterCups, sugarCups });
});
