import { statfs } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Router } from 'express';
import * as v from 'valibot';
import { ClientErrorSchema } from '@hoddle/contract/clientError';
import { type Health } from '@hoddle/contract/health';
import { type Logger } from 'pino';
import { backupsIn } from '../backup/backupNames';
import { type Backups } from '../backup/nightly';
import { type Changes } from '../changes';
import { type Database } from '../db/openDatabase';

/** Less is soon nothing: a year's writes, the log and a backup fit in it. */
const ENOUGH_MB = 100;

/** Two nights without one are one too many. */
const OLD_MS = 50 * 60 * 60_000;

interface HealthParts {
  readonly db: Database;
  readonly backups: Backups;
  readonly changes: Changes;
  readonly log: Logger;
  /** When the server was started: until the first night nobody misses a backup. */
  readonly startedAt: number;
}

/** `GET /api/health`: whether all is kept as it should be. `POST /api/client-errors`: what broke on a screen. */
export function healthRoute({ log, ...parts }: HealthParts): Router {
  return Router()
    .get('/health', async (_req, res) => {
      const health = await healthOf(parts);
      res.status(health.ok ? 200 : 503).json(health);
    })
    .post('/client-errors', (req, res) => {
      const { message, where, stack } = v.parse(ClientErrorSchema, req.body);
      log.error({ screen: { message, where, stack } }, 'a screen broke');
      res.status(204).end();
    });
}

async function healthOf({ db, backups, changes, startedAt }: Omit<HealthParts, 'log'>): Promise<Health> {
  const { file, waiting } = db.health();
  const free = await statfs(dirname(db.file)).then(
    ({ bavail, bsize }) => Math.floor((bavail * bsize) / (1_024 * 1_024)),
    () => 0,
  );
  const [newest] = backupsIn(backups.folder);
  const at = newest?.at ?? null;
  const isOld = Date.now() - (at ?? startedAt) > OLD_MS;
  const backup = { at, ok: backups.trouble === null && !isOld, trouble: backups.trouble };
  const disk = { freeMb: free, ok: free >= ENOUGH_MB };
  return {
    ok: file === 'ok' && disk.ok && backup.ok && db.setAside.length === 0 && db.commitsLost === 0,
    ...{ file, disk, backup },
    ...{ setAside: db.setAside.length, writesLost: db.commitsLost, queue: waiting, screens: changes.open },
  };
}
