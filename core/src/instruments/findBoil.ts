import { type HeatCurve, type Line } from './heatCurve';
import { UNCHECKED_OFF_F } from './uncheckedOff';

/** A pot whose burner is too weak, or that somebody turned down, may stand still so far below the boil, and further. */
const PLATEAU_BELOW_F = 4;
/** The rise before the bend is read off so many seconds, and what lies behind it off one of these. */
const RISE_SECONDS = 180;
const FLAT_SECONDS = [25, 30, 35, 40, 45, 50, 60, 75, 90, 120, 150, 180];
/** Standard errors by which the curve must lie under its own rise going on: chance does that once in hundreds of millions. */
const BENT_ERRORS = 5.5;
/** A slope is taken for none when, two standard errors either way, it is under this part of the rise before. */
const FLAT_PART = 0.4;
/** Standard errors, and so much more for the play of the water, by which a level must be clear of its bounds. */
const CLEAR_ERRORS = 4;
const PLAY_F = 0.2;
/** A rise that slow cannot be told from a drift of the probe, F a minute. */
const SLOWEST_RISE = 0.3;
/** A probe whose newest readings scatter so much less than they did has stuck. */
const STUCK_PART = 0.3;
const STUCK_SECONDS = 8;

export interface BoilQuestion {
  /** Where water boils in this kitchen, F. */
  readonly boilF: number;
  /** How far the probe may be off at most, either way, F. */
  readonly offF?: number;
  /** What it reads more than it should, learned from boils that a hand confirmed, F. */
  readonly readsMoreF?: number;
}

export type BoilVerdict =
  | { readonly kind: 'silent'; readonly why: 'short' | 'rising' | 'level' | 'stuck' }
  /** @property since when the curve bent, epoch seconds: to show, never to date a clock back to */
  | { readonly kind: 'boil'; readonly since: number; readonly readF: number };

/**
 * Whether the water boils, read off the curve: its rise must have bent into a flat, by more than chance, at the height where
 * water boils here. Neither alone is enough: a number is passed on the way up by a probe that reads high, and a pot stands still
 * below the boil over a burner that is too weak. Where a plateau 4 F under the boil could read the same, it stays silent.
 *
 * A test of a two-phase regression against one line going on, after Hinkley 1971, "Inference in two-phase regression" (from
 * memory); what is asked of it is set so that a false start is rarer than anything a household lives to see, and a late one is
 * the price.
 */
export function findBoil(
  curve: HeatCurve,
  { boilF, offF = UNCHECKED_OFF_F, readsMoreF = 0 }: BoilQuestion,
): BoilVerdict {
  const now = (curve.newest ?? 0) + 1;
  const expectedF = boilF + readsMoreF;
  const lowestF = expectedF - PLATEAU_BELOW_F + offF;
  const newest = curve.line(now - (FLAT_SECONDS[0] as number), now);
  if (!newest) return { kind: 'silent', why: 'short' };
  if (newest.meanF + CLEAR_ERRORS * newest.meanError < lowestF) return { kind: 'silent', why: 'level' };
  let why: 'short' | 'rising' | 'level' | 'stuck' = 'short';
  for (const seconds of FLAT_SECONDS) {
    const bend = now - seconds;
    const rise = curve.line(bend - RISE_SECONDS, bend);
    const flat = curve.line(bend, now);
    if (!rise || !flat) break;
    why = 'rising';
    if (!isBent(rise, flat)) continue;
    const last = curve.line(now - STUCK_SECONDS, now);
    if (!last || last.noise < STUCK_PART * rise.noise) {
      why = 'stuck';
      continue;
    }
    why = 'level';
    const clear = PLAY_F + CLEAR_ERRORS * flat.meanError;
    if (flat.meanF <= lowestF + clear || flat.meanF > expectedF + offF + clear) continue;
    return { kind: 'boil', since: bend, readF: flat.meanF };
  }
  return { kind: 'silent', why };
}

function isBent(rise: Line, flat: Line): boolean {
  if (rise.slope < Math.max(SLOWEST_RISE, CLEAR_ERRORS * rise.slopeError)) return false;
  if (Math.abs(flat.slope) + 2 * flat.slopeError > FLAT_PART * rise.slope) return false;
  const on = (flat.middle - rise.middle) / 60;
  const lag = rise.meanF + rise.slope * on - flat.meanF;
  const error = Math.hypot(flat.meanError, rise.meanError, on * rise.slopeError);
  return lag > BENT_ERRORS * error;
}
