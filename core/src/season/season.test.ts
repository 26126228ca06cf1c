import { chanceFrom } from '../../bench/chance';
import { simulateSeason } from '../../bench/season/simulatedSeason';
import { bestByTrying } from '../../bench/season/everyPlan';
import { workedSeason } from '../../bench/season/workedSeason';
import { greedyPlan } from './search/greedyPlan';
import { dayCheck } from './search/dayCheck';
import { highsSolver } from './model/highsSolver';
import { verifyPlan } from './problem/verifyPlan';
import { planSeason, type PlannedSeason, type SeasonSearch } from './search/planSeason';
import { seasonModel } from './model/seasonModel';
import { type SeasonPlan } from './problem/seasonPlan';
import { type SeasonProblem } from './problem/seasonProblem';
import { type Solver } from './model/solver';

let solve: Solver;
beforeAll(async () => (solve = await highsSolver()));

/** Seconds are counted in looks at the clock, so that a plan does not depend on the machine more than it must. */
function plan(problem: SeasonProblem, seconds: number): PlannedSeason {
  return planFor(problem, seconds, () => true);
}

function planFor(
  problem: SeasonProblem,
  seconds: number,
  canBeDone: SeasonSearch['canBeDone'],
  onNews?: () => boolean,
): PlannedSeason {
  const began = performance.now();
  const elapsed = () => (performance.now() - began) / 1_000;
  return planSeason(problem, solve, { seconds, seed: 1, elapsed, canBeDone, gap: 1e-6, ...(onNews && { onNews }) });
}

/** The first plan there is. */
function stoppedAtOnce(problem: SeasonProblem, canBeDone: SeasonSearch['canBeDone'] = () => true): PlannedSeason {
  return planFor(problem, 10, canBeDone, () => false);
}

test('the worked example of the docs comes to its stated optimum, which trying everything finds too', () => {
  const { plan: found, bound } = plan(workedSeason(), 10);
  const best = bestByTrying(workedSeason());
  expect(found.worth).toBeCloseTo(best.worth, 4);
  expect(found.worth).toBeCloseTo(STATED.worth, 2);
  expect(bound).toBeCloseTo(best.worth, 2);
  // A hand begins the sauce on both days: as many jars, more work.
  expect(greedyPlan(workedSeason()).worth).toBeLessThan(best.worth - 3);
  const jars = ['2026-08-22', '2026-08-29'].flatMap((day) =>
    ['tomatoes-crushed', 'tomato-sauce-thin'].map(
      (recipe) =>
        found.days.find((each) => each.day === day)?.batches.find((batch) => batch.recipe === recipe)?.jars ?? 0,
    ),
  );
  expect(jars).toEqual(STATED.jars);
  expect(best.jars.flat()).toEqual(STATED.jars);
});

test.each([21, 22, 23, 24, 25, 26, 27, 28])('tiny season %d: the solver finds what trying everything finds', (seed) => {
  const chance = chanceFrom(seed);
  const whole = (low: number, high: number) => Math.round(chance.uniform(low, high));
  const { recipes, goals, days, arrivals, ...rest } = workedSeason();
  const problem: SeasonProblem = {
    ...rest,
    days: days.map((day) => ({ ...day, handsMinutes: whole(60, 300), windowMinutes: whole(200, 420) })),
    arrivals: arrivals.map((arrival) => ({ ...arrival, massKg: whole(4, 34) })),
    recipes: recipes.map((recipe) => ({ ...recipe, perLoad: whole(4, 9), cannerMinutes: whole(60, 110) })),
    goals: goals.map((goal) => ({ ...goal, want: whole(4, 16) })),
    stock: [{ key: 'lid regular', have: whole(4, 30), toBeHad: false }],
  };
  const best = bestByTrying(problem);
  const { plan: found, bound } = plan(problem, 10);
  expect(verifyPlan(problem, found)).toEqual([]);
  expect(found.worth).toBeCloseTo(best.worth, 4);
  expect(bound).toBeGreaterThanOrEqual(best.worth - 1e-3);
});

/** As docs/season-plan.md states it: jars of crushed tomatoes and of sauce on the first and on the second Saturday. */
const STATED = { worth: 137.434, jars: [14, 0, 0, 12] };

const SMALL = { weeks: 7, crops: 5, products: 8, daysAWeek: 2 };

test.each([11, 12, 13, 14])('season %d: nothing is wrong with its plan, and no hand does better', (seed) => {
  const { problem, kitchen } = simulateSeason(chanceFrom(seed), SMALL);
  const check = dayCheck(problem, kitchen);
  const began = performance.now();
  const planned = planSeason(problem, solve, {
    ...{ seconds: 4, seed: 1, canBeDone: check },
    elapsed: () => (performance.now() - began) / 1_000,
  });
  expect(verifyPlan(problem, planned.plan)).toEqual([]);
  expect(verifyPlan(problem, planned.byHand)).toEqual([]);
  expect(planned.plan.worth).toBeGreaterThanOrEqual(planned.byHand.worth - 1e-6);
  expect(planned.bound ?? Infinity).toBeGreaterThanOrEqual(planned.plan.worth - 1e-3);
  for (const each of planned.plan.days) {
    const day = problem.days.find(({ id }) => id === each.day);
    expect(day && check(day, each)).toBe(true);
  }
});

/** One thing spoiled in a plan that was right, each of another kind. */
const SPOILED: readonly (readonly [
  string,
  (plan: SeasonPlan, problem: SeasonProblem) => [SeasonPlan, SeasonProblem?],
])[] = [
  ['more jars than its produce', (plan) => [withBatch(plan, (batch) => ({ ...batch, jars: batch.jars + 1 }))]],
  ['more loads than it says', (plan) => [withBatch(plan, (batch) => ({ ...batch, loads: batch.loads + 1 }))]],
  ['no such recipe', (plan) => [withBatch(plan, (batch) => ({ ...batch, recipe: 'untested' }))]],
  ['a day that was not given', (plan, problem) => [plan, { ...problem, days: problem.days.slice(1) }]],
  [
    'produce past its time',
    (plan, problem) => [
      plan,
      { ...problem, arrivals: problem.arrivals.map((each) => ({ ...each, until: 0, coldUntil: 0 })) },
    ],
  ],
  [
    'produce before it is there',
    (plan, problem) => [
      plan,
      { ...problem, arrivals: problem.arrivals.map((each) => ({ ...each, readyAt: Infinity })) },
    ],
  ],
  [
    'too few hands',
    (plan, problem) => [plan, { ...problem, days: problem.days.map((each) => ({ ...each, handsMinutes: 20 })) }],
  ],
  [
    'no time for the canner',
    (plan, problem) => [plan, { ...problem, days: problem.days.map((each) => ({ ...each, windowMinutes: 60 })) }],
  ],
  [
    'too few lids',
    (plan, problem) => [plan, { ...problem, stock: problem.stock.map((each) => ({ ...each, have: 3 })) }],
  ],
  ['produce from nowhere', (plan) => [{ ...plan, days: plan.days.map((day) => ({ ...day, takings: [] })) }]],
  ['produce lost from the books', (plan) => [{ ...plan, rests: plan.rests.slice(1) }]],
  [
    'more than wanted',
    (plan, problem) => [plan, { ...problem, goals: problem.goals.map((goal) => ({ ...goal, want: 1 })) }],
  ],
];

test.each(SPOILED)('the checker finds %s', (_, spoil) => {
  const problem = {
    ...workedSeason(),
    arrivals: workedSeason().arrivals.map((each) => ({ ...each, massKg: each.massKg + 5 })),
  };
  const right = greedyPlan(problem);
  expect(verifyPlan(problem, right)).toEqual([]);
  const [spoiled, other = problem] = spoil(right, problem);
  expect(verifyPlan(other, spoiled)).not.toEqual([]);
});

function withBatch(
  plan: SeasonPlan,
  change: (batch: SeasonPlan['days'][number]['batches'][number]) => object,
): SeasonPlan {
  return {
    ...plan,
    days: plan.days.map((day, i) =>
      i > 0
        ? day
        : { ...day, batches: day.batches.map((batch, j) => (j > 0 ? batch : { ...batch, ...change(batch) })) },
    ),
  };
}

test('a day that cannot be done is cut off, and the plan goes on without it', () => {
  const problem = workedSeason();
  const free = plan(problem, 3).plan;
  const most = Math.max(...free.days.flatMap(({ batches }) => batches.map(({ loads }) => loads)));
  const began = performance.now();
  const planned = planSeason(problem, solve, {
    ...{ seconds: 6, seed: 1, gap: 1e-6 },
    elapsed: () => (performance.now() - began) / 1_000,
    // Whoever asks is told that nobody lifts two loads a day.
    canBeDone: (_, { batches }) => batches.reduce((sum, { loads }) => sum + loads, 0) < 2,
  });
  expect(most).toBeGreaterThan(1);
  expect(planned.cuts.length).toBeGreaterThan(0);
  // No more is forbidden than cannot be done: any part of it can.
  for (const { loads } of planned.cuts) {
    const sum = loads.reduce((all, each) => all + each.loads, 0);
    for (const each of loads) expect(loads.length === 1 || sum - each.loads < 2).toBe(true);
    expect(sum).toBeGreaterThanOrEqual(2);
  }
  for (const { batches } of planned.plan.days) expect(batches.reduce((sum, { loads }) => sum + loads, 0)).toBe(1);
  expect(verifyPlan(problem, planned.plan)).toEqual([]);
  expect(planned.plan.days).toHaveLength(2);
});

test('a pin is kept where it can be, and makes nothing impossible where it cannot', () => {
  const problem = workedSeason();
  const pinned = (jars: number) => ({ ...problem, pins: [{ day: '2026-08-29', recipe: 'tomato-sauce-thin', jars }] });
  const jarsOf = (planned: PlannedSeason) =>
    planned.plan.days
      .find(({ day }) => day === '2026-08-29')
      ?.batches.find(({ recipe }) => recipe === 'tomato-sauce-thin')?.jars;
  expect(jarsOf(plan(pinned(5), 5))).toBe(5);
  // Where one day a week is given, it is the pinned one.
  const sameWeek = { ...pinned(5), days: problem.days.map((day) => ({ ...day, week: 0 })) };
  expect(stoppedAtOnce(sameWeek).plan.days.map(({ day }) => day)).toEqual(['2026-08-29']);
  // Twelve kilograms fill twelve jars, whatever was pinned.
  expect(jarsOf(plan(pinned(40), 5)) ?? 0).toBeLessThanOrEqual(12);
});

test.each([31, 32, 33, 34])(
  'season %d: a day is lost, and a planning stopped at once keeps every pin of the others',
  (seed) => {
    const chance = chanceFrom(seed);
    const { problem, kitchen } = simulateSeason(chance, { weeks: 16, crops: 8, products: 14, daysAWeek: 2 });
    const check = dayCheck(problem, kitchen);
    const { plan: kept, bound } = planFor(problem, 3, check);
    expect(bound).toBeGreaterThanOrEqual(kept.worth - 1e-3);
    const lost = kept.days[1]?.day;
    const stay = kept.days.filter(({ day }) => day !== lost);
    const pins = stay.flatMap(({ day, batches }) => {
      const batch = batches[Math.floor(chance.uniform(0, batches.length))];
      return batch ? [{ day, recipe: batch.recipe, jars: batch.jars }] : [];
    });
    expect(pins.length).toBeGreaterThan(3);
    const before = kept.days.flatMap(({ day, batches }) => batches.map(({ recipe }) => ({ day, recipe })));
    const days = problem.days.filter(({ id }) => id !== lost);
    const jarsOf = ({ plan: found }: PlannedSeason) =>
      pins.map((pin) => {
        const batches = found.days.find(({ day }) => day === pin.day)?.batches;
        return batches?.find(({ recipe }) => recipe === pin.recipe)?.jars;
      });
    for (const again of [
      { ...problem, days, pins, before },
      { ...problem, days, pins },
    ]) {
      const planned = stoppedAtOnce(again, check);
      expect(jarsOf(planned)).toEqual(pins.map(({ jars }) => jars));
      expect(verifyPlan(again, planned.plan)).toEqual([]);
    }
  },
);

test.each([
  ['no days', (problem: SeasonProblem) => ({ ...problem, days: [] })],
  ['no goals', (problem: SeasonProblem) => ({ ...problem, goals: [] })],
  ['no produce', (problem: SeasonProblem) => ({ ...problem, arrivals: [] })],
  ['no lids', (problem: SeasonProblem) => ({ ...problem, stock: [{ key: 'lid regular', have: -3, toBeHad: false }] })],
])('%s: the empty plan, with all that comes left over', (_, change) => {
  const problem = change(workedSeason());
  const { plan: found } = plan(problem, 2);
  expect(found.days).toEqual([]);
  expect(verifyPlan(problem, found)).toEqual([]);
});

test('goals a hundred times the harvest are filled as far as the produce goes', () => {
  const problem = workedSeason();
  const large = { ...problem, goals: problem.goals.map((goal) => ({ ...goal, want: goal.want * 100 })), stock: [] };
  const { plan: found } = plan(large, 5);
  expect(verifyPlan(large, found)).toEqual([]);
  expect(found.days.length).toBe(2);
});

test('a planning that is stopped has its best plan so far', () => {
  const { problem } = simulateSeason(chanceFrom(15), { weeks: 20, crops: 10, products: 20, daysAWeek: 3 });
  const began = performance.now();
  const elapsed = () => (performance.now() - began) / 1_000;
  const planned = planSeason(problem, solve, {
    ...{ seconds: 60, seed: 1, elapsed, canBeDone: () => true },
    onNews: ({ seconds }) => seconds < 1.5,
  });
  expect(elapsed()).toBeLessThan(30);
  expect(verifyPlan(problem, planned.plan)).toEqual([]);
  expect(planned.plan.days.length).toBeGreaterThan(0);
});

test('every row of a model names a column once, and every column is bounded below', () => {
  const { problem } = simulateSeason(chanceFrom(16), SMALL);
  const { model } = seasonModel(problem);
  for (const { low, high, terms } of model.rows) {
    expect(low).toBeLessThanOrEqual(high);
    expect(new Set(terms.map(([column]) => column)).size).toBe(terms.length);
  }
  expect(model.columns.every(({ low, high }) => low === 0 && high >= 0)).toBe(true);
});
