import { type Batch } from '../day/batch';
import { type DayEvent } from './dayEvent';
import { inOrderOnce, type KitchenEvent } from './kitchenEvent';

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
  const struck = new Set(dayEvents.flatMap((event) => (event.type === 'taken-back' ? [event.eventId] : [])));
  const changes = new Map<string, Extract<DayEvent, { type: 'loads-changed' }>>();
  for (const event of inOrderOnce(dayEvents)) {
    if (event.type === 'loads-changed' && !struck.has(event.id)) changes.set(event.batchId, event);
  }
  if (changes.size === 0) return [...batches];
  const begun = new Set(events.flatMap(({ type, loadId }) => (type === 'load-started' ? [loadId] : [])));
  return batches.flatMap((batch) => {
    const change = changes.get(batch.id);
    if (!change) return [batch];
    const inCanner = batch.loads.filter(({ id }) => begun.has(id));
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
