import { type FindOptions, type Transaction } from 'sequelize';
import { keyOf, plainOf } from './rowKey';
import { SUM, sumOfRow } from './rowSum';
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
  options: Pick<FindOptions<Row>, 'where' | 'order'> & { transaction?: Transaction | undefined },
  onBad: OnBad = () => undefined,
): Promise<Row[]> {
  const { transaction, ...asked } = options;
  const within = transaction && { transaction };
  const read = (more: object = {}) => table.unscoped().findAll({ ...asked, ...more, ...within });
  const rows = await read().catch(async (error: unknown) => {
    if (isOfTheFile(error)) throw error;
    return oneByOne(table, within, asked, error, onBad);
  });
  return rows.flatMap((row) => {
    const plain = plainOf(row);
    const { [SUM]: sum } = row.dataValues as { [SUM]?: number | null };
    // A file from before there were sums has none until it is brought up.
    if (sum === null || sum === undefined || sum === sumOfRow(plain)) return [plain];
    onBad({ table: String(table.tableName), key: keyOf(table, plain), reason: 'was changed on the disk' });
    return [];
  });
}

/** What SQLite itself says of its file is no fault of a row. */
function isOfTheFile(error: unknown): boolean {
  return error instanceof Error && error.name.startsWith('Sequelize');
}

/** One row that cannot be told as values must not hide the others. */
async function oneByOne<Row extends object>(
  table: Table<Row>,
  within: object | undefined,
  asked: object,
  why: unknown,
  onBad: OnBad,
) {
  const keys = await table.unscoped().findAll({ ...asked, attributes: [...table.primaryKeyAttributes], ...within });
  const found = [];
  for (const key of keys) {
    const where = Object.fromEntries(table.primaryKeyAttributes.map((part) => [part, key.get(part)]));
    try {
      const row = await table.unscoped().findOne({ where: where as never, ...within });
      if (row) found.push(row);
    } catch (error) {
      if (isOfTheFile(error)) throw error;
      onBad({ table: String(table.tableName), key: keyOf(table, where), reason: `cannot be read: ${String(error)}` });
    }
  }
  if (found.length === keys.length) throw why;
  return found;
}
