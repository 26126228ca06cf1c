import { type Pack } from './boilingWater';
import { groupBy } from './groupBy';
import { type JarSize } from './jars';
import { type ProcessId } from './products';
import { type Confidence, type Guide, recalledFrom, type Sourced } from './source';

type Psi = number | null;
type Row = readonly [
  process: ProcessId,
  pack: Pack,
  jars: JarSize | `${JarSize}|${JarSize}`,
  minutes: number,
  dialTo2000: Psi,
  dialTo4000: Psi,
  dialTo6000: Psi,
  dialTo8000: Psi,
  weightedTo1000: Psi,
  weightedAbove: Psi,
  headspaceIn: number,
  confidence: Confidence,
];

/** Null where that gauge has no pressure for the row, or it is not recommended. */
// One row a line, in the order and unit of the page.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['snap-beans', 'raw', 'pint', 20, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['snap-beans', 'raw', 'quart', 25, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['snap-beans', 'hot', 'pint', 20, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['snap-beans', 'hot', 'quart', 25, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['lima-beans', 'hot', 'pint', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['lima-beans', 'hot', 'quart', 50, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['beets', 'hot', 'pint', 30, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['beets', 'hot', 'quart', 35, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['carrots', 'raw', 'pint', 25, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['carrots', 'raw', 'quart', 30, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['carrots', 'hot', 'pint', 25, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['carrots', 'hot', 'quart', 30, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['corn-whole-kernel', 'raw', 'pint', 55, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['corn-whole-kernel', 'raw', 'quart', 85, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['corn-whole-kernel', 'hot', 'pint', 55, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['corn-whole-kernel', 'hot', 'quart', 85, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['peas', 'raw', 'pint|quart', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['peas', 'hot', 'pint|quart', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['peppers', 'hot', 'half-pint|pint', 35, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['potatoes-white', 'hot', 'pint', 35, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['potatoes-white', 'hot', 'quart', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['sweet-potatoes', 'hot', 'pint', 65, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['sweet-potatoes', 'hot', 'quart', 90, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['pumpkin-winter-squash', 'hot', 'pint', 55, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['pumpkin-winter-squash', 'hot', 'quart', 90, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['okra', 'hot', 'pint', 25, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['okra', 'hot', 'quart', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['asparagus', 'raw', 'pint', 30, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['asparagus', 'raw', 'quart', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['asparagus', 'hot', 'pint', 30, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['asparagus', 'hot', 'quart', 40, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['spinach-greens', 'hot', 'pint', 70, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['spinach-greens', 'hot', 'quart', 90, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['mushrooms', 'hot', 'half-pint|pint', 45, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['dried-beans', 'hot', 'pint', 75, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['dried-beans', 'hot', 'quart', 90, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['spaghetti-sauce-no-meat', 'hot', 'pint', 20, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['spaghetti-sauce-no-meat', 'hot', 'quart', 25, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['vegetable-soup', 'hot', 'pint', 60, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['vegetable-soup', 'hot', 'quart', 75, 11, 12, 13, 14, 10, 15, 1, 'high'],
  ['tomato-juice', 'hot', 'pint|quart', 20, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomato-juice', 'hot', 'pint|quart', 15, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomato-juice', 'hot', 'pint|quart', 10, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomato-vegetable-juice', 'hot', 'pint|quart', 20, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomato-vegetable-juice', 'hot', 'pint|quart', 15, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomato-vegetable-juice', 'hot', 'pint|quart', 10, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomatoes-crushed', 'hot', 'pint|quart', 20, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomatoes-crushed', 'hot', 'pint|quart', 15, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomatoes-crushed', 'hot', 'pint|quart', 10, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomato-sauce', 'hot', 'pint|quart', 20, 6, 7, 8, 9, 5, 10, 0.25, 'high'],
  ['tomato-sauce', 'hot', 'pint|quart', 15, 11, 12, 13, 14, 10, 15, 0.25, 'high'],
  ['tomato-sauce', 'hot', 'pint|quart', 10, null, null, null, null, 15, null, 0.25, 'high'],
  ['tomatoes-whole-in-water', 'raw', 'pint|quart', 15, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomatoes-whole-in-water', 'raw', 'pint|quart', 10, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomatoes-whole-in-water', 'raw', 'pint|quart', 1, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomatoes-whole-in-water', 'hot', 'pint|quart', 15, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomatoes-whole-in-water', 'hot', 'pint|quart', 10, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomatoes-whole-in-water', 'hot', 'pint|quart', 1, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomatoes-whole-in-juice', 'raw', 'pint|quart', 40, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomatoes-whole-in-juice', 'raw', 'pint|quart', 25, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomatoes-whole-in-juice', 'raw', 'pint|quart', 15, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomatoes-whole-in-juice', 'hot', 'pint|quart', 40, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomatoes-whole-in-juice', 'hot', 'pint|quart', 25, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomatoes-whole-in-juice', 'hot', 'pint|quart', 15, null, null, null, null, 15, null, 0.5, 'high'],
  ['tomatoes-raw-no-liquid', 'raw', 'pint|quart', 40, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['tomatoes-raw-no-liquid', 'raw', 'pint|quart', 25, 11, 12, 13, 14, 10, 15, 0.5, 'high'],
  ['tomatoes-raw-no-liquid', 'raw', 'pint|quart', 15, null, null, null, null, 15, null, 0.5, 'high'],
  ['applesauce', 'hot', 'pint', 8, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['applesauce', 'hot', 'quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['apples-sliced', 'hot', 'pint|quart', 8, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['berries-whole', 'hot', 'pint|quart', 8, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['berries-whole', 'raw', 'pint', 8, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['berries-whole', 'raw', 'quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['cherries-whole', 'hot', 'pint', 8, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['cherries-whole', 'hot', 'quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['cherries-whole', 'raw', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['fruit-puree', 'hot', 'pint|quart', 8, 6, 7, 8, 9, 5, 10, 0.25, 'high'],
  ['apricots', 'hot', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['apricots', 'raw', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['nectarines', 'hot', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['nectarines', 'raw', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['peaches', 'hot', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['peaches', 'raw', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['plums', 'hot', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['plums', 'raw', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['pears-halved', 'hot', 'pint|quart', 10, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
  ['rhubarb-stewed', 'hot', 'pint|quart', 8, 6, 7, 8, 9, 5, 10, 0.5, 'high'],
];

/** Pressures in psi by altitude; null where there is none. */
export type DialPsi = readonly [to2000: Psi, to4000: Psi, to6000: Psi, to8000: Psi];
export type WeightedPsi = readonly [to1000: Psi, above: Psi];

export interface PressureRow extends Sourced {
  /** Names the row and its figures for the household's checked mark: a figure that is mended is to be checked anew. */
  readonly id: string;
  readonly process: ProcessId;
  readonly pack: Pack;
  readonly jars: readonly JarSize[];
  readonly minutes: number;
  readonly dialPsi: DialPsi;
  readonly weightedPsi: WeightedPsi;
  readonly headspaceIn: number;
}

/** Tomatoes are in guide 3 and fruit in guide 2; everything else stands with the vegetables, guide 4. */
const GUIDE_3 = /^(tomato|spaghetti)/;
const GUIDE_2 = /^(apple|apricots|berries|cherries|fruit|nectarines|peaches|pears|plums|rhubarb)/;

function guideOf(process: ProcessId): Guide {
  if (GUIDE_3.test(process)) return 3;
  return GUIDE_2.test(process) ? 2 : 4;
}

function figures(...psi: Psi[]): string {
  return psi.map((pounds) => pounds ?? '-').join('/');
}

/** Tested times under pressure. One food may have several pressures, each with its own minutes. */
export const PRESSURE: readonly PressureRow[] = ROWS.map(
  ([process, pack, jars, minutes, d2, d4, d6, d8, w1, wAbove, headspaceIn, confidence]) => ({
    id: `pressure ${process} ${pack} ${jars} ${minutes} ${figures(d2, d4, d6, d8)} ${figures(w1, wAbove)}`,
    process,
    pack,
    jars: jars.split('|') as JarSize[],
    minutes,
    dialPsi: [d2, d4, d6, d8],
    weightedPsi: [w1, wAbove],
    headspaceIn,
    ...recalledFrom(guideOf(process), confidence),
  }),
);

const BY_PROCESS = groupBy(PRESSURE, ({ process }) => process);

/** The rows of one process, in the order of the page; none for food that nobody tested under pressure. */
export function pressureRows(process: ProcessId): readonly PressureRow[] {
  return BY_PROCESS.get(process) ?? [];
}
