import { DataTypes, type QueryInterface } from 'sequelize';

/** Whether a canner's lid locks while it heats, so that nobody sees the boil. Known ones are opened by hand. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('canners', 'lid_locks', { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false });
}
