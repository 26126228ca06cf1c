import { type Batch, type PlannedLoad } from './batch';

/** A load with the batch it is of. */
export interface LoadOfBatch {
  readonly batch: Batch;
  readonly load: PlannedLoad;
}

/** The load that another goes in with; undefined for one that goes in alone, or whose host was given up. */
export function hostOf({ withLoadId }: PlannedLoad, batches: readonly Batch[]): LoadOfBatch | undefined {
  if (withLoadId === undefined) return undefined;
  for (const batch of batches) {
    const load = batch.loads.find(({ id, withLoadId: other }) => id === withLoadId && other === undefined);
    if (load) return { batch, load };
  }
  return undefined;
}

/** The loads that go in with one. */
export function guestsOf(loadId: string, batches: readonly Batch[]): LoadOfBatch[] {
  return batches.flatMap((batch) =>
    batch.loads.filter(({ withLoadId }) => withLoadId === loadId).map((load) => ({ batch, load })),
  );
}

/** Minutes that a load is processed: the longest of all that stand in the canner together. Handbook rule 15. */
export function minutesOf(
  batch: Batch,
  load: PlannedLoad,
  batches: readonly Batch[],
  own: (batch: Batch) => number = ({ processMinutes }) => processMinutes,
): number {
  return Math.max(...inCanner(batch, load, batches).map(own));
}

/** The batches whose jars stand in the canner together with a load, its own first. */
export function inCanner(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): Batch[] {
  const host = hostOf(load, batches) ?? { batch, load };
  return [batch, host.batch, ...guestsOf(host.load.id, batches).map((guest) => guest.batch)];
}

/** What stands in a canner at once: the load with its guests' jars, at the longest minutes. */
export function together(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): LoadOfBatch {
  const guests = guestsOf(load.id, batches);
  if (guests.length === 0) return { batch, load };
  const jars = load.jars + guests.reduce((sum, guest) => sum + guest.load.jars, 0);
  return { batch: { ...batch, processMinutes: minutesOf(batch, load, batches) }, load: { ...load, jars } };
}
