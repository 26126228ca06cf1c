import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Draws from the distributions that counts of things are simulated with; the same seed gives the same draws. */
export interface Draws {
  unit(): number;
  /** Mean 0, spread 1. */
  normal(): number;
  /** Mean `shape / rate`. */
  gamma(shape: number, rate: number): number;
  poisson(mean: number): number;
}

/** Poisson means above this are drawn from the normal curve that fits them: nobody sees the difference. */
const LARGE_MEAN = 60;

export function drawsFrom(seed: number): Draws {
  const random = xoroshiro128plus(seed);
  const unit = () => uniformFloat64(random);
  // Box and Muller 1958; 1 - u keeps the logarithm finite.
  const normal = () => Math.sqrt(-2 * Math.log(1 - unit())) * Math.cos(2 * Math.PI * unit());
  // G. Marsaglia, W. W. Tsang, "A simple method for generating gamma variables", 2000; below 1 by their boost.
  const gamma = (shape: number): number => {
    if (shape < 1) return gamma(shape + 1) * (1 - unit()) ** (1 / shape);
    const d = shape - 1 / 3;
    const c = 1 / Math.sqrt(9 * d);
    for (;;) {
      const x = normal();
      const v = (1 + c * x) ** 3;
      if (v > 0 && Math.log(1 - unit()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
    }
  };
  return {
    unit,
    normal,
    gamma: (shape, rate) => gamma(shape) / rate,
    poisson: (mean) => {
      if (mean > LARGE_MEAN) return Math.max(0, Math.round(mean + Math.sqrt(mean) * normal()));
      // D. E. Knuth, The Art of Computer Programming, volume 2, 3.4.1.
      const floor = Math.exp(-mean);
      let count = 0;
      for (let product = 1 - unit(); product > floor; product *= 1 - unit()) count++;
      return count;
    },
  };
}

/**
 * Draws of one thing alone, by its words: what comes up later changes no other. FNV-1a by G. Fowler, L. Noll and K.-P. Vo, 32 bit,
 * turns its words into a seed.
 */
export function drawsOf(words: string, seed: number): Draws {
  let hash = 0x811c9dc5 ^ seed;
  for (const letter of words) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  const draws = drawsFrom(hash);
  // The first draws of a generator still show its seed.
  for (let i = 0; i < 8; i++) draws.unit();
  return draws;
}
