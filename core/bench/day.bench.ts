import loadHighs from 'highs';
import { type ScheduleProblem } from '../src/scheduling/scheduleProblem';
import { startSearch } from '../src/scheduling/searchSchedule';
import { planDay } from '../src/day/planDay';
import { type DayQuestion, problemOf } from '../src/day/questionOfDay';
import { FT06, FT10, jobShop } from './scheduling/jobShops';
import { randomChoices, randomProblem } from './scheduling/randomProblem';
import { type Made, productDay } from './day/productDay';
import { demoQuestion, madeQuestion } from './day/proposedDay';
import { type DaySize, simulatedDay } from './day/simulatedDay';
import { timeIndexedModel } from './scheduling/timeIndexedModel';
import { machineWords, say } from './report';

const SEED = 20_260_829;
const NODES_A_LOOK = 20;
/** Seconds that the integer solver gets for one small day. */
const SOLVER_SECONDS = 30;

/** Processor time of this process: a machine that is busy with others tells no other figures. */
function now(): number {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1_000;
}

/** Searches until it is proven or the marks are over, and tells the end of the plan at each mark. */
function ends(problem: ScheduleProblem, marksMs: readonly number[]) {
  const began = now();
  const search = startSearch(problem, { seed: SEED });
  if (search.kind === 'ruleNotMet') throw new Error(search.sentence);
  const at: number[] = [];
  for (const mark of marksMs) {
    while (!search.state.proven && now() - began < mark) search.step(NODES_A_LOOK);
    at.push(search.state.makespan ?? Infinity);
  }
  return { at, ...search.state, ms: now() - began };
}

const percent = (part: number) => `${(100 * part).toFixed(1)} %`;

say(machineWords(SEED));
for (const [name, shop, marks] of [
  ['FT06 (6 x 6, optimum 55)', FT06, [2_000]],
  ['FT10 (10 x 10, optimum 930)', FT10, [2_000, 60_000]],
] as const) {
  const { at, lowerBound, proven, ms } = ends(jobShop(shop), marks);
  say(`${name}: ${at.join(', then ')}${proven ? ` proven in ${Math.round(ms)} ms` : `, bound ${lowerBound}`}`);
}

const tasksOf = (question: DayQuestion) => problemOf(question).tasks.length;
const MARKS_MS = [1_000, 3_000, 20_000, 60_000] as const;
const MADE_DAYS = 20;
let [within5, within2, isProven, isBest] = [0, 0, 0, 0];
for (let seed = 0; seed <= MADE_DAYS; seed++) {
  const question = seed === 0 ? demoQuestion() : madeQuestion(seed, tasksOf);
  const began = now();
  const planner = planDay(question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  let { state } = planner;
  let firstMs: number | undefined;
  const at = MARKS_MS.map((mark) => {
    while (!state.done && now() - began < mark) {
      state = planner.step(NODES_A_LOOK);
      firstMs ??= state.plan && now() - began;
    }
    return { end: state.plan?.makespanMin ?? Infinity, bound: state.plan?.lowerBoundMin ?? 0, done: state.done };
  });
  const gap = (k: number) => (at[k]?.end ?? Infinity) / (at[k]?.bound ?? 0) - 1;
  const over = (at[1]?.end ?? Infinity) / (at[3]?.end ?? Infinity) - 1;
  if (seed > 0) {
    within5 += gap(1) <= 0.05 ? 1 : 0;
    within2 += gap(2) <= 0.02 ? 1 : 0;
    isProven += at[2]?.done ? 1 : 0;
    isBest += over <= 0.02 ? 1 : 0;
  }
  const loads = question.batches.reduce((sum, batch) => sum + batch.loads.length, 0);
  say(
    `${seed === 0 ? "the demo's first day" : `day ${seed}`}, ${loads} loads, ${tasksOf(question)} tasks, ${question.canners.length} canners: a plan after ${Math.round(firstMs ?? 0)} ms; after 3 s ${at[1]?.end}, gap ${percent(gap(1))}, over the best of 60 s ${percent(over)}; after 20 s ${at[2]?.end}, gap ${percent(gap(2))}${at[2]?.done ? ', proven' : ''}`,
  );
}
say(
  `${MADE_DAYS} made days: ${within5} within 5 % of the bound after 3 s, ${isBest} within 2 % of the best of 60 s by then, ${within2} within 2 % of the bound after 20 s, ${isProven} proven by then`,
);

const highs = await loadHighs();
const FAR = 70;
const RANDOM = 300;
let [optimal, infeasible, unlike] = [0, 0, 0];
for (let seed = 1; seed <= RANDOM; seed++) {
  const problem = seed % 2 === 1 ? randomChoices(seed, 8 + (seed % 5)) : randomProblem(seed, 8 + (seed % 5));
  const search = startSearch(problem, { seed: SEED });
  const state = search.kind === 'search' ? search.step(20_000) : undefined;
  const found = state?.proven ? state.makespan : undefined;
  const judged = highs.solve(timeIndexedModel(problem, found ?? FAR));
  if (found !== undefined && judged.Status === 'Optimal' && Math.round(judged.ObjectiveValue) === found) optimal++;
  else if ((!state || state.impossible) && judged.Status === 'Infeasible') infeasible++;
  else unlike++;
}
say(
  `${RANDOM} random problems of 8 to 12 tasks, half of them with alternatives: ${optimal} optima and ${infeasible} that cannot be done as HiGHS says, ${unlike} otherwise`,
);

let equal = 0;
let undecided = 0;
let slowest = 0;
for (let day = 1; day <= 30; day++) {
  const two = day % 2 === 0;
  const size: DaySize = { loads: 4, people: two ? 2 : 1, burners: 3, canners: two ? 2 : 1, pots: 2, grain: 5 };
  const problem = simulatedDay(SEED + day, size);
  const { makespan, proven, ms } = ends(problem, [10_000]);
  slowest = Math.max(slowest, ms);
  const best = highs.solve(timeIndexedModel(problem, makespan ?? 0), { time_limit: SOLVER_SECONDS });
  if (best.Status !== 'Optimal') undecided += 1;
  else if (proven && Math.round(best.ObjectiveValue) === makespan) equal += 1;
}
say(
  `30 days of 4 loads, in steps of 5 min: ${equal} proven and equal to HiGHS, ${undecided} that HiGHS did not decide in ${SOLVER_SECONDS} s; the slowest proof took ${Math.round(slowest)} ms`,
);

let slow = 0;
const open: string[] = [];
for (let day = 1; day <= 30; day++) {
  const two = day % 2 === 0;
  const size: DaySize = { loads: 4, people: two ? 2 : 1, burners: 4, canners: two ? 2 : 1, pots: 2, grain: 1 };
  const { proven, ms } = ends(simulatedDay(SEED + day, size), [10_000]);
  slow = Math.max(slow, ms);
  if (!proven || ms > 1_000) open.push(`${day}: ${Math.round(ms)} ms`);
}
say(
  `30 days of 4 loads to the minute: ${30 - open.length} proven within 1 s, the slowest in ${Math.round(slow)} ms ${open.join(', ')}`,
);

const TOMATOES: Made = ['tomatoes-crushed', 'quart', [7, 7], 44];
const PLUMS: Made = ['plums', 'pint', [9], 9];
const BEANS: Made = ['dilled-beans', 'pint', [9], 5];
for (const made of [
  [['tomatoes-crushed', 'quart', [7, 7, 7], 66]],
  [TOMATOES, PLUMS],
  [TOMATOES, PLUMS, BEANS],
] satisfies Made[][]) {
  const problem = productDay(made);
  const { at, lowerBound, proven, ms } = ends(problem, [1_000, 30_000]);
  const loads = made.reduce((sum, [, , each]) => sum + each.length, 0);
  say(
    `${loads} loads of ${made.map(([product]) => product).join(', ')}, ${problem.tasks.length} tasks: ${at.join(' min after 1 s, ')} min after 30 s, ${proven ? `proven in ${Math.round(ms)} ms` : `bound ${lowerBound}`}`,
  );
}

for (let day = 1; day <= 5; day++) {
  const problem = simulatedDay(SEED + day, { loads: 12, people: 2, burners: 4, canners: 2, pots: 3, grain: 1 });
  const { at, lowerBound, proven, ms } = ends(problem, [2_000, 60_000]);
  const [early, late] = at as [number, number];
  say(
    `12 loads, ${problem.tasks.length} tasks: ${early} min after 2 s, ${percent(early / late - 1)} over the best of 60 s (${late}${proven ? `, proven in ${Math.round(ms)} ms` : ''}), ${percent(early / lowerBound - 1)} over the bound ${lowerBound}`,
  );
}
for (let day = 1; day <= 3; day++) {
  const problem = simulatedDay(SEED + day, { loads: 40, people: 6, burners: 12, canners: 6, pots: 8, grain: 1 });
  const { at, lowerBound } = ends(problem, [2_000, 10_000]);
  say(
    `40 loads, ${problem.tasks.length} tasks: ${at.join(' min after 2 s, ')} min after 10 s, ${percent((at[1] ?? NaN) / lowerBound - 1)} over the bound ${lowerBound}`,
  );
}
