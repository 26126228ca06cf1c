import fc from 'fast-check';
import { productQuestion } from '../../bench/day/productDay';
import { HANDS, type ScheduledTask } from './dayProblem';
import { type KitchenLife } from './errandTasks';
import { type Cook, DAY_MIN } from './kitchenSetup';
import { planDay } from './planDay';
import { whoDoes } from './whoDoes';

const QUESTION = productQuestion([
  ['tomatoes-crushed', 'quart', [7, 7], 44],
  ['plums', 'pint', [8], 12],
]);
const SATURDAY = 6;

/** Two who are in and out: a break that stands at its time, and hours of their own. */
const cookOf = (name: string) =>
  fc
    .record({
      fromMin: fc.integer({ min: 360, max: 600 }),
      hours: fc.integer({ min: 360, max: 840 }),
      breakAt: fc.integer({ min: 0, max: 300 }),
      minutes: fc.integer({ min: 10, max: 90 }),
      atHome: fc.boolean(),
    })
    .map(({ fromMin, hours, breakAt, minutes, atHome }): Cook => {
      const from = fromMin + breakAt;
      return { name, fromMin, toMin: fromMin + hours, breaks: [{ fromMin: from, toMin: from + minutes, atHome }] };
    });

/** Minutes of the plan at which a cook's hands are elsewhere, told from the clock alone. */
function isAway({ fromMin, toMin, breaks }: Cook, minute: number, startMinute: number): boolean {
  const ofDay = (((startMinute + minute) % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return ofDay < fromMin || ofDay >= toMin || breaks.some((each) => ofDay >= each.fromMin && ofDay < each.toMin);
}

test('nobody has two steps at once, is called from a break or out of bed; on a plan that the search finds hardly a step is nobody’s', () => {
  let steps = 0;
  let given = 0;
  fc.assert(
    fc.property(cookOf('Ann'), cookOf('Joe'), fc.integer({ min: 420, max: 900 }), (ann, joe, startMinute) => {
      const setup = { ...QUESTION.setup, cooks: [ann, joe] };
      const question = { ...QUESTION, setup, startMinute, weekday: SATURDAY };
      const planner = planDay(question);
      const tasks = (planner.kind === 'planner' && planner.step(50).plan?.tasks) || [];
      const who = whoDoes(tasks, question);
      const held = tasks.filter(({ task }) => (task.needs[HANDS] ?? 0) > 0);
      steps += held.length;
      given += held.filter(({ task }) => who.has(task.id)).length;
      for (const cook of [ann, joe]) {
        const own = held.filter(({ task }) => who.get(task.id) === cook.name).sort((a, b) => a.startMin - b.startMin);
        own.slice(1).forEach((next, i) => expect(own[i]!.endMin).toBeLessThanOrEqual(next.startMin + 1e-6));
        for (const { startMin, endMin, task } of own)
          for (let minute = Math.ceil(startMin); minute < endMin; minute++)
            expect([task.id, cook.name, minute, isAway(cook, minute, startMinute)]).toEqual([
              ...[task.id, cook.name, minute],
              false,
            ]);
      }
      expect([...who.keys()].every((id) => held.some(({ task }) => task.id === id))).toBe(true);
    }),
    { numRuns: 40, seed: 23 },
  );
  expect(steps).toBeGreaterThan(500);
  expect(given / steps).toBeGreaterThan(0.95);
});

test('what a cook does on that weekday or was told of the day is theirs; a step that names its cook is that cook’s, and kept', () => {
  const market = { fromMin: 480, toMin: 600, atHome: false, weekdays: [SATURDAY] };
  const cooks = ['Ann', 'Joe'].map((name) => ({ name, fromMin: 360, toMin: 1_320, breaks: [] as Cook['breaks'] }));
  const setup = { ...QUESTION.setup, cooks: [{ ...cooks[0]!, breaks: [market] }, cooks[1]!] };
  const life = (weekday: number): KitchenLife => ({ startMinute: 480, weekday, setup });
  const step = (id: string, startMin: number, more: object = {}): ScheduledTask => ({
    task: {
      id,
      kind: 'prepare',
      words: id,
      minutes: { p10: 30, p50: 30, p90: 30 },
      after: [],
      needs: { [HANDS]: 1 },
      batchId: 'b',
      ...more,
    },
    ...{ startMin, endMin: startMin + 30 },
  });
  const tasks = [step('first', 30), step('beside', 40, { batchId: 'c' }), step('named', 200, { cook: 'Joe' })];
  expect(Object.fromEntries(whoDoes(tasks, life(SATURDAY)))).toEqual({ first: 'Joe', named: 'Joe' });
  expect(Object.fromEntries(whoDoes(tasks, life(3)))).toEqual({ first: 'Ann', beside: 'Joe', named: 'Joe' });
  const told = { id: 'e', cook: 'Joe', fromMin: 500, toMin: 530, atHome: true };
  const today = { ...life(3), errands: { set: [told], struck: [] } };
  expect(Object.fromEntries(whoDoes(tasks, today))).toEqual({ first: 'Ann', named: 'Joe' });
  // What begins before Joe's own step and reaches into it is Ann's.
  expect(Object.fromEntries(whoDoes([step('long', 180), tasks[2]!], life(3)))).toEqual({ long: 'Ann', named: 'Joe' });
  expect(
    Object.fromEntries(
      whoDoes([step('long', 180), tasks[2]!], { ...life(3), setup: { ...setup, cooks: cooks.slice(1) } }),
    ),
  ).toEqual({
    named: 'Joe',
  });
});
