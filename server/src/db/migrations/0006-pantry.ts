import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT, DOUBLE, JSON } = DataTypes;
const required = <T>(type: T, more = {}) => ({ type, allowNull: false, ...more });

/** The shelf: places and seals, jars carried and opened, goals, empty jars and lids, the household's own number. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('jar_lots', 'from_lot_id', { type: STRING(36), allowNull: true });
  await db.addColumn('jar_lots', 'seal', required(STRING, { defaultValue: 'sealed' }));
  // Until now only jars that did not seal came to the refrigerator.
  await db.sequelize.query("UPDATE jar_lots SET seal = 'unsealed' WHERE place = 'refrigerator'");
  await db.addColumn('movements', 'into_lot_id', { type: STRING(36), allowNull: true });
  await db.addColumn('movements', 'to_place', { type: STRING(36), allowNull: true });
  await db.addColumn('movements', 'undoes', { type: STRING(36), allowNull: true });
  await db.addColumn('movements', 'note', { type: STRING, allowNull: true });
  await db.addColumn('households', 'places', { type: JSON, allowNull: true });
  await db.addColumn('households', 'best_months', required(INTEGER, { defaultValue: 12 }));
  await db.addColumn('households', 'mark', required(INTEGER, { defaultValue: 0 }));
  // Any number will do, as long as the neighbours have another one.
  await db.sequelize.query('UPDATE households SET mark = ABS(RANDOM() % 2147483647)');
  await db.createTable('shelf_goals', {
    product: required(STRING, { primaryKey: true }),
    jar: required(STRING, { primaryKey: true }),
    jars: { type: INTEGER, allowNull: true },
    per_month: { type: DOUBLE, allowNull: true },
  });
  await db.createTable('hardware_moves', {
    id: { type: STRING(36), primaryKey: true },
    kind: required(STRING),
    size: { type: STRING, allowNull: true },
    mouth: required(STRING),
    way: required(STRING),
    count: required(INTEGER),
    at: required(BIGINT),
  });
}
