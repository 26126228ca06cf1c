import { type Errand, errandMinutes } from '@hoddle/core/day/errand';
import { duration, timeOfDay } from '@/ui/clockWords';

const MINUTE_MS = 60_000;
export const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

/** "Town, 1 h 20 min". */
export function errandName(errand: Errand): string {
  return `${errand.words ?? (errand.atHome ? 'Break' : 'Away')}, ${duration(errandMinutes(errand) * MINUTE_MS)}`;
}

/** "any time 2 pm to 5 pm", or "5 pm to 6 pm" where it takes all of that. */
export function errandTimeWords(errand: Errand): string {
  const { fromMin, toMin } = errand;
  const isLoose = errandMinutes(errand) < toMin - fromMin;
  return `${isLoose ? 'any time ' : ''}${timeOfDay(fromMin)} to ${timeOfDay(toMin)}`;
}

/** What an errand of somebody does to the kitchen, of so many who are there. */
export function awayWords({ atHome, cook }: Errand, cooks: number): string {
  if (atHome) return `${cook}, at home: a pot can be watched`;
  return cooks > 1 ? `${cook}, away` : `${cook}, away: nothing is lit meanwhile`;
}

/** "Sat, Sun", "every day". */
export function weekdayWords(weekdays: readonly number[] | undefined): string {
  if (!weekdays) return 'every day';
  return [...weekdays]
    .sort((a, b) => a - b)
    .map((day) => WEEKDAYS[day])
    .join(', ');
}

/** Why an errand cannot be as it is typed; undefined where it can. */
export function errandFault({
  fromMin,
  toMin,
  minutes,
}: Pick<Errand, 'fromMin' | 'toMin' | 'minutes'>): string | undefined {
  if (toMin <= fromMin) return 'It must be over after it begins.';
  const most = toMin - fromMin;
  if (minutes === undefined || minutes <= most) return undefined;
  return `From ${timeOfDay(fromMin)} to ${timeOfDay(toMin)} is ${duration(most * MINUTE_MS)}, and it takes ${duration(minutes * MINUTE_MS)}.`;
}
