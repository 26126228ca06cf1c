import { type Batch, ofLoad } from '../day/batch';
import { hostOf, type LoadOfBatch } from '../day/sharedLoad';
import { groupBy } from '../handbook/groupBy';
import { type KitchenEvent } from './kitchenEvent';
import { loadNow, type OrderedLoad } from './loadNow';
import { toldOf } from './toldOf';

/** A load with what its batch asks of it, and where it stands. */
export type LoadNow = LoadOfBatch & OrderedLoad;

/**
 * Every load where it stands, in the order of their batches. Each looks at its own events alone, and at those it shares a
 * canner with: after twenty years there are a thousand loads and most of them are long eaten.
 */
export function loadsNow(batches: readonly Batch[], events: readonly KitchenEvent[]): LoadNow[] {
  const told = groupBy(events, ({ loadId }) => loadId);
  const heard = (loadId: string | undefined) => (loadId === undefined ? [] : (told.get(loadId) ?? []));
  const hosts = new Set(batches.flatMap(({ loads }) => loads.flatMap(({ withLoadId }) => withLoadId ?? [])));
  const shares = (batch: Batch) => batch.loads.some(({ id, withLoadId }) => withLoadId !== undefined || hosts.has(id));
  const sharing = hosts.size === 0 ? [] : batches.filter(shares);
  const isSharing = new Set(sharing);
  return batches.flatMap((batch) => {
    const among = isSharing.has(batch) ? sharing : [batch];
    return batch.loads.map((load): LoadNow => {
      const of = [...heard(load.id), ...heard(hostOf(load, among)?.load.id)];
      return { batch: ofLoad(batch, load), load, ...loadNow(batch, load, among, toldOf(load, among, of)) };
    });
  });
}
