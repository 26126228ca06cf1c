import { Router } from 'express';
import * as v from 'valibot';
import { BatchSchema } from '@hoddle/contract/batch';
import { type Transaction } from 'sequelize';
import { type Batch, type FromPot } from '@hoddle/core/day/batch';
import { batchFault } from '@hoddle/core/day/batchFault';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { sharedLoadFault } from '@hoddle/core/day/sharedLoadFault';
import { CRUMB_KG } from '@hoddle/core/harvest/crumb';
import { standing } from '@hoddle/core/kitchen/dayEvent';
import { takenOffMl } from '@hoddle/core/kitchen/takenOff';
import { insertParts } from '../db/insertParts';
import { batchRow } from '../db/rowForms';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { lotsOf, readBook } from '../db/produceBook';
import { readBatches, readBatchesNow, readDayEvents, readEvents, readPages, readSettings } from '../db/readState';
import { hold } from '../hold';
import { Problem } from '../problem';
import { type Tables } from '../db/tables';

/** Batches: planned once, with their loads and what they take from picks; given up as long as no load has begun. */
export function batchesRoute(db: Database): Router {
  return Router()
    .post('/batches', async (req, res) => {
      const batch = v.parse(BatchSchema, req.body);
      hold(batchFault(batch, readPages(db)));
      await holdShared(db, batch);
      const isNew = await keepBatch(db, batch);
      res.status(isNew ? 201 : 200).json(batch);
    })
    .delete('/batches/:id', async (req, res) => {
      const { id } = req.params;
      await db.write(async (transaction) => {
        const { loads, uses, batches, events } = db.tables;
        const batchId = await goesWith(db, id, transaction);
        const ids = (await loads.findAll({ where: { batchId }, transaction })).map((load) => load.get('id') as string);
        const begun = await events.count({ where: { loadId: ids }, transaction });
        if (begun > 0) throw new Problem(409, 'begun', 'A load of this batch is already in the canner, so it stays.');
        await loads.destroy({ where: { batchId }, transaction });
        await uses.destroy({ where: { batchId }, transaction });
        await batches.destroy({ where: { id: batchId }, transaction });
      });
      res.status(204).end();
    });
}

/** A batch, the pots that were poured into it, and what was to be made of theirs, unless that was taken off before. */
async function goesWith(db: Database, id: string, transaction: Transaction): Promise<string[]> {
  const told = standing(await readDayEvents(db, transaction));
  const joined = told.flatMap((event) => (event.type === 'pots-joined' && event.batchId === id ? [event.withId] : []));
  const pots = [id, ...joined].filter((pot) => takenOffMl(pot, told) === undefined);
  const made = (await readBatches(db, transaction)).filter(({ from }) => from && pots.includes(from.batchId));
  return [...new Set([id, ...joined, ...made.map((own) => own.id)])];
}

/** @throws Problem 422 where the pot that a batch begins with is not planned, or neither gives nor gave anything of that kind */
async function holdPot(db: Database, { batchId, kind }: FromPot, transaction: Transaction): Promise<void> {
  const pot = (await readBatches(db, transaction)).find(({ id }) => id === batchId);
  // Ladled off unplanned, it was told on the day.
  const isTold = pot && takenOffMl(batchId, await readDayEvents(db, transaction)) !== undefined;
  if (!isTold && !pot?.gives?.includes(kind))
    throw new Problem(422, 'no-output', 'The pot that this was to be made of is not planned any more.');
}

/** What a batch takes of a pick is of the pick's crop, whatever was sent. */
async function withCrops(tables: Tables, uses: Batch['uses'], transaction: Transaction): Promise<Batch['uses']> {
  const rows = await tables.picks.findAll({ where: { id: uses.map(({ pickId }) => pickId) }, transaction });
  const cropOf = new Map(rows.map((row) => [row.get('id') as string, row.get('crop') as ProduceId]));
  return uses.map((use) => {
    const crop = cropOf.get(use.pickId);
    return { ...use, ...(crop && { crop }) };
  });
}

/** Whoever shares a canner with others must be tested for it, and find room. */
async function holdShared(db: Database, batch: Batch): Promise<void> {
  if (batch.loads.every(({ withLoadId }) => withLoadId === undefined)) return;
  const batches = await readBatchesNow(db);
  const { canners, ownJars } = readSettings(db);
  const begun = new Set((await readEvents(db)).map(({ loadId }) => loadId));
  const fault = sharedLoadFault(batch, { batches, canners, ownJars, hasBegun: (loadId) => begun.has(loadId) });
  hold(fault, fault?.code === 'begun' ? 409 : 422);
}

function keepBatch(db: Database, batch: Batch): Promise<boolean> {
  const { tables } = db;
  return db.write(async (transaction) => {
    const isNew = await keepOnce(tables.batches, batchRow(batch), transaction);
    if (!isNew) return false;
    if (batch.from) await holdPot(db, batch.from, transaction);
    for (const use of batch.uses) {
      const left = lotsOf(await readBook(tables, use.pickId, transaction));
      const leftKg = left.reduce((sum, lot) => sum + lot.massKg, 0);
      if (use.massKg > leftKg + CRUMB_KG) {
        throw new Problem(
          409,
          'not-on-hand',
          'Part of that produce is gone: it was used in another way. Plan again with what is left.',
        );
      }
    }
    await insertParts(tables, [{ ...batch, uses: await withCrops(tables, batch.uses, transaction) }], transaction);
    return true;
  });
}
