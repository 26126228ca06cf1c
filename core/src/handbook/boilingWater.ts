import { groupBy } from './groupBy';
import { type JarSize } from './jars';
import { type ProcessId } from './products';
import { type Confidence, type Guide, recalledFrom, type Sourced } from './source';

/** Minutes by altitude: up to 1,000 ft, up to 3,000, up to 6,000, above. */
export type BandMinutes = readonly [number, number, number, number];
export type Pack = 'hot' | 'raw';

/**
 * How the food is made acid enough: bottled lemon juice or citric acid in each jar, those or vinegar in each jar, by its
 * own formula, or by nature.
 */
export type Acidify = 'lemon' | 'jar' | 'recipe' | '';

type Row = readonly [
  process: ProcessId,
  packs: Pack | 'hot|raw',
  jars: JarSize | `${JarSize}|${JarSize}`,
  to1000: number,
  to3000: number,
  to6000: number,
  above6000: number,
  headspaceIn: number,
  guide: Guide,
  acidify: Acidify,
  confidence: Confidence,
];

// One row a line, in the order and unit of the page.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['apple-juice', 'hot', 'pint|quart', 5, 10, 10, 15, 0.25, 2, '', 'high'],
  ['apple-juice', 'hot', 'half-gallon', 10, 15, 15, 20, 0.25, 2, '', 'high'],
  ['apple-butter', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.25, 2, '', 'high'],
  ['apple-butter', 'hot', 'quart', 10, 15, 15, 20, 0.25, 2, '', 'high'],
  ['applesauce', 'hot', 'pint', 15, 20, 20, 25, 0.5, 2, '', 'high'],
  ['applesauce', 'hot', 'quart', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['apples-sliced', 'hot', 'pint|quart', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['spiced-apple-rings', 'hot', 'half-pint|pint', 10, 15, 15, 20, 0.5, 2, '', 'high'],
  ['apricots', 'hot', 'pint', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['apricots', 'hot', 'quart', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['apricots', 'raw', 'pint', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['apricots', 'raw', 'quart', 30, 35, 40, 45, 0.5, 2, '', 'high'],
  ['berries-whole', 'hot', 'pint|quart', 15, 20, 20, 25, 0.5, 2, '', 'high'],
  ['berries-whole', 'raw', 'pint', 15, 20, 20, 25, 0.5, 2, '', 'high'],
  ['berries-whole', 'raw', 'quart', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['berry-syrup', 'hot', 'half-pint|pint', 10, 15, 15, 20, 0.5, 2, '', 'high'],
  ['cherries-whole', 'hot', 'pint', 15, 20, 20, 25, 0.5, 2, '', 'high'],
  ['cherries-whole', 'hot', 'quart', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['cherries-whole', 'raw', 'pint|quart', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['figs', 'hot', 'pint', 45, 50, 55, 60, 0.5, 2, 'lemon', 'high'],
  ['figs', 'hot', 'quart', 50, 55, 60, 65, 0.5, 2, 'lemon', 'high'],
  ['fruit-puree', 'hot', 'pint|quart', 15, 20, 20, 25, 0.25, 2, '', 'high'],
  ['grape-juice', 'hot', 'pint|quart', 5, 10, 10, 15, 0.25, 2, '', 'high'],
  ['grape-juice', 'hot', 'half-gallon', 10, 15, 15, 20, 0.25, 2, '', 'high'],
  ['grapes-whole', 'hot', 'pint|quart', 10, 15, 15, 20, 1, 2, '', 'medium'],
  ['grapes-whole', 'raw', 'pint', 15, 20, 20, 25, 1, 2, '', 'high'],
  ['grapes-whole', 'raw', 'quart', 20, 25, 30, 35, 1, 2, '', 'high'],
  ['nectarines', 'hot', 'pint', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['nectarines', 'hot', 'quart', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['nectarines', 'raw', 'pint', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['nectarines', 'raw', 'quart', 30, 35, 40, 45, 0.5, 2, '', 'high'],
  ['peaches', 'hot', 'pint', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['peaches', 'hot', 'quart', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['peaches', 'raw', 'pint', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['peaches', 'raw', 'quart', 30, 35, 40, 45, 0.5, 2, '', 'high'],
  ['pears-halved', 'hot', 'pint', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['pears-halved', 'hot', 'quart', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['asian-pears', 'hot', 'pint', 20, 25, 30, 35, 0.5, 2, 'lemon', 'high'],
  ['asian-pears', 'hot', 'quart', 25, 30, 35, 40, 0.5, 2, 'lemon', 'high'],
  ['plums', 'hot|raw', 'pint', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['plums', 'hot|raw', 'quart', 25, 30, 35, 40, 0.5, 2, '', 'high'],
  ['rhubarb-stewed', 'hot', 'pint|quart', 15, 20, 20, 25, 0.5, 2, '', 'high'],
  ['apple-pie-filling', 'hot', 'pint|quart', 25, 30, 35, 40, 1, 2, '', 'high'],
  ['blueberry-pie-filling', 'hot', 'pint|quart', 30, 35, 40, 45, 1, 2, '', 'high'],
  ['cherry-pie-filling', 'hot', 'pint|quart', 30, 35, 40, 45, 1, 2, '', 'high'],
  ['peach-pie-filling', 'hot', 'pint|quart', 30, 35, 40, 45, 1, 2, '', 'high'],
  ['green-tomato-pie-filling', 'hot', 'quart', 15, 20, 20, 25, 0.5, 2, '', 'medium'],
  ['tomato-juice', 'hot', 'pint', 35, 40, 45, 50, 0.5, 3, 'jar', 'high'],
  ['tomato-juice', 'hot', 'quart', 40, 45, 50, 55, 0.5, 3, 'jar', 'high'],
  ['tomato-vegetable-juice', 'hot', 'pint', 35, 40, 45, 50, 0.5, 3, 'jar', 'high'],
  ['tomato-vegetable-juice', 'hot', 'quart', 40, 45, 50, 55, 0.5, 3, 'jar', 'high'],
  ['tomatoes-crushed', 'hot', 'pint', 35, 40, 45, 50, 0.5, 3, 'jar', 'high'],
  ['tomatoes-crushed', 'hot', 'quart', 45, 50, 55, 60, 0.5, 3, 'jar', 'high'],
  ['tomato-sauce', 'hot', 'pint', 35, 40, 45, 50, 0.25, 3, 'jar', 'high'],
  ['tomato-sauce', 'hot', 'quart', 40, 45, 50, 55, 0.25, 3, 'jar', 'high'],
  ['tomatoes-whole-in-water', 'hot|raw', 'pint', 40, 45, 50, 55, 0.5, 3, 'jar', 'high'],
  ['tomatoes-whole-in-water', 'hot|raw', 'quart', 45, 50, 55, 60, 0.5, 3, 'jar', 'high'],
  ['tomatoes-whole-in-juice', 'hot|raw', 'pint|quart', 85, 90, 95, 100, 0.5, 3, 'jar', 'high'],
  ['tomatoes-raw-no-liquid', 'raw', 'pint|quart', 85, 90, 95, 100, 0.5, 3, 'jar', 'high'],
  ['tomato-ketchup', 'hot', 'pint', 15, 20, 20, 25, 0.125, 3, 'recipe', 'high'],
  ['tomato-chile-salsa', 'hot', 'pint', 15, 20, 20, 25, 0.5, 3, 'recipe', 'high'],
  ['tomato-salsa-paste-tomatoes', 'hot', 'pint', 15, 20, 20, 25, 0.5, 3, 'recipe', 'high'],
  ['tomatillo-green-salsa', 'hot', 'pint', 15, 20, 20, 25, 0.5, 3, 'recipe', 'high'],
  ['tomato-taco-sauce', 'hot', 'pint', 15, 20, 20, 25, 0.5, 3, 'recipe', 'high'],
  ['bread-and-butter-pickles', 'hot', 'pint|quart', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['quick-fresh-pack-dill', 'raw', 'pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['quick-fresh-pack-dill', 'raw', 'quart', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['dill-fermented', 'raw', 'pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['dill-fermented', 'raw', 'quart', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['sauerkraut', 'hot', 'pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['sauerkraut', 'hot', 'quart', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['sauerkraut', 'raw', 'pint', 20, 25, 30, 35, 0.5, 6, 'recipe', 'high'],
  ['sauerkraut', 'raw', 'quart', 25, 30, 35, 40, 0.5, 6, 'recipe', 'high'],
  ['sweet-gherkins', 'raw', 'pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['quick-sweet-pickles', 'hot', 'pint|quart', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['quick-sweet-pickles', 'raw', 'pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['quick-sweet-pickles', 'raw', 'quart', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['dilled-beans', 'raw', 'pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['three-bean-salad', 'hot', 'half-pint|pint', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['pickled-beets', 'hot', 'pint|quart', 30, 35, 40, 45, 0.5, 6, 'recipe', 'high'],
  ['pickled-carrots', 'hot', 'half-pint|pint', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['pickled-cauliflower', 'hot', 'half-pint|pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['pickled-corn-relish', 'hot', 'half-pint|pint', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['cucumber-pickle-relish', 'hot', 'half-pint|pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['piccalilli', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['pepper-onion-relish', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['pickled-bell-peppers', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['pickled-hot-peppers', 'raw', 'half-pint|pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['pickled-jalapeno-rings', 'hot|raw', 'half-pint|pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'medium'],
  ['pickled-yellow-pepper-rings', 'hot|raw', 'half-pint|pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'medium'],
  ['pickled-asparagus', 'raw', 'twelve-ounce|pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['pickled-green-tomatoes', 'hot|raw', 'pint', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['pickled-green-tomatoes', 'hot|raw', 'quart', 15, 20, 20, 25, 0.5, 6, 'recipe', 'high'],
  ['green-tomato-relish', 'hot', 'pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['zucchini-bread-and-butter', 'hot', 'pint|quart', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['jelly-with-pectin', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.25, 7, 'recipe', 'high'],
  ['jelly-no-pectin', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.25, 7, 'recipe', 'high'],
  ['jam-with-pectin', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.25, 7, 'recipe', 'high'],
  ['jam-no-pectin', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.25, 7, 'recipe', 'high'],
  ['peach-pineapple-reduced-sugar-spread', 'hot', 'half-pint', 15, 20, 20, 25, 0.25, 7, 'recipe', 'high'],
  ['peach-pineapple-reduced-sugar-spread', 'hot', 'pint', 20, 25, 30, 35, 0.25, 7, 'recipe', 'high'],
  ['spiced-crab-apples', 'hot', 'pint', 20, 25, 30, 35, 0.5, 2, '', 'medium'],
  ['pineapple', 'hot', 'pint', 15, 20, 20, 25, 0.5, 2, '', 'high'],
  ['pineapple', 'hot', 'quart', 20, 25, 30, 35, 0.5, 2, '', 'high'],
  ['cranberry-orange-chutney', 'hot', 'half-pint', 10, 15, 15, 20, 0.5, 2, 'recipe', 'medium'],
  ['mango-chutney', 'hot', 'half-pint|pint', 10, 15, 15, 20, 0.5, 2, 'recipe', 'medium'],
  ['fourteen-day-sweet', 'raw', 'pint', 5, 10, 10, 15, 0.5, 6, 'recipe', 'high'],
  ['fourteen-day-sweet', 'raw', 'quart', 10, 15, 15, 20, 0.5, 6, 'recipe', 'high'],
  ['marinated-peppers', 'raw', 'half-pint|pint', 15, 20, 20, 25, 0.5, 6, 'recipe', 'medium'],
  ['cantaloupe-pickles', 'hot', 'pint', 15, 20, 20, 25, 1, 6, 'recipe', 'medium'],
  ['watermelon-rind-pickles', 'hot', 'half-pint|pint', 10, 15, 15, 20, 0.5, 'NCHFP', 'recipe', 'medium'],
  ['fig-jam', 'hot', 'half-pint|pint', 5, 10, 10, 15, 0.25, 'NCHFP', 'recipe', 'medium'],
  ['marmalade', 'hot', 'half-pint', 5, 10, 10, 15, 0.25, 'NCHFP', 'recipe', 'medium'],
];

export interface BoilingWaterRow extends Sourced {
  /** Names the row and its figures for the household's checked mark: a figure that is mended is to be checked anew. */
  readonly id: string;
  readonly process: ProcessId;
  readonly packs: readonly Pack[];
  readonly jars: readonly JarSize[];
  readonly minutes: BandMinutes;
  readonly headspaceIn: number;
  readonly acidify: Acidify;
}

/** Tested times in a boiling-water canner. Nothing here is ever computed. */
export const BOILING_WATER: readonly BoilingWaterRow[] = ROWS.map(
  ([process, packs, jars, low, second, third, high, headspaceIn, guide, acidify, confidence]) => ({
    id: `boiling-water ${process} ${packs} ${jars} ${low}/${second}/${third}/${high}`,
    process,
    packs: packs.split('|') as Pack[],
    jars: jars.split('|') as JarSize[],
    minutes: [low, second, third, high],
    headspaceIn,
    acidify,
    ...recalledFrom(guide, confidence),
  }),
);

const BY_PROCESS = groupBy(BOILING_WATER, ({ process }) => process);

/** The rows of one process, in the order of the page; none for food that is only pressure canned. */
export function boilingWaterRows(process: ProcessId): readonly BoilingWaterRow[] {
  return BY_PROCESS.get(process) ?? [];
}
