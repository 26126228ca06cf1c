import { madeBy, namesOf } from './namesOf';
import { isWaiting, type OutboxRow } from './outboxRow';

/** What is sent next, or when something may be; undefined where nothing is left that could. */
export type Next = { readonly row: OutboxRow } | { readonly at: number } | undefined;

/**
 * The oldest entry that may go. What names the same thing goes in the order it was entered: an entry that the server could not
 * keep just now holds back what names the same things; one that was refused holds back only what needs what it would have
 * made. Nothing else ever waits for it.
 *
 * @param rows in the order they were entered
 * @param now epoch milliseconds of this device
 */
export function nextToSend(rows: readonly OutboxRow[], now: number): Next {
  const held = new Set<string>();
  let soonest: number | undefined;
  for (const row of rows) {
    if (row.sent) continue;
    const names = namesOf(row.write);
    const isHeld = [...names].some((name) => held.has(name));
    if (row.refused) {
      for (const name of madeBy(row.write)) held.add(name);
    } else if (isHeld) {
      for (const name of names) held.add(name);
    } else if (row.nextAt !== undefined && row.nextAt > now) {
      soonest = Math.min(soonest ?? Infinity, row.nextAt);
      for (const name of names) held.add(name);
    } else {
      return { row };
    }
  }
  return soonest === undefined ? undefined : { at: soonest };
}

/** The refused entry that one which waits is held back by, where it is. */
export function heldBy(row: OutboxRow, rows: readonly OutboxRow[]): OutboxRow | undefined {
  if (!isWaiting(row)) return undefined;
  const names = namesOf(row.write);
  return rows.find(
    (other) => other.refused && other.seq < row.seq && madeBy(other.write).some((name) => names.has(name)),
  );
}

const FIRST_MS = 2_000;
const LONGEST_MS = 60_000;

/**
 * How long until it is tried again: twice as long each time, a fifth more or less, so that two phones do not come together.
 *
 * @param chance in [0, 1)
 */
export function backoffMs(tries: number, chance: number): number {
  return Math.min(LONGEST_MS, FIRST_MS * 2 ** Math.min(tries - 1, 10)) * (0.8 + 0.4 * chance);
}
