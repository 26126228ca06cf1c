import { drawsFrom } from '../src/math/draws';

/** Chance with a seed, for simulated households: the same seed, the same household. */
export interface Chance {
  uniform(low: number, high: number): number;
  normal(mean: number, spread: number): number;
  oneOf<T>(list: readonly T[]): T;
}

export function chanceFrom(seed: number): Chance {
  const { unit, normal } = drawsFrom(seed);
  return {
    uniform: (low, high) => low + (high - low) * unit(),
    normal: (mean, spread) => mean + spread * normal(),
    oneOf: (list) => list[Math.min(list.length - 1, Math.floor(unit() * list.length))] as (typeof list)[number],
  };
}
