import { localDate, localMoment } from '../measure/localTime';

export type ReadDay =
  | { readonly kind: 'day'; readonly at: number; readonly day: string }
  | { readonly kind: 'fault'; readonly says: string };

const MONTH_NAMES = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** Before this nobody's jars are eaten, and no clock of ours was right. */
const FIRST_YEAR = 2000;

/**
 * The day jars were made, as people write it in a table: 2025-09-14, 9/14/2025, 14.09.2025, Sep 14 2025, Sep 2025, 2025-09,
 * 9/2025 or 2025 alone. A month stands for its middle, a year for its summer's end: 1 September.
 *
 * @param dayFirst whether 9/12 is the ninth of December
 * @param timeZone where the household is
 * @returns noon of the day, there
 */
export function readDay(
  words: string,
  { dayFirst, now, timeZone }: { dayFirst: boolean; now: number; timeZone?: string },
): ReadDay {
  const parts = partsOf(withoutTime(words).toLowerCase(), dayFirst);
  if (!parts) return { kind: 'fault', says: 'is not a date: write it as 2025-09-14, or 2025-09' };
  const { year, month, day } = parts;
  const at = localMoment(timeZone, [year, month - 1, day, 12 * 60]);
  const date = localDate(at, timeZone);
  if (date.getMonth() !== month - 1 || date.getDate() !== day)
    return { kind: 'fault', says: 'is not a day of the calendar' };
  if (year < FIRST_YEAR) return { kind: 'fault', says: `is before ${FIRST_YEAR}: such jars are not eaten any more` };
  if (at > now + 24 * 60 * 60_000) return { kind: 'fault', says: 'is in the future' };
  const two = (n: number) => String(n).padStart(2, '0');
  return { kind: 'day', at: Math.min(at, now), day: `${year}-${two(month)}-${two(day)}` };
}

/** A day as it is written with the time of day behind it, and without: what a table tells of is a day. */
export function withoutTime(words: string): string {
  return words.trim().replace(/(?<=\d)(t|\s)\s*\d{1,2}:\d{2}.*$/i, '');
}

interface Parts {
  readonly year: number;
  readonly month: number;
  readonly day: number;
}

function partsOf(words: string, dayFirst: boolean): Parts | undefined {
  const number = words.match(/\d+/g)?.map(Number) ?? [];
  const name = MONTH_NAMES.findIndex((month) => new RegExp(`\\b${month}`).test(words)) + 1;
  const [a = NaN, b = NaN, c = NaN] = number;
  if (/^\d{4}-\d{1,2}-\d{1,2}$/.test(words)) return { year: a, month: b, day: c };
  if (/^\d{4}[-/.]\d{1,2}$/.test(words)) return { year: a, month: b, day: 15 };
  if (/^\d{1,2}[-/.]\d{4}$/.test(words)) return { year: b, month: a, day: 15 };
  if (/^\d{1,2}[-/.]\d{1,2}[-/.](\d{2}|\d{4})$/.test(words)) {
    const year = c < 100 ? 2000 + c : c;
    // Points are written where the day comes first; a figure above 12 can only be the day.
    const first = words.includes('.') || a > 12 ? true : b > 12 ? false : dayFirst;
    return first ? { year, month: b, day: a } : { year, month: a, day: b };
  }
  if (/^\d{4}$/.test(words)) return { year: a, month: 9, day: 1 };
  if (name === 0 || number.length === 0 || number.length > 2) return undefined;
  const year = number.length === 2 ? (a > 31 ? a : b) : a > 31 ? a : undefined;
  if (year === undefined) return undefined;
  const day = number.length === 2 ? (a > 31 ? b : a) : 15;
  return { year: year < 100 ? 2000 + year : year, month: name, day };
}
