import { type CalendarEntry } from './calendarEntries';

/** An entry as it was told last: how often it was changed since it was new, and whether it was called off. */
export interface ToldEntry {
  readonly entry: CalendarEntry;
  readonly sequence: number;
  /** When it was told so first, epoch milliseconds. */
  readonly toldAt: number;
  /** Set where it is in the calendar no more: whoever has it is told so for a while. */
  readonly cancelledAt: number | null;
}

/** As long as a calendar that is looked at now and then may still have what was called off. */
const CANCELLED_MS = 60 * 24 * 60 * 60_000;

/**
 * What is told now, of what was told before and what is in the calendar: a changed entry has the next sequence, one that is gone is
 * called off, one that is back is told anew. RFC 5545, 3.8.7.4: the sequence counts what matters to whoever has the entry.
 *
 * @param isOver whether an entry is past by itself: that is no calling off
 */
export function toldNow(
  before: readonly ToldEntry[],
  entries: readonly CalendarEntry[],
  now: number,
  isOver: (entry: CalendarEntry) => boolean,
): ToldEntry[] {
  const known = new Map(before.map((told) => [told.entry.uid, told]));
  const here = new Set(entries.map(({ uid }) => uid));
  const standing = entries.map((entry): ToldEntry => {
    const told = known.get(entry.uid);
    if (!told) return { entry, sequence: 0, toldAt: now, cancelledAt: null };
    if (told.cancelledAt === null && isSame(told.entry, entry)) return told;
    return { entry, sequence: told.sequence + 1, toldAt: now, cancelledAt: null };
  });
  const gone = before.flatMap((told): ToldEntry[] => {
    if (here.has(told.entry.uid) || isOver(told.entry)) return [];
    if (told.cancelledAt === null) return [{ ...told, sequence: told.sequence + 1, toldAt: now, cancelledAt: now }];
    return now - told.cancelledAt < CANCELLED_MS ? [told] : [];
  });
  return [...standing, ...gone];
}

function isSame(a: CalendarEntry, b: CalendarEntry): boolean {
  return plain(a) === plain(b);
}

function plain({ uid, title, note = '', when, alarmsMin }: CalendarEntry): string {
  const at = 'day' in when ? [when.day] : [when.startAt, when.endAt];
  return JSON.stringify([uid, title, note, at, alarmsMin]);
}
