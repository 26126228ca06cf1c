import Papa from 'papaparse';

/** A cell as it goes out: what it says, or nothing. */
export type Cell = string | number | null;

/** What a spreadsheet would take for a formula. papaparse's own pattern lets one with a line break in it through. */
const FORMULA = /^[=+\-@\t\r]/;
/** The apostrophe that keeps it from running. */
const KEPT_FORMULA = /^'([=+\-@\t\r])/;

/**
 * Rows as CSV, after RFC 4180: commas, CRLF, quotes where they are needed. Words that begin like a formula get an
 * apostrophe before them, so that no spreadsheet runs them.
 */
export function toCsv(columns: readonly string[], rows: readonly (readonly Cell[])[]): string {
  return Papa.unparse(
    { fields: [...columns], data: rows.map((row) => [...row]) },
    { newline: '\r\n', escapeFormulae: FORMULA },
  );
}

export interface CsvTable {
  readonly header: readonly string[];
  /** With the line each begins on in the file, the header being line 1. */
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

/**
 * A CSV file as it comes from any program: commas, semicolons or tabs, with or without a byte order mark, quoted or not.
 * Empty lines are left out, an apostrophe that kept a formula from running is taken off.
 */
export function readCsv(text: string): CsvTable {
  const bare = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(bare, { skipEmptyLines: false, delimitersToGuess: [',', ';', '\t', '|'] });
  const lines = data.map((cells, i) => ({
    line: i + 1,
    cells: cells.map((cell) => cell.trim().replace(KEPT_FORMULA, '$1')),
  }));
  const filled = lines.filter(({ cells }) => cells.some((cell) => cell !== ''));
  const [header, ...rows] = filled;
  return { header: header?.cells ?? [], rows };
}
