import { inZone } from '@/store/householdZone';
import { addHours } from 'date-fns/addHours';
import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';
import { startOfDay } from 'date-fns/startOfDay';

/** The ways a day is written by hand; without a year it is this one. */
const FORMATS = [
  'yyyy-MM-dd',
  'd MMM yyyy',
  'd MMMM yyyy',
  'd MMM',
  'd MMMM',
  'MMM d',
  'MMMM d',
  'M/d/yyyy',
  'M/d',
  'd.M.',
];

/**
 * Reads a day typed by hand ("18 Aug", "2026-08-18", "8/18") as its noon, epoch milliseconds; undefined for anything else.
 */
export function readDay(typed: string, now: number): number | undefined {
  const text = typed.trim();
  for (const format of FORMATS) {
    const day = parse(text, format, startOfDay(inZone(now)));
    if (isValid(day)) return addHours(day, 12).getTime();
  }
  return undefined;
}
