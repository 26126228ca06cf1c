import Papa from 'papaparse';

/** A cell as it goes out: what it says, or nothing. */
export type Cell = string | number | null;

/** What nobody sees before a sign: spaces of all kinds, joiners and marks of direction, a soft hyphen, a byte order mark. */
const UNSEEN = '[\\s\\u00ad\\u034f\\u061c\\u180e\\u200b-\\u200f\\u202a-\\u202e\\u2060-\\u2064\\u2066-\\u206f\\ufeff]*';
/**
 * What a spreadsheet would take for a formula: its signs also full-width or small, as some programs fold them, behind whatever is
 * not seen, or a line that begins with a tab. OWASP, CSV Injection; papaparse's own pattern knows the bare signs only.
 */
const FORMULA = new RegExp(
  `^(?:${UNSEEN}[=+\\-@|%\\u2212\\ufe62\\ufe63\\ufe66\\ufe6b\\uff0b\\uff0d\\uff1d\\uff20\\uff5c]|[\\t\\r\\n])`,
);
/** The apostrophe that keeps it from running. */
const KEPT_FORMULA = new RegExp(`^'(?=${FORMULA.source.slice(1)})`);

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
    cells: cells.map((cell) => cell.trim().replace(KEPT_FORMULA, '')),
  }));
  const filled = lines.filter(({ cells }) => cells.some((cell) => cell !== ''));
  const [header, ...rows] = filled;
  return { header: header?.cells ?? [], rows };
}
