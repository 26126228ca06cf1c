import { UNCHECKED_OFF_F } from '../instruments/findBoil';
import { BATH_F } from '../process/findProcess';
import { type LoadOrder, type LoadState } from './loadState';

const MINUTE_MS = 60_000;

/** One point of a kept curve stands for so many seconds. */
export const POINT_SECONDS = 30;
/** A load is not watched for longer: what is still in the pot then was forgotten there. */
const MOST_POINTS = (8 * 3_600) / POINT_SECONDS;

/** What an instrument told of one load while it was in its canner, thinned to a point every half minute. */
export interface LoadCurve {
  /** The load's own id. */
  readonly id: string;
  readonly instrument: string;
  readonly measures: 'F' | 'psi';
  /** Household's time of the first point, epoch milliseconds. */
  readonly startAt: number;
  /** What is asked of it: where water boils there, or the least of a bath, F; for pressure the mark, psi. */
  readonly wants: number;
  /** What the instrument was known to read more than it should, F. */
  readonly readsMoreF: number;
  /** Seconds from the first point, and the mean of what was read, in tenths. */
  readonly points: readonly (readonly [seconds: number, tenths: number])[];
}

/** What a way of processing asks of an instrument for the whole time: F, or psi under pressure. Handbook rules 5 and 8. */
export function askedOf(
  method: LoadOrder['method'],
  { boilF, markPsi }: { readonly boilF: number; readonly markPsi?: number | undefined },
): number {
  return markPsi ?? (method === 'low-temperature-bath' ? BATH_F.low : boilF);
}

/** Takes readings of one load, and thins them as they come. */
export class CurveRecord {
  private points: (readonly [number, number])[];
  private sum = 0;
  private count = 0;
  private slot = -1;

  constructor(private readonly head: LoadCurve) {
    this.points = [...head.points];
  }

  /** Whose readings these are: those of another one in the same water are no part of it. */
  get instrument(): string {
    return this.head.instrument;
  }

  /** @param at household's time, epoch milliseconds */
  take(at: number, value: number): void {
    const slot = Math.floor((at - this.head.startAt) / 1_000 / POINT_SECONDS);
    if (slot < this.slot || slot < 0 || slot >= MOST_POINTS) return;
    if (slot !== this.slot) {
      this.close();
      this.slot = slot;
    }
    this.sum += value;
    this.count += 1;
  }

  get curve(): LoadCurve {
    const open = this.open;
    return { ...this.head, points: open ? [...this.points, open] : this.points };
  }

  private get open(): readonly [number, number] | undefined {
    if (this.count === 0) return undefined;
    return [this.slot * POINT_SECONDS, Math.round((10 * this.sum) / this.count)];
  }

  private close(): void {
    const open = this.open;
    if (open && open[0] > (this.points.at(-1)?.[0] ?? -1)) this.points.push(open);
    [this.sum, this.count] = [0, 0];
  }
}

export interface CurveVerdict {
  /** Minutes of the tested time that were read. */
  readonly readMinutes: number;
  /** Minutes of it in which what was read lay under what is asked, the first to the last. */
  readonly short?: { readonly from: number; readonly to: number; readonly minutes: number; readonly lowest: number };
}

/**
 * Whether a load held what was asked of it in every minute of its tested time, as far as its instrument tells. A probe may be off
 * by 2 F beside what was learned of it, so that what lies under the boil by less is not called short; a bath is held to its 180 F
 * and pressure to its mark without such grace, since there the thermometer and the gauge are what is asked. Minutes that nobody
 * read are no minutes that fell short.
 *
 * @returns undefined where it has not been over its tested time
 */
export function curveVerdict(
  { startAt, points, measures, wants, readsMoreF }: LoadCurve,
  { method, processMinutes }: Pick<LoadOrder, 'method' | 'processMinutes'>,
  { boilAt, heatOffAt }: Pick<LoadState, 'boilAt' | 'heatOffAt'>,
): CurveVerdict | undefined {
  if (boilAt === undefined || heatOffAt === undefined) return undefined;
  const grace = measures === 'F' && method !== 'low-temperature-bath' ? UNCHECKED_OFF_F : 0;
  const least = wants + (measures === 'F' ? readsMoreF : 0) - grace;
  let [readMinutes, minutes, lowest] = [0, 0, Infinity];
  let [from, to] = [Infinity, -Infinity];
  for (let minute = 0; minute < processMinutes; minute++) {
    const begins = boilAt + minute * MINUTE_MS;
    const own = points.filter(([seconds]) => {
      const middle = startAt + (seconds + POINT_SECONDS / 2) * 1_000;
      return middle >= begins && middle < begins + MINUTE_MS;
    });
    if (own.length === 0) continue;
    readMinutes += 1;
    const mean = own.reduce((sum, [, tenths]) => sum + tenths / 10, 0) / own.length;
    if (mean >= least) continue;
    minutes += 1;
    lowest = Math.min(lowest, mean);
    [from, to] = [Math.min(from, begins), Math.max(to, begins + MINUTE_MS)];
  }
  return { readMinutes, ...(minutes > 0 && { short: { from, to, minutes, lowest } }) };
}

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
