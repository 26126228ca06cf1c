import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { KitchenSchema } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { type Clock } from '../clock';
import { type Database } from './openDatabase';
import { type EventRow, type LoadRow, type LotRow, type Table } from './tables';

/** Everything of the household, as the app keeps it. */
export async function readState(db: Database, clock: Clock): Promise<HouseholdState> {
  const { tables } = db;
  const { name, altitudeFt, burners, units, kitchen, ownJars, demoOffsetMs } = await readHousehold(db);
  const canners = await all(tables.canners, [['position', 'ASC']]);
  return {
    now: clock.now(demoOffsetMs),
    demoOffsetMs,
    household: {
      name,
      altitudeFt,
      burners,
      units,
      canners: canners.map(({ position: _, ...canner }) => canner),
      kitchen: kitchen ?? v.parse(KitchenSchema, USUAL_KITCHEN),
      ownJars,
    },
    picks: await all(tables.picks, [['pickedAt', 'ASC']]),
    lotChanges: await all(tables.lotChanges, [['at', 'ASC']]),
    plantings: await all(tables.plantings, [['name', 'ASC']]),
    gardenLooks: await all(tables.gardenLooks, [['at', 'ASC']]),
    ownMeasures: await all(tables.ownMeasures, [['crop', 'ASC']]),
    batchRecords: await readBatchRecords(db),
    batches: await readBatches(db),
    events: await readEvents(db),
    dayEvents: await readDayEvents(db),
    lots: (await all(tables.lots, [['madeAt', 'ASC']])).map(lotOf),
    movements: await all(tables.movements, [['at', 'ASC']]),
    checkedRows: await all(tables.checkedRows, [['rowId', 'ASC']]),
    sources: await readSources(db),
  } as HouseholdState;
}

/** The one row of the household; the first migration makes it. */
export async function readHousehold({ tables }: Database) {
  const row = await tables.households.findByPk(1, { rejectOnEmpty: true });
  return row.get({ plain: true });
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
  };
}

/** What happened to the loads, in the order of its times. */
export async function readEvents(
  { tables }: Pick<Database, 'tables'>,
  transaction?: Transaction,
): Promise<KitchenEvent[]> {
  return (await all(tables.events, [['at', 'ASC']], transaction)).map(eventOf);
}

async function readDayEvents({ tables }: Pick<Database, 'tables'>, transaction?: Transaction): Promise<DayEvent[]> {
  const rows = await all(tables.dayEvents, [['at', 'ASC']], transaction);
  return rows.map(({ detail, ...event }) => ({ ...event, ...detail }) as DayEvent);
}

/** The batches as they stand: as planned, with what was changed on the day. */
export async function readBatchesNow(db: Pick<Database, 'tables'>, transaction?: Transaction): Promise<Batch[]> {
  const batches = await readBatches(db, transaction);
  return batchesNow(batches, await readDayEvents(db, transaction), await readEvents(db, transaction));
}

/** The batches as they were planned. */
export async function readBatches({ tables }: Pick<Database, 'tables'>, transaction?: Transaction): Promise<Batch[]> {
  const batches = await all(tables.batches, [['startAt', 'ASC']], transaction);
  const uses = await all(tables.uses, [], transaction);
  const loads = await all(tables.loads, [['number', 'ASC']], transaction);
  return batches.map(({ ingredients, pressurePsi, againOf, ...batch }) => ({
    ...batch,
    ...(pressurePsi !== null && { pressurePsi }),
    ...(ingredients !== null && { ingredients }),
    ...(againOf !== null && { againOf }),
    uses: uses.filter((use) => use.batchId === batch.id).map(({ batchId: _, ...use }) => use),
    loads: loads.filter((load) => load.batchId === batch.id).map(loadOf),
  }));
}

function loadOf({ id, number, jars, cannerId, withLoadId }: LoadRow) {
  return { id, number, jars, ...(cannerId !== null && { cannerId }), ...(withLoadId !== null && { withLoadId }) };
}

export function eventOf({ id, loadId, type, at, detail }: EventRow): KitchenEvent {
  return { id, loadId, type, at, ...detail } as KitchenEvent;
}

function lotOf({ loadId, ...lot }: LotRow) {
  return loadId === null ? lot : { ...lot, loadId };
}

async function all<Row extends object>(
  table: Table<Row>,
  order: [string, 'ASC'][] = [],
  transaction?: Transaction,
): Promise<Row[]> {
  return (await table.findAll({ order, ...(transaction && { transaction }) })).map((row) => row.get({ plain: true }));
}
