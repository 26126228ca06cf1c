import { inZone } from '@/store/householdZone';
import { type Batch } from '@hoddle/core/day/batch';
import { askedOf, beginOf } from '@hoddle/core/day/dayWish';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { spoilsBy } from '@hoddle/core/day/spoilsBy';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type DayState, dayState } from '@hoddle/core/kitchen/dayState';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type LoadOrder } from '@hoddle/core/kitchen/loadState';
import { isSameDay } from 'date-fns/isSameDay';
import { kitchenNow } from '@/store/kitchenNow';
import { standingLoads } from '@/store/standingLoads';
import { type useHousehold } from '@/store/useHousehold';
import { isoDay, minuteOfDay } from '@/ui/clockWords';

type Known = Pick<
  ReturnType<typeof useHousehold>,
  'household' | 'picks' | 'lotChanges' | 'batches' | 'events' | 'dayEvents'
>;

/** What is asked of every load of the household, by its id. */
export function ordersOf(batches: readonly Batch[], events: readonly KitchenEvent[]): Map<string, LoadOrder> {
  return new Map(standingLoads(batches, events).map(({ load, order }) => [load.id, order]));
}

/** The batches of a date, in the order they begin. */
export function batchesOf(date: number, batches: readonly Batch[]): Batch[] {
  return batches
    .filter((batch) => isSameDay(inZone(batch.startAt), inZone(date)))
    .sort((a, b) => a.startAt - b.startAt);
}

/** What is asked of the search for a day that begins with the first of its batches. */
export function dayQuestion(
  own: readonly Batch[],
  known: Known,
  { errands, wishes }: Pick<DayState, 'errands' | 'wishes'> = ofDay(own, known.dayEvents),
): DayQuestion {
  const beginAt = beginOf(wishes, Math.min(...own.map(({ startAt }) => startAt)));
  return {
    ...kitchenNow(known, isoDay(beginAt)),
    batches: own,
    startMinute: minuteOfDay(beginAt),
    weekday: inZone(beginAt).getDay(),
    errands,
    ...askedOf(wishes, beginAt),
    useBy: spoilsBy(own, known.batches, known.picks, known.lotChanges, beginAt),
    seed: 1,
  };
}

/** What was told of the date of these batches. */
function ofDay(own: readonly Batch[], dayEvents: readonly DayEvent[]): DayState {
  const id = isoDay(Math.min(...own.map(({ startAt }) => startAt)));
  return dayState(dayEvents.filter(({ day }) => day === id));
}

/** The same question has the same key, whichever objects it is made of. */
export function keyOf(question: DayQuestion): string {
  return JSON.stringify(question, (_, value: unknown) => (value instanceof Map ? [...value] : value));
}
