import { createReadStream, createWriteStream, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';
import { backupName } from './backupNames';
import { dataOf, sumOf } from './householdData';
import { pruneBackups } from './prune';
import { readBackup } from './readBackup';
import { backupPieces } from './writeBackup';

/**
 * Writes a backup into the folder, reads it back, and only then lets it stand; older ones that are not kept go.
 *
 * @returns its name
 * @throws Problem 503 for a household of which a part is left out
 * @throws Error when it could not be written, or is not read back as what was written
 */
export async function takeBackup(db: Database, folder: string, now: number): Promise<string> {
  if (db.setAside.length > 0) {
    throw new Problem(
      503,
      'damaged',
      'Part of the household’s file is damaged and left out: a backup without it takes no good one’s place. Bring back the newest, or go on without first.',
    );
  }
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = backupName(now);
  const path = join(folder, name);
  if (existsSync(path)) return name;
  const part = `${path}.part`;
  // Of one moment: rows are never changed, only followed by others.
  const rows = db.state.all;
  const data = dataOf(rows);
  try {
    const pieces = backupPieces(data, { madeAt: now, writes: await db.writesKept() });
    await pipeline(Readable.from(pieces), createGzip(), createWriteStream(part, { mode: 0o600 }));
    const handle = await open(part, 'r+');
    await handle.sync();
    await handle.close();
    const back = await readBackup(createReadStream(part).pipe(createGunzip()));
    if (back.head.sha256 !== sumOf(data)) throw new Error('it does not read back as what was written');
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
  renameSync(part, path);
  pruneBackups(folder);
  return name;
}
