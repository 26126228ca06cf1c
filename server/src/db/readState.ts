import { type Transaction } from 'sequelize';
import { type Household } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { AS_PLANNED } from '@hoddle/core/kitchen/byTheTable';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { withWhatWentIn } from '@hoddle/core/day/whatWentIn';
import { type Database } from './openDatabase';
import { batchesOf, dayEventOf, eventOf } from './rowForms';
import { soundRows } from './soundRows';
import { householdRow } from './householdRow';
import { settingsFrom } from './stateParts';
import { type Table, type Tables } from './tables';

/** Everything of the household at one moment, as the app keeps it. */
export function readState(db: Pick<Database, 'state'>): HouseholdState {
  return { now: db.state.now(), ...db.state.told.parts } as unknown as HouseholdState;
}

/** The one row of the household; the first migration makes it. */
export function readHousehold({ state }: Pick<Database, 'state'>) {
  return householdRow(state.all);
}

/** Its settings, as `PUT /api/household` takes them. */
export function readSettings({ state }: Pick<Database, 'state'>): Household {
  return settingsFrom(state.all) as Household;
}

/** What the household has written down of its batches, the oldest first. */
export function readBatchRecords({ state }: Pick<Database, 'state'>): readonly BatchRecord[] {
  return state.told.parts.batchRecords as BatchRecord[];
}

/** What the household has added to the handbook, for a look-up. */
export function readPages({ state, recipes }: Pick<Database, 'state' | 'recipes'>): HouseholdPages {
  return {
    checkedRows: new Map([...state.all.checkedRows.values()].map(({ rowId, checkedOn }) => [rowId, checkedOn])),
    sources: state.told.parts.sources as HouseholdSource[],
    recipes: recipes.all,
  };
}

/** The batches as they stand: with what was changed on the day, and their minutes by the table as it is now. */
export async function readBatchesNow(db: Database, transaction?: Transaction): Promise<Batch[]> {
  const { altitudeFt } = readHousehold(db);
  return readBatchesTold(db, transaction, { altitudeFt, pages: readPages(db) });
}

/** The same with the minutes they were planned with: for what only asks for their produce and jars. */
export async function readBatchesTold(db: Reading, transaction?: Transaction, ground = AS_PLANNED): Promise<Batch[]> {
  const batches = await readBatches(db, transaction);
  const told = batchesNow(batches, await readDayEvents(db, transaction), await readEvents(db, transaction), ground);
  return withWhatWentIn(told, await readRecords(db, transaction));
}

async function readRecords(db: Reading, transaction?: Transaction): Promise<readonly BatchRecord[]> {
  if (!transaction && db.state) return db.state.told.parts.batchRecords as BatchRecord[];
  return all(db.tables.batchRecords, [['madeAt', 'ASC']], transaction);
}

/** Within a transaction rows are read from the file, with what it has written; otherwise as they were committed. */
type Reading = { readonly tables: Tables; readonly state?: Database['state'] };

/** What happened to the loads, in the order of its times. */
export async function readEvents(db: Reading, transaction?: Transaction): Promise<KitchenEvent[]> {
  if (!transaction && db.state) return [...(db.state.told.parts.events as KitchenEvent[])];
  return (await all(db.tables.events, [['at', 'ASC']], transaction)).map(eventOf);
}

export async function readDayEvents(db: Reading, transaction?: Transaction): Promise<DayEvent[]> {
  if (!transaction && db.state) return [...(db.state.told.parts.dayEvents as DayEvent[])];
  return (await all(db.tables.dayEvents, [['at', 'ASC']], transaction)).map(dayEventOf);
}

/** The batches as they were planned. */
export async function readBatches(db: Reading, transaction?: Transaction): Promise<Batch[]> {
  if (!transaction && db.state) return [...(db.state.told.parts.batches as Batch[])];
  const batches = await all(db.tables.batches, [['startAt', 'ASC']], transaction);
  const uses = await all(db.tables.uses, [], transaction);
  return batchesOf(batches, uses, await all(db.tables.loads, [['number', 'ASC']], transaction));
}

/** Sound rows of a table. */
export function all<Row extends object>(
  table: Table<Row>,
  order: [string, 'ASC'][] = [],
  transaction?: Transaction,
): Promise<Row[]> {
  return soundRows(table, { order, transaction });
}
