import { deleteDB, openDB } from 'idb';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type OutboxRow } from '../outbox/outboxRow';
import { type Write } from '../write';
import { broughtUp, writeUp } from './bringUp';
import { browserFile, keepFact } from './browserFile';
import { keepHousehold } from './keptHousehold';

/** Where pages of before there was an outbox kept what waited; and, the oldest, the household beside it. */
const OLD_KEY = 'hoddle';
const OLD_FILE = 'keyval-store';

const NOT_READ = { tag: undefined, covered: new Set<string>() };

interface OldKept {
  readonly state?: {
    readonly server?: HouseholdState;
    readonly waiting?: readonly { id: string; write: Write }[];
    /** Kept by the server, and not yet in what was kept of the household. */
    readonly settled?: readonly { id: string; write: Write }[];
    readonly aheadMs?: number;
  };
}

/**
 * Takes over what a page of an older version kept: what waited goes into the outbox under the ids it had, in one stroke; only
 * then is it forgotten where it was. Done again after a kill, it doubles nothing.
 *
 * @param isKnown whether a page of this version has kept a household here already
 */
export async function takeOver(isKnown = false): Promise<void> {
  const text = oldText();
  if (isKnown && text === null) return;
  const file = await browserFile();
  if (!file) return;
  const old = text === null ? undefined : read(text)?.state;
  if (old) {
    const entries = [
      ...(old.settled ?? []).map((entry) => ({ entry, sent: { epoch: '', revision: 0 } })),
      ...(old.waiting ?? []).map((entry) => ({ entry })),
    ];
    const work = file.transaction('outbox', 'readwrite', { durability: 'strict' });
    for (const { entry, ...sent } of entries) {
      if ((await work.store.index('id').getKey(entry.id)) !== undefined) continue;
      const row = { id: entry.id, write: writeUp(entry.write), enteredAt: Date.now(), tries: 0, ...sent };
      await work.store.put(row as OutboxRow);
    }
    await work.done;
    if (old.aheadMs !== undefined) await keepFact('aheadMs', old.aheadMs);
  }
  const state = old?.server ?? (await oldHousehold());
  const isThereToo = (await file.get('facts', 'household')) !== undefined;
  if (state && !isThereToo) await keepHousehold(broughtUp(state), NOT_READ);
  if (text !== null) localStorage.removeItem(OLD_KEY);
  if (await isThere()) await deleteDB(OLD_FILE).catch(() => undefined);
}

function oldText(): string | null {
  try {
    return localStorage.getItem(OLD_KEY);
  } catch {
    return null; // forbidden: nothing was kept there
  }
}

function read(text: string): OldKept | undefined {
  try {
    return JSON.parse(text) as OldKept;
  } catch {
    return undefined;
  }
}

/** Asked for by name, a database that is not there would be made. */
async function isThere(): Promise<boolean> {
  const known = await indexedDB.databases?.().catch(() => undefined);
  return known?.some(({ name }) => name === OLD_FILE) ?? false;
}

/** The household as the page before this version kept it, in a database of its own. */
async function oldHousehold(): Promise<HouseholdState | undefined> {
  if (!(await isThere())) return undefined;
  const file = await openDB(OLD_FILE).catch(() => undefined);
  const isKept = file?.objectStoreNames.contains('keyval') ?? false;
  const state: unknown = isKept ? await file?.get('keyval', 'household') : undefined;
  file?.close();
  return state as HouseholdState | undefined;
}
