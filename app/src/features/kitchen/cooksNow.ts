import { type Cook, DAY_MIN } from '@hoddle/core/day/kitchenSetup';
import { type Day } from '@/features/day/useDay';

/** Whose hands are there now; with nobody planned in, whoever reads this is there all the same. */
export function cooksNow(day: Day, now: number): readonly Cook[] {
  const { cooks } = day.question.setup;
  const date = new Date(now);
  const minute = (60 * date.getHours() + date.getMinutes()) % DAY_MIN;
  const there = cooks.filter(
    ({ fromMin, toMin, breaks }) =>
      minute >= fromMin && minute < toMin && !breaks.some((own) => minute >= own.fromMin && minute < own.toMin),
  );
  return there.length > 0 ? there : cooks.slice(0, 1);
}
