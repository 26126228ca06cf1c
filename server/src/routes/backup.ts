import { existsSync } from 'node:fs';
import { basename } from 'node:path';
import express, { Router } from 'express';
import * as v from 'valibot';
import { BACKUP_FORMAT, BACKUP_VERSION, type BackupData, BackupFile } from '@hoddle/contract/backup';
import { type Clock } from '../clock';
import { backupData, sumOf } from '../db/backupData';
import { emptyHousehold, insertHousehold } from '../db/insertHousehold';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** Twenty years of a large household are about 20 MB. */
const LARGEST = '200mb';

/** `GET /api/backup`, `POST /api/restore`: the whole household as one file, and back. */
export function backupRoute(db: Database, clock: Clock): Router {
  return Router()
    .get('/backup', async (_req, res) => {
      const data = await backupData(db, clock);
      const madeAt = new Date(clock.now(null)).toISOString();
      const backup: BackupFile = { format: BACKUP_FORMAT, version: BACKUP_VERSION, madeAt, sha256: sumOf(data), data };
      res.attachment(`hoddle-${madeAt.slice(0, 10)}.json`).json(backup);
    })
    .post('/restore', express.text({ type: '*/*', limit: LARGEST }), async (req, res) => {
      const backup = readBackup(String(req.body));
      const keptBefore = freeName(db.file, clock.now(null));
      await db.copyTo(keptBefore);
      await db
        .write(async (transaction) => {
          await emptyHousehold(db.tables, transaction);
          await insertHousehold(db.tables, backup.data, transaction);
          transaction.afterCommit(async () => {
            await db.recipes.load();
            db.recipes.lay();
            await db.pantry.load();
          });
        })
        .catch((error: unknown) => {
          // Parts of it refer to what is not in it: a file put together by hand.
          if (error instanceof Error && error.name.startsWith('Sequelize')) {
            throw new Problem(422, 'not-whole', 'Parts of this backup do not fit together. Nothing was changed.');
          }
          throw error;
        });
      const sha256 = sumOf(await backupData(db, clock));
      const { lots, movements } = backup.data;
      res.json({ sha256, lots: lots.length, movements: movements.length, keptBefore: basename(keptBefore) });
    });
}

/** @throws Problem 422 with a sentence for a file that is cut short, newer, damaged or none of ours */
function readBackup(text: string): BackupFile {
  const told = parse(text);
  if (typeof told !== 'object' || told === null || !('format' in told) || told.format !== BACKUP_FORMAT) {
    throw new Problem(422, 'no-backup', 'This is not a backup of Hoddle. Nothing was changed.');
  }
  if ('version' in told && typeof told.version === 'number' && told.version > BACKUP_VERSION) {
    const reason = `This backup was made by a newer Hoddle (version ${told.version}; this one reads ${BACKUP_VERSION}). Update first. Nothing was changed.`;
    throw new Problem(422, 'newer', reason);
  }
  const backup = v.safeParse(BackupFile, told);
  if (!backup.success) {
    const issue = backup.issues[0];
    const where = v.getDotPath(issue) ?? 'the file';
    throw new Problem(422, 'damaged', `This backup is damaged: ${where} ${issue.message}. Nothing was changed.`);
  }
  // Of the data as it is in the file: an older Hoddle did not know of all that is there since.
  if (!('data' in told) || sumOf(told.data as BackupData) !== backup.output.sha256) {
    throw new Problem(
      422,
      'damaged',
      'This backup was changed or damaged since it was made: its sum does not fit. Nothing was changed.',
    );
  }
  return backup.output;
}

/** Keys through which a file could reach into the program instead of being data. */
const HOSTILE_KEYS = ['__proto__', 'constructor', 'prototype'];

function parse(text: string): unknown {
  try {
    return JSON.parse(text, (key, value: unknown) => {
      if (HOSTILE_KEYS.includes(key))
        throw new Problem(422, 'hostile', 'This file holds what no backup holds. Nothing was changed.');
      return value;
    });
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(
      422,
      'cut-short',
      'This file ends before its end, or is no JSON: was it copied whole? Nothing was changed.',
    );
  }
}

/** A name beside the household's file that nothing has yet. */
function freeName(file: string, now: number): string {
  const stamp = new Date(now).toISOString().replace(/[:.]/g, '-');
  const name = `${file}.before-restore-${stamp}`;
  return existsSync(name) ? `${name}-again` : name;
}
