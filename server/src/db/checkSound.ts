import { QueryTypes, type Sequelize } from 'sequelize';

/**
 * What SQLite finds wrong with the whole file: pages, rows and indexes that do not fit together. It does not see a digit that
 * changed; the sums beside the rows do. https://www.sqlite.org/pragma.html#pragma_integrity_check
 *
 * @returns nothing where it is sound
 */
export async function checkSound(sequelize: Sequelize): Promise<readonly string[]> {
  try {
    const found = await sequelize.query<{ integrity_check: string }>('PRAGMA integrity_check(10)', {
      type: QueryTypes.SELECT,
    });
    return found.map(({ integrity_check: words }) => words).filter((words) => words !== 'ok');
  } catch (error) {
    return [error instanceof Error ? error.message : String(error)];
  }
}
