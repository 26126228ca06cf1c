import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BOOLEAN, DOUBLE, JSON } = DataTypes;
const required = <T>(type: T, defaultValue: unknown) => ({ type, allowNull: false, defaultValue });

/** Canners of every kind with what has been tried in them, the kitchen of a preserving day, and jars measured at home. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('canners', 'also_boiling_water', required(BOOLEAN, false));
  await db.addColumn('canners', 'declared_half_pints', required(INTEGER, 0));
  await db.addColumn('canners', 'layers', required(INTEGER, 1));
  await db.addColumn('canners', 'burner_watts', required(DOUBLE, 1_800));
  await db.addColumn('canners', 'electric', required(BOOLEAN, false));
  await db.addColumn('canners', 'test_fits', required(JSON, []));
  // A rack takes as many half-pints as pints, as far as anybody has told.
  await db.sequelize.query('UPDATE canners SET declared_half_pints = declared_pints');
  // Null: as a household kitchen usually is.
  await db.addColumn('households', 'kitchen', { type: JSON, allowNull: true });
  await db.addColumn('households', 'own_jars', required(JSON, []));
  // Pressure canning only.
  await db.addColumn('batches', 'pressure_psi', { type: INTEGER, allowNull: true });
  await db.addColumn('loads', 'canner_id', { type: STRING(36), allowNull: true });
  // The load of another batch that it goes in with.
  await db.addColumn('loads', 'with_load_id', { type: STRING(36), allowNull: true });
}
