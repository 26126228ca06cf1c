import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadNow } from '@hoddle/core/kitchen/loadNow';
import { toldOf } from '@hoddle/core/kitchen/toldOf';
import { pagesOf } from './pagesOf';

/** A load of which nothing was told for so long was forgotten, not left at the boil. */
const FORGOTTEN_MS = 24 * 60 * 60_000;

/**
 * Whether a load is in a canner: nothing is put in the way of its clock then.
 *
 * @param now the household's time, epoch milliseconds
 */
export function isInProcess(state: HouseholdState, now: number): boolean {
  const events = state.events as KitchenEvent[];
  const lately = new Set(events.filter(({ at }) => at > now - FORGOTTEN_MS).map(({ loadId }) => loadId));
  if (lately.size === 0) return false;
  const batches = batchesNow(state.batches as Batch[], state.dayEvents as DayEvent[], events, {
    altitudeFt: state.household.altitudeFt,
    pages: pagesOf(state),
  });
  return batches.some((batch) =>
    batch.loads.some(
      (load) =>
        lately.has(load.id) &&
        IN_CANNER.includes(loadNow(batch, load, batches, toldOf(load, batches, events)).state.phase),
    ),
  );
}
