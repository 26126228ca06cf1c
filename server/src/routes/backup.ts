import { createReadStream, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { type Request, Router } from 'express';
import { type BackupsReply, type RestoreReply } from '@hoddle/contract/backup';
import { backupsIn } from '../backup/backupNames';
import { dataOf } from '../backup/householdData';
import { type Backups } from '../backup/nightly';
import { readBackup } from '../backup/readBackup';
import { goOnWithout, restore } from '../backup/restore';
import { backupPieces } from '../backup/writeBackup';
import { type Clock } from '../clock';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** The whole household as one file and back, and the backups that are taken by themselves. */
export function backupRoute(db: Database, clock: Clock, backups: Backups): Router {
  const bring = async (pieces: AsyncIterable<Uint8Array>): Promise<RestoreReply> => {
    const { data } = await readBackup(pieces);
    return restore(db, backups.folder, data, clock.now(null));
  };
  return Router()
    .get('/backup', async (_req, res) => {
      const madeAt = clock.now(null);
      const data = dataOf(db.state.all);
      const writes = await db.writesKept();
      res.attachment(`hoddle-${new Date(madeAt).toISOString().slice(0, 10)}.json`).type('json');
      await pipeline(Readable.from(backupPieces(data, { madeAt, writes })), res);
    })
    .post('/restore', async (req, res) => {
      try {
        res.json(await bring(bytesOf(req)));
      } catch (error) {
        // What still comes in is let go by, so that whoever sends it hears the answer.
        req.unpipe();
        req.resume();
        throw error;
      }
    })
    .post('/without-damaged', async (_req, res) => {
      if (db.setAside.length === 0 && db.commitsLost === 0) {
        throw new Problem(409, 'sound', 'Nothing of the household’s file is damaged. Nothing was changed.');
      }
      res.json(await goOnWithout(db, backups.folder, clock.now(null)));
    })
    .get('/backups', async (_req, res) => {
      res.json(await listed(db, backups));
    })
    .post('/backups', async (_req, res) => {
      await backups.take();
      res.json(await listed(db, backups));
    })
    .post('/backups/:name/restore', async (req, res) => {
      const known = backupsIn(backups.folder).find(({ name }) => name === req.params.name);
      if (!known) throw new Problem(404, 'no-backup', 'There is no such backup any more.');
      res.json(await bring(createReadStream(join(backups.folder, known.name)).pipe(createGunzip())));
    });
}

/** A file may come as it is kept, compressed. @throws Problem 415 for what is no JSON */
function bytesOf(req: Request): AsyncIterable<Uint8Array> {
  const coding = req.get('content-encoding') ?? 'identity';
  if (coding === 'identity') return req;
  if (coding !== 'gzip') throw new Problem(415, 'coding', 'Only gzip is read, or the file as it is.');
  const unzipped = createGunzip();
  req.pipe(unzipped);
  return unzipped;
}

async function listed(db: Database, { folder, trouble }: Backups): Promise<BackupsReply> {
  const kept = backupsIn(folder).map(({ name, at }) => ({ name, at, bytes: statSync(join(folder, name)).size }));
  const [newest] = kept;
  const writes = newest && (await writesAt(join(folder, newest.name)));
  const writesSince = writes === undefined ? null : Math.max(0, (await db.writesKept()) - writes);
  return { backups: kept, folder, trouble, writesSince };
}

/** How many writes a backup had: it stands in its head, so that only the first bytes are read. */
async function writesAt(path: string): Promise<number | undefined> {
  const unzipped = createReadStream(path, { end: 65_535 }).pipe(createGunzip());
  try {
    for await (const piece of unzipped) {
      const found = /"writes":(\d+)/.exec(String(piece).slice(0, 1_000));
      return found ? Number(found[1]) : undefined;
    }
  } catch {
    return undefined;
  } finally {
    unzipped.destroy();
  }
  return undefined;
}
