import { type Batch, type PlannedLoad } from '../day/batch';
import { hostOf } from '../day/sharedLoad';
import { type KitchenEvent } from './kitchenEvent';

/** What is told of one load's own jars, whichever canner they share. */
const OF_ITS_JARS: readonly KitchenEvent['type'][] = ['seal-checked', 'jars-left'];

/**
 * What was told of a load. One that goes in with another lives through what happens to that one; only its own jars break,
 * and are pressed, apart.
 */
export function toldOf(
  load: PlannedLoad,
  batches: readonly Batch[],
  events: readonly KitchenEvent[],
): readonly KitchenEvent[] {
  const host = hostOf(load, batches);
  if (!host) return events.filter(({ loadId }) => loadId === load.id);
  return events.flatMap((event): KitchenEvent[] => {
    if (OF_ITS_JARS.includes(event.type)) return event.loadId === load.id ? [event] : [];
    if (event.loadId !== host.load.id) return [];
    return [event.type === 'load-started' ? { ...event, jars: load.jars } : event];
  });
}
