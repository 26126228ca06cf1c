import { type Model, type ModelStatic, QueryTypes, type Sequelize } from 'sequelize';
import { keyOf } from './rowKey';
import { SUM, sumOfRow } from './rowSum';
import { type Tables } from './tables';

/** No sum is below zero: what is marked so never fits. */
const NEVER = -1;

const AT_ONCE = 2_000;

/** Keys of the rows whose sum does not fit, by table, read by the columns that the file has as it is. */
export async function badKeys(sequelize: Sequelize, tables: Tables): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  const bad = new Map<string, ReadonlySet<string>>();
  for (const table of Object.values(tables) as ModelStatic<Model>[]) {
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
  for (const table of Object.values(tables) as ModelStatic<Model>[]) {
    const name = String(table.tableName);
    const rows = (await sumsOf(sequelize, table)).map(({ key, told }) => [key, bad.get(name)?.has(key) ? NEVER : told]);
    const key = table.primaryKeyAttributes.map((part) => `"${columnOf(table, part)}"`).join(" || ' ' || ");
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

const columnOf = (table: ModelStatic<Model>, attribute: string) => table.getAttributes()[attribute]?.field ?? attribute;

/** Each row with the sum beside it and the one of what it holds; nothing where the file has no sums yet. */
async function sumsOf(sequelize: Sequelize, table: ModelStatic<Model>) {
  const columns = await sequelize.query<{ name: string }>(
    `SELECT name FROM pragma_table_info('${String(table.tableName)}')`,
    {
      type: QueryTypes.SELECT,
    },
  );
  const there = new Set(columns.map(({ name }) => name));
  if (!there.has(SUM)) return [];
  const attributes = Object.keys(table.getAttributes()).filter((attribute) => there.has(columnOf(table, attribute)));
  return (await table.unscoped().findAll({ attributes })).map((row) => {
    const { [SUM]: sum, ...plain } = row.get({ plain: true }) as { [SUM]: number | null };
    return { key: keyOf(table, plain), sum, told: sumOfRow(plain) };
  });
}
