import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, DOUBLE, JSON } = DataTypes;

/**
 * A batch may give something off its pot, and another may begin with that; the record of a batch tells what else came of it, as
 * it was measured; what was left behind comes in as
 * produce of its own; a load may be of another jar than its batch, and
 * what goes into one may come out of the freezer. Nothing is filled in: nobody told.
 */
export async function up(db: QueryInterface): Promise<void> {
  const add = (table: string, column: string, type: typeof JSON | ReturnType<typeof STRING> | typeof DOUBLE) =>
    db.addColumn(table, column, { type, allowNull: true });
  await add('batches', 'gives', JSON);
  await add('batches', 'from_pot', JSON);
  await add('batch_records', 'juice_ml', DOUBLE);
  await add('batch_records', 'trimmings_kg', DOUBLE);
  await add('batch_records', 'cooked_off_ml', DOUBLE);
  await add('batch_records', 'trimmings_to', STRING(20));
  await add('picks', 'of', JSON);
  await add('loads', 'size', JSON);
  await add('batch_uses', 'frozen_kg', DOUBLE);
}
