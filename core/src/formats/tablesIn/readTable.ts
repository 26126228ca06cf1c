import { type CsvTable, readCsv } from '../csv';
import { withoutTime } from '../readDay';
import { plainWords } from './readCells';

/** A column that a table may have. */
export interface ColumnSpec {
  /** Names of it as households and other programs write them. */
  readonly names: readonly string[];
  readonly needed?: true;
}

/** A cell that cannot be read: where it is, what was typed, what is asked. */
export interface CellFault<Column extends string> {
  readonly line: number;
  readonly column: Column;
  readonly typed: string;
  readonly says: string;
  /** What it may mean, by its id. */
  readonly meant?: string;
}

export type RowFault<Column extends string> = Pick<CellFault<Column>, 'column' | 'says' | 'meant'>;

export interface CellsOf<Column extends string> {
  cell(column: Column): string;
  /** What stands over a column in the file: it may name a unit. */
  head(column: Column): string;
}

/** What is read of a row: what it is, and the words that tell it from others. */
export interface ReadRow<Row> {
  readonly row: Row;
  readonly words: string;
  /** Its id, where the file has one. */
  readonly id?: string;
}

/** A table that a household may bring along. */
export interface TableSpec<Column extends string, Row> {
  /** The same words under another name are another row: "jars", "picks". */
  readonly name: string;
  readonly columns: Readonly<Record<Column, ColumnSpec>>;
  /** The column whose cells are days. */
  readonly dates?: Column;
  read(cells: CellsOf<Column>, dayFirst: boolean): ReadRow<Row> | RowFault<Column>[];
}

export interface TableChoices<Column extends string> {
  /** Columns the household named itself: their place in the row. */
  readonly columns?: Partial<Record<Column, number>>;
  /** 9/12 is December; where it is not told and no date of the file tells, it is asked. */
  readonly dayFirst?: boolean;
  /** The same words give the same id: a file put in twice is known. */
  readonly idOf: (words: string) => string;
}

export type TableFile<Column extends string, Row> =
  | {
      readonly kind: 'read';
      readonly rows: readonly { readonly id: string; readonly line: number; readonly row: Row }[];
      readonly faults: readonly CellFault<Column>[];
    }
  /** Some needed columns have names that are not known: which are they? */
  | {
      readonly kind: 'columns';
      readonly header: readonly string[];
      readonly known: Partial<Record<Column, number>>;
      readonly missing: readonly Column[];
    }
  /** Which comes first, the day or the month? */
  | { readonly kind: 'dates'; readonly typed: readonly string[] }
  | { readonly kind: 'refused'; readonly reason: string };

/** More rows than this are no table of a household; the file is parted by year. */
export const MOST_ROWS = 5_000;
const ROWS_A_STEP = 100;
/** A heading may stand over the names of the columns, and cells that were one may stand over several. */
const HEAD_WITHIN = 6;

/**
 * Reads a table row by row; between two steps of a hundred it tells which part is done, so that a page stays awake. A row is whole
 * or a fault with its line; nothing is guessed.
 */
export function* readTable<Column extends string, Row>(
  text: string,
  spec: TableSpec<Column, Row>,
  choices: TableChoices<Column>,
): Generator<number, TableFile<Column, Row>> {
  const { header, rows } = withNames(readCsv(text), spec);
  if (rows.length === 0)
    return {
      kind: 'refused',
      reason: 'There are no rows in this file: it has a heading and nothing below it, or nothing.',
    };
  if (rows.length > MOST_ROWS) {
    const reason = `This file has ${rows.length.toLocaleString('en')} rows; up to ${MOST_ROWS.toLocaleString('en')} are taken at once. Part it, by year perhaps.`;
    return { kind: 'refused', reason };
  }
  const known = { ...columnsOf(header, spec), ...choices.columns };
  const names = Object.keys(spec.columns) as Column[];
  const missing = names.filter((column) => spec.columns[column].needed && known[column] === undefined);
  if (missing.length > 0) return { kind: 'columns', header, known, missing };
  const days = spec.dates === undefined ? [] : rows.map(({ cells }) => cells[known[spec.dates as Column] ?? -1] ?? '');
  const order = dateOrderOf(days);
  const dayFirst = order ?? choices.dayFirst;
  if (dayFirst === undefined && days.some(isOpen)) return { kind: 'dates', typed: days.filter(isOpen).slice(0, 3) };

  const seen = new Map<string, number>();
  const ids = new Set<string>();
  const faults: CellFault<Column>[] = [];
  const read: { id: string; line: number; row: Row }[] = [];
  for (const [i, { line, cells }] of rows.entries()) {
    if (i % ROWS_A_STEP === 0) yield i / rows.length;
    const cell = (column: Column) => cells[known[column] ?? -1] ?? '';
    const head = (column: Column) => header[known[column] ?? -1] ?? '';
    const told = spec.read({ cell, head }, dayFirst ?? false);
    if (Array.isArray(told)) {
      faults.push(...told.map((fault) => ({ line, typed: cell(fault.column), ...fault })));
      continue;
    }
    const occurrence = seen.get(told.words) ?? 0;
    seen.set(told.words, occurrence + 1);
    const id = told.id ?? choices.idOf(`${spec.name} ${told.words}|${occurrence}`);
    if (ids.has(id))
      return { kind: 'refused', reason: 'Two rows of this file are the same thing: was it put together twice?' };
    ids.add(id);
    read.push({ id, line, row: told.row });
  }
  return { kind: 'read', rows: read, faults };
}

/** A table read in one go. */
export function readWhole<Column extends string, Row>(
  text: string,
  spec: TableSpec<Column, Row>,
  choices: TableChoices<Column>,
): TableFile<Column, Row> {
  const steps = readTable(text, spec, choices);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

/** The table from the row on that names most of its columns: what stands above is a heading. */
function withNames<Column extends string, Row>(table: CsvTable, spec: TableSpec<Column, Row>): CsvTable {
  const all = [{ line: 1, cells: table.header }, ...table.rows];
  const counts = all.slice(0, HEAD_WITHIN).map(({ cells }) => Object.keys(columnsOf(cells, spec)).length);
  const best = Math.max(0, ...counts);
  const at = best < 2 ? 0 : counts.indexOf(best);
  return { header: all[at]?.cells ?? [], rows: all.slice(at + 1) };
}

function columnsOf<Column extends string, Row>(
  header: readonly string[],
  { columns }: TableSpec<Column, Row>,
): Partial<Record<Column, number>> {
  // "Weight (lb)" is the weight; what it is measured in is read beside.
  const plain = header.map((each) => plainWords(each.replace(/[([][^)\]]*[)\]]/g, ' ')) || plainWords(each));
  const bare = plain.map((each) => each.replace(/ (kgs?|lbs?|pounds|g|oz)$/, ''));
  const taken = new Set<number>();
  const found: Partial<Record<Column, number>> = {};
  for (const column of Object.keys(columns) as Column[]) {
    const at = columns[column].names
      .flatMap((name) => [plain, bare].map((heads) => heads.findIndex((each, i) => each === name && !taken.has(i))))
      .find((i) => i >= 0);
    if (at === undefined) continue;
    found[column] = at;
    taken.add(at);
  }
  return found;
}

const THREE = /^(\d{1,2})[-/](\d{1,2})[-/](?:\d{2}|\d{4})$/;

/** Whether a date can be read either way. */
function isOpen(words: string): boolean {
  const [, a, b] = THREE.exec(withoutTime(words)) ?? [];
  return a !== undefined && Number(a) <= 12 && Number(b) <= 12 && Number(a) !== Number(b);
}

/** Whether the day comes first, as the other dates of the file tell; undefined where none does, or they disagree. */
function dateOrderOf(days: readonly string[]): boolean | undefined {
  const told = days.flatMap((words) => {
    const [, a = 0, b = 0] = THREE.exec(withoutTime(words))?.map(Number) ?? [];
    return a > 12 && b <= 12 ? [true] : b > 12 && a <= 12 ? [false] : [];
  });
  return new Set(told).size === 1 ? told[0] : undefined;
}
