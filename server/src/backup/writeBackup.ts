import { BACKUP_FORMAT, BACKUP_VERSION, type BackupData } from '@hoddle/contract/backup';
import { canonicalPieces, sumOf } from './householdData';

export interface BackupHead {
  readonly madeAt: number;
  /** How many writes the household has had: what came after it can be counted. */
  readonly writes: number;
}

/** Pieces of text of a fair size: a row each would be many small writes. */
const PIECE = 64 * 1_024;

/** A household as one backup file, piece by piece. Its head comes first, so that a reader knows at once what it reads. */
export function* backupPieces(data: BackupData, { madeAt, writes }: BackupHead): Generator<string> {
  const head = {
    ...{ format: BACKUP_FORMAT, version: BACKUP_VERSION, madeAt: new Date(madeAt).toISOString() },
    ...{ writes, sha256: sumOf(data) },
  };
  let piece = `${JSON.stringify(head).slice(0, -1)},"data":`;
  for (const part of canonicalPieces(data)) {
    piece += part;
    if (piece.length < PIECE) continue;
    yield piece;
    piece = '';
  }
  yield `${piece}}`;
}
