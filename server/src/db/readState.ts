import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { type Household, KitchenSchema } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { DaysGivenSchema, type Season } from '@hoddle/contract/season';
import { type Batch } from '@hoddle/core/day/batch';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';
import { groupBy } from '@hoddle/core/handbook/groupBy';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { AS_PLANNED } from '@hoddle/core/kitchen/byTheTable';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { hardwareStock } from '@hoddle/core/pantry/hardwareStock';
import { lidsByLoad } from '@hoddle/core/pantry/lidsByLoad';
import { USUAL_PLACES } from '@hoddle/core/pantry/place';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { USUAL_DAYS } from '@hoddle/core/season/givenDays';
import { type HardwareMove } from '@hoddle/core/supplies/hardware';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { type Clock } from '../clock';
import { type Database } from './openDatabase';
import { type EventRow, type HardwareRow, type LoadRow, type Table } from './tables';

/** Everything of the household, as the app keeps it. */
export async function readState(db: Database, clock: Clock): Promise<HouseholdState> {
  const { tables } = db;
  const { mark, demoOffsetMs } = await readHousehold(db);
  const now = clock.now(demoOffsetMs);
  const hardwareMoves = await readHardwareMoves(db);
  const events = await readEvents(db);
  return {
    now,
    demoOffsetMs,
    mark,
    household: await readSettings(db),
    picks: await all(tables.picks, [['pickedAt', 'ASC']]),
    lotChanges: await all(tables.lotChanges, [['at', 'ASC']]),
    plantings: await all(tables.plantings, [['name', 'ASC']]),
    gardenLooks: await all(tables.gardenLooks, [['at', 'ASC']]),
    ownMeasures: await all(tables.ownMeasures, [['crop', 'ASC']]),
    batchRecords: await readBatchRecords(db),
    batches: await readBatches(db),
    events,
    dayEvents: await readDayEvents(db),
    ...db.pantry.told(now),
    use: db.pantry.all.useRecords(now),
    goals: await all(tables.goals, [['product', 'ASC']]),
    hardwareMoves,
    hardware: hardwareStock(
      hardwareMoves,
      (id) => db.pantry.all.lot(id),
      db.pantry.all.allMovements(),
      lidsByLoad(events),
    ),
    season: await readSeason(db),
    checkedRows: await all(tables.checkedRows, [['rowId', 'ASC']]),
    sources: await readSources(db),
    recipes: db.recipes.all,
  } as unknown as HouseholdState;
}

/** The one row of the household; the first migration makes it. */
export async function readHousehold({ tables }: Database) {
  const row = await tables.households.findByPk(1, { rejectOnEmpty: true });
  return row.get({ plain: true });
}

/** Its settings, as `PUT /api/household` takes them. */
export async function readSettings(db: Database): Promise<Household> {
  const { name, altitudeFt, burners, units, kitchen, ownJars, places, bestMonths } = await readHousehold(db);
  const canners = await all(db.tables.canners, [['position', 'ASC']]);
  return {
    ...{ name, altitudeFt, burners, units, bestMonths },
    canners: canners.map(({ position: _, ...canner }) => canner),
    kitchen: kitchen ?? v.parse(KitchenSchema, USUAL_KITCHEN),
    ownJars,
    places: places ?? [...USUAL_PLACES],
  } as Household;
}

/** The days given, the plan gone by, and what is in the basket. */
async function readSeason(db: Database): Promise<Season> {
  const { seasonDays, seasonPlan, seasonPins } = await readHousehold(db);
  const ticks = await all(db.tables.shoppingTicks, [['key', 'ASC']]);
  return {
    days: seasonDays ?? v.parse(DaysGivenSchema, USUAL_DAYS),
    plan: seasonPlan,
    pins: seasonPins ?? [],
    ticked: ticks.map(({ key }) => key),
  };
}

/** Empty jars, lids and bands, as they were told. */
export async function readHardwareMoves({ tables }: Pick<Database, 'tables'>): Promise<HardwareMove[]> {
  return (await all(tables.hardwareMoves, [['at', 'ASC']])).map(hardwareOf);
}

function hardwareOf({ size, ...move }: HardwareRow): HardwareMove {
  return size === null ? move : { ...move, size };
}

/** What the household has written down of its batches, the oldest first. */
export function readBatchRecords({ tables }: Database): Promise<BatchRecord[]> {
  return all(tables.batchRecords, [['madeAt', 'ASC']]);
}

/** The household's own sources. */
export function readSources({ tables }: Database): Promise<HouseholdSource[]> {
  return all(tables.sources, [['title', 'ASC']]);
}

/** What the household has added to the handbook, for a look-up. */
export async function readPages(db: Database): Promise<HouseholdPages> {
  const rows = await all(db.tables.checkedRows);
  return {
    checkedRows: new Map(rows.map(({ rowId, checkedOn }) => [rowId, checkedOn])),
    sources: await readSources(db),
    recipes: db.recipes.all,
  };
}

/** What happened to the loads, in the order of its times. */
export async function readEvents(
  { tables }: Pick<Database, 'tables'>,
  transaction?: Transaction,
): Promise<KitchenEvent[]> {
  return (await all(tables.events, [['at', 'ASC']], transaction)).map(eventOf);
}

export async function readDayEvents(
  { tables }: Pick<Database, 'tables'>,
  transaction?: Transaction,
): Promise<DayEvent[]> {
  const rows = await all(tables.dayEvents, [['at', 'ASC']], transaction);
  return rows.map(({ detail, ...event }) => ({ ...event, ...detail }) as DayEvent);
}

/** The batches as they stand: with what was changed on the day, and their minutes by the table as it is now. */
export async function readBatchesNow(db: Database, transaction?: Transaction): Promise<Batch[]> {
  const { altitudeFt } = await readSettings(db);
  return readBatchesTold(db, transaction, { altitudeFt, pages: await readPages(db) });
}

/** The same with the minutes they were planned with: for what only asks for their produce and jars. */
export async function readBatchesTold(
  db: Pick<Database, 'tables'>,
  transaction?: Transaction,
  ground = AS_PLANNED,
): Promise<Batch[]> {
  const batches = await readBatches(db, transaction);
  return batchesNow(batches, await readDayEvents(db, transaction), await readEvents(db, transaction), ground);
}

/** The batches as they were planned. */
export async function readBatches({ tables }: Pick<Database, 'tables'>, transaction?: Transaction): Promise<Batch[]> {
  const batches = await all(tables.batches, [['startAt', 'ASC']], transaction);
  const uses = await all(tables.uses, [], transaction);
  const loads = await all(tables.loads, [['number', 'ASC']], transaction);
  const [usesOf, loadsOf] = [groupBy(uses, ({ batchId }) => batchId), groupBy(loads, ({ batchId }) => batchId)];
  return batches.map(({ ingredients, pressurePsi, againOf, recipe, without, ...batch }) => ({
    ...batch,
    ...(pressurePsi !== null && { pressurePsi }),
    ...(ingredients !== null && { ingredients }),
    ...(againOf !== null && { againOf }),
    ...(recipe !== null && { recipe }),
    ...(without !== null && { without }),
    uses: (usesOf.get(batch.id) ?? []).map(({ batchId: _, crop, ...use }) => ({
      ...use,
      ...(crop !== null && { crop }),
    })),
    loads: (loadsOf.get(batch.id) ?? []).map(loadOf),
  }));
}

function loadOf({ id, number, jars, cannerId, withLoadId, recipe }: LoadRow) {
  return {
    ...{ id, number, jars },
    ...(cannerId !== null && { cannerId }),
    ...(withLoadId !== null && { withLoadId }),
    ...(recipe !== null && { recipe }),
  };
}

export function eventOf({ id, loadId, type, at, detail }: EventRow): KitchenEvent {
  return { id, loadId, type, at, ...detail } as KitchenEvent;
}

export async function all<Row extends object>(
  table: Table<Row>,
  order: [string, 'ASC'][] = [],
  transaction?: Transaction,
): Promise<Row[]> {
  return (await table.findAll({ order, ...(transaction && { transaction }) })).map((row) => row.get({ plain: true }));
}
