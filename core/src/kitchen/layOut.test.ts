import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { type Made, productQuestion } from '../../bench/day/productDay';
import { liveDay, restAt } from '../../bench/kitchen/liveDay';
import { scheduleProblemOf } from '../day/dayProblem';
import { planDay } from '../day/planDay';
import { problemOf } from '../day/questionOfDay';
import { layOut, withWhatWas } from './layOut';
import { orderChange } from './orderChange';
import { whatNow } from './whatNow';

const DAYS: readonly (readonly Made[])[] = [
  [['tomatoes-crushed', 'quart', [7, 7], 44]],
  [
    ['tomatoes-crushed', 'quart', [7], 22],
    ['plums', 'pint', [8, 8], 20],
  ],
  [
    ['plums', 'pint', [8], 10],
    ['dilled-beans', 'pint', [8], 9],
  ],
];

const COOKS = ['Cook', 'Helper'].map((name) => ({ name, fromMin: 0, toMin: 1_440, breaks: [] }));

/** One cook with one pot or two; two cooks, of whom one hands on to the other. */
const LIVE = DAYS.flatMap((made, k) =>
  [1, 2, 3].map((kitchen) => {
    const pots = Math.min(2, kitchen);
    const alone = productQuestion(made, pots);
    const question = kitchen < 3 ? alone : { ...alone, setup: { ...alone.setup, cooks: COOKS } };
    const live = liveDay(question, 7 * k + kitchen, { tellSteps: kitchen === 2 ? 0.6 : 1 });
    if (!live) throw new Error(`no day ${k} with ${pots} pots`);
    return live;
  }),
);

const lastMinute = (live: (typeof LIVE)[number]) => Math.max(...[...live.real.values()].map(({ end }) => end));

test('at any minute of any day, what is left in its order breaks no rule, and what was told is as it was told', () => {
  fc.assert(
    fc.property(fc.constantFrom(...LIVE), fc.double({ min: 0, max: 1, noNaN: true }), (live, part) => {
      const minute = Math.floor(part * lastMinute(live));
      const { progress } = restAt(live, minute);
      const question = { ...live.question, progress };
      const laid = layOut(question, live.order, live.cannerOf);
      expect(laid).toBeDefined();
      const rest = problemOf({ ...question, letGo: laid!.letGo }, live.cannerOf);
      const byId = new Map(laid!.tasks.map((entry) => [entry.task.id, entry]));
      const placed = rest.tasks.map(({ id, minutes }) => {
        const start = byId.get(id)!.startMin - minute;
        return { id, start, end: start + minutes.p50 };
      });
      expect(brokenRules(scheduleProblemOf(rest), placed)).toEqual([]);
      for (const { task, startMin, endMin } of laid!.tasks) {
        const own = progress.of.get(task.id);
        if (!own) expect(startMin).toBeGreaterThanOrEqual(minute);
        else expect([startMin, endMin]).toEqual([own.startMin, own.endMin]);
      }
      // Everything that has really begun and was told stands where it was told.
      for (const event of live.dayEvents.filter(({ at, type }) => at <= minute * 60_000 && type === 'step-done')) {
        expect(progress.of.get((event as { taskId: string }).taskId)?.kind).toBe('done');
      }
      expect(laid!.tasks).toHaveLength(live.whole.tasks.length);
    }),
    { numRuns: 60 },
  );
});

test('a day that goes as planned keeps the times of its plan', () => {
  for (const live of LIVE) {
    const { progress } = restAt({ ...live, dayEvents: [], events: [] }, 0);
    const laid = layOut({ ...live.question, progress }, live.order, live.cannerOf)!;
    const planned = Math.max(...live.whole.tasks.map(({ id, minutes }) => live.order.get(id)! + minutes.p50));
    expect(laid.endMin).toBeLessThanOrEqual(planned);
  }
});

test('solved again, the rest is never over later than in its order, and what has begun stays', () => {
  for (const live of LIVE.slice(0, 4)) {
    const minute = Math.floor(lastMinute(live) / 3);
    const { progress } = restAt(live, minute);
    const question = { ...live.question, progress };
    const laid = layOut(question, live.order, live.cannerOf)!;
    const planner = planDay({ ...question, letGo: laid.letGo });
    if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
    const plan = planner.step(600).plan!;
    const again = withWhatWas(live.whole, plan.tasks, progress);
    expect(again.endMin).toBeLessThanOrEqual(laid.endMin);
    const { endBeforeMin, endAfterMin } = orderChange(laid.tasks, again.tasks);
    expect([endBeforeMin, endAfterMin]).toEqual([laid.endMin, again.endMin]);
    for (const [loadId, canner] of progress.cannerOf) expect(plan.cannerOf.get(loadId)).toBe(canner);
  }
});

test('a canner that is out takes no load any more, and hands that are gone do nothing', () => {
  const live = LIVE.find(({ question }) => question.canners.length === 2)!;
  const { progress } = restAt(live, 5);
  const question = { ...live.question, progress: { ...progress, cannersOut: ['pot'] } };
  const planner = planDay(question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  expect([...planner.step(300).plan!.cannerOf.values()]).not.toContain('pot');
  expect(planDay({ ...question, setup: { ...question.setup, cooks: [] } }).kind).toBe('refusal');
});

test('each pair of hands has one step now, nobody two, and what runs stays in its hands', () => {
  fc.assert(
    fc.property(fc.constantFrom(...LIVE), fc.double({ min: 0, max: 1, noNaN: true }), (live, part) => {
      const minute = Math.floor(part * lastMinute(live));
      const { progress } = restAt(live, minute);
      const laid = layOut({ ...live.question, progress }, live.order, live.cannerOf)!;
      const hands = whatNow(COOKS, laid.tasks, progress);
      const ids = hands.flatMap(({ now, then }) => [now?.entry, then].flatMap((each) => each?.task.id ?? []));
      expect(new Set(ids).size).toBe(ids.length);
      const running = laid.tasks.filter(
        ({ task }) => (task.needs.hands ?? 0) > 0 && progress.of.get(task.id)?.kind === 'running',
      );
      for (const { task } of running.slice(0, 2)) expect(hands.map(({ now }) => now?.entry.task.id)).toContain(task.id);
    }),
    { numRuns: 40 },
  );
});
