import { copyFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import fc from 'fast-check';
import sqlite3 from 'sqlite3';
import { commitsLost } from './walState';

const folder = mkdtempSync(join(tmpdir(), 'hoddle-wal-'));
const COMMITS = 12;
let copies = 0;

const open = (file: string) => {
  const db = new sqlite3.Database(file);
  return {
    run: promisify<string, unknown>(db.exec.bind(db) as never),
    get: promisify<string, { n: number } | undefined>(db.get.bind(db) as never),
    close: promisify(db.close.bind(db)),
  };
};

/** A file and its log as a killed process leaves them, with so many commits in the log. */
async function killed(): Promise<string> {
  const name = `killed-${(copies += 1)}.sqlite`;
  const file = join(folder, `whole-${name}`);
  const db = open(file);
  await db.run('PRAGMA journal_mode = WAL; PRAGMA wal_autocheckpoint = 0; CREATE TABLE jars (n INTEGER, note TEXT)');
  await db.run('PRAGMA wal_checkpoint(TRUNCATE)');
  for (let n = 0; n < COMMITS; n++) await db.run(`INSERT INTO jars VALUES (${n}, '${'damson '.repeat(n * 60)}')`);
  for (const part of ['', '-wal']) copyFileSync(file + part, join(folder, name + part));
  await db.close();
  return join(folder, name);
}

/** How many commits SQLite itself still finds. */
async function recovered(file: string): Promise<number> {
  const db = open(file);
  const found = await db.get('SELECT COUNT(*) AS n FROM jars').catch(() => undefined);
  await db.close();
  return found?.n ?? 0;
}

// SQLite's own recovery is the judge: what it does not find any more must have been told as lost, and nothing else.
test('commits are told as lost just when SQLite does not find them any more', async () => {
  const whole = await killed();
  expect(commitsLost(whole)).toBe(0);
  const log = readFileSync(`${whole}-wal`);
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 0, max: log.length - 1 }), fc.integer({ min: 0, max: 7 }), async (at, bit) => {
      const file = join(folder, `flip-${(copies += 1)}.sqlite`);
      copyFileSync(whole, file);
      const bytes = Buffer.from(log);
      bytes[at] = (bytes[at] ?? 0) ^ (1 << bit);
      writeFileSync(`${file}-wal`, bytes);
      const lost = commitsLost(file);
      const left = await recovered(file);
      expect({ at, left, isTold: lost > 0 }).toEqual({ at, left, isTold: left < COMMITS });
    }),
    { numRuns: 150, seed: 20_260_829 },
  );
});

test('a last write that was cut off before its commit is nobody’s: nothing is told as lost', async () => {
  const whole = await killed();
  const log = readFileSync(`${whole}-wal`);
  const pageSize = log.readUInt32BE(8);
  for (const cut of [1, 24, 500, 24 + pageSize - 1]) {
    const file = join(folder, `cut-${cut}.sqlite`);
    copyFileSync(whole, file);
    // The next frame's beginning, as if the power had gone in the middle of it.
    writeFileSync(`${file}-wal`, Buffer.concat([log, log.subarray(32, 32 + cut)]));
    expect([cut, commitsLost(file)]).toEqual([cut, 0]);
  }
});
