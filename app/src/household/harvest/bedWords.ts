import { type HarvestForecast } from '@hoddle/core/harvest/forecastHarvest';
import { type Planting, weekStart } from '@hoddle/core/harvest/planting';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { type Range } from '@hoddle/core/math/range';
import { type Units } from '@/ui/amountWords';

/** "60 plants", "40 row-feet", "1 tree". */
export function countWords({ count, unit }: Pick<Planting, 'count' | 'unit'>): string {
  if (unit === 'row-feet') return `${count} row-feet`;
  return `${count} ${count === 1 ? unit.replace(/s$/, '') : unit}`;
}

const MONTH = new Intl.DateTimeFormat('en-US', { month: 'short', timeZone: 'UTC' });

/** "20 Jul": the first day of a week of the year. */
export function weekWords(year: number, week: number): string {
  return weekAtWords(weekStart(year, week));
}

/** "20 Jul" of a week's first moment. */
export function weekAtWords(startAt: number): string {
  return `${new Date(startAt).getUTCDate()} ${MONTH.format(startAt)}`;
}

/** "40 lb (28 to 55)": the likely amount, with its 8 in 10; whole pounds, since nothing finer is meant. */
export function rangeWords({ p10, p50, p90 }: Range, units: Units): string {
  const whole = (kg: number) => Math.round(units === 'metric' ? kg : kg / KG_PER_LB);
  return `${whole(p50)} ${units === 'metric' ? 'kg' : 'lb'} (${whole(p10)} to ${whole(p90)})`;
}

/** How the season goes against what was set up: "about a week late", "heavier than usual". Only what is likely is said. */
export function courseWords({ laterWeeks, size, finished, pickedKg }: HarvestForecast): string {
  if (finished) return 'done for this year';
  if (pickedKg === 0 && Math.abs(laterWeeks.p50) < 0.75) return 'as set up';
  const weeks = Math.round(Math.abs(laterWeeks.p50) * 2) / 2;
  const time =
    weeks < 0.75
      ? 'on time'
      : `about ${weeks === 1 ? 'a week' : `${weeks} weeks`} ${laterWeeks.p50 > 0 ? 'late' : 'early'}`;
  const amount =
    size.p50 > 1.2
      ? `heavier than usual, ${percent(size.p50)}`
      : size.p50 < 0.8
        ? `lighter than usual, ${percent(size.p50)}`
        : 'about as much as usual';
  return `${time}, ${amount}`;
}

function percent(size: number): string {
  return `${Math.round(size * 20) * 5} %`;
}
