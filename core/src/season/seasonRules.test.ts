import { chanceFrom } from '../../bench/chance';
import { simulateSeason } from '../../bench/season/simulatedSeason';
import { workedSeason } from '../../bench/season/workedSeason';
import { greedyPlan } from './search/greedyPlan';
import { highsSolver } from './model/highsSolver';
import { repairContinuous, objectiveValue } from './search/largeNeighbourhoodSearch';
import { verifyPlan } from './problem/verifyPlan';
import { planSeason } from './search/planSeason';
import { planValues } from './model/planValues';
import { planWorth } from './problem/planWorth';
import { withQuietDays } from './problem/quietDays';
import { readPlan } from './model/readPlan';
import { seasonModel } from './model/seasonModel';
import { jarsByRecipe, type SeasonPlan } from './problem/seasonPlan';
import { type Arrival, type SeasonProblem, type SeasonRecipe } from './problem/seasonProblem';
import { pointsPerJar, goalWorth, worthPieces } from './problem/seasonWorth';
import { type Solver } from './model/solver';
import { withFewer } from './search/withFewer';

const DAY_MS = 24 * 60 * 60_000;

let solve: Solver;
beforeAll(async () => (solve = await highsSolver()));

/** The best plan of a small season. */
function best(problem: SeasonProblem): SeasonPlan {
  const began = performance.now();
  const { plan } = planSeason(problem, solve, {
    ...{ seconds: 5, seed: 1, gap: 1e-6, canBeDone: () => true },
    elapsed: () => (performance.now() - began) / 1_000,
  });
  expect(verifyPlan(problem, plan)).toEqual([]);
  return plan;
}

const [crushed, sauce] = workedSeason().recipes as [SeasonRecipe, SeasonRecipe];
const [first, second] = workedSeason().arrivals as [Arrival, Arrival];
const jarsOn = ({ days }: SeasonPlan, day: string, recipe: string) =>
  days.find((each) => each.day === day)?.batches.find((batch) => batch.recipe === recipe)?.jars ?? 0;
const takingsOn = ({ days }: SeasonPlan, day: string) => days.find((each) => each.day === day)?.takings ?? [];

test('peels of one product become another on the same day, and on no other', () => {
  const jelly: SeasonRecipe = {
    ...sauce,
    id: 'from peels',
    crops: [],
    takes: { kind: 'peels and cores', perJar: 0.5 },
  };
  const giving: SeasonRecipe = { ...crushed, gives: { kind: 'peels and cores', perJar: 0.3 } };
  const problem = { ...workedSeason(), recipes: [giving, jelly], stock: [] };
  const plan = best(problem);
  for (const { day } of plan.days) {
    expect(jarsOn(plan, day, 'from peels') * 0.5).toBeLessThanOrEqual(jarsOn(plan, day, crushed.id) * 0.3 + 1e-6);
  }
  expect(jarsByRecipe(plan).get('from peels')).toBeGreaterThan(0);
  expect(verifyPlan({ ...problem, recipes: [crushed, jelly] }, plan)).not.toEqual([]);
});

test('soft produce goes only into what is cooked to pieces', () => {
  const whole: SeasonRecipe = { ...crushed, softToo: false };
  const problem = { ...workedSeason(), recipes: [whole, sauce], stock: [] };
  const soft = { ...problem, arrivals: [{ ...first, soft: true }, second] };
  const plan = best(soft);
  expect(jarsOn(plan, '2026-08-22', whole.id)).toBe(0);
  expect(jarsOn(plan, '2026-08-22', sauce.id)).toBeGreaterThan(0);
  // The checker sees it too: what was made of sound fruit may not be made of soft.
  expect(verifyPlan(soft, best(problem))).not.toEqual([]);
});

test('what keeps to the next day only in the refrigerator goes there, as far as there is room', () => {
  const cold = { ...first, coldUntil: first.readyAt + 8 * DAY_MS };
  const oneDay = (refrigeratorKg: number): SeasonProblem => {
    const { days, ...rest } = workedSeason();
    // No hands on the first Saturday: all of it has to wait.
    return {
      ...rest,
      stock: [],
      refrigeratorKg,
      arrivals: [cold],
      days: days.map((day, i) => (i === 0 ? { ...day, handsMinutes: 1 } : day)),
    };
  };
  const taken = (kg: number) => {
    const takings = takingsOn(best(oneDay(kg)), '2026-08-29');
    expect(takings.every(({ from }) => from === 'refrigerator')).toBe(true);
    return takings.reduce((sum, { massKg }) => sum + massKg, 0);
  };
  expect(taken(9)).toBeCloseTo(9, 3);
  expect(taken(100)).toBeGreaterThan(9);
  expect(best(oneDay(0)).days).toEqual([]);
});

test('frozen now, canned on a quiet day: as much as the freezer holds, and nothing that freezing spoils', () => {
  const { days, ...rest } = workedSeason();
  const frozenToo = rest.recipes.map((recipe) => ({ ...recipe, frozenToo: true }));
  const busyThenQuiet = days.map((day, i) => (i === 0 ? { ...day, handsMinutes: 1 } : { ...day, quiet: true }));
  const problem: SeasonProblem = {
    ...{ ...rest, stock: [], recipes: frozenToo, days: busyThenQuiet, freezerBags: 6 },
    arrivals: [{ ...first, bagsPerKg: 0.5 }],
  };
  const plan = best(problem);
  const kg = takingsOn(plan, '2026-08-29').reduce((sum, { massKg }) => sum + massKg, 0);
  expect(takingsOn(plan, '2026-08-29').every(({ from }) => from === 'freezer')).toBe(true);
  expect(kg).toBeGreaterThan(9);
  expect(kg).toBeLessThanOrEqual(12 + 1e-6);
  expect(best({ ...problem, arrivals: [first] }).days).toEqual([]);
  expect(best({ ...problem, recipes: rest.recipes }).days).toEqual([]);
  expect(verifyPlan({ ...problem, freezerBags: 2 }, plan)).not.toEqual([]);
});

test('a box of pectin sets one pot: whole pots only, and the last of them may go over the goal', () => {
  const jam: SeasonRecipe = { ...sauce, wholePots: true, perLoad: 8 };
  const problem = { ...workedSeason(), recipes: [jam], stock: [], goals: workedSeason().goals.slice(1) };
  const made = jarsByRecipe(best(problem)).get(jam.id) ?? 0;
  expect(made % 8).toBe(0);
  expect(made).toBe(24);
  expect(made).toBeGreaterThan(problem.goals[0]?.want ?? Infinity);
});

test('at most so many days a week, and what was planned before is kept where nothing is gained by a change', () => {
  const { days, ...rest } = workedSeason();
  const sameWeek = days.map((day) => ({ ...day, week: 0 }));
  expect(best({ ...rest, days: sameWeek, mostDaysAWeek: 1 }).days).toHaveLength(1);
  expect(best({ ...rest, days: sameWeek, mostDaysAWeek: 2 }).days).toHaveLength(2);
  // Two days alike: the plan before decides.
  const long = { ...first, massKg: 9, until: second.readyAt + DAY_MS, coldUntil: second.readyAt + DAY_MS };
  for (const day of ['2026-08-22', '2026-08-29']) {
    const kept = {
      ...rest,
      days,
      arrivals: [long],
      before: [
        { day, recipe: sauce.id },
        { day, recipe: crushed.id },
      ],
    };
    expect(best(kept).days.map((each) => each.day)).toEqual([day]);
  }
});

test('a goal’s first half is worth more than its last, jars on the shelf fill it first, and nothing beyond it counts', () => {
  const goal = { product: 'plums', jar: 'pint', priority: 'want', want: 20, have: 0 } as const;
  const each = pointsPerJar(goal);
  expect(goalWorth(goal, 10)).toBeCloseTo(10 * each);
  expect(goalWorth(goal, 20)).toBeCloseTo(each * (10 + 0.75 * 6 + 0.5 * 4));
  expect(goalWorth(goal, 99)).toBe(goalWorth(goal, 20));
  expect(goalWorth({ ...goal, have: 16 }, 4)).toBeCloseTo(each * 0.5 * 4);
  expect(worthPieces({ ...goal, have: 25 })).toEqual([]);
  expect(pointsPerJar({ ...goal, priority: 'staple' })).toBeGreaterThan(each);
  expect(pointsPerJar({ ...goal, priority: 'gift' })).toBeLessThan(each);
  expect(pointsPerJar({ ...goal, jar: 'quart' })).toBeGreaterThan(each);
});

test.each([31, 32, 33])(
  'season %d: a plan read back from the model’s columns is the plan, worth for worth and row for row',
  (seed) => {
    const { problem } = simulateSeason(chanceFrom(seed), { weeks: 10, crops: 6, products: 9, daysAWeek: 2 });
    const columns = seasonModel(problem);
    const hand = greedyPlan(problem);
    const values = repairContinuous(columns, planValues(problem, columns, hand), solve);
    if (!values) throw new Error('a hand’s plan is none of the model’s');
    for (const { low, high, terms } of columns.model.rows) {
      const sum = terms.reduce((all, [column, factor]) => all + factor * (values[column] ?? 0), 0);
      expect(sum).toBeGreaterThanOrEqual(low - 1e-4);
      expect(sum).toBeLessThanOrEqual(high + 1e-4);
    }
    const plan = readPlan(problem, columns, values);
    expect(verifyPlan(problem, plan)).toEqual([]);
    expect(plan.days.map(({ day, batches }) => [day, batches.length])).toEqual(
      hand.days.map(({ day, batches }) => [day, batches.length]),
    );
    // The points are counted twice: by the model's columns, and from the plan alone.
    expect(plan.worth).toBeCloseTo(objectiveValue(columns.model, values), 3);
    expect(planWorth(problem, plan)).toBe(plan.worth);
  },
);

test('a batch made smaller or taken out leaves nothing wrong, and what began with its peels goes with it', () => {
  const { problem } = simulateSeason(chanceFrom(34), { weeks: 10, crops: 6, products: 9, daysAWeek: 2 });
  const plan = greedyPlan(problem);
  for (const { day, batches } of plan.days) {
    for (const { recipe, jars, loads } of batches) {
      const perLoad = problem.recipes.find(({ id }) => id === recipe)?.perLoad ?? 1;
      const fewer = withFewer(problem, plan, day, recipe, loads > 1 ? (loads - 1) * perLoad : 0);
      expect(verifyPlan(problem, fewer)).toEqual([]);
      expect((jarsByRecipe(plan).get(recipe) ?? 0) - (jarsByRecipe(fewer).get(recipe) ?? 0)).toBe(
        loads > 1 ? jars - (loads - 1) * perLoad : jars,
      );
      const without = withFewer(problem, plan, day, recipe, 0);
      expect(verifyPlan(problem, without)).toEqual([]);
      expect(without.days.flatMap((each) => each.batches)).toHaveLength(
        plan.days.flatMap((each) => each.batches).length - 1,
      );
    }
  }
  expect(withFewer(problem, plan, 'no day', 'none', 0)).toBe(plan);
});

test('quiet days come after the busiest week, one a week; without any the last day is one', () => {
  const { problem } = simulateSeason(chanceFrom(35), { weeks: 26, crops: 8, products: 4, daysAWeek: 3 });
  const days = withQuietDays(problem.days, problem.arrivals);
  const quiet = days.filter((day) => day.quiet);
  const busiest = Math.max(...problem.arrivals.map(({ massKg }) => massKg));
  const top = problem.arrivals.find(({ massKg }) => massKg === busiest);
  expect(quiet.length).toBeGreaterThan(0);
  expect(quiet.length).toBeLessThanOrEqual(8);
  expect(new Set(quiet.map(({ week }) => week)).size).toBe(quiet.length);
  expect(Math.min(...quiet.map(({ at }) => at))).toBeGreaterThan((top?.readyAt ?? Infinity) - 21 * DAY_MS);
  const two = workedSeason();
  expect(withQuietDays(two.days, [first, second]).map((day) => day.quiet)).toEqual([false, true]);
  expect(withQuietDays([], [])).toEqual([]);
});
