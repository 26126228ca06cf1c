import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, INTEGER, BIGINT, BOOLEAN, JSON } = DataTypes;

/** Recipes of the household's own, page by page; loads of a filling; jars that are ready on a day of their own. */
export async function up(db: QueryInterface): Promise<void> {
  await db.createTable('own_recipes', {
    id: { type: STRING, allowNull: false, primaryKey: true },
    revision: { type: INTEGER, allowNull: false, primaryKey: true },
    name: { type: STRING, allowNull: false },
    draft: { type: BOOLEAN, allowNull: false },
    page: { type: JSON, allowNull: false },
  });
  await db.addColumn('loads', 'recipe', { type: STRING, allowNull: true });
  await db.addColumn('jar_lots', 'ready_at', { type: BIGINT, allowNull: true });
}
