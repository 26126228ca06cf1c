import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT, BOOLEAN, DOUBLE, JSON } = DataTypes;
const id = { type: STRING(36), primaryKey: true };
const required = <T>(type: T) => ({ type, allowNull: false });
const refers = (model: string) => ({ ...required(STRING(36)), references: { model, key: 'id' } });

/** The garden with what it gives, what becomes of lots other than jars, and what became of batches. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('picks', 'ripeness', { ...required(STRING), defaultValue: 'ripe' });
  await db.addColumn('picks', 'source', { ...required(STRING), defaultValue: 'garden' });
  // Not a reference: a bed may be dug over, its picks stay.
  await db.addColumn('picks', 'planting_id', { type: STRING(36), allowNull: true });
  await db.createTable('plantings', {
    id,
    name: required(STRING),
    crop: required(STRING),
    count: required(DOUBLE),
    unit: required(STRING),
    first_week: required(INTEGER),
    peak_week: required(INTEGER),
    last_week: required(INTEGER),
    usual_kg: { type: DOUBLE, allowNull: true },
  });
  await db.createTable('garden_looks', {
    id,
    planting_id: refers('plantings'),
    kind: required(STRING),
    at: required(BIGINT),
  });
  await db.createTable('lot_changes', {
    id,
    pick_id: refers('picks'),
    part: required(STRING),
    from: required(STRING),
    kind: required(STRING),
    to: { type: STRING, allowNull: true },
    mass_kg: required(DOUBLE),
    at: required(BIGINT),
  });
  await db.createTable('own_measures', {
    crop: { type: STRING, primaryKey: true },
    measure: { type: STRING, primaryKey: true },
    mass_kg: required(DOUBLE),
  });
  await db.createTable('batch_records', {
    id,
    batch_id: { type: STRING(36), allowNull: true },
    product: required(STRING),
    crop: required(STRING),
    mass_kg: required(DOUBLE),
    water_ml: required(DOUBLE),
    sugar_kg: required(DOUBLE),
    jars: required(JSON),
    part_jar: { type: JSON, allowNull: true },
    made_at: required(BIGINT),
    note: required(STRING),
    learn_from: required(BOOLEAN),
  });
  await db.addIndex('lot_changes', ['pick_id']);
  await db.addIndex('garden_looks', ['planting_id']);
}
