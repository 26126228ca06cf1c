import fc from 'fast-check';
import { jStat } from 'jstat';
import { choleskyOf, halfLogDeterminant, solveWith } from './cholesky';
import { drawsFrom } from './draws';
import { minimize, type Objective } from './lbfgs';
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

// Test functions of Moré, Garbow and Hillstrom, "Testing unconstrained optimization software", 1981, from memory: each with the start
// and the least value printed there.
test('the walk down ends at the printed least value of functions made to be hard', () => {
  const rosenbrock: Objective = ([x = 0, y = 0], gradient) => {
    gradient[0] = -400 * x * (y - x * x) - 2 * (1 - x);
    gradient[1] = 200 * (y - x * x);
    return 100 * (y - x * x) ** 2 + (1 - x) ** 2;
  };
  const valley = Float64Array.of(-1.2, 1);
  expect(minimize(rosenbrock, valley, { steps: 200, slope: 1e-8 })).toBeLessThan(1e-12);
  expect([...valley]).toEqual([expect.closeTo(1, 5), expect.closeTo(1, 5)]);

  const beale: Objective = ([x = 0, y = 0], gradient) => {
    const parts = [1.5, 2.25, 2.625].map((value, k) => value - x * (1 - y ** (k + 1)));
    gradient.fill(0);
    for (const [k, part] of parts.entries()) {
      gradient[0]! -= 2 * part * (1 - y ** (k + 1));
      gradient[1]! += 2 * part * x * (k + 1) * y ** k;
    }
    return parts.reduce((sum, part) => sum + part * part, 0);
  };
  const bowl = Float64Array.of(1, 1);
  expect(minimize(beale, bowl, { steps: 200, slope: 1e-9 })).toBeLessThan(1e-12);
  expect([...bowl]).toEqual([expect.closeTo(3, 5), expect.closeTo(0.5, 5)]);

  // Powell's singular function: its second derivatives vanish at the least value, 0 at the origin.
  const powell: Objective = ([a = 0, b = 0, c = 0, d = 0], gradient) => {
    const [p, q, r, s] = [a + 10 * b, c - d, b - 2 * c, a - d];
    gradient.set([2 * p + 40 * s ** 3, 20 * p + 4 * r ** 3, 10 * q - 8 * r ** 3, -10 * q - 40 * s ** 3]);
    return p * p + 5 * q * q + r ** 4 + 10 * s ** 4;
  };
  expect(minimize(powell, Float64Array.of(3, -1, 0, 1), { steps: 500, slope: 1e-7 })).toBeLessThan(1e-7);
});

// Kolmogorov and Smirnov: 1 sample in 1,000 lies further off than 1.95 by the root of its size. The seed is fixed.
test('what is drawn lies as an outside package says it does, and the same seed draws the same', () => {
  const size = 4_000;
  const furthest = (draw: () => number, below: (x: number) => number) => {
    const values = Array.from({ length: size }, draw).sort((a, b) => a - b);
    return Math.max(...values.map((value, i) => Math.abs(below(value) - (i + 0.5) / size))) * Math.sqrt(size);
  };
  const draws = drawsFrom(24);
  expect(furthest(draws.unit, (x) => x)).toBeLessThan(1.95);
  expect(furthest(draws.normal, (x) => jStat.normal.cdf(x, 0, 1))).toBeLessThan(1.95);
  for (const [shape, rate] of [
    [0.4, 2],
    [1, 1],
    [7.5, 0.3],
  ] as const) {
    const below = (x: number) => jStat.gamma.cdf(x, shape, 1 / rate);
    expect(furthest(() => draws.gamma(shape, rate), below)).toBeLessThan(1.95);
  }
  for (const mean of [0.3, 4, 59]) {
    const counts = Array.from({ length: size }, () => draws.poisson(mean));
    const most = Math.max(...counts);
    const off = Array.from({ length: most + 1 }, (_, k) => {
      return Math.abs(counts.filter((count) => count <= k).length / size - jStat.poisson.cdf(k, mean));
    });
    // Of counted things the bound is too wide, never too narrow.
    expect(Math.max(...off) * Math.sqrt(size)).toBeLessThan(1.95);
  }
  const again = [drawsFrom(7), drawsFrom(7)].map(({ gamma, poisson }) => [gamma(2, 1), poisson(9), poisson(99)]);
  expect(again[0]).toEqual(again[1]);
});
