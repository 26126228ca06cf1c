import { basename } from 'node:path';
import { type Transaction } from 'sequelize';
import { type BackupData } from '@hoddle/contract/backup';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';
import { beforeName, copiesIn } from './backupNames';
import { readHolder } from '../db/fileLock';
import { dataOf, inCanonicalOrder, sumOf, sumOfRows } from './householdData';
import { holdBackup } from './holdBackup';
import { emptyHousehold, insertHousehold, withCrops } from './insertHousehold';
import { pruneCopies } from './prune';
import { sweep } from './sweep';
import { withoutOrphans } from './withoutOrphans';

export interface Restored {
  /** Of the data as it is now. */
  readonly sha256: string;
  readonly lots: number;
  readonly movements: number;
  /** The copy of what was there, in the folder of the backups. */
  readonly keptBefore: string;
}

/**
 * Puts a household that was read from a file in the place of the one here, behind all writes that wait. What is here is copied
 * first; what was put in is read back and summed before it counts.
 *
 * @throws Problem 422 when the file breaks a rule; nothing is changed then
 */
export async function restore(db: Database, folder: string, told: BackupData, now: number): Promise<Restored> {
  sweep(told);
  const data = inCanonicalOrder(withCrops(told));
  holdBackup(data, db.state.told.parts as Parameters<typeof holdBackup>[1]);
  sweep(data);
  return putInPlace(db, folder, data, now);
}

/**
 * Goes on with what can be read of a damaged household: the rows that are left out are gone then, with what was told of them. The
 * file as it is, damaged rows and all, is copied first.
 */
export function goOnWithout(db: Database, folder: string, now: number): Promise<Restored> {
  const left = withoutOrphans(dataOf(db.state.all));
  // The settings may be what is damaged; the number in the codes on the lids is known beside the file too.
  const mark = left.mark === 0 ? (readHolder(db.file)?.mark ?? 0) : left.mark;
  return putInPlace(db, folder, inCanonicalOrder({ ...left, mark }), now);
}

async function putInPlace(db: Database, folder: string, data: BackupData, now: number): Promise<Restored> {
  const sha256 = sumOf(data);
  sweep(data);
  const keptBefore = beforeName(folder, 'restore', now);
  await db
    .replace({
      before: () => db.copyTo(keptBefore),
      work: async (transaction: Transaction) => {
        await emptyHousehold(db.tables, transaction);
        await insertHousehold(db.tables, data, transaction);
        sweep(data);
      },
      proven: (rows) => {
        sweep(data);
        if (rows.bad.length > 0 || sumOfRows(rows.rows) !== sha256) {
          throw new Error('what was restored is not what was in the file');
        }
      },
    })
    .catch((error: unknown) => {
      // Parts of it refer to what is not in it: a file put together by hand.
      if (error instanceof Error && error.name.startsWith('Sequelize')) {
        throw new Problem(422, 'not-whole', 'Parts of this backup do not fit together. Nothing was changed.');
      }
      throw error;
    });
  pruneCopies(folder, copiesIn(folder, 'restore'));
  return { sha256, lots: data.lots.length, movements: data.movements.length, keptBefore: basename(keptBefore) };
}
