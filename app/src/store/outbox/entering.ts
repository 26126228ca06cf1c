import { browserFile } from '../kept/browserFile';
import { addToOutbox } from './outboxFile';
import { type OutboxRow } from './outboxRow';

export type Entering = Omit<OutboxRow, 'seq'>;

/**
 * Where a tab notes what it is about to write down: a page that is left in the very moment of a tap takes the writing with it,
 * and finds the note when it is opened again in this tab. A browser that is killed forgets it; nothing has shown it as done then.
 */
const NOTE = 'hoddle-entering';

/** Left by the page that was here before. */
const left = noted();

export function noteEntering(rows: readonly Entering[]): void {
  try {
    if (rows.length === 0) sessionStorage.removeItem(NOTE);
    else sessionStorage.setItem(NOTE, JSON.stringify(rows));
  } catch {
    // No notes here: the writing itself is under way.
  }
}

/** Writes down what this tab was about to write when it was left; what is in the outbox by now is there once. */
export async function takeUpEntering(): Promise<void> {
  const file = await browserFile();
  for (const row of left) {
    const isThere = (await file?.getKeyFromIndex('outbox', 'id', row.id)) !== undefined;
    if (!isThere) await addToOutbox(row);
  }
}

function noted(): Entering[] {
  try {
    return JSON.parse(sessionStorage.getItem(NOTE) ?? '[]') as Entering[];
  } catch {
    return [];
  }
}
