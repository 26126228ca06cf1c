import { join } from 'node:path';
import { takeBackup } from '../backup/takeBackup';
import { UnusableFile } from '../db/checkFile';
import { openDatabase } from '../db/openDatabase';
import { giveUp, householdFiles } from './household';
import { askRunning } from './running';

/** `npm run backup`: takes a backup now, by the server where one runs, else from the file itself. */
const { file, backups } = householdFiles();
const asked = await askRunning(file, 'POST', '/backups');
if (asked) {
  const { backups: kept = [], folder = backups } = asked.body as { backups?: { name: string }[]; folder?: string };
  if (asked.status !== 200 || !kept[0]) giveUp('The running Hoddle could not take a backup: see its log.');
  process.stdout.write(`${join(folder, kept[0].name)}\n`);
} else {
  const db = await openDatabase(file, { backups }).catch((error: unknown) =>
    giveUp(error instanceof UnusableFile ? error.message : String(error)),
  );
  const name = await takeBackup(db, backups, Date.now());
  await db.close();
  process.stdout.write(`${join(backups, name)}\n`);
}
