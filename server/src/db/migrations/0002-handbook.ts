import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, BOOLEAN, DOUBLE, JSON } = DataTypes;
const required = <T>(type: T) => ({ type, allowNull: false });

/** The household's own part of the handbook: rows it has checked, sources of its own, the units it reads in, formulas it made. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('households', 'units', { ...required(STRING), defaultValue: 'us' });
  await db.addColumn('batches', 'ingredients', { type: JSON, allowNull: true });
  await db.createTable('checked_rows', {
    row_id: { type: STRING, primaryKey: true },
    checked_on: required(STRING(10)),
  });
  await db.createTable('household_sources', {
    id: { type: STRING(36), primaryKey: true },
    title: required(STRING),
    kind: required(STRING),
    page: required(STRING),
    product: required(STRING),
    low_acid: required(BOOLEAN),
    pack: required(STRING),
    jar: required(STRING),
    method: required(STRING),
    headspace_in: required(DOUBLE),
    bands: required(JSON),
  });
}
