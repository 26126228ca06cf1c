import { type Batch } from '../day/batch';
import { laterOf } from '../day/daysTogether';
import { askedOf, beginOf } from '../day/dayWish';
import { type DayQuestion } from '../day/questionOfDay';
import { spoilsBy } from '../day/spoilsBy';
import { type LotChange } from '../harvest/lotChange';
import { type Pick as HarvestPick } from '../harvest/pick';
import { localDate, localDay, localMinute } from '../measure/localTime';
import { type DayEvent } from './dayEvent';
import { type DayState, dayState } from './dayState';
import { type ShownKitchen } from './shownKitchen';

/** What is known around the batches of a plan. */
export interface AroundDates {
  /** With what it has shown of itself on other dates. */
  readonly kitchen: ShownKitchen;
  readonly batches: readonly Batch[];
  readonly picks: readonly HarvestPick[];
  readonly lotChanges: readonly LotChange[];
  readonly timeZone: string | undefined;
}

/** The dates on which batches of a plan begin, the first one first. */
export function datesOf(own: readonly Batch[], timeZone: string | undefined): string[] {
  return [...new Set(own.map(({ startAt }) => localDay(startAt, timeZone)))].sort();
}

/** What was told of the dates of some batches. */
export function stateOfDates(
  own: readonly Batch[],
  dayEvents: readonly DayEvent[],
  timeZone: string | undefined,
): DayState {
  const dates = datesOf(own, timeZone);
  return dayState(dayEvents.filter(({ day }) => dates.includes(day)));
}

/**
 * What is asked of the search for the batches of one plan, which begins with the first of them or as late as is wished. The one
 * place where page and server get it from.
 */
export function questionOfDates(
  own: readonly Batch[],
  { kitchen, batches, picks, lotChanges, timeZone }: AroundDates,
  { errands, wishes }: Pick<DayState, 'errands' | 'wishes'>,
): DayQuestion {
  const plannedAt = Math.min(...own.map(({ startAt }) => startAt));
  const beginAt = beginOf(wishes, plannedAt);
  const later = laterOf(own, beginAt, timeZone);
  return {
    ...kitchen,
    batches: own,
    startMinute: localMinute(beginAt, timeZone),
    weekday: localDate(beginAt, timeZone).getDay(),
    errands,
    ...askedOf(wishes, beginAt),
    ...(later.size > 0 && { later }),
    useBy: spoilsBy(own, batches, picks, lotChanges, beginAt),
    seed: 1,
  };
}
