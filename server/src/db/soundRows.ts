import { type Transaction, type WhereOptions } from 'sequelize';
import { type KeptRow, plainRows, type ReadOptions } from './plainRows';
import { keyOf } from './rowKey';
import { sumOfRow } from './rowSum';
import { type Table } from './tables';

/** A row that cannot be used as it stands in the file, and why. */
export interface BadRow {
  readonly table: string;
  readonly key: string;
  readonly reason: string;
}

/** Who hears of a bad row. */
export type OnBad = (bad: BadRow) => void;

/** Reads rows and leaves out those whose sum does not fit: the rest works without them. */
export async function soundRows<Row extends object>(
  table: Table<Row>,
  options: ReadOptions<Row>,
  onBad: OnBad = () => undefined,
): Promise<Row[]> {
  const rows = await plainRows(table, options).catch((error: unknown) => {
    if (isOfTheFile(error)) throw error;
    return oneByOne(table, options, error, onBad);
  });
  return soundOf(table, rows, onBad);
}

/** So many rows are held twice while they are read. */
const PAGE = 20_000;

/** The same for all rows of a table, in the order of the file, a page at a time. */
export async function* soundPages<Row extends object>(
  table: Table<Row>,
  transaction: Transaction | undefined,
  onBad: OnBad,
): AsyncGenerator<Row[]> {
  for (let behind = -1; ;) {
    let rows: KeptRow<Row>[];
    try {
      rows = await plainRows(table, { transaction, page: { behind, most: PAGE } });
    } catch (error) {
      if (isOfTheFile(error)) throw error;
      yield soundOf(table, await oneByOne(table, { transaction }, error, onBad), onBad);
      return;
    }
    yield soundOf(table, rows, onBad);
    if (rows.length < PAGE) return;
    behind = rows.at(-1)?.place ?? behind;
  }
}

function soundOf<Row extends object>(table: Table<Row>, rows: readonly KeptRow<Row>[], onBad: OnBad): Row[] {
  const sound: Row[] = [];
  for (const { row, sum } of rows) {
    // A file from before there were sums has none until it is brought up.
    if (sum === null || sum === sumOfRow(row)) sound.push(row);
    else onBad({ table: String(table.tableName), key: keyOf(table, row), reason: 'was changed on the disk' });
  }
  return sound;
}

/** What SQLite itself says of its file is no fault of a row. */
function isOfTheFile(error: unknown): boolean {
  return error instanceof Error && error.name.startsWith('Sequelize');
}

/** One row that cannot be told as values must not hide the others. */
async function oneByOne<Row extends object>(
  table: Table<Row>,
  { transaction, ...asked }: Pick<ReadOptions<Row>, 'transaction' | 'where' | 'order'>,
  why: unknown,
  onBad: OnBad,
): Promise<KeptRow<Row>[]> {
  const parts = table.primaryKeyAttributes;
  const keys = await table
    .unscoped()
    .findAll({ ...asked, attributes: [...parts], ...(transaction && { transaction }) });
  const found: KeptRow<Row>[] = [];
  for (const key of keys) {
    const where = Object.fromEntries(parts.map((part) => [part, key.get(part)])) as WhereOptions<Row>;
    try {
      found.push(...(await plainRows(table, { where, transaction })));
    } catch (error) {
      if (isOfTheFile(error)) throw error;
      onBad({ table: String(table.tableName), key: keyOf(table, where), reason: `cannot be read: ${String(error)}` });
    }
  }
  if (found.length === keys.length) throw why;
  return found;
}
