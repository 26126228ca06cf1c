import { Router } from 'express';
import * as v from 'valibot';
import { BatchSchema } from '@hoddle/contract/batch';
import { type Transaction } from 'sequelize';
import { holdsMixed } from '@hoddle/core/canner/holdsMixed';
import { type Batch, type FromPot, isCanned, ofLoad, type PlannedLoad } from '@hoddle/core/day/batch';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { hostOf, sizesInCanner, together } from '@hoddle/core/day/sharedLoad';
import { standing } from '@hoddle/core/kitchen/dayEvent';
import { takenOffMl } from '@hoddle/core/kitchen/takenOff';
import { mixedLoad } from '@hoddle/core/process/mixedLoad';
import { insertParts } from '../db/insertParts';
import { batchRow } from '../db/rowForms';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { CRUMB_KG, lotsOf, readBook } from '../db/produceBook';
import { readBatches, readBatchesNow, readDayEvents, readPages, readSettings } from '../db/readState';
import { holdAgainstHandbook } from './holdAgainstHandbook';
import { Problem } from '../problem';
import { type Tables } from '../db/tables';

/** Batches: planned once, with their loads and what they take from picks; given up as long as no load has begun. */
export function batchesRoute(db: Database): Router {
  return Router()
    .post('/batches', async (req, res) => {
      const batch = v.parse(BatchSchema, req.body);
      holdAgainstHandbook(batch, readPages(db));
      await holdAgainstHosts(db, batch);
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

/** Whoever shares a canner is processed one way, at one pressure, and fits into it; the longest time holds for all. */
async function holdAgainstHosts(db: Database, batch: Batch): Promise<void> {
  if (batch.loads.every(({ withLoadId }) => withLoadId === undefined)) return;
  const others = (await readBatchesNow(db)).filter(({ id }) => id !== batch.id);
  const all = [...others, batch];
  for (const load of batch.loads) {
    if (load.withLoadId === undefined) continue;
    const host = hostOf(load, all);
    if (!host) throw new Problem(422, 'share', 'The load that these jars were to go in with is not planned any more.');
    if (!isCanned(batch) || !isCanned(host.batch))
      throw new Problem(422, 'share', 'Jars that are kept cold share no canner.');
    const ways = [ofLoad(batch, load), host.batch].map(({ method, processMinutes: minutes, pressurePsi }) => ({
      ...{ method, minutes },
      ...(pressurePsi !== undefined && { pressurePsi }),
    }));
    const mixed = mixedLoad(ways);
    if (mixed.kind === 'refusal') throw new Problem(422, 'share', mixed.reason);
    holdRoom(db, batch, load, all);
    if ((await db.tables.events.count({ where: { loadId: host.load.id } })) > 0)
      throw new Problem(409, 'begun', 'That load is in the canner already.');
  }
}

/** @throws Problem 422 where jars of several sizes do not surely stand in the canner together */
function holdRoom(db: Database, batch: Batch, load: PlannedLoad, batches: readonly Batch[]): void {
  const sizes = sizesInCanner(batch, load, batches);
  if (sizes.length < 2) return;
  const host = hostOf(load, batches) ?? { batch, load };
  const { canners, ownJars } = readSettings(db);
  const canner = canners.find(({ id }) => id === (host.load.cannerId ?? host.batch.cannerId));
  const { jars } = together(host.batch, host.load, batches).load;
  const how = isCanned(host.batch) && { method: host.batch.method, ownJars };
  if (!canner || !how || !holdsMixed(canner, sizes, jars, how))
    throw new Problem(422, 'share', 'Jars of these sizes do not all fit into that canner together.');
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
