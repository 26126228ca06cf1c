import { copyFileSync, existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { dataOf, sumOf } from '../../src/backup/householdData';
import { UnusableFile } from '../../src/db/checkFile';
import { openDatabase } from '../../src/db/openDatabase';
import { type Chance } from './chance';

const PARTS = ['', '-wal'] as const;

/** What became of a file with one byte flipped: refused at the start, opened with what is damaged left out and said, or the same. */
export type Flipped = 'refused' | 'set aside' | 'the same' | 'missed';

export interface Flip {
  readonly part: string;
  readonly offset: number;
  readonly bit: number;
  readonly outcome: Flipped;
  readonly words: string;
}

/** A copy of a household's file as it lies on the disk, its log with it. */
export function copyFile(from: string, to: string): void {
  for (const part of PARTS) if (existsSync(from + part)) copyFileSync(from + part, to + part);
}

/**
 * Flips one bit of one byte of a copy of a file, anywhere in it or in its log, and opens it.
 *
 * @param sum of the household as it is in the file that was not flipped
 */
export async function flipOne(file: string, folder: string, n: number, sum: string, chance: Chance): Promise<Flip> {
  mkdirSync(folder, { recursive: true });
  const copy = join(folder, `flipped-${n}.sqlite`);
  copyFile(file, copy);
  const parts = PARTS.filter((part) => existsSync(copy + part) && statSync(copy + part).size > 0);
  const part = chance.of(parts);
  const bytes = readFileSync(copy + part);
  const [offset, bit] = [chance.below(bytes.length), chance.below(8)];
  bytes[offset] = (bytes[offset] ?? 0) ^ (1 << bit);
  writeFileSync(copy + part, bytes);
  return { part: part === '' ? 'file' : 'log', offset, bit, ...(await opened(copy, sum)) };
}

async function opened(file: string, sum: string): Promise<Pick<Flip, 'outcome' | 'words'>> {
  try {
    const db = await openDatabase(file);
    const { setAside, commitsLost } = db;
    const now = sumOf(dataOf(db.state.all));
    await db.close();
    if (setAside.length > 0) return { outcome: 'set aside', words: `${setAside[0]?.table} ${setAside[0]?.reason}` };
    if (commitsLost > 0) return { outcome: 'set aside', words: `${commitsLost} writes at the end of the log` };
    return { outcome: now === sum ? 'the same' : 'missed', words: '' };
  } catch (error) {
    if (error instanceof UnusableFile) return { outcome: 'refused', words: error.message.replace(/^\S+ /, '') };
    return { outcome: 'missed', words: `an error that nobody expects: ${String(error)}` };
  }
}
