import { type ProduceId } from './produce';
import { type Cited, COMMON_PRACTICE } from './source';

/** How a crop is begun: raised in pots and set out, sown where it grows, or planted once and picked for years. */
export type Begun = 'pots' | 'bed' | 'lasting';

type Row = readonly [ProduceId, Begun, weeksInPots: number, daysToPick: number, tender: boolean];
type LastingRow = readonly [ProduceId, bearsAfterYears: number];

/**
 * Weeks in pots, and days from setting out (from sowing, where it is sown in its bed) until the first picking. Varieties
 * differ by weeks: the seed packet goes first. From memory of extension planting guides: common practice.
 */
// One crop a line.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['tomato-paste', 'pots', 7, 75, true], ['tomato-slicing', 'pots', 7, 75, true], ['tomatillo', 'pots', 6, 70, true],
  ['pepper-sweet', 'pots', 9, 75, true], ['pepper-hot', 'pots', 9, 80, true], ['celery', 'pots', 11, 95, false],
  ['cabbage', 'pots', 6, 75, false], ['cauliflower', 'pots', 6, 65, false], ['onion', 'pots', 10, 105, false],
  ['ginger', 'pots', 8, 200, true], ['cucumber-pickling', 'bed', 0, 55, true], ['bean-snap', 'bed', 0, 60, true],
  ['corn-sweet', 'bed', 0, 80, true], ['beet', 'bed', 0, 60, false], ['carrot', 'bed', 0, 75, false],
  ['dill', 'bed', 0, 65, false], ['garlic', 'bed', 0, 270, false],
];

/** Years until what is planted once bears as much as a grown one, or nearly. From the same leaflets: common practice. */
// prettier-ignore
const LASTING_ROWS: readonly LastingRow[] = [
  ['apple', 5], ['pear', 6], ['peach', 4], ['apricot', 4], ['plum', 5], ['damson', 6], ['cherry-sweet', 6],
  ['cherry-sour', 4], ['quince', 5], ['fig', 3], ['grape', 3], ['strawberry', 1], ['blueberry', 4], ['blackberry', 2],
  ['raspberry', 2], ['gooseberry', 3], ['currant', 3], ['rhubarb', 2],
];

export interface SowingRow extends Cited {
  readonly crop: ProduceId;
  readonly begun: Begun;
  readonly weeksInPots: number;
  /** Undefined for what is planted once. */
  readonly daysToPick?: number;
  /** Killed by frost: nothing of it goes out before the last one. */
  readonly tender: boolean;
  /** Of what is planted once. */
  readonly bearsAfterYears?: number;
}

const BY_CROP: ReadonlyMap<ProduceId, SowingRow> = new Map(
  [
    ...ROWS.map(([crop, begun, weeksInPots, daysToPick, tender]): SowingRow => ({
      ...{ crop, begun, weeksInPots, daysToPick, tender },
      ...COMMON_PRACTICE,
    })),
    ...LASTING_ROWS.map(([crop, bearsAfterYears]): SowingRow => ({
      ...{ crop, begun: 'lasting', weeksInPots: 0, tender: false, bearsAfterYears },
      ...COMMON_PRACTICE,
    })),
  ].map((row) => [row.crop, row]),
);

/** How a crop is begun. Every crop that can be picked has a row. */
export function sowingRow(crop: ProduceId): SowingRow {
  const row = BY_CROP.get(crop);
  if (!row) throw new RangeError(`nothing is known of sowing ${crop}`);
  return row;
}
