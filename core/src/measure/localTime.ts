import { TZDateMini } from '@date-fns/tz/date/mini';

/**
 * A moment by the calendar and the clock of a place.
 *
 * @param at epoch milliseconds
 * @param timeZone an IANA name, "America/Denver"; the machine's own where a household has not said
 */
export function localDate(at: number, timeZone: string | undefined): Date {
  return timeZone === undefined ? new Date(at) : new TZDateMini(at, timeZone);
}

/**
 * The moment at which the calendar and the clock of a place say so. Days and minutes that are too many go over into the next; a time
 * that the clock leaps over is the one after the leap.
 *
 * @param month 0 is January
 * @param minute of that day, by the clock
 */
export function localMoment(
  timeZone: string | undefined,
  [year, month, day, minute = 0]: readonly [year: number, month: number, day: number, minute?: number],
): number {
  const date =
    timeZone === undefined
      ? new Date(year, month, day, 0, minute)
      : new TZDateMini(year, month, day, Math.floor(minute / 60), minute % 60, timeZone);
  return date.getTime();
}

/** "2026-08-22": the date of a moment where the household is. */
export function localDay(at: number, timeZone: string | undefined): string {
  const date = localDate(at, timeZone);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** Minutes after midnight by the clock where the household is. */
export function localMinute(at: number, timeZone: string | undefined): number {
  const date = localDate(at, timeZone);
  return 60 * date.getHours() + date.getMinutes();
}
