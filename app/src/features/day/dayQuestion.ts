import { inZone } from '@/store/householdZone';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { askedOf, beginOf } from '@hoddle/core/day/dayWish';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { spoilsBy } from '@hoddle/core/day/spoilsBy';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type DayState, dayState } from '@hoddle/core/kitchen/dayState';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type LoadOrder, type LoadState } from '@hoddle/core/kitchen/loadState';
import { isSameDay } from 'date-fns/isSameDay';
import { standingLoads } from '@/features/kitchen/standingLoads';
import { isoDay, minuteOfDay } from '@/ui/clockWords';
import { heatUpsTaken, restsTaken } from './cannerTimes';
import { pacesOf } from './pacesOf';

type Known = Pick<HouseholdState, 'household' | 'picks' | 'lotChanges'> & {
  readonly batches: readonly Batch[];
  readonly dayEvents: readonly DayEvent[];
};

/** What is asked of every load of the household, by its id. */
export function ordersOf(batches: readonly Batch[], events: readonly KitchenEvent[]): Map<string, LoadOrder> {
  return new Map(standingLoads(batches, events).map(({ load, order }) => [load.id, order]));
}

/** Where every load of the household stands, by its id. */
export function statesOf(batches: readonly Batch[], events: readonly KitchenEvent[]): Map<string, LoadState> {
  return new Map(standingLoads(batches, events).map(({ load, state }) => [load.id, state]));
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
  { household, picks, lotChanges, batches, dayEvents }: Known,
  states: ReadonlyMap<string, LoadState>,
  { errands, wishes }: Pick<DayState, 'errands' | 'wishes'> = ofDay(own, dayEvents),
): DayQuestion {
  const { canners, kitchen, burners, units, ownJars } = household;
  const beginAt = beginOf(wishes, Math.min(...own.map(({ startAt }) => startAt)));
  const before = batches.filter((batch) => !own.includes(batch));
  const { seen, general, of } = pacesOf(batches, dayEvents, household, isoDay(beginAt));
  const learned = seen.length > 0 && {
    setup: { ...kitchen, burners, units, handsPace: general },
    paces: new Map(of.map(({ step, factor }) => [step, factor])),
  };
  return {
    batches: own,
    canners,
    setup: { ...kitchen, burners, units },
    ownJars,
    startMinute: minuteOfDay(beginAt),
    weekday: inZone(beginAt).getDay(),
    errands,
    ...askedOf(wishes, beginAt),
    heatUpsTaken: heatUpsTaken(before, states),
    restsTaken: restsTaken(before, states),
    useBy: spoilsBy(own, batches, picks, lotChanges, beginAt),
    seed: 1,
    ...learned,
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
