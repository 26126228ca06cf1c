import { UNCHECKED_OFF_F } from '../instruments/uncheckedOff';
import { BATH_F } from '../process/findProcess';
import { type LoadCurve } from './loadCurve';

const MINUTE_MS = 60_000;

/** Boils that agree so far are one fault of the probe, and no play of the water. */
const AGREE_F = 1;
const ENOUGH = 3;
/** Of a boil that a hand confirmed, the minutes in which the water has come to rest. */
const FROM_MS = 2 * MINUTE_MS;
const TO_MS = 6 * MINUTE_MS;
/** A probe that is further off was never in the water. */
const MOST_OFF_F = 4;

/**
 * What a probe reads more than it should, learned from its last boils that a hand confirmed: the middle of three and more that
 * agree within a degree. Until there are so many it is taken for one that may be off by 2 F either way.
 *
 * @param boiled curves of loads, the newest last, with when each was said to boil by a tap
 */
export function probeFault(boiled: readonly { readonly curve: LoadCurve; readonly boilAt: number }[]): {
  readonly readsMoreF: number;
  readonly offF: number;
} {
  const seen = boiled.flatMap(({ curve, boilAt }) => {
    // A bath is held somewhere between two marks: it says nothing of where a probe is right.
    if (curve.measures !== 'F' || curve.wants === BATH_F.low) return [];
    const own = curve.points.filter(([seconds]) => {
      const at = curve.startAt + seconds * 1_000;
      return at >= boilAt + FROM_MS && at < boilAt + TO_MS;
    });
    if (own.length < 2) return [];
    const mean = own.reduce((sum, [, tenths]) => sum + tenths / 10, 0) / own.length;
    return Math.abs(mean - curve.wants) <= MOST_OFF_F ? [mean - curve.wants] : [];
  });
  const last = seen.slice(-5).sort((a, b) => a - b);
  const agree = last.length >= ENOUGH && (last.at(-1) ?? 0) - (last[0] ?? 0) <= AGREE_F;
  if (!agree) return { readsMoreF: 0, offF: UNCHECKED_OFF_F };
  return { readsMoreF: last[Math.floor(last.length / 2)] ?? 0, offF: AGREE_F };
}
