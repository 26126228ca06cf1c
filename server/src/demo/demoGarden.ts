import { type PlantingUnit } from '@hoddle/core/handbook/harvestYields';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type GardenLook, type Planting } from '@hoddle/core/harvest/planting';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { idOf } from './demoIds';

type Row = readonly [
  name: string,
  ProduceId,
  count: number,
  PlantingUnit,
  firstWeek: number,
  peakWeek: number,
  lastWeek: number,
  usualLb: number | null,
];

/** Beds and trees of Fennick Hollow: cool nights on the hill, so that tomatoes begin in August. Invented. */
// One planting a line.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['South bed', 'tomato-paste', 60, 'plants', 31, 36, 40, 480],
  ['Bean fence', 'bean-snap', 40, 'row-feet', 29, 32, 37, null],
  ['Beetroot rows', 'beet', 30, 'row-feet', 30, 37, 41, null],
  ['Tomatillos', 'tomatillo', 6, 'plants', 32, 36, 39, null],
  ['Damsons', 'damson', 3, 'trees', 34, 35, 37, null],
  ['Sour cherries', 'cherry-sour', 2, 'trees', 27, 28, 29, 50],
  ['Old quince', 'quince', 1, 'trees', 40, 41, 42, null],
  ['Young apples', 'apple', 4, 'trees', 37, 39, 42, 120],
  ['Rhubarb bed', 'rhubarb', 8, 'plants', 17, 20, 25, null],
  ['Gooseberries', 'gooseberry', 5, 'plants', 26, 27, 29, null],
];

/** The garden, set up once. */
export function demoGarden(): { plantings: Planting[]; gardenLooks: GardenLook[] } {
  const plantings = ROWS.map(([name, crop, count, unit, firstWeek, peakWeek, lastWeek, usualLb]): Planting => ({
    id: plantingOf(crop),
    name,
    crop,
    count,
    unit,
    firstWeek,
    peakWeek,
    lastWeek,
    usualKg: usualLb === null ? null : usualLb * KG_PER_LB,
  }));
  return { plantings, gardenLooks: [] };
}

/** The planting of a crop: there is one of each. */
export function plantingOf(crop: ProduceId): string {
  return idOf(`planting ${crop}`);
}
