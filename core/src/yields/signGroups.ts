import { type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { choleskyOf, halfLogDeterminant, solveWith } from '../math/cholesky';
import { dot } from '../math/dot';
import { BATCH_SPREADS, CROP, DEVIATIONS, productSpreadOf, RECIPE } from './yieldPrior';

/** One batch as the model sees it: how far its pounds a quart were from the printed ones, on the log scale. */
export interface YieldSign {
  readonly crop: ProduceId;
  readonly product: ProductId;
  readonly deviation: number;
  /** How much less it counts than one of today: 1, 1.25 a year ago, and so on. */
  readonly staleness: number;
}

/** A group of crops and products that have batches in common, solved for one batch spread and one choice of what is far off. */
export interface Solved {
  readonly spreadIndex: number;
  readonly cropSpreads: ReadonlyMap<ProduceId, number>;
  /** By {@link recipeOf}. */
  readonly recipeSpreads: ReadonlyMap<string, number>;
  readonly solve: (b: readonly number[]) => number[];
  readonly solvedDeviations: readonly number[];
  readonly solvedOnes: readonly number[];
  /** Log of the chance of the group's deviations, for each household deviation. */
  readonly logs: readonly number[];
}

export interface Group {
  readonly signs: readonly YieldSign[];
  readonly solved: readonly Solved[];
  /** For each batch spread and household deviation, the log of the chance over all choices of what is far off. */
  readonly logs: readonly (readonly number[])[];
}

/** Batches in groups that have neither crop nor product in common, each solved. */
export function solveGroups(signs: readonly YieldSign[]): Group[] {
  return connected(signs).map(solveGroup);
}

function logsOf(solved: readonly Solved[]): number[][] {
  return BATCH_SPREADS.map((_, spreadIndex) => {
    const own = solved.filter((each) => each.spreadIndex === spreadIndex);
    return DEVIATIONS.map((__, i) => {
      const best = own.reduce((most, { logs }) => Math.max(most, logs[i] ?? -Infinity), -Infinity);
      return best + Math.log(own.reduce((sum, { logs }) => sum + Math.exp((logs[i] ?? -Infinity) - best), 0));
    });
  });
}

/** One product made of one crop: what a page is printed for. */
export function recipeOf({ crop, product }: Pick<YieldSign, 'crop' | 'product'>): string {
  return `${crop} ${product}`;
}

/** Above this many crops and recipes in one group what is far off is looked for one at a time. */
const MOST_TOGETHER = 5;

function solveGroup(signs: readonly YieldSign[]): Group {
  const choices = farChoices(signs);
  const solved = BATCH_SPREADS.flatMap((_, index) => choices.map((choice) => solve(signs, choice, index)));
  return { signs, solved, logs: logsOf(solved) };
}

interface FarChoice {
  readonly chance: number;
  readonly cropSpreads: ReadonlyMap<ProduceId, number>;
  readonly recipeSpreads: ReadonlyMap<string, number>;
}

/** Which of a group's crops and recipes are far off: every choice, or none and each one where there are many. */
function farChoices(signs: readonly YieldSign[]): FarChoice[] {
  const crops = [...new Set(signs.map(({ crop }) => crop))];
  const recipes = [...new Set(signs.map(recipeOf))];
  const count = crops.length + recipes.length;
  const all = Array.from({ length: count }, (_, i) => i);
  const sets =
    count > MOST_TOGETHER
      ? [[], ...all.map((one) => [one])]
      : Array.from({ length: 2 ** count }, (_, bits) => all.filter((i) => bits & (1 << i)));
  return sets.map((far) => {
    const isFar = (i: number) => far.includes(i);
    const ways = [
      ...crops.map((_, i) => CROP[isFar(i) ? 1 : 0]),
      ...recipes.map((_, i) => RECIPE[isFar(crops.length + i) ? 1 : 0]),
    ];
    return {
      chance: ways.reduce((product, { chance }) => product * chance, 1),
      cropSpreads: new Map(crops.map((crop, i) => [crop, CROP[isFar(i) ? 1 : 0].spread])),
      recipeSpreads: new Map(recipes.map((recipe, i) => [recipe, RECIPE[isFar(crops.length + i) ? 1 : 0].spread])),
    };
  });
}

function solve(
  signs: readonly YieldSign[],
  { chance, cropSpreads, recipeSpreads }: FarChoice,
  spreadIndex: number,
): Solved {
  const batchSpread = BATCH_SPREADS[spreadIndex]?.spread ?? 0;
  const factor = choleskyOf(signs.length, (i, j) => {
    const [a, b] = [signs[i] as YieldSign, signs[j] as YieldSign];
    const ofCrop = a.crop === b.crop ? (cropSpreads.get(a.crop) ?? 0) ** 2 : 0;
    const ofProduct = a.product === b.product ? productSpreadOf(a) * productSpreadOf(b) : 0;
    const ofRecipe = recipeOf(a) === recipeOf(b) ? (recipeSpreads.get(recipeOf(a)) ?? 0) ** 2 : 0;
    return ofCrop + ofProduct + ofRecipe + (i === j ? batchSpread ** 2 * a.staleness : 0);
  });
  const deviations = signs.map(({ deviation }) => deviation);
  const ones = signs.map(() => 1);
  const solvedDeviations = solveWith(factor, deviations);
  const solvedOnes = solveWith(factor, ones);
  const square = dot(deviations, solvedDeviations);
  const cross = dot(ones, solvedDeviations);
  const own = dot(ones, solvedOnes);
  const rest = Math.log(chance) - halfLogDeterminant(factor) - (signs.length / 2) * Math.log(2 * Math.PI);
  return {
    spreadIndex,
    cropSpreads,
    recipeSpreads,
    solve: (b) => solveWith(factor, b),
    solvedDeviations,
    solvedOnes,
    logs: DEVIATIONS.map((household) => rest - (square - 2 * household * cross + household ** 2 * own) / 2),
  };
}

/** Batches in groups that have neither crop nor product in common. */
function connected(signs: readonly YieldSign[]): YieldSign[][] {
  const groups: YieldSign[][] = [];
  for (const sign of signs) {
    const own = groups.filter((group) =>
      group.some((other) => other.crop === sign.crop || other.product === sign.product),
    );
    for (const each of own) groups.splice(groups.indexOf(each), 1);
    groups.push([...own.flat(), sign]);
  }
  return groups;
}
