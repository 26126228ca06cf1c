import { type Cook } from '../day/kitchenSetup';
import { type DayState } from './dayState';

/**
 * Who works on a day as it goes: whoever left for the day is gone, whoever comes back is on a break until then.
 *
 * @param minuteOfDay of a moment, in the kitchen's own calendar
 * @param weekdayOf a moment, 0 Sunday: who goes out on one day of a plan does not on the next
 */
export function cooksThere(
  cooks: readonly Cook[],
  { away, outings }: Pick<DayState, 'away' | 'outings'>,
  minuteOfDay: (at: number) => number,
  weekdayOf: (at: number) => number,
): Cook[] {
  return cooks
    .filter(({ name }) => !away.includes(name))
    .map((cook) => ({
      ...cook,
      breaks: [
        ...cook.breaks,
        ...outings
          .filter((outing) => outing.cook === cook.name)
          .map(({ from, until }) => ({
            ...{ fromMin: minuteOfDay(from), toMin: minuteOfDay(until), atHome: false },
            weekdays: [weekdayOf(from)],
          }))
          .filter(({ fromMin, toMin }) => toMin > fromMin),
      ],
    }));
}
