import { type Batch } from '../day/batch';
import { type LoadState } from './loadState';

type Standing = Pick<LoadState, 'phase' | 'outAt'>;

const OUT_OF_CANNER: readonly LoadState['phase'][] = ['cooling', 'checked'];

/** So long after its last jars came out a day that went on past midnight is still the one in the kitchen. Common practice. */
const NIGHT_MS = 6 * 60 * 60_000;

/** What says whether a day is over: the household's calendar, and the days it closed, by their dates. */
export interface Calendar {
  /** Epoch milliseconds. */
  readonly now: number;
  readonly dateOf: (at: number) => string;
  readonly closed: ReadonlySet<string>;
}

/**
 * When the day begins that is being run or planned next: of the first batch with a load that is not out of its canner. With
 * none it is today; or, past midnight with nothing planned for the new day, the day whose jars just came out and that nobody
 * closed.
 *
 * @returns epoch milliseconds; undefined where there is no such day
 */
export function openDay(
  batches: readonly Batch[],
  states: ReadonlyMap<string, Standing>,
  { now, dateOf, closed }: Calendar,
): number | undefined {
  const of = (load: { readonly id: string }) => states.get(load.id);
  const isOpen = ({ loads }: Batch) => loads.some((load) => !OUT_OF_CANNER.includes(of(load)?.phase ?? 'checked'));
  const open = batches.filter(isOpen).map(({ startAt }) => startAt);
  if (open.length > 0) return Math.min(...open);
  const today = batches.filter(({ startAt }) => dateOf(startAt) === dateOf(now));
  if (today.length > 0) return Math.min(...today.map(({ startAt }) => startAt));
  const justOut = batches.filter(
    ({ startAt, loads }) =>
      !closed.has(dateOf(startAt)) && loads.some((load) => (of(load)?.outAt ?? -Infinity) > now - NIGHT_MS),
  );
  return justOut.length === 0 ? undefined : Math.max(...justOut.map(({ startAt }) => startAt));
}
