import { productQuestion } from '../../bench/day/productDay';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { scheduleProblemOf } from './dayProblem';
import { planDay } from './planDay';
import { problemOf } from './questionOfDay';
import { bigPotsFor, fullestOfBatch } from './potsOfBatch';

// USDA Complete Guide to Home Canning, 2015, guide 3: 28 lb of tomatoes for a canner load of 9 pints of thick sauce. By hand: they
// are 12.7 kg, as many litres, 13.4 quarts; a pot of 8 quarts takes 7.2 of them, one of 16 takes 14.4.
const SAUCE = productQuestion([['tomato-sauce-thick', 'pint', [9, 9], 56]], 2);
const [batch] = SAUCE.batches;
const withPot = (bigPotQuarts: number | undefined, bigPots = 2) => ({
  ...SAUCE,
  setup: { ...SAUCE.setup, bigPots, ...(bigPotQuarts !== undefined && { bigPotQuarts }) },
});

test('each load is cooked in as many of the largest pots as hold it at its fullest, and that many are not there is told', () => {
  const at = (quarts: number | undefined, pots = 2) => fullestOfBatch(batch!, withPot(quarts, pots).setup);
  expect(at(undefined)).toMatchObject({ step: 'crush-heat', isOver: false });
  expect(at(undefined)!.ml / 946.353).toBeCloseTo(13.4, 1);
  expect(at(undefined)).not.toHaveProperty('pots');
  expect([16, 8, 5].map((quarts) => at(quarts)?.pots)).toEqual([1, 2, 3]);
  expect([at(8)?.isOver, at(5)?.isOver, at(8, 1)?.isOver]).toEqual([false, true, true]);
  expect(bigPotsFor(0, { bigPotQuarts: 8 })).toBe(1);
});

test('two pots side by side hold two burners and both big pots at every minute; what is cooked down goes on in one', () => {
  const needs = (quarts: number | undefined) => {
    const { tasks } = problemOf(
      withPot(quarts),
      new Map([
        ['load 0.0', 'pot'],
        ['load 0.1', 'pot 2'],
      ]),
    );
    return tasks
      .filter(({ needs: own }) => own['big pot'])
      .map(({ entry, needs: own }) => [entry, own['big pot'], own.burners]);
  };
  expect(new Set(needs(undefined).map(([, pots]) => pots))).toEqual(new Set([1]));
  expect(needs(8)).toContainEqual(['crush-heat', 2, 2]);
  expect(needs(16)).toEqual(needs(undefined));
  for (const question of [withPot(8), withPot(5), withPot(8, 1)]) {
    const planner = planDay(question);
    const plan = planner.kind === 'planner' ? planner.step(300).plan : undefined;
    if (!plan) throw new Error('no plan');
    const placed = plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
    expect(brokenRules(scheduleProblemOf(problemOf(question, plan.cannerOf)), placed)).toEqual([]);
    const last = Math.max(...placed.map(({ end }) => end));
    for (let minute = 0; minute < last; minute++) {
      const now = plan.tasks.filter(({ startMin, endMin }) => startMin <= minute && minute < endMin);
      const held = (id: string) => now.reduce((sum, { task }) => sum + (task.needs[id] ?? 0), 0);
      expect(held('big pot')).toBeLessThanOrEqual(question.setup.bigPots);
      expect(held('burners')).toBeLessThanOrEqual(question.setup.burners);
    }
  }
});
