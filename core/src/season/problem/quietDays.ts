import { type Arrival, type SeasonDay } from './seasonProblem';

const WEEK_MS = 7 * 24 * 60 * 60_000;
/** A week in which less than this part of the busiest week's produce comes is quiet. */
const QUIET_PART = 0.25;
/** So many quiet days are enough for what is in the freezer. */
const MOST = 8;

/**
 * Marks the days for what was frozen: the first of each quiet week after the busiest, and where there is none the last day
 * of all. Frozen now, canned when there is time.
 */
export function withQuietDays(days: readonly SeasonDay[], arrivals: readonly Arrival[]): SeasonDay[] {
  const weekOf = (at: number) => Math.floor((at - (days[0]?.at ?? 0)) / WEEK_MS);
  const kg = new Map<number, number>();
  for (const { frozen, readyAt, massKg } of arrivals) {
    if (!frozen) kg.set(weekOf(readyAt), (kg.get(weekOf(readyAt)) ?? 0) + massKg);
  }
  const busiest = [...kg].reduce((most, each) => (each[1] > most[1] ? each : most), [-1, 0] as [number, number]);
  const isFirst = (day: SeasonDay, i: number) => i === 0 || days[i - 1]?.week !== day.week;
  const quiet = days.filter(
    (day, i) =>
      isFirst(day, i) && weekOf(day.at) > busiest[0] && (kg.get(weekOf(day.at)) ?? 0) <= busiest[1] * QUIET_PART,
  );
  const last = days.at(-1);
  const chosen = new Set(quiet.length > 0 ? quiet.slice(0, MOST) : last ? [last] : []);
  return days.map((day) => ({ ...day, quiet: chosen.has(day) }));
}
