import { type Range } from '../math/range';

/** Minutes that something takes, from the least to the most. */
export type Span = readonly [low: number, high: number];

/** As a range, its middle for the likely figure. */
export function range([low, high]: Span): Range {
  // Whole minutes, so that the clock times of a plan are ones that a kitchen clock shows.
  return { p10: low, p50: Math.max(1, Math.round((low + high) / 2)), p90: high };
}

/** A range whose likely figure is a whole minute, and no less than one. */
export function whole({ p10, p50, p90 }: Range): Range {
  return { p10, p50: Math.max(1, Math.round(p50)), p90 };
}

/** So many times as long. */
export function times([low, high]: Span, factor: number): Span {
  return [low * factor, high * factor];
}

/** One after the other. */
export function plus(a: Span, b: Span): Span {
  return [a[0] + b[0], a[1] + b[1]];
}
