import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import { type BackupData } from '@hoddle/contract/backup';
import { lotOf, movementOf } from '../db/pantryRows';
import { type Rows } from '../db/rowStore';
import { type Part, PARTS } from '../db/stateParts';

/** Worked out from the rest, or only what is left of it on a screen. */
const NOT_KEPT: readonly Part[] = ['use', 'hardware', 'lots', 'movements'];

/** Everything of the household in one canonical order, so that the same household is the same file. */
export function dataOf(rows: Rows): BackupData {
  const ground = { rows, now: 0 } as Parameters<(typeof PARTS)['picks']['make']>[0];
  const parts = (Object.keys(PARTS) as Part[])
    .filter((part) => !NOT_KEPT.includes(part))
    .map((part) => [part, PARTS[part].make(ground)] as const);
  return inCanonicalOrder({
    ...(Object.fromEntries(parts) as Omit<BackupData, 'lots' | 'movements'>),
    lots: [...rows.lots.values()].map(lotOf),
    movements: [...rows.movements.values()].map(movementOf),
  });
}

/** The sum of a household as it stands, without its jars and movements being made anew all at once. */
export function sumOfRows(rows: Rows): string {
  const inTurn = function* <Row extends { readonly id: string }>(
    kept: ReadonlyMap<string, Row>,
    of: (row: Row) => object,
  ) {
    for (const row of [...kept.values()].sort((a, b) => (a.id < b.id ? -1 : 1))) yield of(row);
  };
  const data = dataOf({ ...rows, lots: new Map(), movements: new Map() });
  return sumOf({ ...data, lots: inTurn(rows.lots, lotOf), movements: inTurn(rows.movements, movementOf) });
}

/** The same with the rows of each part by what they are known by. */
export function inCanonicalOrder(data: BackupData): BackupData {
  const parts = Object.entries(data).map(([part, rows]) => [
    part,
    Array.isArray(rows) ? inOrder(rows as object[]) : rows,
  ]);
  return Object.fromEntries(parts) as BackupData;
}

/** The sum of a household's data, taken of its canonical JSON (RFC 8785), row by row. */
export function sumOf(data: object): string {
  const hash = createHash('sha256');
  for (const piece of canonicalPieces(data)) hash.update(piece);
  return hash.digest('hex');
}

/** The canonical JSON of a household's data, a row at a time: the whole would be many megabytes of text. */
export function* canonicalPieces(data: object): Generator<string> {
  yield '{';
  let comma = '';
  for (const [part, rows] of Object.entries(data).sort(([a], [b]) => (a < b ? -1 : 1))) {
    if (rows === undefined) continue;
    yield `${comma}${JSON.stringify(part)}:`;
    if (isMany(rows)) {
      yield '[';
      let between = '';
      for (const row of rows) {
        yield `${between}${canonicalize(row)}`;
        between = ',';
      }
      yield ']';
    } else yield canonicalize(rows) ?? 'null';
    comma = ',';
  }
  yield '}';
}

function isMany(rows: unknown): rows is Iterable<object> {
  return typeof rows === 'object' && rows !== null && Symbol.iterator in rows;
}

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
