import { inZone } from '@/store/householdZone';
import { errandsOn, fixedTime } from '@hoddle/core/day/errand';
import { isMoved } from '@hoddle/core/day/errandTasks';
import { type Cook } from '@hoddle/core/day/kitchenSetup';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { type Day } from '@/features/day/useDay';
import { minuteOfDay } from '@/ui/clockWords';

/** Whose hands are there now; with nobody planned in, whoever reads this is there all the same. */
export function cooksNow(day: Day, now: number): readonly Cook[] {
  const { setup, weekday, errands } = day.question;
  const { cooks } = setup;
  const minute = minuteOfDay(now);
  const later = differenceInCalendarDays(inZone(now), inZone(day.startAt));
  const busy = errandsOn(cooks, { weekday, errands }, later);
  const isOut = (cook: Cook) =>
    busy.some((errand) => {
      if (errand.cook !== cook.name || isMoved(setup, errand, later)) return false;
      const [from, to] = fixedTime(errand, cook);
      return minute >= from && minute < to;
    });
  const there = cooks.filter((cook) => minute >= cook.fromMin && minute < cook.toMin && !isOut(cook));
  return there.length > 0 ? there : cooks.slice(0, 1);
}
