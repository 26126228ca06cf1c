import { harvestYieldRow, type PlantingUnit } from '../handbook/harvestYields';
import { type ProduceId } from '../handbook/produce';
import { KG_PER_LB } from '../measure/amount';

/** A bed, a row or trees of one crop, set up once and picked every year. */
export interface Planting {
  readonly id: string;
  readonly name: string;
  readonly crop: ProduceId;
  readonly count: number;
  readonly unit: PlantingUnit;
  /** Weeks of the year, 1 to 52, counted from 1 January in sevens: the first picking, the fullest, the last. */
  readonly firstWeek: number;
  readonly peakWeek: number;
  readonly lastWeek: number;
  /** What the household says it gives in a usual year; null where the common figure stands. */
  readonly usualKg: number | null;
}

/** The cook looked at a planting: nothing was ripe, or it is done for the year. Without one a silent week says nothing. */
export interface GardenLook {
  readonly id: string;
  readonly plantingId: string;
  readonly kind: 'nothing-ripe' | 'finished';
  /** Epoch milliseconds. */
  readonly at: number;
}

const DAY_MS = 24 * 60 * 60_000;
export const WEEK_MS = 7 * DAY_MS;
const WEEKS_A_YEAR = 52;

/** What a planting is expected to give in a season before any pick, in kilograms: the household's figure or the common one. */
export function usualKg({ crop, count, unit, usualKg: own }: Planting): number {
  if (own !== null) return own;
  const { lbEach, lbPerRowFoot } = harvestYieldRow(crop);
  return count * (unit === 'row-feet' ? (lbPerRowFoot ?? lbEach) : lbEach) * KG_PER_LB;
}

export interface PickingSeason {
  /** First day of the first week, epoch milliseconds. */
  readonly startAt: number;
  readonly peakAt: number;
  /** End of the last week. */
  readonly endAt: number;
  readonly weeks: number;
}

/**
 * The picking season of a planting that begins in `year`. A season may run over the turn of the year: then the peak or the
 * last week is of the year after.
 */
export function pickingSeason({ firstWeek, peakWeek, lastWeek }: Planting, year: number): PickingSeason {
  const after = (week: number, earliest: number) => (week >= earliest ? week : week + WEEKS_A_YEAR);
  const peak = after(peakWeek, firstWeek);
  const last = after(lastWeek, peak);
  return {
    startAt: weekStart(year, firstWeek),
    peakAt: weekStart(year, peak) + WEEK_MS / 2,
    endAt: weekStart(year, last) + WEEK_MS,
    weeks: last - firstWeek + 1,
  };
}

/** First moment of a week of the year, epoch milliseconds, by universal time: a week is coarse enough for any zone. */
export function weekStart(year: number, week: number): number {
  return Date.UTC(year, 0, 1) + (week - 1) * WEEK_MS;
}

/** How long before the first and after the last expected week a pick still counts to a season. */
const MARGIN_MS = 8 * WEEK_MS;

/** The year whose season a time belongs to: the one whose middle is nearest. */
export function seasonYear(planting: Planting, at: number): number {
  const year = new Date(at).getUTCFullYear();
  const distance = (each: number) => {
    const { startAt, endAt } = pickingSeason(planting, each);
    return Math.abs(at - (startAt + endAt) / 2);
  };
  return [year - 1, year, year + 1].reduce((best, each) => (distance(each) < distance(best) ? each : best));
}

/** Whether a time is near enough to a season to be a pick of it. */
export function isInSeason(season: PickingSeason, at: number): boolean {
  return at >= season.startAt - MARGIN_MS && at <= season.endAt + MARGIN_MS;
}
