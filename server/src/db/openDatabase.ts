import { chmodSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { Mutex } from 'async-mutex';
import { QueryTypes, Sequelize, Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { beforeName, copiesIn, newestBackup } from '../backup/backupNames';
import { clearParts, pruneCopies } from '../backup/prune';
import { type Clock, systemClock } from '../clock';
import { requestContext } from '../requestContext';
import { checkFile, UnusableFile } from './checkFile';
import { checkSound } from './checkSound';
import { type FileLock, lockFile, readHolder } from './fileLock';
import { holdNotNewer, migrate, migrationsOf } from './migrate';
import { MIGRATIONS } from './migrations';
import { PantryBook } from './pantryBook';
import { RecipeBook } from './recipeBook';
import { readRows, rowsAfter, type RowsRead, sealTouched } from './rowStore';
import { badKeys, sealAll } from './seal';
import { type BadRow } from './soundRows';
import { StateBook } from './stateBook';
import { defineOwnTables, defineTables, type OwnTables, type Tables } from './tables';
import { TouchedRows } from './touchedRows';
import { type FileState, fileStateOf, notKept } from './trouble';
import { commitsLost } from './walState';

/** Marks a file as Hoddle's: the letters "HODL". https://www.sqlite.org/pragma.html#pragma_application_id */
const APPLICATION_ID = 0x48_4f_44_4c;

export interface Database {
  /** Where it is. */
  readonly file: string;
  readonly tables: Tables;
  /** Devices and the passphrase: no part of the household. */
  readonly own: OwnTables;
  /** What every screen is told, and all rows as they stand. */
  readonly state: StateBook;
  /** The jars, added up. */
  readonly pantry: PantryBook;
  /** Recipes of its own. */
  readonly recipes: RecipeBook;
  /** Rows that were damaged when they were read last: they are left out. */
  readonly setAside: readonly BadRow[];
  /** Commits at the end of the log that could not be read when the file was opened. */
  readonly commitsLost: number;
  readonly health: () => { readonly file: FileState; readonly waiting: number };
  /** Copies the file as it is now, to a file that is not there yet. */
  copyTo(other: string): Promise<void>;
  /**
   * Runs a write in one transaction. Writes queue: SQLite takes one at a time, and a queue beats a busy error. What was written
   * is read back before it is committed.
   *
   * @throws Problem 503 where the file cannot be written, Unreadable where what was written could not be read again
   */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /**
   * Puts another household in the place of all rows, behind the writes that wait, in one transaction.
   *
   * @param before runs first, with no write under way
   * @param proven runs last, with the rows as they will stand; what it throws undoes everything
   */
  replace(steps: {
    readonly before?: () => Promise<void>;
    readonly work: (transaction: Transaction) => Promise<void>;
    readonly proven?: (read: RowsRead) => void;
  }): Promise<void>;
  /** How many writes the household has had. */
  writesKept(): Promise<number>;
  /** Looks the whole file over. @returns what is wrong with it, nothing where it is sound */
  check(): Promise<readonly string[]>;
  /** Tells who finds the file taken where this server answers. */
  tellAddress(address: string): void;
  close(): Promise<void>;
}

export interface OpenOptions {
  readonly clock?: Clock;
  /** Where copies and backups go: beside the file unless said. */
  readonly backups?: string;
  /** A household that was there and is gone may begin anew: it is restored at once. */
  readonly anew?: boolean;
}

/**
 * Opens a household's file for this process alone, making it when it is not there, and brings it to the newest migration; a file
 * that needs that is copied first.
 *
 * @throws UnusableFile when it cannot be used; the file is then as it was
 */
export async function openDatabase(
  file: string,
  { clock = systemClock, backups = backupsOf(file), anew = false }: OpenOptions = {},
): Promise<Database> {
  checkFile(file);
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const lock = await lockFile(file);
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  try {
    if (!anew) holdThere(file, backups);
    clearParts(backups);
    const lost = commitsLost(file);
    await holdOurs(file);
    const tables = defineTables(sequelize);
    const own = defineOwnTables(sequelize);
    await sequelize.query('PRAGMA journal_mode = WAL');
    await sequelize.query(`PRAGMA application_id = ${APPLICATION_ID}`);
    await holdSound(sequelize, file, backups);
    await bringUp(sequelize, tables, backups);
    const opened = await openBooks(sequelize, { file, tables, own, clock, lock, lost });
    // Of damaged settings the number is not known: what was told before stays.
    const settings = opened.state.all.households.get('1');
    if (settings) lock.tell({ mark: settings.mark });
    for (const part of ['', '-wal', '-shm']) if (existsSync(file + part)) chmodSync(file + part, 0o600);
    return opened;
  } catch (cause) {
    await sequelize.close().catch(() => undefined);
    await lock.release();
    if (cause instanceof UnusableFile) throw cause;
    throw new UnusableFile(`${file} cannot be opened: ${cause instanceof Error ? cause.message : String(cause)}`, {
      cause,
    });
  }
}

/** Where copies of a file go unless another folder is named. */
export function backupsOf(file: string): string {
  return `${file}.backups`;
}

interface Opening {
  readonly file: string;
  readonly tables: Tables;
  readonly own: OwnTables;
  readonly clock: Clock;
  readonly lock: FileLock;
  readonly lost: number;
}

async function openBooks(sequelize: Sequelize, { file, tables, own, clock, lock, lost }: Opening): Promise<Database> {
  const touched = new TouchedRows(sequelize, Object.values(tables));
  const immediate = { type: Transaction.TYPES.IMMEDIATE };
  const readAll = () => sequelize.transaction((transaction) => readRows(tables, transaction));
  const first = await readAll();
  let setAside: readonly BadRow[] = first.bad;
  const pantry = new PantryBook(tables, first.rows);
  const recipes = new RecipeBook(tables);
  const state = new StateBook(first.rows, pantry, clock);
  await recipes.load();
  recipes.lay();
  const queue = new Mutex();
  const inode = statSync(file).ino;
  let fileState: FileState = 'ok';
  let waiting = 0;
  let lostNow = lost;

  /** One at a time, with the state of the file known before and after. */
  const alone = <T>(work: () => Promise<T>): Promise<T> => {
    waiting += 1;
    return queue.runExclusive(async () => {
      try {
        if (!existsSync(file) || statSync(file).ino !== inode) {
          fileState = 'gone';
          throw notKept('gone');
        }
        const done = await work();
        if (fileState !== 'damaged') fileState = 'ok';
        return done;
      } catch (error) {
        const found = fileStateOf(error);
        if (!found) throw error;
        fileState = found;
        throw notKept(found);
      } finally {
        waiting -= 1;
      }
    });
  };
  const countWrite = (transaction: Transaction) => own.writes.increment('writes', { where: { id: 1 }, transaction });

  return {
    ...{ file, tables, own, state, pantry, recipes },
    get commitsLost() {
      return lostNow;
    },
    get setAside() {
      return setAside;
    },
    health: () => ({ file: fileState, waiting }),
    copyTo: (other) => copyWhole(sequelize, other),
    write: (work) =>
      alone(async () => {
        // What is damaged as a whole gets worse with every write.
        if (fileState === 'damaged') throw notKept('damaged');
        const by = requestContext.getStore()?.screen;
        const { done, next } = await sequelize.transaction(immediate, async (transaction) => {
          const result = await work(transaction);
          const after = await rowsAfter(state.all, tables, touched.of(transaction), transaction);
          if (after.written.length > 0) await countWrite(transaction);
          return { done: result, next: after };
        });
        pantry.follow(next.rows);
        state.take(next, by);
        return done;
      }),
    replace: ({ before, work, proven }) =>
      alone(async () => {
        await before?.();
        const read = await sequelize.transaction(immediate, async (transaction) => {
          await work(transaction);
          await countWrite(transaction);
          // Rows that were changed, not made, have the sum of before: they get theirs.
          await sealTouched(tables, touched.of(transaction), transaction);
          const next = await readRows(tables, transaction);
          proven?.(next);
          return next;
        });
        await recipes.load();
        recipes.lay();
        pantry.load(read.rows);
        setAside = read.bad;
        lostNow = 0;
        state.replace(read.rows);
      }),
    writesKept: async () => (await own.writes.findByPk(1))?.get('writes') as number,
    check: async () => {
      const faults = await checkSound(sequelize);
      const read = await readAll();
      setAside = read.bad;
      if (faults.length > 0) fileState = 'damaged';
      return [...faults, ...read.bad.map(({ table, key, reason }) => `${table} ${key} ${reason}`)];
    },
    tellAddress: (address) => lock.tell({ address }),
    close: () =>
      queue.runExclusive(async () => {
        await sequelize.close();
        await lock.release();
      }),
  };
}

/** A household that was here and is not any more must not become an empty one. @throws UnusableFile */
function holdThere(file: string, backups: string): void {
  if (existsSync(file) && statSync(file).size > 0) return;
  if (readHolder(file)?.mark === undefined && newestBackup(backups) === undefined) return;
  const newest = newestBackup(backups);
  const way = newest
    ? `Its newest backup is ${newest}: npm run restore -- ${newest}`
    : `To begin anew, take ${file}.holder away.`;
  throw new UnusableFile(`${file} is gone: there was a household in it. Nothing was made in its place. ${way}`);
}

/**
 * Asks SQLite, not the bytes of the file: after a power cut the newest pages, the mark among them, may still be in the
 * write-ahead log alone. Read-only, so that a file that is not for us stays as it is.
 */
async function holdOurs(file: string): Promise<void> {
  if (!existsSync(file)) return;
  const reading = new Sequelize({
    ...{ dialect: 'sqlite', storage: file, logging: false },
    dialectOptions: { mode: sqlite3.OPEN_READONLY },
  });
  try {
    const ask = async (sql: string) =>
      Object.values((await reading.query<object>(sql, { type: QueryTypes.SELECT }))[0] ?? {})[0];
    const mark = await ask('PRAGMA application_id');
    if (mark === 0 && (await ask('SELECT COUNT(*) FROM sqlite_master')) === 0) return;
    if (mark !== APPLICATION_ID) {
      throw new UnusableFile(
        `${file} belongs to another program. It was left as it is; name another one in HODDLE_DB.`,
      );
    }
    holdNotNewer(file, await migrationsOf(reading));
  } finally {
    await reading.close();
  }
}

/** @throws UnusableFile with the way back where the file is damaged */
async function holdSound(sequelize: Sequelize, file: string, backups: string): Promise<void> {
  const [fault] = await checkSound(sequelize);
  if (fault === undefined) return;
  const newest = newestBackup(backups);
  const way = newest
    ? `Its newest backup is ${newest}; what was written since then would be lost: npm run restore -- ${newest}`
    : 'There is no backup of it.';
  throw new UnusableFile(`${file} is damaged (${fault}). ${way}`);
}

/** Brings the file up, with a copy of it as it was before. */
async function bringUp(sequelize: Sequelize, tables: Tables, backups: string): Promise<void> {
  const had = await migrationsOf(sequelize);
  if (had.length === MIGRATIONS.length) return;
  if (had.length > 0) {
    await copyWhole(sequelize, beforeName(backups, 'upgrade', Date.now()));
    pruneCopies(backups, copiesIn(backups, 'upgrade'));
  }
  await migrate(sequelize, {
    before: () => badKeys(sequelize, tables),
    after: (bad) => sealAll(sequelize, tables, bad),
  });
}

/** In one snapshot, and whole or not at all. https://www.sqlite.org/lang_vacuum.html#vacuuminto */
async function copyWhole(sequelize: Sequelize, other: string): Promise<void> {
  mkdirSync(dirname(other), { recursive: true, mode: 0o700 });
  const part = `${other}.part`;
  rmSync(part, { force: true });
  await sequelize.query('VACUUM INTO ?', { replacements: [part] });
  chmodSync(part, 0o600);
  renameSync(part, other);
}
