import { type Batch, ofLoad } from '../../day/batch';
import { goalKey } from './seasonProblem';

/** A planned batch this old that stored nothing was not made. */
const STILL_COMING_MS = 3 * 24 * 60 * 60_000;

/** Batches that are planned and whose jars do not stand on the shelf yet. */
export function comingBatches(
  { batches, storedLoads }: { readonly batches: readonly Batch[]; readonly storedLoads: ReadonlySet<string> },
  now: number,
): Batch[] {
  return batches.filter(
    ({ againOf, startAt, loads }) =>
      againOf === undefined && startAt > now - STILL_COMING_MS && loads.some(({ id }) => !storedLoads.has(id)),
  );
}

/** The jars of those batches, by {@link goalKey}. */
export function comingJars(of: Parameters<typeof comingBatches>[0], now: number): ReadonlyMap<string, number> {
  const jars = new Map<string, number>();
  for (const batch of comingBatches(of, now)) {
    for (const load of batch.loads) {
      if (of.storedLoads.has(load.id)) continue;
      const key = goalKey({ product: batch.product, jar: ofLoad(batch, load).jar });
      jars.set(key, (jars.get(key) ?? 0) + load.jars);
    }
  }
  return jars;
}
