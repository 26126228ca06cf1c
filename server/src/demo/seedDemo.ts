import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { checkFile } from '../db/checkFile';
import { insertParts } from '../db/insertParts';
import { openDatabase } from '../db/openDatabase';
import { fennickHollow } from './fennickHollow';

/**
 * Makes the demo's file. An existing one is kept as it is, with all that was tried in it; `--fresh` starts over.
 *
 * Usage: node seedDemo.js FILE [--fresh]
 */
const [file, ...flags] = process.argv.slice(2);
if (!file) throw new RangeError('usage: seedDemo FILE [--fresh]');
const path = resolve(file);
if (flags.includes('--fresh')) {
  checkFile(path);
  for (const part of ['', '-wal', '-shm']) rmSync(path + part, { force: true });
}

const db = await openDatabase(path);
const { tables } = db;
const isNew = (await tables.picks.count()) === 0 && (await tables.lots.count()) === 0;
if (isNew) {
  const now = new Date();
  const { household, demoNow, batches, events, dayEvents, lots, ...rest } = fennickHollow(now);
  const { canners, ...settings } = household;
  await db.write(async (transaction) => {
    const demoOffsetMs = demoNow - now.getTime();
    await tables.households.update({ ...settings, demoOffsetMs }, { where: { id: 1 }, transaction });
    await tables.canners.bulkCreate(
      canners.map((canner, position) => ({ ...canner, position })),
      { transaction },
    );
    await tables.plantings.bulkCreate(rest.plantings, { transaction });
    await tables.gardenLooks.bulkCreate(rest.gardenLooks, { transaction });
    await tables.picks.bulkCreate(rest.picks, { transaction });
    await tables.lotChanges.bulkCreate(rest.lotChanges, { transaction });
    await tables.ownMeasures.bulkCreate(rest.ownMeasures, { transaction });
    for (const batch of batches) {
      const { uses: _, loads: __, ingredients = null, ...row } = batch;
      await tables.batches.create({ ...row, ingredients }, { transaction });
      await insertParts(tables, batch, transaction);
    }
    await tables.batchRecords.bulkCreate(rest.batchRecords, { transaction });
    const rows = events.map(({ id, loadId, type, at, ...detail }) => ({ id, loadId, type, at, detail }));
    await tables.events.bulkCreate(rows, { transaction });
    const steps = dayEvents.map(({ id, day, type, at, ...detail }) => ({ id, day, type, at, detail }));
    await tables.dayEvents.bulkCreate(steps, { transaction });
    await tables.lots.bulkCreate(
      lots.map((lot) => ({ ...lot, loadId: null })),
      { transaction },
    );
    await tables.movements.bulkCreate(rest.movements, { transaction });
    await tables.checkedRows.bulkCreate(rest.checkedRows, { transaction });
    await tables.sources.bulkCreate(rest.sources, { transaction });
  });
}
await db.close();
