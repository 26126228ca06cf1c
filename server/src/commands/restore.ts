import { copyFileSync, createReadStream, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { createGunzip } from 'node:zlib';
import { type BackupData } from '@hoddle/contract/backup';
import { dataOf } from '../backup/householdData';
import { readBackup } from '../backup/readBackup';
import { restore } from '../backup/restore';
import { UnusableFile } from '../db/checkFile';
import { type Database, openDatabase } from '../db/openDatabase';
import { Problem } from '../problem';
import { giveUp, householdFiles } from './household';

/**
 * `npm run restore -- FILE`: puts a backup (`.json`, `.json.gz`) or a copy of the file (`.sqlite`) in the place of the household.
 * The server has to be stopped. A file that is damaged is set aside beside it, never thrown away.
 */
const { file, backups } = householdFiles();
const [named] = process.argv.slice(2);
if (named === undefined) giveUp('usage: npm run restore -- FILE');
const source = resolve(named);
if (!existsSync(source)) giveUp(`${source} is not there.`);

const db = await openedOrSetAside();
try {
  const { lots, movements, keptBefore } = await restore(db, backups, await readAny(source), Date.now());
  process.stdout.write(
    `Restored ${lots} lots and ${movements} movements. What was there before is ${join(backups, keptBefore)}\n`,
  );
} catch (error) {
  await db.close();
  giveUp(error instanceof Problem ? error.message : String(error));
}
await db.close();

async function openedOrSetAside(): Promise<Database> {
  try {
    return await openDatabase(file, { backups, anew: true });
  } catch (error) {
    if (!(error instanceof UnusableFile) || error.isHeld || !existsSync(file)) giveUp(String((error as Error).message));
    const aside = `${file}.damaged-${new Date().toISOString().replace(/[:.]/g, '-')}`;
    for (const part of ['', '-wal', '-shm']) if (existsSync(file + part)) renameSync(file + part, aside + part);
    process.stderr.write(`${(error as Error).message}\nIt was set aside as ${aside}\n`);
    return openDatabase(file, { backups, anew: true });
  }
}

async function readAny(path: string): Promise<BackupData> {
  if (!path.endsWith('.sqlite')) {
    const bytes = createReadStream(path);
    return (await readBackup(path.endsWith('.gz') ? bytes.pipe(createGunzip()) : bytes)).data;
  }
  // A copy of it is brought to the newest migration; the one that was named stays as it is.
  const folder = mkdtempSync(join(tmpdir(), 'hoddle-restore-'));
  const copy = join(folder, 'copy.sqlite');
  copyFileSync(path, copy);
  const old = await openDatabase(copy);
  const data = dataOf(old.state.all);
  await old.close();
  rmSync(folder, { recursive: true });
  return data;
}
