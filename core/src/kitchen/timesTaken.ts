import { heatUpKey } from '../canner/heatUp';
import { type Batch, ofLoad } from '../day/batch';
import { type LoadState } from './loadState';

/** Longer than this is no heating up and no pressure falling: somebody forgot to tap. */
const LONGEST_MIN = 120;

type TimesTaken = ReadonlyMap<string, readonly number[]>;

/** Minutes each canner has really taken from the last jar in to the boil or to pressure, newest last. */
export function heatUpsTaken(batches: readonly Batch[], states: ReadonlyMap<string, LoadState>): TimesTaken {
  // After a lost boil it is not known when the first one was reached.
  return taken(batches, states, ({ startedAt, boilAt, timesLost }) => (timesLost > 0 ? [] : [startedAt, boilAt]));
}

/** Minutes each canner has really taken from heat off until the jars came out, newest last: pressure falls in its own time. */
export function restsTaken(batches: readonly Batch[], states: ReadonlyMap<string, LoadState>): TimesTaken {
  return taken(batches, states, ({ heatOffAt, outAt }) => [heatOffAt, outAt]);
}

function taken(
  batches: readonly Batch[],
  states: ReadonlyMap<string, LoadState>,
  spanOf: (state: LoadState) => (number | undefined)[],
): TimesTaken {
  const told = batches.flatMap((batch) =>
    batch.loads.flatMap((load) => {
      const state = states.get(load.id);
      // What two loads took together is told once.
      if (!state || load.withLoadId !== undefined) return [];
      const [from, to] = spanOf(state);
      if (from === undefined || to === undefined) return [];
      const minutes = (to - from) / 60_000;
      if (!(minutes > 0 && minutes <= LONGEST_MIN)) return [];
      const key = heatUpKey(state.cannerId ?? load.cannerId ?? batch.cannerId, ofLoad(batch, load).method);
      return [{ key, from, minutes: Math.round(minutes) }];
    }),
  );
  const times = new Map<string, number[]>();
  for (const { key, minutes } of told.sort((a, b) => a.from - b.from)) {
    times.set(key, [...(times.get(key) ?? []), minutes]);
  }
  return times;
}
