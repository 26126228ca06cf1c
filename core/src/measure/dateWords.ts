import { localDate, localMoment } from './localTime';

/** In which order a household writes day, month and year. */
export const DATE_ORDERS = ['dmy', 'mdy', 'ymd'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** How dates are written on paper and in files that leave the house. */
export interface DateStyle {
  readonly order: DateOrder;
  /** Where the household is. */
  readonly timeZone?: string;
}

/** The order of a household that has not said: the month first where pounds are weighed, else the day. Common practice. */
export function usualOrder(units: 'us' | 'metric'): DateOrder {
  return units === 'us' ? 'mdy' : 'dmy';
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** "Aug 29, 2026", "29 Aug 2026" or "2026-08-29": the month is a word, so that nobody takes it for the day. */
export function dateWords(at: number, { order, timeZone }: DateStyle): string {
  const date = localDate(at, timeZone);
  const [year, month, day] = [date.getFullYear(), date.getMonth(), date.getDate()];
  const two = (value: number) => String(value).padStart(2, '0');
  if (order === 'ymd') return `${year}-${two(month + 1)}-${two(day)}`;
  return order === 'mdy' ? `${MONTHS[month]} ${day}, ${year}` : `${day} ${MONTHS[month]} ${year}`;
}

/** "Aug 2026", or "2026-08". */
export function monthWords(at: number, style: DateStyle): string {
  const date = localDate(at, style.timeZone);
  return style.order === 'ymd' ? dateWords(at, style).slice(0, 7) : `${MONTHS[date.getMonth()]} ${date.getFullYear()}`;
}

/** "Saturday". */
export function weekdayWords(at: number, timeZone?: string): string {
  return WEEKDAYS[localDate(at, timeZone).getDay()] ?? '';
}

/** "Saturday, Aug 29, 2026". */
export function weekdayDateWords(at: number, style: DateStyle): string {
  return `${weekdayWords(at, style.timeZone)}, ${dateWords(at, style)}`;
}

/** A day written "2026-08-29" as the household writes it. */
export function dayWords(day: string, style: DateStyle): string {
  const [year = NaN, month = NaN, date = NaN] = day.split('-').map(Number);
  return dateWords(localMoment(style.timeZone, [year, month - 1, date, 12 * 60]), style);
}

/** "7:40 am". */
export function clockWords(at: number, timeZone?: string): string {
  const date = localDate(at, timeZone);
  const hour = date.getHours();
  return `${hour % 12 === 0 ? 12 : hour % 12}:${String(date.getMinutes()).padStart(2, '0')} ${hour < 12 ? 'am' : 'pm'}`;
}
