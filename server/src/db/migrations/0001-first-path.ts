import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT, DOUBLE, JSON } = DataTypes;
const id = { type: STRING(36), primaryKey: true };
const required = <T>(type: T) => ({ type, allowNull: false });
const refers = (model: string, more = {}) => ({
  type: STRING(36),
  allowNull: false,
  references: { model, key: 'id' },
  ...more,
});

/** From a pick to jars on the shelf: the household, picks, batches with their loads, what happened to them, jars. */
export async function up(db: QueryInterface): Promise<void> {
  await db.createTable('households', {
    id: { type: INTEGER, primaryKey: true },
    name: required(STRING),
    altitude_ft: { type: DOUBLE },
    burners: required(INTEGER),
    demo_offset_ms: { type: BIGINT },
  });
  await db.createTable('canners', {
    id,
    position: required(INTEGER),
    name: required(STRING),
    method: required(STRING),
    inside_diameter_in: required(DOUBLE),
    inside_height_in: required(DOUBLE),
    rack_height_in: required(DOUBLE),
    declared_quarts: required(INTEGER),
    declared_pints: required(INTEGER),
  });
  await db.createTable('picks', {
    id,
    crop: required(STRING),
    mass_kg: required(DOUBLE),
    soft_kg: required(DOUBLE),
    place: required(STRING),
    picked_at: required(BIGINT),
    told: required(STRING),
  });
  await db.createTable('batches', {
    id,
    product: required(STRING),
    jar: required(STRING),
    pack: required(STRING),
    method: required(STRING),
    altitude_ft: required(DOUBLE),
    process_minutes: required(INTEGER),
    canner_id: required(STRING(36)),
    start_at: required(BIGINT),
  });
  await db.createTable('batch_uses', {
    batch_id: refers('batches', { primaryKey: true }),
    pick_id: refers('picks', { primaryKey: true }),
    mass_kg: required(DOUBLE),
    soft_kg: required(DOUBLE),
  });
  await db.createTable('loads', {
    id,
    batch_id: refers('batches'),
    number: required(INTEGER),
    jars: required(INTEGER),
  });
  await db.createTable('kitchen_events', {
    id,
    load_id: refers('loads'),
    type: required(STRING),
    at: required(BIGINT),
    detail: required(JSON),
  });
  await db.createTable('jar_lots', {
    id,
    load_id: { type: STRING(36), references: { model: 'loads', key: 'id' } },
    product: required(STRING),
    jar: required(STRING),
    place: required(STRING),
    made_at: required(BIGINT),
    keeps_until: required(BIGINT),
  });
  await db.createTable('movements', {
    id,
    lot_id: refers('jar_lots'),
    kind: required(STRING),
    jars: required(INTEGER),
    at: required(BIGINT),
  });
  await db.addIndex('loads', ['batch_id']);
  await db.addIndex('kitchen_events', ['load_id']);
  await db.addIndex('movements', ['lot_id']);
  await db.bulkInsert('households', [{ id: 1, name: '', altitude_ft: null, burners: 4, demo_offset_ms: null }]);
}
