import { type HouseholdState } from '@hoddle/contract/householdState';
import { batchesTogether, MOST_DAYS } from '@hoddle/core/day/daysTogether';
import { endOfDay, type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { beginOf } from '@hoddle/core/day/dayWish';
import { kitchenOf } from '@hoddle/core/day/kitchenOf';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type CalendarDay } from '@hoddle/core/formats/calendar/calendarEntries';
import { closedDates } from '@hoddle/core/kitchen/closedDates';
import { laidInOrder } from '@hoddle/core/kitchen/laidInOrder';
import { questionOfDates, datesOf, stateOfDates } from '@hoddle/core/kitchen/questionOfDates';
import { shownKitchen } from '@hoddle/core/kitchen/shownKitchen';
import { localDay } from '@hoddle/core/measure/localTime';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { livedHousehold } from '../db/livedHousehold';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** A plan of a day as the search gives it; undefined where it found none. */
export type PlanDay = (
  question: DayQuestion,
  recipes: readonly OwnRecipe[],
) => Promise<readonly ScheduledTask[] | undefined>;

/**
 * The days that are planned from now on, each laid out, and those that were begun before and may still go on, since juice that
 * drips overnight is of yesterday: in the order the kitchen goes by where one was taken, else by the same search as on the plan's
 * page. A day for which there is no plan has its hour and no steps.
 */
export async function plannedDays(state: HouseholdState, now: number, planDay: PlanDay): Promise<CalendarDay[]> {
  const { household, picks, lotChanges } = state;
  const { timeZone } = household.kitchen;
  const { batches, states, dayEvents, pages } = livedHousehold(state);
  const from = localDay(now - MOST_DAYS * DAY_MS, timeZone);
  const closed = closedDates(dayEvents);
  const kitchen = kitchenOf(household);
  const done = new Set<string>();
  const days: CalendarDay[] = [];
  const coming = batches.filter(({ startAt }) => localDay(startAt, timeZone) >= from);
  for (const batch of [...coming].sort((a, b) => a.startAt - b.startAt)) {
    if (done.has(batch.id)) continue;
    const own = batchesTogether(localDay(batch.startAt, timeZone), batches, kitchen, closed);
    for (const { id } of own) done.add(id);
    const [first] = own;
    if (!first) continue;
    const day = stateOfDates(own, dayEvents, timeZone);
    const startAt = beginOf(day.wishes, first.startAt);
    const shown = shownKitchen(household, { batches, dayEvents, states }, datesOf(own, timeZone));
    const question = questionOfDates(own, { kitchen: shown, batches, picks, lotChanges, timeZone }, day);
    const tasks = day.order
      ? laidInOrder(question, day.order, startAt)
      : ((await planDay(question, pages.recipes)) ?? []);
    days.push({ startAt, endAt: startAt + endOfDay(tasks) * MINUTE_MS, batches: own, tasks });
  }
  return days;
}
