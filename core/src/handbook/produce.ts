import { CROP_NAMES, type CropId } from './crops';
import { type Cited, COMMON_PRACTICE } from './source';

type Row = readonly [
  crop: CropId,
  bushelLb: number | null,
  trimLoss: number,
  counterDays: number,
  coolDays: number | null,
  refrigeratedDays: number | null,
  bestStore: string,
  note: string,
];

// One crop a line, as the table is printed.
// prettier-ignore
const ROWS = [
  ['tomato-paste', 53, 0.14, 3, 7, 7, '55-60 F ripe', 'slicing types lose more: 0.18'],
  ['tomato-slicing', 53, 0.18, 3, 7, 7, '55-60 F ripe', ''],
  ['tomatillo', null, 0.08, 7, 14, 21, '45-55 F', 'in husk'],
  ['cucumber-pickling', 48, 0.06, 1, 2, 7, 'iced water at most 2 days for crisp pickles', 'cut the blossom end'],
  ['pepper-sweet', 25, 0.18, 3, 7, 14, '45-50 F', ''],
  ['pepper-hot', 25, 0.12, 4, 7, 14, '45-50 F', 'gloves'],
  ['bean-snap', 30, 0.1, 1, 3, 7, '40-45 F', ''],
  ['beet', 52, 0.2, 3, 21, 60, '32 F high humidity', 'without tops'],
  ['carrot', 50, 0.2, 4, 30, 90, '32 F high humidity', 'without tops'],
  ['corn-sweet', 35, 0.64, 1, 1, 3, '32 F', 'in husk; 0.75 cup kernels per ear'],
  ['onion', 57, 0.1, 60, 120, null, '32 F dry', ''],
  ['cabbage', 50, 0.2, 5, 30, 60, '32 F', ''],
  ['cauliflower', null, 0.4, 2, 7, 14, '32 F', ''],
  ['apple', 48, 0.22, 7, 60, 120, '30-40 F by variety', ''],
  ['pear', 50, 0.22, 4, 14, 30, '30-32 F then ripen at 60-70 F', ''],
  ['peach', 48, 0.22, 3, 7, 14, '32 F once ripe', ''],
  ['apricot', 50, 0.08, 2, 5, 10, '32 F', ''],
  ['plum', 56, 0.06, 3, 7, 14, '32 F', ''],
  ['damson', 56, 0.08, 3, 7, 14, '32 F', ''],
  ['cherry-sweet', 56, 0.12, 2, 5, 14, '30-32 F', ''],
  ['cherry-sour', 56, 0.12, 1, 3, 5, '32 F', ''],
  ['grape', 44, 0.06, 2, 5, 14, '32 F', 'half bushel 22 lb; lug 26 lb'],
  ['strawberry', 36, 0.06, 1, 2, 4, '32 F', '24-quart crate 36 lb; 1.5 lb a quart'],
  ['blueberry', null, 0.03, 2, 5, 12, '32 F', 'about 0.75 lb a dry pint'],
  ['blackberry', 36, 0.03, 1, 1, 3, '32 F', '1.5 lb a quart'],
  ['raspberry', 36, 0.03, 1, 1, 3, '32 F', ''],
  ['gooseberry', null, 0.06, 3, 7, 21, '32 F', ''],
  ['currant', null, 0.08, 2, 4, 14, '32 F', ''],
  ['fig', null, 0.05, 1, 2, 7, '32 F', ''],
  ['rhubarb', null, 0.12, 2, 7, 21, '32 F', '28 lb lug'],
  ['quince', 48, 0.28, 14, 60, 90, '32 F', ''],
] as const satisfies readonly Row[];

/** What cards take by the clove, the head and the spoon, and the printed table leaves out: common practice, kept apart. */
// prettier-ignore
const FURTHER_ROWS = [
  ['garlic', null, 0.15, 60, 120, null, '32 F dry', 'about 10 cloves a head'],
  ['dill', null, 0.1, 1, 2, 7, '32 F, in water', 'a head is one flower cluster'],
  ['celery', null, 0.12, 2, 7, 14, '32 F high humidity', ''],
  ['ginger', null, 0.1, 7, 14, 21, '55 F', 'bought in most gardens'],
] as const satisfies readonly Row[];

/** A crop a household may pick and keep: the ones whose keeping is known. */
export type ProduceId = (typeof ROWS)[number][0] | (typeof FURTHER_ROWS)[number][0];

/** The best store and how long it keeps there; counter and cool room are common practice. */
const KEEPING: Cited = { source: 'USDA Agriculture Handbook 66 and common practice', recalled: true };

/**
 * Pounds of a crop in a lug and in a quart box, and cups from one piece, where they are published. Source: the notes of
 * the table above and the lugs of the table of quantities; a quart box is 1/24 of a crate, or two dry pints.
 */
const BOXES: Partial<Record<ProduceId, Pick<ProduceRow, 'lugLb' | 'quartBoxLb' | 'cupsPerPiece'>>> = {
  grape: { lugLb: 26 },
  'cherry-sweet': { lugLb: 25 },
  'cherry-sour': { lugLb: 25 },
  rhubarb: { lugLb: 28 },
  strawberry: { quartBoxLb: 1.5 },
  blackberry: { quartBoxLb: 1.5 },
  blueberry: { quartBoxLb: 1.5 },
  'corn-sweet': { cupsPerPiece: 0.75 },
};

/** Pounds of one piece as recipes count it: a clove, a head of dill, a pepper, an onion of 2 to 2 1/2 in. Common practice. */
const PIECE_LB: Partial<Record<CropId, number>> = {
  garlic: 0.012,
  dill: 0.03,
  'pepper-hot': 0.06,
  onion: 0.25,
  ginger: 0.005,
  'corn-sweet': 0.65,
};

/** Pounds of one piece of a crop, where recipes count it; undefined for what is weighed. */
export function lbPerPiece(crop: CropId): number | undefined {
  return PIECE_LB[crop];
}

export interface ProduceRow extends Cited {
  readonly crop: ProduceId;
  readonly name: string;
  /** Pounds in a level bushel; undefined where no weight is published. */
  readonly bushelLb?: number;
  readonly lugLb?: number;
  readonly quartBoxLb?: number;
  /** Cups of kernels from an ear. */
  readonly cupsPerPiece?: number;
  /** Part of the weight lost to peel, core, stone and stem. */
  readonly trimLoss: number;
  /** Days sound, ripe produce keeps. Undefined where that place is not for it. */
  readonly keepsDays: { readonly counter: number; readonly cool?: number; readonly refrigerator?: number };
  readonly bestStore: string;
  readonly note: string;
}

/**
 * Source: bushel weights from the USDA Complete Guide to Home Canning, 2015; the best store and how long it keeps there
 * from USDA Agriculture Handbook 66; counter and cool room common practice; all as recalled.
 */
export const PRINTED_PRODUCE: readonly ProduceRow[] = ROWS.map((row) => produceOf(row, KEEPING));

/** All crops that may be picked and kept: the printed ones, and those of common practice. */
export const PRODUCE: readonly ProduceRow[] = [
  ...PRINTED_PRODUCE,
  ...FURTHER_ROWS.map((row) => produceOf(row, COMMON_PRACTICE)),
];

function produceOf(
  [crop, bushelLb, trimLoss, counter, cool, refrigerator, bestStore, note]: Row & { readonly 0: ProduceId },
  cited: Cited,
): ProduceRow {
  return {
    crop,
    name: CROP_NAMES[crop],
    ...(bushelLb !== null && { bushelLb }),
    ...BOXES[crop],
    trimLoss,
    keepsDays: { counter, ...(cool !== null && { cool }), ...(refrigerator !== null && { refrigerator }) },
    bestStore,
    note,
    ...cited,
  };
}

const BY_CROP = new Map<string, ProduceRow>(PRODUCE.map((row) => [row.crop, row]));

/** The produce row of a crop, or undefined when its keeping is not in the handbook. */
export function findProduce(crop: string): ProduceRow | undefined {
  return BY_CROP.get(crop);
}

/** The row of a crop known to exist. @throws RangeError for an id the handbook does not have. */
export function produceRow(crop: string): ProduceRow {
  const row = findProduce(crop);
  if (!row) throw new RangeError(`no produce ${JSON.stringify(crop)} in the handbook`);
  return row;
}
