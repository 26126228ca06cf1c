import { type Cook } from '@hoddle/core/day/kitchenSetup';
import { type Day } from '@/features/day/useDay';
import { minuteOfDay } from '@/ui/clockWords';

/** Whose hands are there now; with nobody planned in, whoever reads this is there all the same. */
export function cooksNow(day: Day, now: number): readonly Cook[] {
  const { cooks } = day.question.setup;
  const minute = minuteOfDay(now);
  const there = cooks.filter(
    ({ fromMin, toMin, breaks }) =>
      minute >= fromMin && minute < toMin && !breaks.some((own) => minute >= own.fromMin && minute < own.toMin),
  );
  return there.length > 0 ? there : cooks.slice(0, 1);
}
