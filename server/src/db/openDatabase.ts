import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Mutex } from 'async-mutex';
import { type QueryInterface, Sequelize, type Transaction } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { APPLICATION_ID, checkFile, UnusableFile } from './checkFile';
import { MIGRATIONS } from './migrations';
import { defineTables, type Tables } from './tables';

export interface Database {
  readonly tables: Tables;
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
    await sequelize.query('PRAGMA journal_mode = WAL');
    await sequelize.query('PRAGMA synchronous = FULL');
    await sequelize.query(`PRAGMA application_id = ${APPLICATION_ID}`);
    await migrate(sequelize);
  } catch (cause) {
    await sequelize.close().catch(() => undefined);
    throw new UnusableFile(`${file} cannot be opened: ${cause instanceof Error ? cause.message : String(cause)}`, {
      cause,
    });
  }
  const tables = defineTables(sequelize);
  const queue = new Mutex();
  return {
    tables,
    write: (work) => queue.runExclusive(() => sequelize.transaction(work)),
    close: () => queue.runExclusive(() => sequelize.close()),
  };
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
