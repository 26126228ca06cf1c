import { Router } from 'express';
import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { KitchenEventSchema } from '@hoddle/contract/kitchenEvent';
import { type Batch } from '@hoddle/core/day/batch';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadOrder } from '@hoddle/core/kitchen/loadOrder';
import { loadState } from '@hoddle/core/kitchen/loadState';
import { sealCheck } from '@hoddle/core/pantry/sealCheck';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { eventOf } from '../db/readState';
import { Problem } from '../problem';
import { batchOfLoad } from './batches';

/**
 * `POST /api/kitchen/events`: what happened to a load. Every event is kept, in place or not, since the fold decides what
 * it means; only a seal check must fit its load, because it moves jars.
 */
export function kitchenEventsRoute(db: Database): Router {
  return Router().post('/kitchen/events', async (req, res) => {
    const event = v.parse(KitchenEventSchema, req.body) as KitchenEvent;
    const batch = await batchOfLoad(db, event.loadId);
    const isNew = await db.write(async (transaction) => {
      const { id, loadId, type, at, ...detail } = event;
      const before = await eventsOf(db, loadId, transaction);
      const added = await keepOnce(db.tables.events, { id, loadId, type, at, detail }, transaction);
      if (added && event.type === 'seal-checked') await storeJars(db, batch, before, event, transaction);
      return added;
    });
    res.status(isNew ? 201 : 200).json(event);
  });
}

async function eventsOf(db: Database, loadId: string, transaction: Transaction): Promise<KitchenEvent[]> {
  return (await db.tables.events.findAll({ where: { loadId }, transaction })).map((row) =>
    eventOf(row.get({ plain: true })),
  );
}

async function storeJars(
  db: Database,
  batch: Batch,
  before: readonly KitchenEvent[],
  event: Extract<KitchenEvent, { type: 'seal-checked' }>,
  transaction: Transaction,
): Promise<void> {
  const load = batch.loads.find((candidate) => candidate.id === event.loadId);
  const order = loadOrder(batch, load ?? { jars: 0 });
  const state = loadState(order, before);
  if (loadState(order, [...before, event]).phase !== 'checked' || state.phase === 'checked') {
    const reason =
      state.phase === 'cooling'
        ? `${state.jars} jars came out of this load, not ${event.sealed.length}.`
        : 'This load has no jars to check now.';
    throw new Problem(422, 'seal-check', reason);
  }
  const { lots, movements } = sealCheck(batch, state, event);
  await db.tables.lots.bulkCreate(
    lots.map((lot) => ({ ...lot, loadId: lot.loadId ?? null })),
    { transaction },
  );
  await db.tables.movements.bulkCreate(movements, { transaction });
}
