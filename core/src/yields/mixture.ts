import { normalBelow } from '../math/normal';

/** One of several normal distributions that an answer is made of. */
export interface MixturePart {
  readonly chance: number;
  readonly mean: number;
  readonly spread: number;
}

const CLOSE_ENOUGH = 1e-5;
const MOST_STEPS = 60;

/**
 * The value that a mixture of normal distributions is below with a chance, by halving; Newton's step is taken where it
 * stays inside.
 *
 * @param parts their chances add up to 1
 * @param chance above 0 and below 1
 */
export function mixtureQuantile(parts: readonly MixturePart[], chance: number): number {
  let low = Infinity;
  let high = -Infinity;
  for (const { mean, spread } of parts) {
    low = Math.min(low, mean - 8 * spread);
    high = Math.max(high, mean + 8 * spread);
  }
  let x = parts.reduce((sum, part) => sum + part.chance * part.mean, 0);
  for (let step = 0; step < MOST_STEPS; step++) {
    let below = 0;
    let density = 0;
    for (const part of parts) {
      const z = (x - part.mean) / part.spread;
      below += part.chance * normalBelow(z);
      density += (part.chance * Math.exp((-z * z) / 2)) / (part.spread * Math.sqrt(2 * Math.PI));
    }
    if (below < chance) low = x;
    else high = x;
    const newton = x + (chance - below) / Math.max(density, 1e-9);
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - x) < CLOSE_ENOUGH) return next;
    x = next;
  }
  return x;
}

/** Ways this much less likely than the likeliest, on the log scale, are left out. */
export const NEGLIGIBLE_LOG = 9.2;

/** Parts this near each other in mean, and in spread, are taken together: far below what a jar shows. */
const MEAN_STEP = 0.02;
const SPREAD_STEP = Math.log(1.2);

/** Gathers weighed normal parts into a mixture; `log` is the log of a weight, up to one constant. */
export function mixtureOf(parts: readonly { log: number; mean: number; variance: number }[]): MixturePart[] {
  const best = parts.reduce((most, { log }) => Math.max(most, log), -Infinity);
  const cells = new Map<number, { weight: number; mean: number; square: number }>();
  for (const { log, mean, variance } of parts) {
    if (log < best - NEGLIGIBLE_LOG) continue;
    const weight = Math.exp(log - best);
    const key = Math.round(mean / MEAN_STEP) * 1_000 + Math.round(Math.log(variance) / 2 / SPREAD_STEP);
    const cell = cells.get(key) ?? { weight: 0, mean: 0, square: 0 };
    cell.weight += weight;
    cell.mean += weight * mean;
    cell.square += weight * (variance + mean * mean);
    cells.set(key, cell);
  }
  const kept = [...cells.values()];
  const sum = kept.reduce((total, { weight }) => total + weight, 0);
  return kept.map(({ weight, mean, square }) => ({
    chance: weight / sum,
    mean: mean / weight,
    spread: Math.sqrt(square / weight - (mean / weight) ** 2),
  }));
}
