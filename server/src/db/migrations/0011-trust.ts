import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT } = DataTypes;
const required = <T>(type: T, more = {}) => ({ type, allowNull: false, ...more });

const TABLES = [
  ...['households', 'canners', 'picks', 'lot_changes', 'plantings', 'garden_looks', 'own_measures', 'batch_records'],
  ...['batches', 'batch_uses', 'loads', 'kitchen_events', 'day_events', 'jar_lots', 'movements', 'shelf_goals'],
  ...['shopping_ticks', 'hardware_moves', 'checked_rows', 'household_sources', 'own_recipes'],
];

/** A sum beside every row, how many writes were kept, the devices that may come in, and the passphrase. */
export async function up(db: QueryInterface): Promise<void> {
  for (const table of TABLES) await db.addColumn(table, 'sum', { type: INTEGER, allowNull: true });
  await db.createTable('writes_kept', {
    id: { type: INTEGER, primaryKey: true },
    writes: required(INTEGER),
  });
  await db.sequelize.query('INSERT INTO writes_kept (id, writes) VALUES (1, 0)');
  await db.createTable('devices', {
    id: { type: STRING(36), primaryKey: true },
    name: required(STRING),
    role: required(STRING),
    key_hash: required(STRING),
    paired_at: required(BIGINT),
    seen_at: { type: BIGINT, allowNull: true },
    revoked_at: { type: BIGINT, allowNull: true },
  });
  await db.createTable('passphrases', {
    id: { type: INTEGER, primaryKey: true },
    hash: required(STRING),
    set_at: required(BIGINT),
  });
}
