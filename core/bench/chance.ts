import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Chance with a seed, for simulated households: the same seed, the same household. */
export interface Chance {
  uniform(low: number, high: number): number;
  normal(mean: number, spread: number): number;
  oneOf<T>(list: readonly T[]): T;
}

export function chanceFrom(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const unit = () => uniformFloat64(generator);
  return {
    uniform: (low, high) => low + (high - low) * unit(),
    // G. E. P. Box, M. E. Muller, "A note on the generation of random normal deviates", 1958.
    normal: (mean, spread) => mean + spread * Math.sqrt(-2 * Math.log(1 - unit())) * Math.cos(2 * Math.PI * unit()),
    oneOf: (list) => list[Math.min(list.length - 1, Math.floor(unit() * list.length))] as (typeof list)[number],
  };
}
