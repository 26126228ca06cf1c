import { localDay, localMinute } from '../measure/localTime';
import { startAfter } from '../scheduling/lagBounds';
import { groupBy } from '../handbook/groupBy';
import { type Batch } from './batch';
import { type DayKitchen, type Later } from './dayKitchen';
import { dayOf } from './dayOf';
import { type DayTask, HANDS } from './dayProblem';
import { type Cook, DAY_MIN } from './kitchenSetup';

/** So many dates are laid out as one plan at most: nobody knows now what the fourth day brings. Common practice. */
export const MOST_DAYS = 3;
/** A row of dates each so near the one before may hang together. */
const NEAR_DAYS = 2;
const MINUTE_MS = 60_000;
const DAY_MS = DAY_MIN * MINUTE_MS;

/**
 * The batches that are one plan with those of a date: what drips, settles or stands in salt overnight is finished on the next
 * day, by the same hands and in the same canners as what is planned for that day. What is closed is no plan with what is not.
 *
 * @param date "2026-08-29"
 * @returns in the order of their beginning
 */
export function batchesTogether(
  date: string,
  batches: readonly Batch[],
  kitchen: Pick<DayKitchen, 'canners' | 'ownJars' | 'setup'>,
  closed: ReadonlySet<string> = new Set(),
): Batch[] {
  const dateOf = (at: number) => localDay(at, kitchen.setup.timeZone);
  const byDate = groupBy(
    batches.filter(({ startAt }) => closed.has(dateOf(startAt)) === closed.has(date)),
    ({ startAt }) => dateOf(startAt),
  );
  const dates = [...byDate.keys()].sort();
  const own = dates.indexOf(date);
  if (own < 0) return [];
  let first = own;
  while (first > 0 && daysBetween(dates[first - 1] as string, dates[first] as string) <= NEAR_DAYS) first--;
  let run: string[] = [];
  let reach = '';
  for (const next of dates.slice(first)) {
    const isOn = run[0] !== undefined && next <= reach && daysBetween(run[0], next) < MOST_DAYS;
    if (!isOn && run.includes(date)) break;
    run = isOn ? [...run, next] : [next];
    const ends = dateOf(endOf(byDate.get(next) ?? [], kitchen));
    reach = isOn && reach > ends ? reach : ends;
  }
  return run.flatMap((each) => byDate.get(each) ?? []).sort((a, b) => a.startAt - b.startAt);
}

/**
 * When each batch may begin that is not of the plan's first date; by batch id.
 *
 * @param beginAt where minute 0 of the plan is, epoch milliseconds
 */
export function laterOf(own: readonly Batch[], beginAt: number, timeZone: string | undefined): Map<string, Later> {
  const dateOf = (at: number) => localDay(at, timeZone);
  const first = dateOf(Math.min(...own.map(({ startAt }) => startAt)));
  return new Map(
    [...groupBy(own, ({ startAt }) => dateOf(startAt))].flatMap(([date, batches]) => {
      const fromMin = Math.round((Math.min(...batches.map(({ startAt }) => startAt)) - beginAt) / MINUTE_MS);
      const days = daysBetween(first, date);
      return days === 0 ? [] : batches.map(({ id }) => [id, { days, fromMin }] as const);
    }),
  );
}

/** Whole days from one date to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
}

/** Before this moment the batches of a date cannot be done: each by itself, with all hands whenever somebody is there. */
function endOf(batches: readonly Batch[], kitchen: Pick<DayKitchen, 'canners' | 'ownJars' | 'setup'>): number {
  const beginAt = Math.min(...batches.map(({ startAt }) => startAt));
  const startMinute = localMinute(beginAt, kitchen.setup.timeZone);
  const isKnown = ({ cannerId, loads }: Batch) =>
    [cannerId, ...loads.map((load) => load.cannerId ?? cannerId)].every(
      (id) => id === '' || kitchen.canners.some((canner) => canner.id === id),
    );
  const ends = batches.filter(isKnown).map((batch) => {
    const { loads, from: _, ...alone } = batch;
    const own = { ...alone, loads: loads.map(({ withLoadId: _with, ...load }) => load) };
    const { tasks } = dayOf([own], { ...kitchen, startMinute });
    return soonestEnd(tasks, kitchen.setup.cooks, startMinute);
  });
  return beginAt + Math.max(0, ...ends) * MINUTE_MS;
}

function soonestEnd(tasks: readonly DayTask[], cooks: readonly Cook[], startMinute: number): number {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const known = new Map<string, number>();
  const spanOf = (id: string) => {
    const endMin = endOfTask(id);
    return { startMin: endMin - (byId.get(id)?.minutes.p50 ?? 0), endMin };
  };
  const endOfTask = (id: string): number => {
    const before = known.get(id);
    const task = byId.get(id);
    if (before !== undefined || !task) return before ?? 0;
    const ready = Math.max(
      0,
      ...task.after.map((lag) => startAfter(lag, spanOf(lag.task), task.minutes.p50).earliestMin),
    );
    const start = task.needs[HANDS] ? whenThere(ready, cooks, startMinute) : ready;
    known.set(id, start + task.minutes.p50);
    return start + task.minutes.p50;
  };
  return Math.max(0, ...tasks.filter(({ kind }) => kind !== 'errand').map(({ id }) => endOfTask(id)));
}

/** The first minute from then on at which some cook is up. */
function whenThere(minute: number, cooks: readonly Cook[], startMinute: number): number {
  const ofDay = (((startMinute + minute) % DAY_MIN) + DAY_MIN) % DAY_MIN;
  if (cooks.length === 0 || cooks.some(({ fromMin, toMin }) => ofDay >= fromMin && ofDay < toMin)) return minute;
  const opens = cooks.map(({ fromMin }) => (fromMin >= ofDay ? fromMin - ofDay : fromMin + DAY_MIN - ofDay));
  return minute + Math.min(...opens);
}
