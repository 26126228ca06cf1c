import { heatUpKey } from '@hoddle/core/canner/heatUp';
import { type Batch } from '@hoddle/core/day/batch';
import { type LoadState } from '@hoddle/core/kitchen/loadState';

/** Longer than this is no heating up: somebody forgot to tap. */
const LONGEST_MIN = 120;

/** Minutes each canner has really taken from the last jar in to the boil or to pressure, newest last. */
export function heatUpsTaken(
  batches: readonly Batch[],
  states: ReadonlyMap<string, LoadState>,
): ReadonlyMap<string, readonly number[]> {
  const told = batches.flatMap((batch) =>
    batch.loads.flatMap((load) => {
      // What two loads took together is told once.
      if (load.withLoadId !== undefined) return [];
      const { startedAt, boilAt, timesLost = 0, cannerId } = states.get(load.id) ?? {};
      // After a lost boil it is not known when the first one was reached.
      if (startedAt === undefined || boilAt === undefined || timesLost > 0) return [];
      const minutes = (boilAt - startedAt) / 60_000;
      if (!(minutes > 0 && minutes <= LONGEST_MIN)) return [];
      const key = heatUpKey(cannerId ?? load.cannerId ?? batch.cannerId, batch.method);
      return [{ key, startedAt, minutes: Math.round(minutes) }];
    }),
  );
  const taken = new Map<string, number[]>();
  for (const { key, minutes } of told.sort((a, b) => a.startedAt - b.startedAt)) {
    taken.set(key, [...(taken.get(key) ?? []), minutes]);
  }
  return taken;
}
