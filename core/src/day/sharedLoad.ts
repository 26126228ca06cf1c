import { countJars, JARS, type JarSize } from '../handbook/jars';
import { type Batch, ofLoad, type PlannedLoad } from './batch';

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
    if (load) return { batch: ofLoad(batch, load), load };
  }
  return undefined;
}

/** The loads that go in with one. */
export function guestsOf(loadId: string, batches: readonly Batch[]): LoadOfBatch[] {
  return batches.flatMap((batch) =>
    batch.loads.filter(({ withLoadId }) => withLoadId === loadId).map((load) => ({ batch: ofLoad(batch, load), load })),
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
  const own = ofLoad(batch, load);
  const host = hostOf(load, batches) ?? { batch: own, load };
  return [own, host.batch, ...guestsOf(host.load.id, batches).map((guest) => guest.batch)];
}

/** The sizes of the jars that stand in the canner together with a load. */
export function sizesInCanner(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): JarSize[] {
  return [...new Set(inCanner(batch, load, batches).map(({ jar }) => jar))];
}

/** "3 quarts and 4 pints": what stands in the canner together with a load, by its size. */
export function wordsInCanner(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): string {
  const host = hostOf(load, batches) ?? { batch: ofLoad(batch, load), load };
  const counts = new Map<JarSize, number>();
  for (const each of [host, ...guestsOf(host.load.id, batches)])
    counts.set(each.batch.jar, (counts.get(each.batch.jar) ?? 0) + each.load.jars);
  return [...counts].map(([jar, jars]) => countJars(jars, jar)).join(' and ');
}

/**
 * What stands in a canner at once: the load with its guests' jars, at the longest minutes. Jars of several sizes are taken as so
 * many of the largest: they stand as deep, and no more of them fit.
 */
export function together(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): LoadOfBatch {
  const guests = guestsOf(load.id, batches);
  const own = ofLoad(batch, load);
  if (guests.length === 0) return { batch: own, load };
  const jars = load.jars + guests.reduce((sum, guest) => sum + guest.load.jars, 0);
  const jar = sizesInCanner(batch, load, batches).reduce((a, b) => (JARS[b].nominalFlOz > JARS[a].nominalFlOz ? b : a));
  return { batch: { ...own, jar, processMinutes: minutesOf(batch, load, batches) }, load: { ...load, jars } };
}
