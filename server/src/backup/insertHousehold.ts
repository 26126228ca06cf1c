import { type Transaction } from 'sequelize';
import { type BackupData } from '@hoddle/contract/backup';
import { type Batch } from '@hoddle/core/day/batch';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { insertParts } from '../db/insertParts';
import { type Database } from '../db/openDatabase';
import { lotRow, movementRow } from '../db/pantryRows';
import { columnsOf } from '../db/plainRows';
import { batchRow } from '../db/rowForms';
import { SUM, sumOfRow } from '../db/rowSum';
import { type DayEventRow, type Table, type Tables } from '../db/tables';

/** Tables in an order in which nothing refers to what is not there yet; they are emptied from the last to the first. */
const FILLED = [
  'canners',
  'plantings',
  'gardenLooks',
  'picks',
  'lotChanges',
  'ownMeasures',
  'batches',
  'uses',
  'loads',
  'batchRecords',
  'events',
  'dayEvents',
  'curves',
  'lots',
  'movements',
  'checkedRows',
  'sources',
  'ownRecipes',
  'goals',
  'hardwareMoves',
  'shoppingTicks',
] as const satisfies readonly (keyof Tables)[];

/** Fills an empty household, or one of which nothing is to stay. */
export function fillHousehold(db: Database, data: BackupData): Promise<void> {
  return db.replace({
    work: async (transaction) => {
      await emptyHousehold(db.tables, transaction);
      await insertHousehold(db.tables, data, transaction);
    },
  });
}

/** Empties every table but the household's own row. */
export async function emptyHousehold(tables: Tables, transaction: Transaction): Promise<void> {
  for (const table of [...FILLED].reverse())
    await (tables[table] as Table<object>).destroy({ where: {}, transaction, hooks: false });
}

/** Fills empty tables with a whole household. */
export async function insertHousehold(tables: Tables, data: BackupData, transaction: Transaction): Promise<void> {
  const { canners, ...settings } = data.household;
  const { demoOffsetMs, mark, season } = data;
  const { days: seasonDays, plan: seasonPlan, pins: seasonPins } = season;
  const kept = { ...settings, demoOffsetMs, mark, seasonDays, seasonPlan, seasonPins };
  await tables.households.update(kept, { where: { id: 1 }, transaction });
  await tables.canners.bulkCreate(
    canners.map((canner, position) => ({ ...canner, position })),
    { transaction },
  );
  await insertRows(tables.plantings, data.plantings, transaction);
  await insertRows(tables.gardenLooks, data.gardenLooks, transaction);
  await insertRows(tables.picks, data.picks, transaction);
  await insertRows(tables.lotChanges, data.lotChanges, transaction);
  await insertRows(tables.ownMeasures, data.ownMeasures, transaction);
  const batches = data.batches as Batch[];
  await insertRows(tables.batches, batches.map(batchRow), transaction);
  await insertParts(tables, batches, transaction);
  await insertRows(tables.batchRecords, data.batchRecords, transaction);
  const events = data.events.map(({ id, loadId, type, at, ...detail }) => ({ id, loadId, type, at, detail }));
  await insertRows(tables.events, events, transaction);
  const steps = data.dayEvents.map(({ id, day, type, at, ...detail }) => ({ id, day, type, at, detail }));
  await insertRows(tables.dayEvents, steps as DayEventRow[], transaction);
  await insertRows(tables.curves, data.curves, transaction);
  await insertRows(tables.lots, (data.lots as JarLot[]).map(lotRow), transaction);
  await insertRows(tables.movements, (data.movements as Movement[]).map(movementRow), transaction);
  await tables.checkedRows.bulkCreate(data.checkedRows, { transaction });
  await tables.sources.bulkCreate(data.sources, { transaction });
  const recipes = (data.recipes as OwnRecipe[]).map((page) => ({
    ...{ id: page.id, revision: page.revision, name: page.name, draft: page.draft },
    page,
  }));
  await insertRows(tables.ownRecipes, recipes, transaction);
  await tables.goals.bulkCreate(data.goals, { transaction });
  await tables.shoppingTicks.bulkCreate(
    season.ticked.map((key) => ({ key })),
    { transaction },
  );
  await tables.hardwareMoves.bulkCreate(
    data.hardwareMoves.map(({ size = null, ...move }) => ({ ...move, size })),
    { transaction },
  );
}

/** Backups before version 3 do not tell the crop that a batch takes: its pick does. */
export function withCrops(data: BackupData): BackupData {
  const crops = new Map(data.picks.map(({ id, crop }) => [id, crop]));
  const batches = data.batches.map((batch) => ({
    ...batch,
    uses: batch.uses.map((use) => {
      const crop = use.crop ?? crops.get(use.pickId);
      return { ...use, ...(crop && { crop }) };
    }),
  }));
  return { ...data, batches };
}

/** So many rows a statement: one of sixty thousand would be many megabytes of SQL. */
const AT_ONCE = 1_000;

/** Not as models: that takes many times the memory. Each row gets its sum. */
async function insertRows<Row extends object>(table: Table<Row>, rows: readonly Row[], transaction: Transaction) {
  const columns = columnsOf(table);
  const attributes = table.getAttributes() as Record<string, object>;
  const byField = Object.fromEntries(columns.map(({ attribute, field }) => [field, attributes[attribute]]));
  for (let from = 0; from < rows.length; from += AT_ONCE) {
    const some = rows.slice(from, from + AT_ONCE).map((row) => {
      const whole: Record<string, unknown> = { ...row, [SUM]: sumOfRow(row) };
      return Object.fromEntries(columns.map(({ attribute, field }) => [field, whole[attribute] ?? null]));
    });
    const db = table.sequelize?.getQueryInterface();
    // Its types do not tell of the last argument: how each column is written.
    const insert = db?.bulkInsert.bind(db) as (...args: unknown[]) => Promise<unknown>;
    if (some.length > 0) await insert(table.tableName, some, { transaction }, byField);
  }
}
