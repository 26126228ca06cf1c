import fc from 'fast-check';
import { ML_PER_CUP, ML_PER_TBSP, ML_PER_TSP } from './amount';
import { printMeasures, roundToMeasures } from './cookMeasure';
import { printSpan, readSpan } from './span';

test.each([
  [ML_PER_TSP / 16, '1/16 tsp'],
  [0.19 * ML_PER_TSP, '3/16 tsp'],
  [0.52 * ML_PER_TSP, '1/2 tsp'],
  [1.5 * ML_PER_TBSP, '1 1/2 Tbsp'],
  [1.17 * ML_PER_TBSP, '1 Tbsp + 1/2 tsp'],
  [ML_PER_CUP / 4, '1/4 cup'],
  [0.57 * ML_PER_CUP, '1/2 cup + 1 Tbsp'],
  [2.7 * ML_PER_CUP, '2 3/4 cups'],
])('%d ml is measured as %s', (ml, words) => expect(printMeasures(ml)).toBe(words));

test('a measure is near what was asked, an acid dose never below it, and measuring again changes nothing', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.31, max: 10_000, noNaN: true }), (ml) => {
      const near = roundToMeasures(ml);
      expect(Math.abs(near - ml)).toBeLessThanOrEqual(Math.max(0.126 * ml, ML_PER_TSP / 32 + 1e-9));
      expect(roundToMeasures(near)).toBeCloseTo(near, 9);
      const water = roundToMeasures(ml, { down: true });
      expect(water).toBeLessThanOrEqual(Math.max(ml * (1 + 1e-9), ML_PER_TSP / 16 + 1e-9));
      const dose = roundToMeasures(ml, { up: true });
      expect(dose).toBeGreaterThanOrEqual(ml * (1 - 1e-9));
      expect(dose).toBeLessThanOrEqual(ml + ML_PER_CUP / 4 + 1e-9);
    }),
  );
});

test.each([
  ['2-3', 2, 3],
  ['8 – 16', 8, 16],
  ['1 1/4 to 1 1/2', 1.25, 1.5],
  ['1/2-3/4', 0.5, 0.75],
  ['4,5', 4.5, 4.5],
  ['1-1/4', 1.25, 1.25],
  ['½-1', 0.5, 1],
])('%j is %d to %d', (text, low, high) => {
  expect(readSpan(text)).toEqual({ kind: 'span', span: { low, high } });
  expect(readSpan(printSpan({ low, high }))).toEqual({ kind: 'span', span: { low, high } });
});

test.each(['', '3-2', '-3', 'two or so', '2-'])('%j is no figure', (text) =>
  expect(readSpan(text).kind).toBe('unreadable'),
);
