import { Router } from 'express';
import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { KitchenEventSchema } from '@hoddle/contract/kitchenEvent';
import { type Batch, isCanned } from '@hoddle/core/day/batch';
import { waysOf } from '@hoddle/core/day/inTheCanner';
import { hostOf, type LoadOfBatch } from '@hoddle/core/day/sharedLoad';
import { isHeldToTheTable, type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadNow } from '@hoddle/core/kitchen/loadNow';
import { loadOrder } from '@hoddle/core/kitchen/loadOrder';
import { type LoadOrder, loadState } from '@hoddle/core/kitchen/loadState';
import { notForShelf } from '@hoddle/core/kitchen/notForShelf';
import { toldOf } from '@hoddle/core/kitchen/toldOf';
import { coldLot } from '@hoddle/core/pantry/coldLot';
import { sealCheck } from '@hoddle/core/pantry/sealCheck';
import { METHOD_WORDS } from '@hoddle/core/process/method';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { type Clock } from '../clock';
import { readBatches, readBatchesNow } from '../db/readState';
import { eventOf } from '../db/rowForms';
import { soundRows } from '../db/soundRows';
import { Problem } from '../problem';
import { holdInOrder, isJustNow } from './holdInOrder';

/**
 * `POST /api/kitchen/events`: what happened to a load. Every event is kept, in place or not, since the fold decides what
 * it means; only a seal check must fit its load, because it moves jars, and a load that is started now is filled before.
 */
export function kitchenEventsRoute(db: Database, clock: Clock): Router {
  return Router().post('/kitchen/events', async (req, res) => {
    const sent = v.parse(KitchenEventSchema, req.body) as KitchenEvent;
    const { event, isNew } = await keepKitchenEvent(db, clock, sent);
    res.status(isNew ? 201 : 200).json(event);
  });
}

/** Keeps what happened to a load, whoever tells it. @throws Problem where it may not be */
export async function keepKitchenEvent(
  db: Database,
  clock: Clock,
  sent: KitchenEvent,
): Promise<{ readonly event: KitchenEvent; readonly isNew: boolean }> {
  const batches = await knownBatches(db, sent.loadId);
  const own = loadOf(sent.loadId, batches);
  const order = loadOrder(own.batch, own.load, batches);
  await holdTested(db, clock, sent, order);
  await holdWay(db, clock, sent, own, batches);
  const event = withTested(sent, order);
  const isNew = await db.write(async (transaction) => {
    const { id, loadId, type, at, ...detail } = event;
    const before = await eventsOf(db, own, batches, transaction);
    const added = await keepOnce(db.tables.events, { id, loadId, type, at, detail }, transaction);
    if (added) await holdInOrder(db, clock, event, transaction);
    if (added && event.type === 'seal-checked') await storeJars(db, own, batches, before, event, transaction);
    if (added && event.type === 'kept-cold') await storeCold(db, own, batches, before, event, transaction);
    return added;
  });
  return { event, isNew };
}

/** @throws Problem 422 where a load is started now that nothing is tested for any more */
async function holdTested(db: Database, clock: Clock, event: KitchenEvent, { untested }: LoadOrder): Promise<void> {
  const { type } = event;
  const starts = type === 'load-started' || type === 'boil-reached' || type === 'machine-started';
  if (untested === undefined || !starts) return;
  if (await isJustNow(db, clock, event)) throw new Problem(422, 'not-tested', untested);
}

/** @throws Problem 422 where jars go in now, a way that is not tested for them at their minutes */
async function holdWay(
  db: Database,
  clock: Clock,
  event: KitchenEvent,
  { batch, load }: LoadOfBatch,
  batches: readonly Batch[],
): Promise<void> {
  if (event.type !== 'load-started' || event.way === undefined) return;
  if (waysOf(batch, load, batches).includes(event.way) || !(await isJustNow(db, clock, event))) return;
  throw new Problem(422, 'not-tested', `Nothing is tested for these jars ${METHOD_WORDS[event.way]} here.`);
}

/** A clock that starts or ends is held against the table as it is now, or against more, whatever a screen thought. */
function withTested(event: KitchenEvent, { processMinutes }: LoadOrder): KitchenEvent {
  if (!isHeldToTheTable(event)) return event;
  const said = 'tested' in event ? (event.tested ?? 0) : 0;
  return { ...event, tested: Math.max(said, processMinutes) } as KitchenEvent;
}

/** As they stand; a load that another screen dropped meanwhile still has what happens to it told. */
async function knownBatches(db: Database, loadId: string): Promise<readonly Batch[]> {
  const now = await readBatchesNow(db);
  return now.some(({ loads }) => loads.some(({ id }) => id === loadId)) ? now : readBatches(db);
}

/** What was told of a load, by itself and by the one it goes in with. */
async function eventsOf(
  db: Database,
  { load }: LoadOfBatch,
  batches: readonly Batch[],
  transaction: Transaction,
): Promise<readonly KitchenEvent[]> {
  const ids = [load.id, hostOf(load, batches)?.load.id].filter((id) => id !== undefined);
  const rows = await soundRows(db.tables.events, { where: { loadId: ids }, transaction });
  return toldOf(load, batches, rows.map(eventOf));
}

/** The load with the batch it belongs to. @throws Problem 404 */
function loadOf(loadId: string, batches: readonly Batch[]): LoadOfBatch {
  for (const batch of batches) {
    const load = batch.loads.find(({ id }) => id === loadId);
    if (load) return { batch, load };
  }
  throw new Problem(404, 'no-load', 'There is no such load.');
}

const SHELF_WORDS = {
  unseen: 'A probe began the clock of this load and nobody has said that it boiled: its jars go to no shelf.',
  short: 'The probe read under the boil within the tested time of this load: its jars go to no shelf unasked.',
} as const;

async function storeJars(
  db: Database,
  { batch, load }: LoadOfBatch,
  batches: readonly Batch[],
  before: readonly KitchenEvent[],
  event: Extract<KitchenEvent, { type: 'seal-checked' }>,
  transaction: Transaction,
): Promise<void> {
  const { order, state } = loadNow(batch, load, batches, before);
  const host = hostOf(load, batches)?.load.id ?? load.id;
  const held = notForShelf(order, state, db.state.all.curves.get(host));
  if (held && event.sealed.some(Boolean) && !(held.kind === 'short' && event.curveSeen)) {
    throw new Problem(422, `boil-${held.kind}`, SHELF_WORDS[held.kind]);
  }
  if (loadState(order, [...before, event]).phase !== 'checked' || state.phase === 'checked') {
    const reason =
      state.phase === 'cooling'
        ? `${state.jars} jars came out of this load, not ${event.sealed.length}.`
        : 'This load has no jars to check now.';
    throw new Problem(422, 'seal-check', reason);
  }
  const { lots, movements } = sealCheck(batch, state, event);
  await db.pantry.enterLots(lots, movements, transaction);
}

async function storeCold(
  db: Database,
  { batch, load }: LoadOfBatch,
  batches: readonly Batch[],
  before: readonly KitchenEvent[],
  event: Extract<KitchenEvent, { type: 'kept-cold' }>,
  transaction: Transaction,
): Promise<void> {
  if (loadNow(batch, load, batches, before).state.phase !== 'planned' || isCanned(batch)) {
    throw new Problem(422, 'kept-cold', 'These jars are put away already, or they go into a canner.');
  }
  const { lots, movements } = coldLot(batch, load, event, db.recipes.all);
  await db.pantry.enterLots(lots, movements, transaction);
}
