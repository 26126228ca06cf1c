import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { checkFile } from '../db/checkFile';
import { fillHousehold } from '../backup/insertHousehold';
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

// A demo that was thrown away may begin anew.
const db = await openDatabase(path, { anew: true });
const { tables } = db;
const isNew = (await tables.picks.count()) === 0 && (await tables.lots.count()) === 0;
if (isNew) {
  const now = new Date();
  const { demoNow, ...household } = fennickHollow(now);
  const demoOffsetMs = demoNow - now.getTime();
  await fillHousehold(db, { ...household, demoOffsetMs });
}
await db.close();
