import { type Batch } from '@hoddle/core/day/batch';
import { batchesTogether } from '@hoddle/core/day/daysTogether';
import { kitchenOf } from '@hoddle/core/day/kitchenOf';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { closedDates } from '@hoddle/core/kitchen/closedDates';
import { type DayState } from '@hoddle/core/kitchen/dayState';
import { questionOfDates, stateOfDates } from '@hoddle/core/kitchen/questionOfDates';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type LoadOrder } from '@hoddle/core/kitchen/loadState';
import memoizeOne from 'memoize-one';
import { kitchenNow } from '@/store/kitchenNow';
import { standingLoads } from '@/store/standingLoads';
import { type useHousehold } from '@/store/useHousehold';
import { isoDay } from '@/ui/clockWords';

type Known = Pick<
  ReturnType<typeof useHousehold>,
  'household' | 'picks' | 'lotChanges' | 'batches' | 'events' | 'dayEvents'
>;

/** What is asked of every load of the household, by its id. */
export function ordersOf(batches: readonly Batch[], events: readonly KitchenEvent[]): Map<string, LoadOrder> {
  return new Map(standingLoads(batches, events).map(({ load, order }) => [load.id, order]));
}

/** The batches that are one plan with those of a date, in the order they begin. */
export function batchesOf(date: string, batches: readonly Batch[], { household, dayEvents }: KnownDays): Batch[] {
  return together(date, batches, household, dayEvents);
}

type KnownDays = Pick<Known, 'household' | 'dayEvents'>;

const together = memoizeOne(
  (date: string, batches: readonly Batch[], household: Known['household'], dayEvents: Known['dayEvents']) =>
    batchesTogether(date, batches, kitchenOf(household), closedDates(dayEvents)),
);

/** The dates on which batches of a plan begin, the first one first. */
export function datesOf(own: readonly Batch[]): string[] {
  return [...new Set(own.map(({ startAt }) => isoDay(startAt)))].sort();
}

/** What is asked of the search for a day that begins with the first of its batches. */
export function dayQuestion(
  own: readonly Batch[],
  known: Known,
  told: Pick<DayState, 'errands' | 'wishes'> = stateOfDates(own, known.dayEvents, known.household.kitchen.timeZone),
): DayQuestion {
  const { batches, picks, lotChanges, household } = known;
  const { timeZone } = household.kitchen;
  const kitchen = kitchenNow(known, datesOf(own));
  return questionOfDates(own, { kitchen, batches, picks, lotChanges, timeZone }, told);
}

/**
 * The same question has the same key, whichever objects it is made of and whatever order their fields are in: a batch that comes back
 * from the server as it was sent is the same, and is not searched for a second time.
 */
export function keyOf(question: DayQuestion): string {
  return JSON.stringify(question, (_, value: unknown) => {
    if (value instanceof Map) return [...value];
    const isPlain = typeof value === 'object' && value !== null && !Array.isArray(value);
    return isPlain ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))) : value;
  });
}
