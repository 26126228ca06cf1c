import { type QueryInterface, QueryTypes, type Sequelize } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import { UnusableFile } from './checkFile';
import { MIGRATIONS } from './migrations';
import { repeatable } from './repeatable';

/** Migrations that a file has had, oldest first. */
export async function migrationsOf(sequelize: Sequelize): Promise<readonly string[]> {
  const select = <Row extends object>(sql: string) => sequelize.query<Row>(sql, { type: QueryTypes.SELECT });
  const tables = await select("SELECT name FROM sqlite_master WHERE type = 'table' AND name = 'migrations'");
  if (tables.length === 0) return [];
  return (await select<{ name: string }>('SELECT name FROM migrations ORDER BY name')).map(({ name }) => name);
}

/** What is done around each migration, in its transaction. */
interface Around<Known> {
  readonly before: () => Promise<Known>;
  readonly after: (known: Known) => Promise<void>;
}

/** @throws UnusableFile when the file has had a migration that this Hoddle does not know */
export function holdNotNewer(file: string, had: readonly string[]): void {
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  const newer = had.find((name) => !known.has(name));
  if (newer === undefined) return;
  throw new UnusableFile(
    `${file} was written by a newer Hoddle (it knows "${newer}"). Start that one; the file was left as it is.`,
  );
}

/**
 * Brings a file to the newest migration. Each runs in one transaction with the note that it has run, so that a process killed at
 * any moment leaves the file before it or after it.
 *
 * @param around run before and after each migration, in its transaction
 */
export async function migrate<Known>(sequelize: Sequelize, around: Around<Known>): Promise<void> {
  await sequelize.query('CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(255) PRIMARY KEY)');
  const umzug = new Umzug<QueryInterface>({
    migrations: MIGRATIONS.map(({ name, up }) => ({
      name,
      up: ({ context }) =>
        alone(sequelize, name, async () => {
          const known = await around.before();
          await up(context);
          await around.after(known);
        }),
    })),
    context: repeatable(sequelize.getQueryInterface()),
    storage: storageIn(sequelize),
    logger: undefined,
  });
  await umzug.up();
}

/** All that a migration asks runs on the one connection outside Sequelize's own transactions, so that it can be held together here. */
async function alone(sequelize: Sequelize, name: string, up: () => Promise<void>): Promise<void> {
  await sequelize.query('BEGIN IMMEDIATE');
  try {
    await up();
    await sequelize.query('INSERT INTO migrations VALUES (?)', { replacements: [name] });
    await sequelize.query('COMMIT');
  } catch (error) {
    await sequelize.query('ROLLBACK').catch(() => undefined);
    throw error;
  }
}

/** That it has run is written with the migration itself. */
function storageIn(sequelize: Sequelize): UmzugStorage<QueryInterface> {
  return {
    executed: async () => [...(await migrationsOf(sequelize))],
    logMigration: async () => undefined,
    unlogMigration: async () => undefined,
  };
}
