import loadHighs from 'highs';
import { type ScheduleProblem } from '../src/day/search/scheduleProblem';
import { startSearch } from '../src/day/search/searchSchedule';
import { FT06, FT10, jobShop } from './day/jobShops';
import { type Made, productDay } from './day/productDay';
import { type DaySize, simulatedDay } from './day/simulatedDay';
import { timeIndexedModel } from './day/timeIndexedModel';
import { machineWords, say } from './report';

const SEED = 20_260_829;
const NODES_A_LOOK = 20;
/** Seconds that the integer solver gets for one small day. */
const SOLVER_SECONDS = 30;

/** Searches until it is proven or the marks are over, and tells the end of the plan at each mark. */
function ends(problem: ScheduleProblem, marksMs: readonly number[]) {
  const began = performance.now();
  const search = startSearch(problem, { seed: SEED });
  if (search.kind === 'ruleNotMet') throw new Error(search.sentence);
  const at: number[] = [];
  for (const mark of marksMs) {
    while (!search.state.proven && performance.now() - began < mark) search.step(NODES_A_LOOK);
    at.push(search.state.makespan ?? Infinity);
  }
  return { at, ...search.state, ms: performance.now() - began };
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

const highs = await loadHighs();
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
