import { UNCHECKED_OFF_F } from '../instruments/uncheckedOff';
import { BATH_F } from '../process/findProcess';
import { type LoadOrder, type LoadState } from './loadState';

const MINUTE_MS = 60_000;

/** One point of a kept curve stands for so many seconds. */
export const POINT_SECONDS = 30;
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
