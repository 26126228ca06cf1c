import { browserFile, doesKeep } from '../kept/browserFile';
import { placeOf } from './namesOf';
import { type OutboxRow } from './outboxRow';

/** Entries that this browser could not keep: they live as long as this page, and are sent all the same. */
let pageOnly: OutboxRow[] = [];
let lastSeq = 0;
const PAGE_SEQ = 1e12;

/** Whether every entry that is on its way is kept by the browser itself. */
export function isAllKept(): boolean {
  return pageOnly.length === 0 && doesKeep();
}

type Fresh = Omit<OutboxRow, 'seq'>;

/**
 * Keeps an entry before anything shows it as done: it is on the disk when this resolves, or the browser keeps nothing. A
 * refused entry of the same place is thereby changed, and goes.
 *
 * @returns false where it lives only as long as this page
 */
export async function addToOutbox(row: Fresh): Promise<boolean> {
  const file = await browserFile();
  if (!file) return keepInPage(row);
  try {
    const work = file.transaction('outbox', 'readwrite', { durability: 'strict' });
    const place = placeOf(row.write);
    if (place !== undefined) {
      for (const { seq, refused, write } of await work.store.getAll()) {
        if (refused && placeOf(write) === place) await work.store.delete(seq);
      }
    }
    // What could be kept only in the page comes first, where there is room again.
    for (const { seq: _, ...waiting } of pageOnly) await work.store.put(waiting as OutboxRow);
    await work.store.put(row as OutboxRow);
    await work.done;
    pageOnly = [];
    return true;
  } catch {
    return keepInPage(row);
  }
}

/** Keeps an entry for as long as this page lives. */
export function addToPage(row: Fresh): void {
  const place = placeOf(row.write);
  pageOnly = pageOnly.filter(({ refused, write }) => !(refused && place !== undefined && placeOf(write) === place));
  lastSeq += 1;
  // Behind everything that is kept.
  pageOnly = [...pageOnly, { ...row, seq: PAGE_SEQ + lastSeq }];
}

/** Entries that live only as long as this page. */
export function readPage(): readonly OutboxRow[] {
  return pageOnly;
}

function keepInPage(row: Fresh): false {
  addToPage(row);
  return false;
}

/** All entries in their order. */
export async function readOutbox(): Promise<OutboxRow[]> {
  const file = await browserFile();
  const kept = (await file?.getAll('outbox').catch(() => undefined)) ?? [];
  return [...kept, ...pageOnly];
}

/** Changes an entry where it is still there, or takes it out. @param change undefined takes it out */
export async function changeInOutbox(seq: number, change: (row: OutboxRow) => OutboxRow | undefined): Promise<void> {
  if (seq > PAGE_SEQ) {
    pageOnly = pageOnly.flatMap((row) => (row.seq === seq ? (change(row) ?? []) : row));
    return;
  }
  const file = await browserFile();
  const work = file?.transaction('outbox', 'readwrite');
  const row = await work?.store.get(seq);
  const next = row && change(row);
  if (row && next) await work?.store.put(next);
  else if (row) await work?.store.delete(seq);
  await work?.done;
}

/** Takes out, of those that live only in this page, what the server is known to have. */
export function dropFromPage(isDone: (row: OutboxRow) => boolean): void {
  pageOnly = pageOnly.filter((row) => !isDone(row));
}
