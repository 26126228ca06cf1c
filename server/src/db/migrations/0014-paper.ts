import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT, JSON } = DataTypes;
const required = <T>(type: T, more = {}) => ({ type, allowNull: false, ...more });

/** How dates are written; addresses that are open without a device's key; what the calendar has told. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('households', 'date_order', { type: STRING(3), allowNull: true });
  await db.createTable('secret_addresses', {
    id: { type: STRING(36), primaryKey: true },
    kind: required(STRING(20)),
    name: required(STRING),
    key_hash: required(STRING),
    made_at: required(BIGINT),
    until: { type: BIGINT, allowNull: true },
    revoked_at: { type: BIGINT, allowNull: true },
    asked_at: { type: BIGINT, allowNull: true },
    content: required(JSON),
  });
  await db.createTable('told_entries', {
    uid: { type: STRING(120), primaryKey: true },
    content: required(JSON),
    sequence: required(INTEGER),
    told_at: required(BIGINT),
    cancelled_at: { type: BIGINT, allowNull: true },
  });
}
