import { type HeatCurve } from './heatCurve';

/** The boil may have been lost so many seconds ago; the sooner it falls, the fewer are needed. */
const FALLING_SECONDS = [25, 40, 60, 90];
/** What it read before that, where nobody knows yet when it fell. */
const BEFORE_SECONDS = 720;
const SHORTEST_BEFORE = 60;
/** Water falls at least so fast when it no longer boils: less is the play of a probe, F a minute. */
const SLOWEST_FALL = 0.1;
const CLEAR_ERRORS = 4.7;

/**
 * Whether the boil was lost: since some while the curve falls away from the line of the minutes before, by more than chance. A
 * hinge is fitted at that while, whose one slope is the fall (least squares through the hinge). What a probe reads at the boil is
 * learned from itself, so that one that is off, or drifts slowly, is as good.
 *
 * @param boilingSince epoch seconds; nothing before counts
 * @returns how fast it falls, F a minute, or nothing while it boils or too little was read
 */
export function lostBoil(curve: HeatCurve, boilingSince: number): number | undefined {
  const now = (curve.newest ?? 0) + 1;
  for (const seconds of FALLING_SECONDS) {
    const hinge = now - seconds;
    const from = Math.max(boilingSince, hinge - BEFORE_SECONDS);
    if (hinge - from < SHORTEST_BEFORE) return undefined;
    const before = curve.line(from, hinge);
    const newest = curve.line(hinge, now);
    if (!before || !newest) continue;
    const on = (newest.middle - before.middle) / 60;
    const underF = before.meanF + before.slope * on - newest.meanF;
    const steeper = before.slope - newest.slope;
    // Sums of a window of w minutes about its hinge: the middle lies w/2 on, the spread is w squared by 12.
    const middle = seconds / 120;
    const spread = (middle * middle) / 3;
    const weight = middle * middle + spread;
    const fall = (middle * underF + spread * steeper) / weight;
    const level = Math.hypot(newest.meanError, before.meanError, on * before.slopeError);
    const error = Math.hypot(middle * level, spread * newest.slopeError, spread * before.slopeError) / weight;
    if (fall > SLOWEST_FALL + CLEAR_ERRORS * error) return fall;
  }
  return undefined;
}
