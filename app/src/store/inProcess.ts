import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { isAnyInCanner } from '@hoddle/core/kitchen/inCanner';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { pagesOf } from './pagesOf';

/** Whether a load of the household is in a canner. @param now the household's time, epoch milliseconds */
export function isInProcess(state: HouseholdState, now: number): boolean {
  const events = state.events as KitchenEvent[];
  const ground = { altitudeFt: state.household.altitudeFt, pages: pagesOf(state) };
  const batches = batchesNow(state.batches as Batch[], state.dayEvents as DayEvent[], events, ground);
  return isAnyInCanner(batches, events, now);
}
