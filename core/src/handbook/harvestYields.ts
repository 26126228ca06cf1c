import { type ProduceId } from './produce';
import { type Cited, COMMON_PRACTICE } from './source';

/** How a planting is counted. A row-foot is a foot along a row. */
export const PLANTING_UNITS = ['plants', 'row-feet', 'trees'] as const;
export type PlantingUnit = (typeof PLANTING_UNITS)[number];

type Row = readonly [ProduceId, usual: PlantingUnit, lbEach: number, lbPerRowFoot: number | null];

/**
 * Pounds a season from one plant, bush or bearing tree, and from a row-foot where the crop is grown in rows. A start for
 * the first season; the household's own figure and its own picks replace it. From memory of extension leaflets on
 * planning a garden, which differ by half among themselves: common practice.
 */
// One crop a line.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['tomato-paste', 'plants', 10, 5], ['tomato-slicing', 'plants', 12, 6], ['tomatillo', 'plants', 6, 3],
  ['cucumber-pickling', 'plants', 4, 2], ['pepper-sweet', 'plants', 3, 2], ['pepper-hot', 'plants', 1.5, 1],
  ['bean-snap', 'row-feet', 0.4, 1], ['beet', 'row-feet', 0.35, 1.2], ['carrot', 'row-feet', 0.15, 1.2],
  ['corn-sweet', 'row-feet', 0.7, 0.8], ['onion', 'row-feet', 0.4, 1], ['cabbage', 'plants', 3, 2],
  ['cauliflower', 'plants', 2, 1.2], ['apple', 'trees', 100, null], ['pear', 'trees', 90, null],
  ['peach', 'trees', 80, null], ['apricot', 'trees', 60, null], ['plum', 'trees', 60, null],
  ['damson', 'trees', 40, null], ['cherry-sweet', 'trees', 60, null], ['cherry-sour', 'trees', 40, null],
  ['grape', 'plants', 12, null], ['strawberry', 'row-feet', 0.8, 0.8], ['blueberry', 'plants', 6, null],
  ['blackberry', 'row-feet', 5, 1.2], ['raspberry', 'row-feet', 3, 1], ['gooseberry', 'plants', 6, null],
  ['currant', 'plants', 6, null], ['fig', 'trees', 20, null], ['rhubarb', 'plants', 5, 2],
  ['quince', 'trees', 40, null], ['garlic', 'row-feet', 0.12, 0.4], ['dill', 'plants', 0.15, 0.3],
  ['celery', 'plants', 1, 1.5], ['ginger', 'plants', 0.5, 0.5],
];

export interface HarvestYieldRow extends Cited {
  readonly crop: ProduceId;
  /** The way this crop is usually counted. */
  readonly usual: PlantingUnit;
  readonly lbEach: number;
  readonly lbPerRowFoot?: number;
}

export const HARVEST_YIELDS: readonly HarvestYieldRow[] = ROWS.map(([crop, usual, lbEach, lbPerRowFoot]) => ({
  crop,
  usual,
  lbEach,
  ...(lbPerRowFoot !== null && { lbPerRowFoot }),
  ...COMMON_PRACTICE,
}));

const BY_CROP = new Map(HARVEST_YIELDS.map((row) => [row.crop, row]));

/** The row of a crop; every crop that can be picked has one. */
export function harvestYieldRow(crop: ProduceId): HarvestYieldRow {
  const row = BY_CROP.get(crop);
  if (!row) throw new RangeError(`no harvest yield for ${crop}`);
  return row;
}
