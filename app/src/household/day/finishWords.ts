import { pastHoursMin } from '@hoddle/core/day/pastHours';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { clockTimeFrom, minuteOfDay, timeOfDay } from '@/ui/clockWords';
import { type Day, type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';

/** "Saturday"; "Saturday and Sunday", "Friday to Sunday" where days are planned together. */
export function daysWords({ dates }: Pick<Day, 'dates'>): string {
  const [first = '', ...others] = dates.map((date) => format(parseISO(date), 'EEEE'));
  const last = others.at(-1);
  if (last === undefined) return first;
  return `${first} ${others.length === 1 ? 'and' : 'to'} ${last}`;
}

/** "Likely 8:33 pm, 9 in 10 by 9:50 pm", and whether that is past the cooks' hours. */
export function finishWords(day: DayWithPlan): string {
  const { likelyAt, lateAt, startAt } = day;
  const past = pastWords(day);
  return `Likely ${clockTimeFrom(likelyAt, startAt)}, 9 in 10 by ${clockTimeFrom(lateAt, startAt)}${past ? `: ${past}` : ''}`;
}

/** "may run past your hours (9:00 pm)"; undefined for a day that ends within them. */
export function pastWords({ likelyAt, lateAt, question }: DayWithPlan): string | undefined {
  const { cooks } = question.setup;
  const isPast = (at: number) => pastHoursMin(cooks, minuteOfDay(at)) > 0;
  if (!isPast(lateAt)) return undefined;
  const closes = Math.max(...cooks.map(({ toMin }) => toMin));
  const at = timeOfDay(closes);
  return `${isPast(likelyAt) ? 'runs' : 'may run'} past your hours (${at})`;
}
