import fc from 'fast-check';
import { productQuestion } from '../../bench/day/productDay';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { liveDay, restAt } from '../../bench/kitchen/liveDay';
import { pacesSeen } from '../kitchen/pace';
import { feeding } from '../kitchen/feeding';
import { dayState } from '../kitchen/dayState';
import { startSearch } from '../scheduling/searchSchedule';
import { type ScheduledTask, scheduleProblemOf } from './dayProblem';
import { planDay } from './planDay';
import { type DayQuestion, problemOf } from './questionOfDay';
import { whyThen } from './whyThen';

const COOKS = ['Cook', 'Helper'].map((name) => ({ name, fromMin: 0, toMin: 1_440, breaks: [] }));
const MIN = 60_000;

function withCooks(question: DayQuestion, count: number): DayQuestion {
  return { ...question, setup: { ...question.setup, cooks: COOKS.slice(0, count) } };
}

const TOMATOES = productQuestion([['tomatoes-crushed', 'quart', [7], 22]]);
const DAYS: readonly DayQuestion[] = [
  TOMATOES,
  productQuestion([['peaches', 'quart', [7, 7], 35]], 2),
  productQuestion([
    ['tomatoes-crushed', 'quart', [7, 5], 36],
    ['plums', 'pint', [8], 12],
  ]),
  productQuestion([['applesauce', 'quart', [7, 7], 40]], 2),
];

function planned(question: DayQuestion, nodes = 400) {
  const planner = planDay(question);
  const plan = planner.kind === 'planner' ? planner.step(nodes).plan : undefined;
  if (!plan) throw new Error('no plan');
  return { plan, problem: problemOf(question, plan.cannerOf) };
}

/** Steps that go on while the one before them on the same food still does. */
function overlapping(plan: readonly ScheduledTask[]): [ScheduledTask, ScheduledTask][] {
  const byId = new Map(plan.map((entry) => [entry.task.id, entry]));
  return plan.flatMap((own) =>
    own.task.after.flatMap(({ task }): [ScheduledTask, ScheduledTask][] => {
      const before = byId.get(task);
      return before && before.endMin > own.startMin ? [[before, own]] : [];
    }),
  );
}

// By hand: 22 lb go through in four portions. Washing takes 0.7 min a pound and 4.5 besides, in whole minutes 20: the first
// portion is there after 4.5 + 15.5/4, in the ninth minute. Handbook steps.
test('of 22 lb the first basin is handed on after nine minutes, and the last goes through after the washing is over', () => {
  const { tasks } = problemOf(withCooks(TOMATOES, 2), new Map([['load 0.0', 'pot']]));
  const wash = tasks.find(({ step }) => step === 'wash');
  const next = tasks.find(({ after }) => after.some(({ task }) => task === wash?.id));
  expect(wash?.minutes.p50).toBe(20);
  expect(next?.after).toEqual(
    expect.arrayContaining([
      { task: wash?.id, between: 'start-start', minLag: 9 },
      expect.objectContaining({ task: wash?.id, between: 'end-end' }),
    ]),
  );
});

// The judge knows of no lags: it hands on five pounds and more at a time, evenly, and looks whether each portion is there.
test('of two cooks one hands on to the other: each portion is there when it is taken, none waits over two hours', () => {
  let together = 0;
  for (const question of DAYS) {
    const two = planned(withCooks(question, 2));
    const placed = two.plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
    expect(brokenRules(scheduleProblemOf(two.problem), placed)).toEqual([]);
    for (const [before, own] of overlapping(two.plan.tasks)) {
      together++;
      const pounds = Math.min(before.task.pounds ?? 0, own.task.pounds ?? 0);
      const portions = Math.floor(pounds / 5);
      expect([own.task.id, portions]).toEqual([own.task.id, expect.any(Number)]);
      expect(portions).toBeGreaterThanOrEqual(2);
      expect([before, own].map(({ task }) => task.needs.hands)).toEqual([1, 1]);
      const each = (entry: ScheduledTask) => (entry.endMin - entry.startMin) / portions;
      for (let k = 0; k < portions; k++) {
        const isThere = before.startMin + (k + 1) * each(before);
        const isTaken = own.startMin + k * each(own);
        expect(isTaken).toBeGreaterThanOrEqual(isThere - 1e-6);
        expect(isTaken - isThere).toBeLessThanOrEqual(120);
      }
    }
    // Alone nobody hands on: every step waits for all before it.
    const alone = planned(withCooks(question, 1), 60);
    expect(alone.problem.tasks.every(({ after }) => after.every(({ between }) => between === undefined))).toBe(true);
    expect(overlapping(alone.plan.tasks)).toEqual([]);
  }
  expect(together).toBeGreaterThan(4);
});

test('the same two cooks are ready later where each step waits for all before it, and never sooner', () => {
  const later: number[] = [];
  for (const question of DAYS.slice(0, 2)) {
    const { plan, problem } = planned(withCooks(question, 2), 1_500);
    const whole = problem.tasks.map((task) => ({
      ...task,
      after: task.after
        .filter(({ between }) => between !== 'start-start')
        .map((lag) => (lag.between === 'end-end' ? { task: lag.task } : lag)),
    }));
    const search = startSearch(scheduleProblemOf({ ...problem, tasks: whole }), { seed: 1 });
    if (search.kind === 'ruleNotMet') throw new Error(search.sentence);
    const apart = search.step(1_500);
    expect([plan.proven, apart.proven]).toEqual([true, true]);
    later.push((apart.makespan ?? 0) - plan.makespanMin);
  }
  // By hand: 20, 45, 17 and 25 min one after the other are 107; handed on, the pot is ready after 79 (9 + 45 + 25, each next
  // one beside it). Of two loads the canner decides.
  expect(later).toEqual([28, 0]);
});

test('at any minute a step that is fed is told why it stands there, goes on beside the other, and is over after it', () => {
  const question = withCooks(DAYS[2] as DayQuestion, 2);
  const live = liveDay(question, 3);
  if (!live) throw new Error('no day');
  const { plan, problem } = planned(withCooks(TOMATOES, 2));
  const reasons = overlapping(plan.tasks).map(([, own]) => whyThen(problem, plan.tasks, own).kind);
  expect(reasons).toContain('portions');
  let beside = 0;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 240 }), (minute) => {
      const { progress } = restAt(live, minute);
      for (const { id, after } of live.whole.tasks) {
        const own = progress.of.get(id);
        for (const { task, between, minLag = 0 } of after) {
          const before = progress.of.get(task);
          if (between !== 'end-end' || own?.kind !== 'running' || before?.kind !== 'running') continue;
          beside++;
          const feeder = after.find(
            (lag) => lag.between !== undefined && progress.of.get(lag.task)?.kind === 'running',
          );
          expect(feeding({ after }, live.whole.tasks, progress)?.id).toBe(feeder?.task);
          expect(live.real.get(task)!.end).toBeGreaterThan(minute);
          expect(own.endMin).toBeGreaterThanOrEqual(before.endMin + minLag);
        }
      }
    }),
    { numRuns: 120 },
  );
  expect(beside).toBeGreaterThan(0);
});

test('what was fed while it went on says nothing of the pace of its hands; what fed it does, and so does what had all before it', () => {
  const question = withCooks(TOMATOES, 2);
  const { tasks } = problemOf(question, new Map([['load 0.0', 'pot']]));
  const wash = tasks.find(({ step }) => step === 'wash')!;
  const next = tasks.find(({ after }) => after.some(({ task, between }) => task === wash.id && between !== undefined))!;
  const day = (startMin: number) =>
    dayState(
      [
        { taskId: wash.id, at: 0, type: 'step-started' as const },
        { taskId: next.id, at: startMin * MIN, type: 'step-started' as const },
        { taskId: wash.id, at: 25 * MIN, type: 'step-done' as const },
        { taskId: next.id, at: (startMin + 30) * MIN, type: 'step-done' as const },
      ].map((event, k) => ({ id: String(k), day: '2026-08-29', ...event })),
    );
  const seen = (startMin: number) => pacesSeen(question.batches, question, day(startMin)).map(({ step }) => step);
  expect(seen(9)).toEqual(['wash']);
  expect(seen(25)).toEqual(['wash', next.step]);
});
