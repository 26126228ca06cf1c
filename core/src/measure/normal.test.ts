import fc from 'fast-check';
import { jStat } from 'jstat';
import { choleskyOf, halfLogDeterminant, solveWith } from './cholesky';
import { normalBelow } from './normal';
import { weighedQuantiles } from './weighedQuantile';

// An outside package's distribution function; the tails by Abramowitz and Stegun, table 26.2, from memory.
test('the chance below agrees with an outside package, and with the printed table far out', () => {
  for (let z = -5; z <= 5; z += 0.01) expect(normalBelow(z)).toBeCloseTo(jStat.normal.cdf(z, 0, 1), 9);
  expect(normalBelow(-6)).toBeCloseTo(9.8659e-10, 13);
  expect(normalBelow(-8) / 6.221e-16).toBeCloseTo(1, 3);
  expect([normalBelow(-Infinity), normalBelow(Infinity)]).toEqual([0, 1]);
});

test('a solved system gives back what it was made of, and its determinant is the product of a known one', () => {
  const vector = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 1, maxLength: 9 });
  fc.assert(
    fc.property(vector, fc.double({ min: 0.2, max: 3, noNaN: true }), (x, spread) => {
      // Any a a' + s I is positive definite; its determinant is s^(n-1) (s + a'a).
      const entry = (i: number, j: number) => (x[i] ?? 0) * (x[j] ?? 0) + (i === j ? spread : 0);
      const factor = choleskyOf(x.length, entry);
      const b = x.map((_, i) => x.reduce((sum, value, j) => sum + entry(i, j) * value, 0));
      for (const [i, value] of solveWith(factor, b).entries()) expect(value).toBeCloseTo(x[i] ?? 0, 6);
      const own = x.reduce((sum, value) => sum + value * value, 0);
      const determinant = (x.length - 1) * Math.log(spread) + Math.log(spread + own);
      expect(2 * halfLogDeterminant(factor)).toBeCloseTo(determinant, 6);
    }),
  );
  expect(() => choleskyOf(1, () => -1)).toThrow(RangeError);
});

test('weighed values are cut where a sorted list of them is', () => {
  const pair = fc.tuple(fc.double({ min: -50, max: 900, noNaN: true }), fc.double({ min: 0.01, max: 1, noNaN: true }));
  fc.assert(
    fc.property(
      fc.array(pair, { minLength: 1, maxLength: 300 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (pairs, chance) => {
        const [values, weights] = [pairs.map(([value]) => value), pairs.map(([, weight]) => weight)];
        const [told] = weighedQuantiles(values, weights, [chance]);
        const whole = weights.reduce((sum, weight) => sum + weight, 0);
        const cell = (Math.max(...values) - Math.min(...values)) / 600 + 1e-9;
        const below = (limit: number) =>
          pairs.reduce((sum, [value, weight]) => (value <= limit ? sum + weight : sum), 0);
        // No more than the chance lies a cell below the answer, no less than it a cell above.
        expect(below(told! - cell)).toBeLessThanOrEqual(chance * whole + 1e-9);
        expect(below(told! + cell)).toBeGreaterThanOrEqual(chance * whole - 1e-9);
      },
    ),
  );
});
