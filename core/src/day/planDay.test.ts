import { demoQuestion, madeQuestion } from '../../bench/day/proposedDay';
import { type Cook, DAY_MIN } from './kitchenSetup';
import { type DayPlan, planDay } from './planDay';
import { type DayQuestion, problemOf } from './questionOfDay';
import { type ScheduledTask } from './dayProblem';
import { withBound } from './withBound';

const tasksOf = (question: DayQuestion) => problemOf(question).tasks.length;
const made = (seeds: readonly number[]) => seeds.map((seed) => madeQuestion(seed, tasksOf));
const DAYS = [demoQuestion(), ...made([1, 2, 3, 5, 9, 16])];
/** Days whose best is soon proven. */
const SHORT = made([4, 7, 11, 12, 14]);

function planned(question: DayQuestion, nodes: number): DayPlan {
  const planner = planDay(question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  const { plan } = planner.step(nodes);
  if (!plan) throw new Error('no plan');
  return plan;
}

/** Whether somebody works, or is at least in the house, at a minute of the day. */
function thereAt({ fromMin, toMin, breaks }: Cook, minute: number): { works: boolean; isHome: boolean } {
  const isUp = minute >= fromMin && minute < toMin;
  const pause = breaks.find((own) => minute >= own.fromMin && minute < own.toMin);
  return { works: isUp && !pause, isHome: isUp && (!pause || pause.atHome) };
}

// The limits are typed from docs/day-search.md and looked at minute by minute, beside all that the plan is made of: jars within
// 10 min into the canner, its stages without a gap, jars out within 10 min of the rest, food cut for 2 h and no longer.
test.each(DAYS.map((question, k) => [k, question] as const))(
  'day %d as it is lived: jars, canners and hands keep their limits at every minute',
  (_, question) => {
    const { tasks, cannerOf } = planned(question, 60);
    const { cooks } = question.setup;
    const of = (loadId: string, kind: string) =>
      tasks.filter(({ task }) => task.loadId === loadId && task.kind === kind).sort((a, b) => a.endMin - b.endMin);
    const inCanner = new Map<string, { from: number; to: number }[]>();
    for (const load of question.batches.flatMap(({ loads }) => loads)) {
      const [loading, heating, process, rest, unload] = ['load', 'heat-up', 'process', 'rest', 'unload'].map(
        (kind) => of(load.id, kind)[0] as ScheduledTask,
      );
      const filled = of(load.id, 'fill').at(-1) as ScheduledTask;
      expect(loading!.startMin - filled.endMin).toBeGreaterThanOrEqual(0);
      expect(loading!.startMin - filled.endMin).toBeLessThanOrEqual(10);
      expect([heating!.startMin, process!.startMin, rest!.startMin]).toEqual([
        loading!.endMin,
        heating!.endMin,
        process!.endMin,
      ]);
      expect(unload!.startMin - rest!.endMin).toBeGreaterThanOrEqual(0);
      expect(unload!.startMin - rest!.endMin).toBeLessThanOrEqual(10);
      const canner = cannerOf.get(load.id) as string;
      expect(loading!.task.cannerId).toBe(canner);
      inCanner.set(canner, [...(inCanner.get(canner) ?? []), { from: loading!.startMin, to: unload!.endMin }]);
    }
    for (const stays of inCanner.values()) {
      const inTime = stays.sort((a, b) => a.from - b.from);
      for (const [k, { from }] of inTime.entries()) expect(from).toBeGreaterThanOrEqual(inTime[k - 1]?.to ?? 0);
    }
    const byId = new Map(tasks.map((entry) => [entry.task.id, entry]));
    for (const { task, startMin } of tasks) {
      for (const { task: before } of task.after) {
        const own = byId.get(before);
        if (own?.task.holding === '2 h cut') expect(startMin - own.endMin).toBeLessThanOrEqual(120);
      }
    }
    const last = Math.max(...tasks.map(({ endMin }) => endMin));
    for (let minute = 0; minute < last; minute++) {
      const there = cooks.map((cook) => thereAt(cook, (question.startMinute + minute) % DAY_MIN));
      const now = tasks.filter(({ startMin, endMin }) => startMin <= minute && endMin > minute);
      const busy = now.filter(({ task }) => task.needs.hands).length;
      expect([minute, busy <= there.filter(({ works }) => works).length]).toEqual([minute, true]);
      const boils = now.some(({ task }) => ['preheat', 'heat-up', 'process'].includes(task.kind));
      if (boils) expect([minute, there.some(({ isHome }) => isHome)]).toEqual([minute, true]);
      expect([minute, now.filter(({ task }) => task.needs.burners).length <= 4]).toEqual([minute, true]);
    }
  },
  60_000,
);

test('a day is over by the minute asked for as long as that can be, and a minute sooner than its best never', () => {
  let tried = 0;
  for (const question of SHORT) {
    const best = planned(question, 1_500);
    if (!best.proven) continue;
    tried++;
    const inTime = planned({ ...question, overByMin: best.makespanMin }, 1_500);
    expect(inTime.makespanMin).toBe(best.makespanMin);
    const sooner = planDay({ ...question, overByMin: best.makespanMin - 1 });
    expect(sooner.kind === 'planner' ? sooner.step(800).plan : undefined).toBeUndefined();
  }
  expect(tried).toBeGreaterThanOrEqual(4);
});

// A day of two cooks, one of them there for three hours: five loads, 317 min of hands, and 255 before a meal that nothing waits through.
test('hands that are away most of the day bind: that no plan is shorter is soon proven', () => {
  const [question] = made([10]);
  const plan = planned(question as DayQuestion, 1_500);
  expect(plan).toMatchObject({ makespanMin: 460, lowerBoundMin: 460, proven: true });
});

test('a second search for the bound never tells more than the day takes, and proves the plan beside it without changing it', () => {
  let raised = 0;
  for (const question of [...SHORT.slice(3), ...DAYS.slice(3, 5)]) {
    const plan = planned(question, 60);
    const best = planned(question, 1_200).makespanMin;
    const beside = planDay(question, 'bound');
    const bound = beside.kind === 'planner' ? beside.step(600).plan : undefined;
    if (!bound) throw new Error('no bound');
    expect(bound.lowerBoundMin).toBeLessThanOrEqual(best);
    const after = withBound(plan, bound);
    expect({ ...after, lowerBoundMin: 0, proven: false }).toEqual({ ...plan, lowerBoundMin: 0, proven: false });
    expect(after.lowerBoundMin).toBe(Math.max(plan.lowerBoundMin, Math.min(bound.lowerBoundMin, plan.makespanMin)));
    expect(after.proven).toBe(after.lowerBoundMin >= plan.makespanMin);
    raised += after.lowerBoundMin > plan.lowerBoundMin ? 1 : 0;
    // What is not of the same plans says nothing of this one.
    expect(withBound(plan, { ...bound, unsaved: ['another'] })).toBe(plan);
    expect(withBound(plan, { ...bound, isWaterInTime: !plan.isWaterInTime })).toBe(plan);
  }
  expect(raised).toBeGreaterThan(0);
});
