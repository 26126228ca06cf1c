import { isDeepStrictEqual } from 'node:util';
import { type Transaction } from 'sequelize';
import { Problem } from '../problem';
import { type Table } from './tables';

/**
 * Writes a row the client made an id for, once.
 *
 * @returns true when it was new, false when the same row was there already
 * @throws Problem 409 when another row has this id: a repeat is the same write, anything else is a mistake
 */
export async function keepOnce<Row extends { id: string }>(
  table: Table<Row>,
  row: Row,
  transaction: Transaction,
): Promise<boolean> {
  const kept = await table.findByPk(row.id, { transaction });
  if (!kept) {
    await table.create(row as never, { transaction });
    return true;
  }
  if (isDeepStrictEqual(told(kept.get({ plain: true })), told(row))) return false;
  throw new Problem(409, 'id-taken', 'Something else was already saved under this id. It was left as it is.');
}

/** What a row tells: a column that nothing was told of is empty in the file, whether it was sent as null or not at all. */
function told(row: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null && value !== undefined));
}
