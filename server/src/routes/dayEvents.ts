import { Router } from 'express';
import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { DayEventSchema } from '@hoddle/contract/dayEvent';
import { loadSizesFault } from '@hoddle/core/day/batchFault';
import { kitchenOf } from '@hoddle/core/day/kitchenOf';
import { CRUMB_KG } from '@hoddle/core/harvest/crumb';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import {
  anotherCardFault,
  closeFault,
  joinedPotsFault,
  leftOverFault,
  moveFault,
} from '@hoddle/core/kitchen/dayEventFault';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type Clock } from '../clock';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { overdrawnOf, readBook } from '../db/produceBook';
import { readBatches, readBatchesNow, readDayEvents, readEvents, readPages, readSettings } from '../db/readState';
import { loadRow } from '../db/rowForms';
import { hold } from '../hold';
import { Problem } from '../problem';
import { holdInOrder } from './holdInOrder';

/**
 * `POST /api/kitchen/day-events`: what happened on a preserving day besides its loads. Every event is kept, since the fold
 * decides what it means; only loads that are changed must be those of a batch, fruit that is added must be there, what stays
 * over must have been taken, another card comes with its own tested time, only what has not begun is moved, pots are joined that are of one card, a step that is begun now waits for those before it,
 * and a day with a load still in its canner is not closed.
 */
export function dayEventsRoute(db: Database, clock: Clock): Router {
  return Router().post('/kitchen/day-events', async (req, res) => {
    const event = v.parse(DayEventSchema, req.body) as DayEvent;
    const pages = readPages(db);
    const isNew = await db.write(async (transaction) => {
      const { id, day, type, at, ...detail } = event;
      const added = await keepOnce(db.tables.dayEvents, { id, day, type, at, detail }, transaction);
      if (added) await holdInOrder(db, clock, event, transaction);
      if (added && event.type === 'loads-changed') await keepLoads(db, event, pages, transaction);
      if (added && event.type === 'produce-added') await holdOnHand(db, event, transaction);
      if (added) await holdTold(db, event, pages, transaction);
      return added;
    });
    res.status(isNew ? 201 : 200).json(event);
  });
}

/** Loads that are new get their row, so that what happens to them can be told. */
async function keepLoads(
  db: Database,
  { batchId, loads }: Extract<DayEvent, { type: 'loads-changed' }>,
  pages: HouseholdPages,
  transaction: Transaction,
): Promise<void> {
  const batches = await readBatches(db, transaction);
  const batch = batches.find(({ id }) => id === batchId);
  if (!batch) throw new Problem(404, 'no-batch', 'There is no such batch.');
  const known = new Map(batches.flatMap((own) => own.loads.map((load) => [load.id, own.id] as const)));
  hold(loadSizesFault({ ...batch, loads }, pages));
  const taken = loads.find(({ id }) => (known.get(id) ?? batchId) !== batchId);
  if (taken) throw new Problem(409, 'id-taken', 'One of these loads is another batch’s.');
  const rows = loads.filter(({ id }) => !known.has(id)).map((load) => loadRow(load, batchId));
  await db.tables.loads.bulkCreate(rows, { transaction });
}

/** @throws Problem 404 without the batch, 409 where less of that produce is there */
async function holdOnHand(
  db: Database,
  { batchId, use }: Extract<DayEvent, { type: 'produce-added' }>,
  transaction: Transaction,
): Promise<void> {
  const batches = await readBatches(db, transaction);
  if (!batches.some(({ id }) => id === batchId)) throw new Problem(404, 'no-batch', 'There is no such batch.');
  const book = await readBook(db.tables, use.pickId, transaction);
  if (!book.pick) throw new Problem(404, 'no-pick', 'There is no such basket.');
  // The event itself is in the book by now.
  if (overdrawnOf(book) > CRUMB_KG) {
    throw new Problem(409, 'not-on-hand', 'There is not so much of that produce left: it was used in another way.');
  }
}

/** What happens to batches that are planned already must fit what was told of them. @throws Problem where it does not */
async function holdTold(db: Database, event: DayEvent, pages: HouseholdPages, transaction: Transaction): Promise<void> {
  if (!HELD.includes(event.type)) return;
  const batches = await readBatches(db, transaction);
  const dayEvents = await readDayEvents(db, transaction);
  const events = await readEvents(db, transaction);
  const told = { batches, dayEvents, events };
  if (event.type === 'measured') hold(leftOverFault(event, told), 409);
  if (event.type === 'recipe-changed') hold(anotherCardFault(event, told, pages));
  if (event.type === 'batch-moved') hold(moveFault(event, told));
  if (event.type === 'pots-joined') hold(joinedPotsFault(event, told));
  if (event.type === 'day-closed') {
    const now = { ...told, batches: await readBatchesNow(db, transaction) };
    hold(closeFault(event, now, kitchenOf(readSettings(db))));
  }
}

const HELD: readonly DayEvent['type'][] = ['measured', 'recipe-changed', 'batch-moved', 'pots-joined', 'day-closed'];
