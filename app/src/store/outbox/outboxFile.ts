import { browserFile, doesKeep } from '../kept/browserFile';
import { placeOf } from './namesOf';
import { type OutboxRow } from './outboxRow';

/** Entries that this browser could not keep: they live as long as this page, and are sent all the same. */
let pageOnly: OutboxRow[] = [];
let lastSeq = 0;
const PAGE_SEQ = 1e12;

/** What has become of kept entries, where a full disk did not take it: as long as this page lives, it goes by this. */
const notNoted = new Map<number, OutboxRow | undefined>();

/** Whether every entry that is on its way is kept by the browser itself. */
export function isAllKept(): boolean {
  return pageOnly.length === 0 && doesKeep();
}

type Fresh = Omit<OutboxRow, 'seq'>;

/**
 * Keeps an entry before anything shows it as done: it is on the disk when this resolves, or the browser keeps nothing. A
 * refused entry of the same place is thereby changed, and goes.
 *
 * @returns the entry in its place
 */
export async function addToOutbox(row: Fresh): Promise<OutboxRow> {
  const file = await browserFile();
  if (!file) return addToPage(row);
  const moved = pageOnly;
  try {
    const work = file.transaction('outbox', 'readwrite', { durability: 'strict' });
    const place = placeOf(row.write);
    if (place !== undefined) {
      for (const { seq, refused, write } of await work.store.getAll()) {
        if (refused && placeOf(write) === place) await work.store.delete(seq);
      }
    }
    // What could be kept only in the page comes first, where there is room again.
    for (const { seq: _, ...waiting } of moved) await work.store.put(waiting as OutboxRow);
    const seq = await work.store.put(row as OutboxRow);
    await work.done;
    // Only those: another entry may have found no room meanwhile.
    pageOnly = pageOnly.filter((each) => !moved.includes(each));
    return { ...row, seq };
  } catch {
    return addToPage(row);
  }
}

/** Keeps an entry for as long as this page lives. */
export function addToPage(row: Fresh): OutboxRow {
  lastSeq += 1;
  // Behind everything that is kept.
  const own = { ...row, seq: PAGE_SEQ + lastSeq };
  pageOnly = withEntry(pageOnly, own);
  return own;
}

/** The entries with one more: a refused one of its place is thereby changed, and goes. */
export function withEntry(rows: readonly OutboxRow[], row: OutboxRow): OutboxRow[] {
  const place = placeOf(row.write);
  const isChanged = ({ refused, write }: OutboxRow) => refused && place !== undefined && placeOf(write) === place;
  return [...rows.filter((each) => !isChanged(each)), row];
}

/** Entries that live only as long as this page. */
export function readPage(): readonly OutboxRow[] {
  return pageOnly;
}

/** All entries in their order. */
export async function readOutbox(): Promise<OutboxRow[]> {
  const file = await browserFile();
  const kept = (await file?.getAll('outbox').catch(() => undefined)) ?? [];
  const noted = kept.flatMap((row) => (notNoted.has(row.seq) ? (notNoted.get(row.seq) ?? []) : row));
  return [...noted, ...pageOnly];
}

/** Changes an entry where it is still there, or takes it out. @param change undefined takes it out */
export async function changeInOutbox(seq: number, change: (row: OutboxRow) => OutboxRow | undefined): Promise<void> {
  if (seq > PAGE_SEQ) {
    pageOnly = pageOnly.flatMap((row) => (row.seq === seq ? (change(row) ?? []) : row));
    return;
  }
  const now = (await readOutbox()).find((row) => row.seq === seq);
  if (!now) return;
  try {
    const file = await browserFile();
    const work = file?.transaction('outbox', 'readwrite');
    const row = await work?.store.get(seq);
    const next = row && change(row);
    if (row && next) await work?.store.put(next);
    else if (row) await work?.store.delete(seq);
    await work?.done;
    notNoted.delete(seq);
  } catch {
    notNoted.set(seq, change(now));
  }
}

/** Takes out, of those that live only in this page, what the server is known to have. */
export function dropFromPage(isDone: (row: OutboxRow) => boolean): void {
  pageOnly = pageOnly.filter((row) => !isDone(row));
}
