import { shownKitchen } from '@hoddle/core/kitchen/shownKitchen';
import memoizeOne from 'memoize-one';
import { statesOf } from './standingLoads';
import { type useHousehold } from './useHousehold';

type Known = Pick<ReturnType<typeof useHousehold>, 'household' | 'batches' | 'events' | 'dayEvents'>;

/**
 * The kitchen with what it has shown of itself: one household, one answer for every screen that asks.
 *
 * @param without dates that are left out, so that their plan stays while it is done
 */
export function kitchenNow({ household, batches, events, dayEvents }: Known, without: readonly string[] = []) {
  return shown(household, batches, dayEvents, statesOf(batches, events), without.join());
}

const shown = memoizeOne(
  (
    household: Known['household'],
    batches: Known['batches'],
    dayEvents: Known['dayEvents'],
    states: ReturnType<typeof statesOf>,
    without: string,
  ) => shownKitchen(household, { batches, dayEvents, states }, without.split(',')),
);
