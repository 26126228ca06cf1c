import { Router } from 'express';
import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { KitchenEventSchema } from '@hoddle/contract/kitchenEvent';
import { type Batch } from '@hoddle/core/day/batch';
import { hostOf, type LoadOfBatch } from '@hoddle/core/day/sharedLoad';
import { isHeldToTheTable, type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { startFault } from '@hoddle/core/kitchen/startFault';
import { loadOrder } from '@hoddle/core/kitchen/loadOrder';
import { type LoadOrder } from '@hoddle/core/kitchen/loadState';
import { jarsStored } from '@hoddle/core/pantry/jarsStored';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { type Clock } from '../clock';
import { readBatches, readBatchesNow } from '../db/readState';
import { eventOf } from '../db/rowForms';
import { soundRows } from '../db/soundRows';
import { hold } from '../hold';
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
  // What was told without signal has happened: it is kept as it was, and the fold says what it means.
  if (await isJustNow(db, clock, sent)) hold(startFault(sent, own, batches));
  const event = withTested(sent, order);
  const isNew = await db.write(async (transaction) => {
    const { id, loadId, type, at, ...detail } = event;
    const events = await eventsOf(db, own, batches, transaction);
    const added = await keepOnce(db.tables.events, { id, loadId, type, at, detail }, transaction);
    if (added) await holdInOrder(db, clock, event, transaction);
    if (added) await storeJars(db, own, { batches, events }, event, transaction);
    return added;
  });
  return { event, isNew };
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
  return rows.map(eventOf);
}

/** The load with the batch it belongs to. @throws Problem 404 */
function loadOf(loadId: string, batches: readonly Batch[]): LoadOfBatch {
  for (const batch of batches) {
    const load = batch.loads.find(({ id }) => id === loadId);
    if (load) return { batch, load };
  }
  throw new Problem(404, 'no-load', 'There is no such load.');
}

/** @throws Problem 422 where jars may not go where they are told to be */
async function storeJars(
  db: Database,
  own: LoadOfBatch,
  told: { readonly batches: readonly Batch[]; readonly events: readonly KitchenEvent[] },
  event: KitchenEvent,
  transaction: Transaction,
): Promise<void> {
  const host = hostOf(own.load, told.batches)?.load.id ?? own.load.id;
  const stored = jarsStored(event, own, { ...told, curve: db.state.all.curves.get(host), recipes: db.recipes.all });
  if (stored?.kind === 'fault') hold(stored.fault);
  if (stored?.kind === 'stored') await db.pantry.enterLots(stored.lots, stored.movements, transaction);
}
