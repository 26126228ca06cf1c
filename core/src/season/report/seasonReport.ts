import { type JarSize } from '../../handbook/jars';
import { type ProduceId } from '../../handbook/produce';
import { type ProductId } from '../../handbook/products';
import { type Range } from '../../math/range';
import { type Priority } from '../../pantry/shelfGoal';
import { goalRanges } from './harvestChances';
import { handsMinutes } from '../problem/planWorth';
import { type PlannedSeason } from '../search/planSeason';
import { type LeftOut } from '../problem/recipesFor';
import { type Outlook } from '../problem/expectedArrivals';
import { jarsByRecipe, type SeasonDayPlan, type SeasonTaking } from '../problem/seasonPlan';
import { goalKey, type SeasonProblem, type SeasonRecipe } from '../problem/seasonProblem';

export interface ReportedBatch {
  readonly recipe: string;
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly jars: number;
  readonly loads: number;
  readonly crops: readonly { readonly crop: ProduceId; readonly massKg: number }[];
  /** Of the same day's by-product instead of produce. */
  readonly from?: 'thin juice' | 'peels and cores';
  readonly thawed: boolean;
  readonly overnight: boolean;
  readonly handsMinutes: number;
}

/** Where the produce of a day comes from, by crop. */
export interface ReportedTaking {
  readonly crop: ProduceId;
  readonly onHandKg: number;
  /** Expected of the beds by then. */
  readonly toPickKg: number;
  readonly thawedKg: number;
  /** Of what is fresh, what has to wait in the refrigerator until that day. */
  readonly chilledKg: number;
}

export interface ReportedDay {
  /** "2026-08-22". */
  readonly day: string;
  readonly at: number;
  readonly windowMinutes: number;
  readonly handsMinutes: number;
  readonly batches: readonly ReportedBatch[];
  readonly takings: readonly ReportedTaking[];
}

/** Why a goal stays short: produce, hands and days, or lids and jars; and how much of it would do. */
export interface ReportedShort {
  readonly jars: number;
  readonly kind: 'produce' | 'days' | 'lids';
  readonly crop?: ProduceId;
  readonly massKg?: number;
}

export interface ReportedGoal {
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly priority: Priority;
  readonly want: number;
  readonly have: number;
  readonly planned: number;
  /** Jars there will be if the plan is followed, over harvests larger and smaller than the middle one. */
  readonly range: Range;
  readonly short?: ReportedShort;
}

/** What becomes of a crop that nothing takes. */
export interface ReportedRest {
  readonly crop: ProduceId;
  readonly frozenKg: number;
  readonly leftKg: number;
}

/** A season's plan as it is shown and kept: everything in it, so that it can be read without the server. */
export interface SeasonReport {
  /** When it was planned, epoch milliseconds. */
  readonly at: number;
  readonly days: readonly ReportedDay[];
  readonly goals: readonly ReportedGoal[];
  readonly rests: readonly ReportedRest[];
  readonly leftOut: readonly { readonly product: ProductId; readonly jar: JarSize; readonly reason: string }[];
  readonly jars: number;
  readonly hours: number;
  /** Points, what no plan is worth more than (null where that is not known), and a careful hand's. */
  readonly worth: number;
  readonly bound: number | null;
  readonly byHandJars: number;
  readonly cautious: boolean;
}

const SEED = 9;

/** Writes a plan down for those who carry it out. */
export function seasonReport(
  problem: SeasonProblem,
  { plan, bound, byHand }: PlannedSeason,
  {
    outlook,
    leftOut,
    now,
    cautious = false,
  }: {
    readonly outlook: Outlook;
    readonly leftOut: readonly LeftOut[];
    readonly now: number;
    readonly cautious?: boolean;
  },
): SeasonReport {
  const recipes = new Map(problem.recipes.map((recipe) => [recipe.id, recipe]));
  const made = jarsByRecipe(plan);
  const ranges = goalRanges(problem, plan, outlook, SEED);
  const days = plan.days.map((planned) => dayOf(problem, outlook, planned, recipes));
  const sum = (jars: ReadonlyMap<string, number>) => [...jars.values()].reduce((all, each) => all + each, 0);
  const restOf = (crop: ProduceId) => plan.rests.filter((rest) => rest.crop === crop);
  const crops = [...new Set(plan.rests.map(({ crop }) => crop))];
  const rests = crops.map((crop) => ({
    crop,
    frozenKg: restOf(crop).reduce((all, { frozenKg }) => all + frozenKg, 0),
    leftKg: restOf(crop).reduce((all, { leftKg }) => all + leftKg, 0),
  }));
  return {
    at: now,
    days,
    goals: problem.goals.map((goal): ReportedGoal => {
      const own = problem.recipes.filter((recipe) => goalKey(recipe) === goalKey(goal));
      const planned = own.reduce((all, { id }) => all + (made.get(id) ?? 0), 0);
      const jars = goal.want - goal.have - planned;
      const none: Range = { p10: goal.have, p50: goal.have, p90: goal.have };
      const { product, jar, priority, want, have } = goal;
      return {
        ...{ product, jar, priority, want, have, planned },
        range: ranges.get(goalKey(goal)) ?? none,
        ...(jars > 0 && own.length > 0 && { short: whyShort(problem, own, jars, rests, made) }),
      };
    }),
    rests: rests.filter(({ frozenKg, leftKg }) => frozenKg + leftKg > 0.1).sort((a, b) => b.leftKg - a.leftKg),
    leftOut: leftOut.map(({ goal: { product, jar }, reason }) => ({ product, jar, reason })),
    jars: sum(made),
    hours: days.reduce((all, day) => all + day.handsMinutes, 0) / 60,
    worth: plan.worth,
    bound: bound ?? null,
    byHandJars: sum(jarsByRecipe(byHand)),
    cautious,
  };
}

function dayOf(
  problem: SeasonProblem,
  outlook: Outlook,
  { day: id, batches, takings }: SeasonDayPlan,
  recipes: ReadonlyMap<string, SeasonRecipe>,
): ReportedDay {
  const day = problem.days.find((each) => each.id === id);
  const cropOf = new Map(problem.arrivals.map((arrival) => [arrival.id, arrival.crop]));
  const thawed = new Set(
    takings
      .filter(({ from, arrival }) => from === 'freezer' || problem.arrivals.find((each) => each.id === arrival)?.frozen)
      .map(({ arrival }) => cropOf.get(arrival)),
  );
  const reported = batches.flatMap(({ recipe: recipeId, jars, loads }): ReportedBatch[] => {
    const recipe = recipes.get(recipeId);
    if (!recipe) return [];
    return [
      {
        recipe: recipeId,
        product: recipe.product,
        jar: recipe.jar,
        jars,
        loads,
        crops: recipe.crops.map(({ crop, kgPerJar }) => ({ crop, massKg: kgPerJar * jars })),
        ...(recipe.takes && { from: recipe.takes.kind }),
        thawed: recipe.frozenToo && recipe.crops.some(({ crop }) => thawed.has(crop)),
        overnight: recipe.overnight,
        handsMinutes: handsMinutes(recipe, jars),
      },
    ];
  });
  return {
    day: id,
    at: day?.at ?? 0,
    windowMinutes: day?.windowMinutes ?? 0,
    handsMinutes: reported.reduce((sum, batch) => sum + batch.handsMinutes, 0),
    batches: reported,
    takings: takingsOf(problem, outlook, takings),
  };
}

function takingsOf(problem: SeasonProblem, { spreads }: Outlook, takings: readonly SeasonTaking[]): ReportedTaking[] {
  const arrivals = new Map(problem.arrivals.map((arrival) => [arrival.id, arrival]));
  const byCrop = new Map<ProduceId, ReportedTaking>();
  for (const { arrival: id, massKg, from } of takings) {
    const arrival = arrivals.get(id);
    if (!arrival) continue;
    const { crop } = arrival;
    const known = byCrop.get(crop) ?? { crop, onHandKg: 0, toPickKg: 0, thawedKg: 0, chilledKg: 0 };
    const source = from === 'freezer' || arrival.frozen ? 'thawedKg' : spreads.has(id) ? 'toPickKg' : 'onHandKg';
    const chilledKg = known.chilledKg + (from === 'refrigerator' ? massKg : 0);
    byCrop.set(crop, { ...known, chilledKg, [source]: known[source] + massKg });
  }
  return [...byCrop.values()];
}

/**
 * Why a goal stays short. Lids or jars that are used up and not to be had; else whether enough of its crop is left over: then
 * there was no room on a day, or else too little grows.
 */
function whyShort(
  problem: SeasonProblem,
  own: readonly SeasonRecipe[],
  jars: number,
  rests: readonly ReportedRest[],
  made: ReadonlyMap<string, number>,
): ReportedShort {
  const usedOf = (key: string) =>
    problem.recipes.reduce((sum, { id, stock }) => sum + (stock.includes(key) ? (made.get(id) ?? 0) : 0), 0);
  const isOut = problem.stock.some(
    ({ key, have, toBeHad }) => !toBeHad && own.some(({ stock }) => stock.includes(key)) && usedOf(key) >= have,
  );
  if (isOut) return { jars, kind: 'lids' };
  const [recipe] = own.filter(({ takes }) => takes === undefined);
  const [main] = recipe?.crops ?? [];
  if (!main) return { jars, kind: 'days' };
  const needKg = main.kgPerJar * jars;
  const leftKg = rests.find(({ crop }) => crop === main.crop)?.leftKg ?? 0;
  return { jars, kind: leftKg >= needKg ? 'days' : 'produce', crop: main.crop, massKg: needKg };
}
