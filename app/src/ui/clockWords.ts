import { inZone } from '@/store/householdZone';
import { format } from 'date-fns/format';
import { isSameDay } from 'date-fns/isSameDay';
import { parseISO } from 'date-fns/parseISO';

/** "7:40 am" */
export function clockTime(at: number): string {
  return format(inZone(at), 'h:mm aaa');
}

/** "Sunday" when it is not the day of `from`: juice settles overnight. */
export function otherDay(at: number, from: number): string | undefined {
  return isSameDay(inZone(at), inZone(from)) ? undefined : weekday(at);
}

/** "6:10 pm", or "Sunday 8:13 am" when it is not the day of `from`. */
export function clockTimeFrom(at: number, from: number): string {
  const day = otherDay(at, from);
  return day ? `${day} ${clockTime(at)}` : clockTime(at);
}

/** "Saturday 29 August" */
export function longDay(at: number): string {
  return format(inZone(at), 'EEEE d MMMM');
}

/** "Sunday" */
export function weekday(at: number): string {
  return format(inZone(at), 'EEEE');
}

/** "Sunday 30 August" for a date to act by. */
export function dayAndDate(at: number): string {
  return format(inZone(at), 'EEEE d MMM');
}

/** "Sep 2025": month and year on a tag. */
export function monthAndYear(at: number): string {
  const known = monthWords.get(at) ?? format(inZone(at), 'MMM yyyy');
  monthWords.set(at, known);
  return known;
}

/** A full shelf says the same months hundreds of times. */
const monthWords = new Map<number, string>();

/** From so long on nobody counts seconds. */
const LONG_MS = 240 * 60_000;

/**
 * "31:20" of minutes and seconds left; a begun second counts, so that 0:00 is only shown when the time is up. Of a wait of
 * hours "23 h 54 min".
 */
export function countdown(leftMs: number): string {
  if (leftMs > LONG_MS) return duration(leftMs);
  const seconds = Math.ceil(leftMs / 1_000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** "6 h 20 min", "35 min". */
export function duration(ms: number): string {
  const minutes = Math.floor(ms / 60_000);
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** "29 Aug 2026" of a day written "2026-08-29". */
export function dayWords(day: string): string {
  return format(parseISO(day), 'd MMM yyyy');
}

/** "2026-08-29": the day of a time, for what is kept as a day. */
export function isoDay(at: number): string {
  return format(inZone(at), 'yyyy-MM-dd');
}

/** "6 am", "12:30 pm", "midnight", of minutes since midnight. */
export function timeOfDay(minutes: number): string {
  if (minutes % (24 * 60) === 0) return 'midnight';
  const hour = Math.floor(minutes / 60);
  const rest = minutes % 60;
  return `${hour % 12 === 0 ? 12 : hour % 12}${rest === 0 ? '' : `:${String(rest).padStart(2, '0')}`} ${hour < 12 ? 'am' : 'pm'}`;
}

/** Minutes since midnight. */
export function minuteOfDay(at: number): number {
  const date = inZone(at);
  return 60 * date.getHours() + date.getMinutes();
}
