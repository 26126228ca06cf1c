import { type ExportTable, type HouseholdTable, type TableCell } from '@hoddle/core/formats/tablesOut/householdTables';
import { type DateOrder } from '@hoddle/core/measure/dateWords';
import { localDate } from '@hoddle/core/measure/localTime';

const DAY_FORMATS: Readonly<Record<DateOrder, string>> = { dmy: 'd mmm yyyy', mdy: 'mmm d, yyyy', ymd: 'yyyy-mm-dd' };
const NARROWEST = 8;
const WIDEST = 44;

export interface XlsxGround {
  readonly dateOrder: DateOrder;
  readonly timeZone: string | undefined;
  readonly madeAt: number;
}

/**
 * Tables as a workbook (ECMA-376), a sheet each: names of columns in bold that stay in sight, days and times as such, in the order
 * the household writes them, all else as the words or the numbers they are. Words are never formulas.
 */
export async function xlsxFile(
  tables: readonly (HouseholdTable & { readonly name: ExportTable })[],
  ground: XlsxGround,
): Promise<Buffer> {
  // A server that starts has no use for it yet, and it takes half a second to load.
  const { default: ExcelJS } = await import('exceljs');
  const book = new ExcelJS.Workbook();
  book.creator = 'Hoddle';
  book.created = new Date(ground.madeAt);
  for (const { name, columns, rows } of tables) {
    const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
    sheet.addRow([...columns]).font = { bold: true };
    for (const cells of rows) {
      const row = sheet.addRow(cells.map((cell) => valueOf(cell, ground)));
      cells.forEach((cell, i) => {
        if (cell === null || typeof cell !== 'object') return;
        const day = DAY_FORMATS[ground.dateOrder];
        row.getCell(i + 1).numFmt = cell.isDay ? day : `${day} h:mm`;
      });
    }
    columns.forEach((words, i) => {
      const longest = rows.reduce((most, row) => Math.max(most, lengthOf(row[i] ?? null)), words.length);
      sheet.getColumn(i + 1).width = Math.min(WIDEST, Math.max(NARROWEST, longest + 2));
    });
    if (rows.length > 0) sheet.autoFilter = { from: { row: 1, column: 1 }, to: { row: 1, column: columns.length } };
  }
  return Buffer.from(await book.xlsx.writeBuffer());
}

/** A spreadsheet knows no zones: a moment is written as the household's clock shows it. */
function valueOf(cell: TableCell, { timeZone }: XlsxGround): string | number | Date | null {
  if (cell === null || typeof cell !== 'object') return typeof cell === 'string' ? withoutControls(cell) : cell;
  const date = localDate(cell.at, timeZone);
  const [hours, minutes] = cell.isDay ? [0, 0] : [date.getHours(), date.getMinutes()];
  return new Date(Date.UTC(date.getFullYear(), date.getMonth(), date.getDate(), hours, minutes));
}

/** XML holds no control characters. */
function withoutControls(words: string): string {
  return words.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '');
}

function lengthOf(cell: TableCell): number {
  if (cell === null) return 0;
  return typeof cell === 'object' ? 18 : String(cell).length;
}
