import { QueryTypes, type Sequelize } from 'sequelize';
import { columnsOf, plainRows } from './plainRows';
import { keyOf } from './rowKey';
import { SUM, sumOfRow } from './rowSum';
import { type Table, type Tables } from './tables';

/** No sum is below zero: what is marked so never fits. */
const NEVER = -1;

const AT_ONCE = 2_000;

/** Keys of the rows whose sum does not fit, by table, read by the columns that the file has as it is. */
export async function badKeys(sequelize: Sequelize, tables: Tables): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  const bad = new Map<string, ReadonlySet<string>>();
  for (const table of Object.values(tables) as Table<object>[]) {
    const keys = new Set<string>();
    for (const { key, sum, told } of await sumsOf(sequelize, table)) if (sum !== null && sum !== told) keys.add(key);
    bad.set(String(table.tableName), keys);
  }
  return bad;
}

/**
 * Gives every row the sum of what it holds now, after a migration has changed what that is.
 *
 * @param bad rows that were damaged before: they stay known as such
 */
export async function sealAll(
  sequelize: Sequelize,
  tables: Tables,
  bad: ReadonlyMap<string, ReadonlySet<string>>,
): Promise<void> {
  for (const table of Object.values(tables) as Table<object>[]) {
    const name = String(table.tableName);
    const rows = (await sumsOf(sequelize, table)).map(({ key, told }) => [key, bad.get(name)?.has(key) ? NEVER : told]);
    const fields = new Map(columnsOf(table).map(({ attribute, field }) => [attribute, field]));
    const key = table.primaryKeyAttributes.map((part) => `"${fields.get(part) ?? part}"`).join(" || ' ' || ");
    for (let from = 0; from < rows.length; from += AT_ONCE) {
      await sequelize.query(
        `UPDATE "${name}" SET "${SUM}" = sealed.told FROM (
           SELECT json_extract(value, '$[0]') AS row_key, json_extract(value, '$[1]') AS told FROM json_each(:rows)
         ) AS sealed WHERE CAST(${key} AS TEXT) = sealed.row_key`,
        { replacements: { rows: JSON.stringify(rows.slice(from, from + AT_ONCE)) } },
      );
    }
  }
}

/** Each row with the sum beside it and the one of what it holds; nothing where the file has no sums yet. */
async function sumsOf(sequelize: Sequelize, table: Table<object>) {
  const columns = await sequelize.query<{ name: string }>(
    `SELECT name FROM pragma_table_info('${String(table.tableName)}')`,
    { type: QueryTypes.SELECT },
  );
  const only = new Set(columns.map(({ name }) => name));
  if (!only.has(SUM)) return [];
  const rows = await plainRows(table, { only });
  return rows.map(({ row, sum }) => ({ key: keyOf(table, row), sum, told: sumOfRow(row) }));
}
