import { type HouseholdState } from '@hoddle/contract/householdState';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { isAnyInCanner } from '@hoddle/core/kitchen/inCanner';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { pagesOf } from './pagesOf';

/** Whether a load of the household is in a canner. @param now the household's time, epoch milliseconds */
export function isInProcess(state: HouseholdState, now: number): boolean {
  const events = state.events as KitchenEvent[];
  const ground = { altitudeFt: state.household.altitudeFt, pages: pagesOf(state) };
  const batches = batchesNow(state.batches, state.dayEvents, events, ground);
  return isAnyInCanner(batches, events, now);
}
