import { DataTypes, type QueryInterface } from 'sequelize';

const { STRING, JSON } = DataTypes;

/** The recipe card: which one a batch is made by, what of it is left out, the crop of everything it uses; jars by their name. */
export async function up(db: QueryInterface): Promise<void> {
  await db.addColumn('batches', 'recipe', { type: STRING, allowNull: true });
  await db.addColumn('batches', 'without', { type: JSON, allowNull: true });
  await db.addColumn('batch_uses', 'crop', { type: STRING, allowNull: true });
  await db.sequelize.query('UPDATE batch_uses SET crop = (SELECT crop FROM picks WHERE picks.id = batch_uses.pick_id)');
  await db.addColumn('jar_lots', 'recipe', { type: STRING, allowNull: true });
  await db.addColumn('jar_lots', 'crop', { type: STRING, allowNull: true });
  // Jars of a load are of what its batch took most of.
  await db.sequelize.query(
    `UPDATE jar_lots SET crop = (
       SELECT batch_uses.crop FROM loads JOIN batch_uses ON batch_uses.batch_id = loads.batch_id
       WHERE loads.id = jar_lots.load_id ORDER BY batch_uses.mass_kg DESC LIMIT 1)`,
  );
}
