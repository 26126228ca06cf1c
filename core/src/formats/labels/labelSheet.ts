const MM_PER_IN = 25.4;

/** The sheets that home printers take. ISO 216, ANSI/ASME Y14.1. */
export const PAGES_MM = { letter: [215.9, 279.4], a4: [210, 297] } as const;
export type PageSize = keyof typeof PAGES_MM;

/** A sheet of labels: one shape, in columns and rows. Lengths in millimetres. */
export interface LabelSheet {
  readonly page: PageSize;
  readonly shape: 'rect' | 'round';
  readonly widthMm: number;
  readonly heightMm: number;
  readonly columns: number;
  readonly rows: number;
  /** From the edges of the paper to the first label. */
  readonly leftMm: number;
  readonly topMm: number;
  readonly gapXMm: number;
  readonly gapYMm: number;
}

/** A sheet as it is sold, by how many labels it has. */
export interface StockSheet extends LabelSheet {
  readonly id: string;
  readonly words: string;
}

/** Labels of a size that stand on a sheet with as much room between them as at its edges. */
function evenly(page: PageSize, sideMm: number, columns: number, rows: number): LabelSheet {
  const [pageWidth, pageHeight] = PAGES_MM[page];
  const gapXMm = (pageWidth - columns * sideMm) / (columns + 1);
  const gapYMm = (pageHeight - rows * sideMm) / (rows + 1);
  const side = { widthMm: sideMm, heightMm: sideMm };
  return { page, shape: 'round', ...side, columns, rows, leftMm: gapXMm, topMm: gapYMm, gapXMm, gapYMm };
}

/** Sheets that are sold everywhere. Common practice, the measures from memory: a first sheet on plain paper shows whether they are these. */
export const STOCK_SHEETS: readonly StockSheet[] = [
  {
    ...{ id: 'letter-30', words: '30 to a letter sheet, 2 5/8 x 1 in', page: 'letter', shape: 'rect' },
    ...{ widthMm: 2.625 * MM_PER_IN, heightMm: MM_PER_IN, columns: 3, rows: 10 },
    ...{ leftMm: 0.1875 * MM_PER_IN, topMm: 0.5 * MM_PER_IN, gapXMm: 0.125 * MM_PER_IN, gapYMm: 0 },
  },
  {
    ...{ id: 'a4-21', words: '21 to an A4 sheet, 63.5 x 38.1 mm', page: 'a4', shape: 'rect' },
    ...{ widthMm: 63.5, heightMm: 38.1, columns: 3, rows: 7, leftMm: 7.25, topMm: 15.15, gapXMm: 2.5, gapYMm: 0 },
  },
  {
    ...{ id: 'a4-24', words: '24 to an A4 sheet, 70 x 37 mm', page: 'a4', shape: 'rect' },
    ...{ widthMm: 70, heightMm: 37, columns: 3, rows: 8, leftMm: 0, topMm: 0.5, gapXMm: 0, gapYMm: 0 },
  },
  { id: 'lid-2in', words: 'Round for lids, 2 in, 12 to a letter sheet', ...evenly('letter', 2 * MM_PER_IN, 3, 4) },
  {
    id: 'lid-1in5',
    words: 'Round for lids, 1 1/2 in, 24 to a letter sheet',
    ...evenly('letter', 1.5 * MM_PER_IN, 4, 6),
  },
];

/** Why labels do not stand on their sheet, in a sentence; undefined where they do. */
export function sheetFault(sheet: LabelSheet): string | undefined {
  const [pageWidth, pageHeight] = PAGES_MM[sheet.page];
  const across = sheetSpan(sheet.leftMm, sheet.widthMm, sheet.gapXMm, sheet.columns);
  const down = sheetSpan(sheet.topMm, sheet.heightMm, sheet.gapYMm, sheet.rows);
  if (sheet.widthMm > pageWidth || sheet.heightMm > pageHeight) return 'One label is larger than the sheet.';
  if (sheet.shape === 'round' && Math.abs(sheet.widthMm - sheet.heightMm) > SLACK_MM)
    return 'A round label is as wide as it is high.';
  if (across > pageWidth + SLACK_MM)
    return `${sheet.columns} across do not fit: ${fitting(pageWidth, sheet.leftMm, sheet.widthMm, sheet.gapXMm)} do.`;
  if (down > pageHeight + SLACK_MM)
    return `${sheet.rows} down do not fit: ${fitting(pageHeight, sheet.topMm, sheet.heightMm, sheet.gapYMm)} do.`;
  return undefined;
}

/** Paper is cut to about this. */
const SLACK_MM = 0.1;

function sheetSpan(firstMm: number, eachMm: number, gapMm: number, count: number): number {
  return firstMm + count * eachMm + (count - 1) * gapMm;
}

function fitting(roomMm: number, firstMm: number, eachMm: number, gapMm: number): number {
  return Math.max(0, Math.floor((roomMm - firstMm + gapMm + SLACK_MM) / (eachMm + gapMm)));
}

/** Labels on one sheet. */
export function labelsPerSheet({ columns, rows }: LabelSheet): number {
  return columns * rows;
}

/**
 * Where a label stands: rows from the top, in each from the left, one sheet after the other.
 *
 * @param index 0 is the first place of the first sheet
 * @returns its top left corner in millimetres, and the sheet from 0 on
 */
export function placeOnSheet(sheet: LabelSheet, index: number): { page: number; xMm: number; yMm: number } {
  const page = Math.floor(index / labelsPerSheet(sheet));
  const within = index - page * labelsPerSheet(sheet);
  const [row, column] = [Math.floor(within / sheet.columns), within % sheet.columns];
  return {
    page,
    xMm: sheet.leftMm + column * (sheet.widthMm + sheet.gapXMm),
    yMm: sheet.topMm + row * (sheet.heightMm + sheet.gapYMm),
  };
}
