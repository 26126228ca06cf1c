import {
  type LabelSheet,
  PAGES_MM,
  type PageSize,
  sheetFault,
  STOCK_SHEETS,
} from '@hoddle/core/formats/labels/labelSheet';
import { readNumber } from '@hoddle/core/measure/readNumber';

const MM_PER_IN = 25.4;

/** What is typed and chosen of a sheet; measures as they are typed, in inches or millimetres. */
export interface SheetDraft {
  readonly sheet: string;
  readonly page: string;
  readonly shape: string;
  readonly unit: string;
  readonly width: string;
  readonly height: string;
  readonly columns: string;
  readonly rows: string;
  readonly left: string;
  readonly top: string;
  readonly gapX: string;
  readonly gapY: string;
  /** In millimetres, to the right and down: what a printer draws in askew. */
  readonly nudgeX: string;
  readonly nudgeY: string;
}

/** A free size begins as the sheet that is found everywhere. */
export const FIRST_SHEET: SheetDraft = {
  ...{ sheet: 'letter-30', page: 'letter', shape: 'rect', unit: 'in', width: '2 5/8', height: '1' },
  ...{ columns: '3', rows: '10', left: '3/16', top: '1/2', gapX: '1/8', gapY: '0' },
  ...{ nudgeX: '', nudgeY: '' },
};

export const MEASURES = [
  ['width', 'Wide'],
  ['height', 'High'],
  ['left', 'From the left edge'],
  ['top', 'From the top edge'],
  ['gapX', 'Between, across'],
  ['gapY', 'Between, down'],
] as const;
type Measure = (typeof MEASURES)[number][0];

export type ReadSheet =
  | { readonly kind: 'sheet'; readonly sheet: LabelSheet }
  | { readonly kind: 'slip'; readonly field: keyof SheetDraft | undefined; readonly sentence: string };

/** The sheet that is meant: one that is sold, or the free size as it was typed. */
export function readSheet(draft: SheetDraft): ReadSheet {
  const stock = STOCK_SHEETS.find(({ id }) => id === draft.sheet);
  if (stock) {
    const { id: _, words: __, ...sheet } = stock;
    return { kind: 'sheet', sheet };
  }
  const mm: Partial<Record<Measure, number>> = {};
  const perUnit = draft.unit === 'in' ? MM_PER_IN : 1;
  for (const [field, words] of MEASURES) {
    const isSize = field === 'width' || field === 'height';
    const read = draft.shape === 'round' && field === 'height' ? readNumber(draft.width) : readNumber(draft[field]);
    if (read.kind === 'unreadable' || read.value < 0 || (isSize && read.value === 0))
      return { kind: 'slip', field, sentence: `${words}: “${draft[field]}” is no length. Try 2 5/8, or 2.625.` };
    mm[field] = read.value * perUnit;
  }
  const counts = (['columns', 'rows'] as const).map((field) => readNumber(draft[field]));
  const [columns, rows] = counts.map((read) => (read.kind === 'number' ? read.value : NaN));
  if (!isCount(columns) || !isCount(rows)) {
    return {
      kind: 'slip',
      field: isCount(columns) ? 'rows' : 'columns',
      sentence: 'How many labels across, and how many down?',
    };
  }
  const sheet: LabelSheet = {
    page: (draft.page in PAGES_MM ? draft.page : 'letter') as PageSize,
    shape: draft.shape === 'round' ? 'round' : 'rect',
    ...{ widthMm: mm.width ?? 0, heightMm: mm.height ?? 0, columns, rows },
    ...{ leftMm: mm.left ?? 0, topMm: mm.top ?? 0, gapXMm: mm.gapX ?? 0, gapYMm: mm.gapY ?? 0 },
  };
  const fault = sheetFault(sheet);
  return fault === undefined ? { kind: 'sheet', sheet } : { kind: 'slip', field: undefined, sentence: fault };
}

function isCount(value: number | undefined): value is number {
  return value !== undefined && Number.isInteger(value) && value >= 1;
}

const MOST_NUDGE_MM = 10;

/** How far everything is moved on the paper, in millimetres; undefined for what is no such length. Left and up are below nothing. */
export function readNudge(typed: string): number | undefined {
  const bare = typed.trim().replace(/^[-−–]\s*/, '');
  if (bare === '') return typed.trim() === '' ? 0 : undefined;
  const read = readNumber(bare);
  if (read.kind === 'unreadable' || read.value > MOST_NUDGE_MM) return undefined;
  return typed.trim() === bare ? read.value : -read.value;
}
