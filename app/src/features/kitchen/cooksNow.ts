import { inZone } from '@/store/householdZone';
import { standingErrands } from '@hoddle/core/day/errandTasks';
import { type Cook } from '@hoddle/core/day/kitchenSetup';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { minuteOfDay } from '@/ui/clockWords';

/** Whose hands are there now; with nobody planned in, whoever reads this is there all the same. */
export function cooksNow(day: Day, now: number): readonly Cook[] {
  const { cooks } = day.question.setup;
  const minute = minuteOfDay(now);
  const planMin = (now - day.startAt) / 60_000;
  const later = differenceInCalendarDays(inZone(now), inZone(day.startAt));
  const busy = standingErrands(day.question, later).filter(
    ({ fromMin, toMin }) => planMin >= fromMin && planMin < toMin,
  );
  const there = cooks.filter(
    ({ name, fromMin, toMin }) =>
      minute >= fromMin && minute < toMin && !busy.some(({ errand }) => errand.cook === name),
  );
  return there.length > 0 ? there : cooks.slice(0, 1);
}
