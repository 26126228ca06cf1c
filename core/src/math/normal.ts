/**
 * Chance that a standard normal value is below `z`.
 *
 * Source: W. J. Cody, "Rational Chebyshev approximations for the error function", Mathematics of Computation 23, 1969, in
 * the form of Hart as printed by G. West, "Better approximations to cumulative normal functions", 2005; from memory, and
 * held against an outside package in the test. Within 1e-14.
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z);
  if (x > 37) return z > 0 ? 1 : 0;
  const tail = Math.exp((-x * x) / 2) * (x < 7.071_067_811_865_47 ? nearTail(x) : farTail(x));
  return z > 0 ? 1 - tail : tail;
}

const NUMERATOR = [
  220.206867912376, 221.213596169931, 112.079291497871, 33.912866078383, 6.37396220353165, 0.700383064443688,
  3.52624965998911e-2,
];
const DENOMINATOR = [
  440.413735824752, 793.826512519948, 637.333633378831, 296.564248779674, 86.7807322029461, 16.064177579207,
  1.75566716318264, 8.83883476483184e-2,
];

function nearTail(x: number): number {
  const at = (factors: readonly number[]) => factors.reduceRight((sum, factor) => sum * x + factor, 0);
  return at(NUMERATOR) / at(DENOMINATOR);
}

function farTail(x: number): number {
  return 1 / ((x + 1 / (x + 2 / (x + 3 / (x + 4 / (x + 0.65))))) * 2.506628274631);
}
