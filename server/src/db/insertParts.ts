import { type Transaction } from 'sequelize';
import { type Batch } from '@hoddle/core/day/batch';
import { loadRow } from './rowForms';
import { type Tables } from './tables';

/** Writes what batches take from picks and their loads; the batches' own rows are there already. */
export async function insertParts(tables: Tables, batches: readonly Batch[], transaction: Transaction): Promise<void> {
  const uses = batches.flatMap((batch) =>
    batch.uses.map(({ crop = null, frozenKg = null, ...use }) => ({ ...use, crop, frozenKg, batchId: batch.id })),
  );
  const loads = batches.flatMap((batch) => batch.loads.map((load) => loadRow(load, batch.id)));
  await tables.uses.bulkCreate(uses, { transaction });
  await tables.loads.bulkCreate(loads, { transaction });
}
