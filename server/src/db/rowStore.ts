import { type Transaction } from 'sequelize';
import { plainRows } from './plainRows';
import { keyOf } from './rowKey';
import { unreadable } from './rowForms';
import { SUM, sumOfRow } from './rowSum';
import { type BadRow, soundPages } from './soundRows';
import { type Touched } from './touchedRows';
import { type Table, type Tables } from './tables';

export type TableName = keyof Tables;
export type RowsOf<Name extends TableName> = Tables[Name] extends Table<infer Row> ? Row : never;

/** All rows of a household by table and key, as they stand in the file: never changed, only followed by the next ones. */
export type Rows = { readonly [Name in TableName]: ReadonlyMap<string, RowsOf<Name>> };

/** So many keys in one statement; SQLite takes 32,766. https://www.sqlite.org/limits.html */
const AT_ONCE = 500;

/** What a row that was written cannot be read back as: a mistake of ours, or a request that would poison reading. */
export class Unreadable extends Error {
  constructor(
    readonly table: string,
    readonly reason: string,
  ) {
    super(`${table}: ${reason}`);
  }
}

/** What was read of a file, and what of it could not be used. */
export interface RowsRead {
  readonly rows: Rows;
  readonly bad: readonly BadRow[];
}

/** Reads every row, within one transaction so that they are of one moment. Bad ones are left out and told. */
export async function readRows(tables: Tables, transaction?: Transaction): Promise<RowsRead> {
  const bad: BadRow[] = [];
  const rows: Partial<Record<TableName, ReadonlyMap<string, object>>> = {};
  for (const name of Object.keys(tables) as TableName[]) {
    const table = tables[name] as Table<object>;
    const kept = new Map<string, object>();
    for await (const page of soundPages(table, transaction, (each) => bad.push(each))) {
      for (const row of page) {
        const key = keyOf(table, row);
        const reason = unreadable(name, row as never);
        if (reason === undefined) kept.set(key, row);
        else bad.push({ table: String(table.tableName), key, reason });
      }
    }
    rows[name] = kept;
  }
  return { rows: rows as unknown as Rows, bad };
}

/**
 * The rows as they will stand once a transaction is committed: what it has written is read back, held against what reading
 * demands, and given its sum.
 *
 * @throws Unreadable when something of it could not be read again; the transaction is then to be given up
 */
export async function rowsAfter(
  before: Rows,
  tables: Tables,
  touched: Touched,
  transaction: Transaction,
): Promise<{ rows: Rows; written: readonly TableName[] }> {
  const names = (Object.keys(tables) as TableName[]).filter((name) => touched.has(String(tables[name].tableName)));
  const changed: Partial<Record<TableName, ReadonlyMap<string, object>>> = {};
  for (const name of names) {
    const table = tables[name] as Table<object>;
    const keys = [...(touched.get(String(table.tableName)) ?? [])];
    const kept = new Map<string, object>(before[name]);
    const gone = new Set(keys);
    for (let from = 0; from < keys.length; from += AT_ONCE) {
      for (const [key, row] of await readBack(name, table, keys.slice(from, from + AT_ONCE), transaction)) {
        // A row that is changed keeps its place among its equals, as in the file.
        kept.set(key, row);
        gone.delete(key);
      }
    }
    for (const key of gone) kept.delete(key);
    changed[name] = kept;
  }
  return { rows: { ...before, ...changed } as Rows, written: names };
}

/** Gives the household's own row its sum, where everything else was put in anew with its own. */
export async function sealTouched(tables: Tables, touched: Touched, transaction: Transaction): Promise<void> {
  const name = String(tables.households.tableName);
  const keys = touched.get(name);
  if (keys) await readBack('households', tables.households, [...keys], transaction);
}

async function readBack(name: TableName, table: Table<object>, keys: readonly string[], transaction: Transaction) {
  const parts = table.primaryKeyAttributes;
  const [first = 'id'] = parts;
  // Keys of two parts are few at a time: looked up by their first one, the others fall out below.
  const where = { [first]: parts.length === 1 ? keys : keys.map((key) => key.split(' ')[0]) };
  const wanted = new Set(keys);
  const back: [string, object][] = [];
  for (const { row, sum } of await plainRows(table, { where: where as never, transaction })) {
    const key = keyOf(table, row);
    if (!wanted.has(key)) continue;
    const reason = unreadable(name, row as never);
    if (reason !== undefined) throw new Unreadable(String(table.tableName), reason);
    const told = sumOfRow(row);
    if (sum !== told) {
      const own = Object.fromEntries(parts.map((part) => [part, (row as Record<string, unknown>)[part]]));
      await table.update({ [SUM]: told }, { where: own as never, transaction, hooks: false });
    }
    back.push([key, row]);
  }
  return back;
}
