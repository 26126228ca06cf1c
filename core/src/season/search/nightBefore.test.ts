import { chanceFrom } from '../../../bench/chance';
import { simulateSeason } from '../../../bench/season/simulatedSeason';
import { workedSeason } from '../../../bench/season/workedSeason';
import { laterOf } from '../../day/daysTogether';
import { planDay } from '../../day/planDay';
import { type ProduceId } from '../../handbook/produce';
import { localMinute } from '../../measure/localTime';
import { batchesOfDay } from './batchesOfDay';
import { dayCheck, type DayCheck } from './dayCheck';
import { highsSolver } from '../model/highsSolver';
import { nightBefore } from '../problem/nightBefore';
import { verifyPlan } from '../problem/verifyPlan';
import { planSeason, type PlannedSeason } from './planSeason';
import { recipesFor } from '../problem/recipesFor';
import { type Arrival, type SeasonDay, type SeasonProblem } from '../problem/seasonProblem';
import { type Solver } from '../model/solver';

let solve: Solver;
beforeAll(async () => (solve = await highsSolver()));

function planFor(problem: SeasonProblem, seconds: number, canBeDone: DayCheck): PlannedSeason {
  const began = performance.now();
  const elapsed = () => (performance.now() - began) / 1_000;
  return planSeason(problem, solve, { ...{ seconds, seed: 1, gap: 1e-6 }, elapsed, canBeDone });
}

/** The worked season on a Saturday and the Sunday after it, its crushed tomatoes standing overnight. */
function weekend(): SeasonProblem {
  const { days, recipes, ...rest } = workedSeason();
  const [first, second] = days as [SeasonDay, SeasonDay];
  const next = { ...second, id: '2026-08-23', at: first.at + 86_400_000 };
  return {
    ...{ ...rest, days: [first, next] },
    recipes: recipes.map((each) => ({ ...each, overnight: each.id === 'tomatoes-crushed' })),
  };
}

test('what stands overnight takes of the next day too: what the two cannot do together is cut off, and no more', () => {
  const problem = weekend();
  const loadsOf = (batches: readonly { readonly loads: number }[]) =>
    batches.reduce((sum, { loads }) => sum + loads, 0);
  const free = planFor(problem, 4, () => true).plan;
  const pair = nightBefore(problem, free, { id: '2026-08-23' });
  expect(pair?.day.id).toBe('2026-08-22');
  const most = loadsOf(free.days.flatMap(({ batches }) => batches)) - 1;
  const check: DayCheck = (_, { batches }, before) =>
    !before || loadsOf([...batches, ...before.planned.batches]) <= most;
  const planned = planFor(problem, 6, check);
  expect(planned.cuts.some(({ before }) => before)).toBe(true);
  // Any part of what is forbidden can be done.
  for (const { loads, before } of planned.cuts) {
    expect(loadsOf(loads) + loadsOf(before?.loads ?? [])).toBe(most + 1);
  }
  const [own, night] = [planned.plan.days[1], nightBefore(problem, planned.plan, { id: '2026-08-23' })];
  expect(!own || !night || check(night.day, own, night)).toBe(true);
  expect(verifyPlan(problem, planned.plan)).toEqual([]);
  expect(planned.plan.worth).toBeLessThanOrEqual(free.worth);
  // No less than either day alone, or one that nothing of stands overnight.
  for (const days of [problem.days.slice(0, 1), problem.days.slice(1)])
    expect(planned.plan.worth).toBeGreaterThanOrEqual(planFor({ ...problem, days }, 3, () => true).plan.worth - 1e-6);
});

// USDA Complete Guide to Home Canning, 2015, guide 2, as recalled: juice of grapes settles 24 to 48 h in the cold, then is strained and filled.
test('grapes on Saturday and tomatoes on Sunday: of what each day could do alone as much is planned as both can, hour by hour', () => {
  const { kitchen: two } = simulateSeason(chanceFrom(1), { weeks: 2, crops: 2, products: 2, daysAWeek: 2 });
  const kitchen = { ...two, canners: two.canners.slice(0, 1) };
  const base = weekend();
  const [saturday, sunday] = base.days as [SeasonDay, SeasonDay];
  const goals = [
    { product: 'grape-juice', jar: 'quart', priority: 'staple', want: 14, have: 0 },
    { product: 'tomatoes-crushed', jar: 'quart', priority: 'staple', want: 14, have: 0 },
  ] as const;
  const { recipes } = recipesFor(goals, new Set<ProduceId>(['grape', 'tomato-paste']), kitchen);
  expect(recipes.map(({ overnight }) => overnight)).toEqual([true, false]);
  const came = (id: string, crop: ProduceId, day: SeasonDay): Arrival => {
    const until = day.at + 86_400_000 / 2;
    return { id, crop, soft: false, massKg: 60, readyAt: day.at, until, coldUntil: until, frozen: false };
  };
  const arrivals = [came('grapes', 'grape', saturday), came('tomatoes', 'tomato-paste', sunday)];
  const check = dayCheck({ recipes }, kitchen);
  let [shared, apart] = [0, 0];
  for (const windowMinutes of [240, 280, 320, 360, 400, 540]) {
    const days = [saturday, sunday].map((day) => ({ ...day, windowMinutes, handsMinutes: windowMinutes, week: 0 }));
    const problem = { ...base, days, recipes, goals, arrivals, mostDaysAWeek: 2, stock: [] };
    const { plan, cuts } = planFor(problem, 5, check);

    expect(verifyPlan(problem, plan)).toEqual([]);
    apart += cuts.filter(({ before }) => before).length;
    const planned = plan.days.find(({ day }) => day === sunday.id);
    const before = nightBefore(problem, plan, sunday);
    if (!planned || !before) continue;
    shared++;
    const zone = kitchen.setup.timeZone;
    const fromMin = (sunday.at - saturday.at) / 60_000;
    const batches = [
      ...batchesOfDay(before.planned, recipes, kitchen, saturday.at, (of) => of),
      ...batchesOfDay(planned, recipes, kitchen, sunday.at, (of) => `${of} on Sunday`),
    ];
    const startMinute = localMinute(saturday.at, zone);
    const planner = planDay({ ...kitchen, batches, startMinute, later: laterOf(batches, saturday.at, zone), seed: 3 });
    const kept = planner.kind === 'refusal' ? undefined : planner.step(400).plan;
    expect(kept?.makespanMin).toBeLessThanOrEqual(fromMin + windowMinutes);
    for (const { task, startMin } of kept?.tasks ?? [])
      if (task.batchId?.endsWith('on Sunday')) expect(startMin).toBeGreaterThanOrEqual(fromMin);
  }
  // Both are met: a Sunday that has room for the juice too, and one that has not.
  expect(shared).toBeGreaterThan(0);
  expect(apart).toBeGreaterThan(0);
});
