import { type WhereOptions } from 'sequelize';
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
  const rows = await plainRows(table, options).catch(async (error: unknown) => {
    if (isOfTheFile(error)) throw error;
    return oneByOne(table, options, error, onBad);
  });
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
  { transaction, ...asked }: ReadOptions<Row>,
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
