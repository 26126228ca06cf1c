import { dayCheck } from '../src/season/search/dayCheck';
import { highsSolver } from '../src/season/model/highsSolver';
import { verifyPlan } from '../src/season/problem/verifyPlan';
import { planSeason, type PlannedSeason } from '../src/season/search/planSeason';
import { goalsWorth } from '../src/season/problem/planWorth';
import { seasonModel } from '../src/season/model/seasonModel';
import { jarsByRecipe, type SeasonPlan } from '../src/season/problem/seasonPlan';
import { type SeasonProblem } from '../src/season/problem/seasonProblem';
import { chanceFrom } from './chance';
import { machineWords, say } from './report';
import { type SeasonSize, simulateSeason } from './season/simulatedSeason';

const SEED = 20_260_829;
const solve = await highsSolver();

say(`\nThe season (${machineWords(SEED)})`);
say('HiGHS in one thread of WebAssembly; every day of every plan is laid out by core/day. Faults are the checker’s.');

interface Measured {
  readonly problem: SeasonProblem;
  readonly planned: PlannedSeason;
  readonly firstS: number;
  readonly tookS: number;
}

function measure(seed: number, size: SeasonSize, seconds: number): Measured {
  const { problem, kitchen } = simulateSeason(chanceFrom(seed), size);
  const began = performance.now();
  const elapsed = () => (performance.now() - began) / 1_000;
  let firstS = Infinity;
  const planned = planSeason(problem, solve, {
    ...{ seconds, seed: 1, elapsed, canBeDone: dayCheck(problem, kitchen) },
    onNews: ({ plan }) => {
      if (plan) firstS = Math.min(firstS, elapsed());
      return true;
    },
  });
  return { problem, planned, firstS, tookS: elapsed() };
}

function gapWords({ plan, bound }: PlannedSeason): string {
  return bound === undefined
    ? 'no bound yet'
    : `${((100 * (bound - plan.worth)) / Math.max(1, Math.abs(bound))).toFixed(1)} %`;
}

function sizeWords(problem: SeasonProblem): string {
  const { columns, rows } = seasonModel(problem).model;
  return `${columns.length} columns (${columns.filter(({ integer }) => integer).length} whole), ${rows.length} rows`;
}

function report(words: string, { problem, planned, firstS, tookS }: Measured): void {
  const memory = Math.round(process.memoryUsage().rss / 1e6);
  const faults = verifyPlan(problem, planned.plan).length;
  say(
    `${words}: first plan ${firstS.toFixed(2)} s, gap ${gapWords(planned)} after ${tookS.toFixed(0)} s, ` +
      `${planned.cuts.length} cuts, ${faults} faults, ${memory} MB; ${sizeWords(problem)}`,
  );
}

say('\n26 weeks, 12 crops, 30 products, 3 days a week, 20 s (asked: first plan 2 s; aim 1 %)');
for (const seed of [SEED, SEED + 1, SEED + 2]) {
  report(`season ${seed - SEED + 1}`, measure(seed, { weeks: 26, crops: 12, products: 30, daysAWeek: 3 }, 20));
}

say('\n52 weeks, 60 products, 3 days a week, 60 s (asked: 3 %)');
report('season', measure(SEED, { weeks: 52, crops: 20, products: 60, daysAWeek: 3 }, 60));

say('\nGrowth, 26 weeks, 3 days a week, 10 s each');
for (const products of [5, 10, 20, 40, 60]) {
  const crops = Math.min(20, Math.ceil(products / 2));
  report(`${products} products of ${crops} crops`, measure(SEED, { weeks: 26, crops, products, daysAWeek: 3 }, 10));
}

say('\nBeside a careful hand (first come first served, emptiest goal first), 20 seasons of 16 weeks, 6 s each');
const sums = { hand: { worth: 0, lostKg: 0, jars: 0 }, plan: { worth: 0, lostKg: 0, jars: 0 } };
let better = 0;
for (let i = 0; i < 20; i++) {
  const { problem, planned } = measure(SEED + 100 + i, { weeks: 16, crops: 8, products: 14, daysAWeek: 2 }, 6);
  const add = (to: typeof sums.hand, plan: SeasonPlan) => {
    const made = jarsByRecipe(plan);
    to.worth += goalsWorth(problem, made);
    to.lostKg += plan.rests.reduce((sum, { leftKg }) => sum + leftKg, 0);
    to.jars += [...made.values()].reduce((sum, jars) => sum + jars, 0);
  };
  add(sums.hand, planned.byHand);
  add(sums.plan, planned.plan);
  if (planned.plan.worth > planned.byHand.worth + 1e-6) better += 1;
}
for (const [who, { worth, lostKg, jars }] of Object.entries(sums)) {
  say(`${who}: goal value ${worth.toFixed(0)} points, ${jars} jars, ${lostKg.toFixed(0)} kg neither made nor frozen`);
}
say(`the plan is better in ${better} of 20`);
