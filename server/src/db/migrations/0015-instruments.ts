import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT, DOUBLE, JSON } = DataTypes;
const required = <T>(type: T) => ({ type, allowNull: false });

/** What the household tells of its scales and probes, and what they told of its loads. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('households', 'instruments', { type: JSON, allowNull: true });
  await db.createTable('load_curves', {
    id: { type: STRING(36), primaryKey: true },
    instrument: required(STRING(64)),
    measures: required(STRING(3)),
    start_at: required(BIGINT),
    wants: required(DOUBLE),
    reads_more_f: required(DOUBLE),
    points: required(JSON),
    sum: { type: INTEGER, allowNull: true },
  });
}
