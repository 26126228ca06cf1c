import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Mutex } from 'async-mutex';
import { type QueryInterface, QueryTypes, Sequelize, type Transaction } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { checkFile, UnusableFile } from './checkFile';
import { MIGRATIONS } from './migrations';
import { PantryBook } from './pantryBook';
import { RecipeBook } from './recipeBook';
import { defineTables, type Tables } from './tables';

/** Marks a file as Hoddle's: the letters "HODL". https://www.sqlite.org/pragma.html#pragma_application_id */
const APPLICATION_ID = 0x48_4f_44_4c;

export interface Database {
  /** Where it is. */
  readonly file: string;
  readonly tables: Tables;
  /** The jars, added up. */
  readonly pantry: PantryBook;
  /** Recipes of its own. */
  readonly recipes: RecipeBook;
  /** Copies the file as it is now, to a file that is not there yet. */
  copyTo(other: string): Promise<void>;
  /** Runs a write in one transaction. Writes queue: SQLite takes one at a time, and a queue beats a busy error. */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/**
 * Opens a household's file, making it when it is not there, and brings it to the newest migration.
 *
 * @throws UnusableFile when it cannot be used; the file is then as it was
 */
export async function openDatabase(file: string): Promise<Database> {
  checkFile(file);
  mkdirSync(dirname(file), { recursive: true });
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  try {
    await checkOwner(sequelize, file);
    await sequelize.query('PRAGMA journal_mode = WAL');
    await sequelize.query('PRAGMA synchronous = FULL');
    await sequelize.query(`PRAGMA application_id = ${APPLICATION_ID}`);
    await migrate(sequelize);
  } catch (cause) {
    await sequelize.close().catch(() => undefined);
    if (cause instanceof UnusableFile) throw cause;
    throw new UnusableFile(`${file} cannot be opened: ${cause instanceof Error ? cause.message : String(cause)}`, {
      cause,
    });
  }
  const tables = defineTables(sequelize);
  const pantry = new PantryBook(tables);
  const recipes = new RecipeBook(tables);
  await recipes.load();
  recipes.lay();
  await pantry.load();
  const queue = new Mutex();
  return {
    file,
    tables,
    pantry,
    recipes,
    copyTo: async (other) => {
      // https://www.sqlite.org/lang_vacuum.html#vacuuminto
      await sequelize.query('VACUUM INTO ?', { replacements: [other] });
    },
    write: (work) => queue.runExclusive(() => sequelize.transaction(work)),
    close: () => queue.runExclusive(() => sequelize.close()),
  };
}

/**
 * Asks SQLite, not the bytes of the file: after a power cut the newest pages, the mark among them, may still be in the
 * write-ahead log alone.
 */
async function checkOwner(sequelize: Sequelize, file: string): Promise<void> {
  const ask = async (sql: string) =>
    Object.values((await sequelize.query<object>(sql, { type: QueryTypes.SELECT }))[0] ?? {})[0];
  const mark = await ask('PRAGMA application_id');
  if (mark === APPLICATION_ID) return;
  if (mark === 0 && (await ask('SELECT COUNT(*) FROM sqlite_master')) === 0) return;
  throw new UnusableFile(`${file} belongs to another program. It was left as it is; name another one in HODDLE_DB.`);
}

async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug<QueryInterface>({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: ({ context }) => up(context) })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  await umzug.up();
}
