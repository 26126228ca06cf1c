import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, JSON } = DataTypes;

/** The season: how much a goal matters, the days given, the plan gone by and what is pinned in it, what is bought. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('shelf_goals', 'priority', { type: STRING, allowNull: false, defaultValue: 'want' });
  for (const column of ['season_days', 'season_plan', 'season_pins']) {
    await db.addColumn('households', column, { type: JSON, allowNull: true });
  }
  await db.createTable('shopping_ticks', { key: { type: STRING, primaryKey: true } });
}
