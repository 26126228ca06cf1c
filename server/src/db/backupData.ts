import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import { type BackupData } from '@hoddle/contract/backup';
import { type Clock } from '../clock';
import { type Database } from './openDatabase';
import { readState } from './readState';

/** Everything of the household in one canonical order, so that the same household is the same file. */
export async function backupData(db: Database, clock: Clock): Promise<BackupData> {
  const { now: _, use: __, hardware: ___, ...state } = await readState(db, clock);
  const ordered = Object.entries(state).map(([part, rows]) => [
    part,
    Array.isArray(rows) ? inOrder(rows as object[]) : rows,
  ]);
  return {
    ...(Object.fromEntries(ordered) as Omit<BackupData, 'lots' | 'movements'>),
    lots: inOrder([...db.pantry.all.allLots()]),
    movements: inOrder([...db.pantry.all.allMovements()]),
  };
}

/** The sum of a household's data, taken of its canonical JSON (RFC 8785). */
export function sumOf(data: BackupData): string {
  return createHash('sha256')
    .update(canonicalize(data) ?? '')
    .digest('hex');
}

/** By what each row is known by: its id, or the words that stand for one. */
function inOrder<Row extends object>(rows: readonly Row[]): Row[] {
  const keyOf = (row: Row) => {
    if (!('id' in row)) return canonicalize(row) ?? '';
    // Of a recipe there is a row for each page.
    return 'revision' in row ? `${String(row.id)} ${String(row.revision).padStart(6, '0')}` : String(row.id);
  };
  return rows
    .map((row) => ({ row, key: keyOf(row) }))
    .sort((a, b) => (a.key < b.key ? -1 : Number(a.key > b.key)))
    .map(({ row }) => row);
}
