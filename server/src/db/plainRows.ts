import { type FindOptions, literal, type Transaction } from 'sequelize';
import { SUM } from './rowSum';
import { type Table } from './tables';

/** A row with the sum that stands beside it; null in a file of before there were sums. */
export interface KeptRow<Row> {
  readonly row: Row;
  readonly sum: number | null;
  /** Its place in the file, where pages of rows are read. */
  readonly place: number;
}

export interface ReadOptions<Row> extends Pick<FindOptions<Row>, 'where' | 'order'> {
  readonly transaction?: Transaction | undefined;
  /** Only these columns, where a file of an older version does not have all. */
  readonly only?: ReadonlySet<string>;
  /** So many at most, in the order of the file, behind a place in it. */
  readonly page?: { readonly behind: number; readonly most: number };
}

/**
 * Reads rows as plain values. Not as models: a household of twenty years has two hundred thousand rows. Every row is read here, so
 * that what a sum is taken of is what is used.
 */
export async function plainRows<Row extends object>(
  table: Table<Row>,
  { transaction, only, page, ...asked }: ReadOptions<Row> = {},
): Promise<KeptRow<Row>[]> {
  const columns = columnsOf(table).filter(({ field }) => only?.has(field) ?? true);
  const rows = (await table.unscoped().findAll({
    ...asked,
    ...(transaction && { transaction }),
    // By the names that they have in the file; what its types mean is said below.
    attributes: [
      ...columns.map(({ field }) => field),
      ...(page ? [[literal('rowid'), PLACE] as [Literal, string]] : []),
    ],
    ...(page && { where: literal(`rowid > ${page.behind}`), order: [[literal('rowid'), 'ASC']], limit: page.most }),
    raw: true,
  })) as unknown as Record<string, unknown>[];
  return rows.map((told) => {
    let sum: number | null = null;
    const row: Record<string, unknown> = {};
    for (const { attribute, field, read } of columns) {
      if (attribute === SUM) sum = told[field] as number | null;
      else row[attribute] = read(told[field]);
    }
    return { row: row as Row, sum, place: Number(told[PLACE] ?? 0) };
  });
}

type Literal = ReturnType<typeof literal>;

/** https://www.sqlite.org/lang_createtable.html#rowid */
const PLACE = 'row_place';

interface Column {
  readonly attribute: string;
  readonly field: string;
  readonly read: (value: unknown) => unknown;
}

/** Columns of a table: what they are called in the program and in the file, and how a value of the file is read. */
export function columnsOf<Row extends object>(table: Table<Row>): Column[] {
  return Object.entries(table.getAttributes() as Record<string, { field?: string; type: unknown }>).map(
    ([attribute, { field = attribute, type }]) => ({ attribute, field, read: readerOf(String(type)) }),
  );
}

/** SQLite keeps a truth as 0 or 1 and JSON as text. A value that is of neither kind is left as it is: its sum will not fit. */
function readerOf(type: string): (value: unknown) => unknown {
  if (type.startsWith('TINYINT')) return (value) => (value === 0 || value === 1 ? value === 1 : value);
  if (type.startsWith('JSON')) return (value) => (typeof value === 'string' ? (JSON.parse(value) as unknown) : value);
  return (value) => value;
}
