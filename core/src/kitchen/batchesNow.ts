import { type Batch } from '../day/batch';
import { type DayEvent, standing } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';

type Change = Extract<DayEvent, { type: 'loads-changed' }>;

/**
 * The batches as they stand: loads changed on the day (more jars, fewer, a product dropped) as they were told last. A load
 * that went into a canner stays, whoever dropped it and when; a batch of which no load is left is gone, and its produce on
 * hand again.
 */
export function batchesNow(
  batches: readonly Batch[],
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
): Batch[] {
  const changes = new Map<string, Change[]>();
  for (const event of standing(dayEvents)) {
    if (event.type === 'loads-changed') changes.set(event.batchId, [...(changes.get(event.batchId) ?? []), event]);
  }
  if (changes.size === 0) return [...batches];
  const begun = new Set(events.flatMap(({ type, loadId }) => (type === 'load-started' ? [loadId] : [])));
  return batches.flatMap((batch) => {
    const own = changes.get(batch.id) ?? [];
    const change = own.at(-1);
    if (!change) return [batch];
    // A load that one change brought and the next one leaves out may be in the canner by now.
    const known = new Map([...own.flatMap(({ loads }) => loads), ...batch.loads].map((load) => [load.id, load]));
    const inCanner = [...known.values()].filter(({ id }) => begun.has(id));
    const others = change.loads.filter(({ id }) => !inCanner.some((load) => load.id === id));
    const loads = [...inCanner, ...others].sort((a, b) => a.number - b.number);
    if (loads.length === 0) return [];
    const uses = batch.uses.map((use) => ({
      ...use,
      massKg: use.massKg * change.produceUsed,
      softKg: use.softKg * change.produceUsed,
    }));
    return [{ ...batch, uses, loads }];
  });
}
