import { type Batch } from '../day/batch';
import { IN_CANNER } from './dayClose';
import { type KitchenEvent } from './kitchenEvent';
import { loadsNow } from './loadsNow';

/** A load of which nothing was told for so long was forgotten, not left at the boil. */
const FORGOTTEN_MS = 24 * 60 * 60_000;

/**
 * Whether a load is in a canner: nothing is put in the way of its clock then.
 *
 * @param batches as they stand
 * @param now the household's time, epoch milliseconds
 */
export function isAnyInCanner(batches: readonly Batch[], events: readonly KitchenEvent[], now: number): boolean {
  const lately = new Set(events.filter(({ at }) => at > now - FORGOTTEN_MS).map(({ loadId }) => loadId));
  if (lately.size === 0) return false;
  const told = batches.filter(({ loads }) => loads.some(({ id }) => lately.has(id)));
  return loadsNow(told, events).some(({ load, state }) => lately.has(load.id) && IN_CANNER.includes(state.phase));
}
