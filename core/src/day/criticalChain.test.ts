import { demoQuestion, madeQuestion } from '../../bench/day/proposedDay';
import { criticalChain } from './criticalChain';
import { endOfDay } from './dayProblem';
import { planDay } from './planDay';
import { type DayQuestion, problemOf } from './questionOfDay';

const tasksOf = (question: DayQuestion) => problemOf(question).tasks.length;
const DAYS = [demoQuestion(), ...[1, 4, 7, 9, 11].map((seed) => madeQuestion(seed, tasksOf))];

test('the steps that make a day as long as it is follow each other to its end, and with the waits between fill all of it', () => {
  let fed = 0;
  for (const question of DAYS) {
    const planner = planDay(question);
    const plan = planner.kind === 'planner' ? planner.step(60).plan : undefined;
    if (!plan) throw new Error('no plan');
    const { steps, handsMin, inCanner, waitMin } = criticalChain(problemOf(question, plan.cannerOf), plan.tasks);
    expect(steps.at(-1)?.endMin).toBe(endOfDay(plan.tasks));
    for (const [k, { task, startMin, endMin }] of steps.entries()) {
      const before = steps[k - 1];
      const isFed = task.after.some(({ task: id, between }) => id === before?.task.id && between !== undefined);
      // Fed by the one before, it begins later and is over later; after any other, it begins when that is over.
      expect(startMin).toBeGreaterThanOrEqual((isFed ? (before?.startMin ?? 0) + 1 : (before?.endMin ?? 0)) - 1e-6);
      if (isFed) expect(endMin).toBeGreaterThan(before?.endMin ?? 0);
      fed += isFed ? 1 : 0;
    }
    const all = handsMin + waitMin + [...inCanner.values()].reduce((sum, minutes) => sum + minutes, 0);
    expect(all).toBeCloseTo(endOfDay(plan.tasks), 6);
    expect(waitMin).toBeGreaterThanOrEqual(0);
    // More than one step, and some of it in a canner: jars are lifted out last.
    expect(steps.length).toBeGreaterThan(3);
    expect(inCanner.size).toBeGreaterThan(0);
  }
  expect(fed).toBeGreaterThan(0);
});
