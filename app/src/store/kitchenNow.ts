import { shownKitchen } from '@hoddle/core/kitchen/shownKitchen';
import memoizeOne from 'memoize-one';
import { statesOf } from './standingLoads';
import { type useHousehold } from './useHousehold';

type Known = Pick<ReturnType<typeof useHousehold>, 'household' | 'batches' | 'events' | 'dayEvents'>;

/** The kitchen with what it has shown of itself: one household, one answer for every screen that asks. */
export function kitchenNow({ household, batches, events, dayEvents }: Known, without?: string) {
  return shown(household, batches, dayEvents, statesOf(batches, events), without);
}

const shown = memoizeOne(
  (
    household: Known['household'],
    batches: Known['batches'],
    dayEvents: Known['dayEvents'],
    states: ReturnType<typeof statesOf>,
    without: string | undefined,
  ) => shownKitchen(household, { batches, dayEvents, states }, without),
);
