import { type Transaction } from 'sequelize';
import { type Batch } from '@hoddle/core/day/batch';
import { type Tables } from './tables';

/** Writes what a batch takes from picks and its loads; the batch's own row is there already. */
export async function insertParts(tables: Tables, { id, uses, loads }: Batch, transaction: Transaction): Promise<void> {
  const ofBatch = <Row extends object>(row: Row) => ({ ...row, batchId: id });
  await tables.uses.bulkCreate(uses.map(ofBatch), { transaction });
  const rows = loads.map((load) =>
    ofBatch({ ...load, cannerId: load.cannerId ?? null, withLoadId: load.withLoadId ?? null }),
  );
  await tables.loads.bulkCreate(rows, { transaction });
}
