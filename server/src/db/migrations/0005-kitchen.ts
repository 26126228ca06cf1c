import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, BIGINT, BOOLEAN, DOUBLE, JSON } = DataTypes;
const required = <T>(type: T, more = {}) => ({ type, allowNull: false, ...more });

/** The running day: what happened besides the loads, jars processed again, and what is written down of a batch. */
export async function up(db: QueryInterface): Promise<void> {
  await db.createTable('day_events', {
    id: { type: STRING(36), primaryKey: true },
    day: required(STRING(10)),
    type: required(STRING),
    at: required(BIGINT),
    detail: required(JSON),
  });
  await db.addIndex('day_events', ['day']);
  await db.addColumn('canners', 'times_itself', required(BOOLEAN, { defaultValue: false }));
  // The batch whose unsealed jars are processed again.
  await db.addColumn('batches', 'again_of', { type: STRING(36), allowNull: true });
  await db.addColumn('batch_records', 'jar_make', required(STRING, { defaultValue: '' }));
  await db.addColumn('batch_records', 'lid_make', required(STRING, { defaultValue: '' }));
  await db.addColumn('batch_records', 'leftover_ml', required(DOUBLE, { defaultValue: 0 }));
  await db.addColumn('batch_records', 'faults', required(JSON, { defaultValue: [] }));
}
