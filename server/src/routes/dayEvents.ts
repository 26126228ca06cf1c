import { Router } from 'express';
import { Op, type Transaction } from 'sequelize';
import * as v from 'valibot';
import { DayEventSchema } from '@hoddle/contract/dayEvent';
import { type Batch } from '@hoddle/core/day/batch';
import { joinFault } from '@hoddle/core/day/joinPots';
import { madeAs } from '@hoddle/core/day/madeAs';
import { type DayEvent, standing } from '@hoddle/core/kitchen/dayEvent';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { AS_PLANNED } from '@hoddle/core/kitchen/byTheTable';
import { loadNow } from '@hoddle/core/kitchen/loadNow';
import { beganAt } from '@hoddle/core/kitchen/movedOn';
import { toldOf } from '@hoddle/core/kitchen/toldOf';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { CRUMB_KG, overdrawnOf, readBook } from '../db/produceBook';
import { readBatches, readBatchesNow, readDayEvents, readEvents, readPages } from '../db/readState';
import { type Clock } from '../clock';
import { Problem } from '../problem';
import { loadRow } from '../db/rowForms';
import { holdAgainstHandbook, holdSizes } from './holdAgainstHandbook';
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
      if (added && event.type === 'measured') await holdTaken(db, event, transaction);
      if (added && event.type === 'recipe-changed') await holdTested(db, event, pages, transaction);
      if (added && event.type === 'batch-moved') await holdUnbegun(db, event, transaction);
      if (added && event.type === 'pots-joined') await holdPots(db, event, transaction);
      if (added && event.type === 'day-closed') await holdOpen(db, event, transaction);
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
  holdSizes({ ...batch, loads }, pages);
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

/** @throws Problem 404 without the batch, 409 where more stays over of a pick than the batch took of it */
async function holdTaken(
  db: Database,
  { id, batchId, left = [] }: Extract<DayEvent, { type: 'measured' }>,
  transaction: Transaction,
): Promise<void> {
  const batches = await readBatches(db, transaction);
  if (!batches.some((batch) => batch.id === batchId)) throw new Problem(404, 'no-batch', 'There is no such batch.');
  if (left.length === 0) return;
  // What was told of this gate before is replaced by it.
  const told = (await readDayEvents(db, transaction)).map((event) =>
    event.id === id ? { ...event, left: [] } : event,
  );
  const before = batchesNow(batches, told, await readEvents(db, transaction), AS_PLANNED).find(
    (batch) => batch.id === batchId,
  );
  const takenKg = (pickId: string) => before?.uses.find((use) => use.pickId === pickId)?.massKg ?? 0;
  if (left.every(({ pickId, massKg }) => massKg <= takenKg(pickId) + CRUMB_KG)) return;
  throw new Problem(409, 'not-taken', 'More stays over than this batch took of that produce.');
}

/**
 * Another card comes with its own tested time, and before any jar of the batch is in a canner, or not at all.
 *
 * @throws Problem 404 without the batch, 422 where it does not
 */
async function holdTested(
  db: Database,
  event: Extract<DayEvent, { type: 'recipe-changed' }>,
  pages: HouseholdPages,
  transaction: Transaction,
): Promise<void> {
  const batch = (await readBatches(db, transaction)).find(({ id }) => id === event.batchId);
  if (!batch) throw new Problem(404, 'no-batch', 'There is no such batch.');
  const begun = await db.tables.events.count({
    where: { loadId: batch.loads.map(({ id }) => id), type: 'load-started', at: { [Op.lt]: event.at } },
    transaction,
  });
  if (begun > 0)
    throw new Problem(422, 'begun', 'Jars of it are in a canner already, or were: they are what they are.');
  holdAgainstHandbook(madeAs(batch, event), pages);
}

/** @throws Problem 404 without the batch, 422 where it had begun by then */
async function holdUnbegun(
  db: Database,
  { batchId, at }: Extract<DayEvent, { type: 'batch-moved' }>,
  transaction: Transaction,
): Promise<void> {
  const batch = (await readBatches(db, transaction)).find(({ id }) => id === batchId);
  if (!batch) throw new Problem(404, 'no-batch', 'There is no such batch.');
  const told = standing(await readDayEvents(db, transaction));
  const begunAt = beganAt(batch, told, await readEvents(db, transaction));
  if (begunAt !== undefined && begunAt <= at)
    throw new Problem(422, 'begun', 'It has begun already: what is in hand is not put off.');
}

/** @throws Problem 404 without both batches, 422 where they are not two pots of one card that jars have yet to be filled from */
async function holdPots(
  db: Database,
  { id, batchId, withId }: Extract<DayEvent, { type: 'pots-joined' }>,
  transaction: Transaction,
): Promise<void> {
  const told = (await readDayEvents(db, transaction)).filter((event) => event.id !== id);
  const events = await readEvents(db, transaction);
  const batches = batchesNow(await readBatches(db, transaction), told, events, AS_PLANNED);
  const [pot, other] = [batchId, withId].map((own) => batches.find((batch) => batch.id === own));
  if (!pot || !other) throw new Problem(404, 'no-batch', 'There is no such batch.');
  const fault = joinFault(pot, other);
  if (fault !== undefined) throw new Problem(422, 'two-pots', fault);
  const begun = new Set(events.flatMap(({ type, loadId }) => (type === 'load-started' ? [loadId] : [])));
  if ([...pot.loads, ...other.loads].some((load) => begun.has(load.id)))
    throw new Problem(422, 'two-pots', 'Jars of them are in a canner already: they are not joined any more.');
}

/** @throws Problem 422 while a load of the day stands in a canner */
async function holdOpen(db: Database, { day }: DayEvent, transaction: Transaction): Promise<void> {
  const batches = await readBatchesNow(db, transaction);
  const events = await readEvents(db, transaction);
  const stillIn = batches.filter(isOfDay(day)).flatMap((batch) =>
    batch.loads.filter((load) => {
      const { state } = loadNow(batch, load, batches, toldOf(load, batches, events));
      return IN_CANNER.includes(state.phase);
    }),
  );
  if (stillIn.length === 0) return;
  const which = stillIn.length === 1 ? 'A load is' : `${stillIn.length} loads are`;
  throw new Problem(422, 'still-in', `${which} still in the canner: the day is closed when all jars are out.`);
}

/** Days are told by the kitchen's own calendar, which the server does not know: near enough is a day's length. */
function isOfDay(day: string): (batch: Batch) => boolean {
  const noon = Date.parse(`${day}T12:00:00Z`);
  const dayMs = 24 * 60 * 60_000;
  return ({ startAt }) => Math.abs(startAt - noon) <= dayMs;
}
