import fc from 'fast-check';
import { demoQuestion, madeQuestion } from '../../bench/day/proposedDay';
import { type ScheduledTask } from './dayProblem';
import { type Errand, errandsOn, repeatedId } from './errand';
import { errandTaskId } from './errandTasks';
import { type Break, type Cook, DAY_MIN } from './kitchenSetup';
import { begunLater } from './begunLater';
import { latestBegin } from './latestBegin';
import { type DayPlan, planDay, whyNot } from './planDay';
import { type DayQuestion, problemOf } from './questionOfDay';
import { type Soonest, soonestIn } from './soonestIn';
import { whatGives } from './whatGives';
import { type Wish } from './wish';

const tasksOf = (question: DayQuestion) => problemOf(question).tasks.length;
/** Days that are soon proven: with one cook, and with a helper for a part of it. */
const DAYS = [4, 7, 11, 12, 14].map((seed) => madeQuestion(seed, tasksOf));

function planOf(question: DayQuestion, nodes: number): DayPlan | undefined {
  const planner = planDay(question);
  return planner.kind === 'planner' ? planner.step(nodes).plan : undefined;
}

const loadsOf = ({ batches }: DayQuestion) => batches.flatMap(({ loads }) => loads.map(({ id }) => id));
const entryOf = (plan: DayPlan, id: string) => plan.tasks.find(({ task }) => task.id === id) as ScheduledTask;
const inAt = (plan: DayPlan, load: string) => entryOf(plan, `load ${load}`).startMin;

/** Where somebody is at a minute of the plan, told from hours, breaks and the errands of the plan alone. */
function whereIs(cook: Cook, minuteOfDay: number, errands: readonly { errand: Errand; from: number; to: number }[]) {
  const isUp = minuteOfDay >= cook.fromMin && minuteOfDay < cook.toMin;
  const now = errands.filter(
    ({ errand, from, to }) => errand.cook === cook.name && from <= minuteOfDay && to > minuteOfDay,
  );
  const pauses = [...cook.breaks.filter(({ fromMin, toMin }) => fromMin <= minuteOfDay && toMin > minuteOfDay)];
  return {
    works: isUp && now.length === 0 && pauses.length === 0,
    isHome: isUp && now.every(({ errand }) => errand.atHome) && pauses.every(({ atHome }) => atHome),
  };
}

const errand = (cooks: readonly string[]) =>
  fc
    .record({
      cook: fc.constantFrom(...cooks),
      minutes: fc.integer({ min: 2, max: 12 }).map((quarters) => 10 * quarters),
      fromMin: fc.integer({ min: 18, max: 36 }).map((half) => 30 * half),
      spare: fc.integer({ min: 0, max: 8 }).map((half) => 30 * half),
      atHome: fc.boolean(),
    })
    .map(({ spare, ...own }) => ({ ...own, toMin: Math.min(DAY_MIN, own.fromMin + own.minutes + spare) }));

// Looked at minute by minute, beside all that the plan is made of.
test('errands: each once, in its time, by its own cook; nobody works meanwhile, and nothing is on the fire when all are out', () => {
  let tried = 0;
  let found = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...DAYS).chain((day) =>
        fc.record({
          day: fc.constant(day),
          set: fc.array(errand(day.setup.cooks.map(({ name }) => name)), { minLength: 1, maxLength: 3 }),
        }),
      ),
      ({ day, set }) => {
        const errands = { set: set.map((own, k): Errand => ({ ...own, id: `e${k}` })), struck: [] };
        const question = { ...day, errands };
        tried++;
        const plan = planOf(question, 60);
        if (!plan) return;
        found++;
        const start = question.startMinute;
        const placed = errands.set.flatMap((own) => {
          const task = plan.tasks.find(({ task: { id } }) => id === errandTaskId(own.id, 0));
          const isFixed = own.toMin - own.fromMin === own.minutes;
          if (!task) return isFixed ? [{ errand: own, from: own.fromMin, to: own.toMin }] : [];
          const [from, to] = [start + task.startMin, start + task.endMin];
          expect([to - from, from >= own.fromMin, to <= own.toMin]).toEqual([own.minutes, true, true]);
          return [{ errand: own, from, to }];
        });
        const { cooks } = question.setup;
        const steps = plan.tasks.filter(({ task }) => task.kind !== 'errand');
        expect(plan.makespanMin).toBe(Math.max(...steps.map(({ endMin }) => endMin)));
        for (let minute = 0; minute < Math.min(plan.makespanMin, DAY_MIN - start); minute++) {
          const there = cooks.map((cook) => whereIs(cook, start + minute, placed));
          const now = steps.filter(({ startMin, endMin }) => startMin <= minute && endMin > minute);
          const busy = now.filter(({ task }) => task.needs.hands).length;
          expect([minute, busy <= there.filter(({ works }) => works).length]).toEqual([minute, true]);
          const boils = now.some(({ task }) => ['preheat', 'heat-up', 'process'].includes(task.kind));
          if (boils) expect([minute, there.some(({ isHome }) => isHome)]).toEqual([minute, true]);
        }
      },
    ),
    { numRuns: 40, seed: 22 },
  );
  expect([tried, found >= 30]).toEqual([40, true]);
});

test('an errand with time to spare goes into a wait: it costs nothing where one is long enough, and a fixed one costs as much or more', () => {
  const day = DAYS[0] as DayQuestion;
  const cook = day.setup.cooks[0]?.name as string;
  const best = planOf(day, 1_500) as DayPlan;
  const told = (own: Omit<Errand, 'id' | 'cook'>) => ({ set: [{ ...own, id: 'town', cook }], struck: [] });
  const any = { fromMin: day.startMinute, toMin: DAY_MIN, atHome: true, minutes: 10, words: 'Post' };
  const loose = planOf({ ...day, errands: told(any) }, 1_500) as DayPlan;
  const fixed = planOf({ ...day, errands: told({ ...any, fromMin: 720, toMin: 730 }) }, 1_500) as DayPlan;
  expect([best.proven, loose.proven, fixed.proven]).toEqual([true, true, true]);
  expect(loose.makespanMin).toBeLessThanOrEqual(fixed.makespanMin);
  expect(loose.makespanMin).toBeGreaterThanOrEqual(best.makespanMin);
  // In the evening, after all jars are out, it is nobody's concern.
  const late = planOf({ ...day, errands: told({ ...any, fromMin: 20 * 60, toMin: 22 * 60, atHome: false }) }, 1_500);
  expect(late?.makespanMin).toBe(best.makespanMin);
});

test('what is repeated takes place on its weekdays; what was told of one date stands in its place for that date alone', () => {
  const milking: Break = { fromMin: 1_020, toMin: 1_140, minutes: 60, atHome: false, words: 'Milking' };
  const market: Break = { fromMin: 480, toMin: 720, atHome: false, words: 'Market', weekdays: [6] };
  const cooks: Cook[] = [{ name: 'Ann', fromMin: 360, toMin: 1_260, breaks: [milking, market] }];
  const words = (day: number, told?: Parameters<typeof errandsOn>[1]['errands'], weekday?: number) =>
    errandsOn(cooks, { weekday, errands: told }, day).map((own) => `${own.words} ${own.fromMin}`);
  expect([words(0), words(0, undefined, 6), words(1, undefined, 5), words(1, undefined, 6)]).toEqual([
    ['Milking 1020'],
    ['Milking 1020', 'Market 480'],
    ['Milking 1020', 'Market 480'],
    ['Milking 1020'],
  ]);
  const id = repeatedId('Ann', milking);
  const earlier = { ...milking, id, cook: 'Ann', fromMin: 900, toMin: 960 };
  expect(words(0, { set: [earlier], struck: [] }, 6)).toEqual(['Market 480', 'Milking 900']);
  expect(words(1, { set: [earlier], struck: [] }, 5)).toEqual(['Milking 1020', 'Market 480']);
  expect(words(0, { set: [earlier], struck: [{ id }] }, 6)).toEqual(['Market 480']);
  expect(words(0, { set: [{ ...earlier, cook: 'Nobody' }], struck: [] }, 1)).toEqual(['Milking 1020']);
});

/** Whether the plan does as it is wished. */
function isKept(wish: Wish, plan: DayPlan): boolean {
  const stay = (load: string) => [inAt(plan, load), entryOf(plan, `unload ${load}`).endMin] as const;
  switch (wish.kind) {
    case 'pin':
      return inAt(plan, wish.loadId) === wish.atMin;
    case 'canner':
      return plan.cannerOf.get(wish.loadId) === wish.cannerId;
    case 'way':
      return plan.tasks
        .filter(({ task }) => task.kind === 'process' && task.batchId === wish.batchId)
        .every(({ task }) => task.words.endsWith(wish.method === 'steam' ? 'steam' : 'boil'));
    case 'before':
      return inAt(plan, wish.loadId) < inAt(plan, wish.otherId);
    case 'apart': {
      const [[a, aEnd], [b, bEnd]] = [stay(wish.loadId), stay(wish.otherId)];
      return aEnd <= b || bEnd <= a;
    }
  }
}

test('wishes: each plan that is found keeps them; none ends sooner than the best without, and what the best does anyway costs nothing', () => {
  let kept = 0;
  for (const day of [...DAYS, demoQuestion()]) {
    const loads = loadsOf(day);
    const [first, last] = [loads[0] as string, loads.at(-1) as string];
    const best = planOf(day, 1_500) as DayPlan;
    const canner = day.canners.at(-1)?.id as string;
    const wishes: Wish[][] = [
      [{ kind: 'pin', loadId: last, atMin: Math.ceil(inAt(best, last)) + 45 }],
      [{ kind: 'before', loadId: last, otherId: first }],
      [{ kind: 'apart', loadId: first, otherId: last }],
      [{ kind: 'canner', loadId: first, cannerId: canner }],
      [
        { kind: 'apart', loadId: first, otherId: last },
        { kind: 'pin', loadId: first, atMin: Math.ceil(inAt(best, first)) + 20 },
      ],
    ];
    for (const own of wishes) {
      const plan = planOf({ ...day, wishes: own }, 300);
      if (!plan) continue;
      kept++;
      expect(own.map((wish) => isKept(wish, plan))).toEqual(own.map(() => true));
      if (best.proven) expect(plan.makespanMin).toBeGreaterThanOrEqual(best.makespanMin);
    }
    if (!best.proven) continue;
    const asIs: Wish[] = loads.map((loadId) => ({ kind: 'pin', loadId, atMin: inAt(best, loadId) }));
    expect(planOf({ ...day, wishes: asIs }, 1_500)?.makespanMin).toBe(best.makespanMin);
  }
  expect(kept).toBeGreaterThan(20);
});

test('what gives where wishes cannot be kept: the one that is in the way, the soonest time, by when all can be ready; each tried', () => {
  const day = DAYS[1] as DayQuestion;
  const [first, second] = loadsOf(day) as [string, string];
  const early: Wish = { kind: 'pin', loadId: first, atMin: 10 };
  const apart: Wish = { kind: 'apart', loadId: first, otherId: second };
  const ways = [...whatGives({ ...day, wishes: [early, apart] })].filter((way) => way !== undefined);
  // Never at once is in nobody's way, and so is not told.
  expect(ways.filter(({ kind }) => kind === 'unwished')).toEqual([{ kind: 'unwished', wish: early }]);
  const soonest = ways.find((way) => way.kind === 'pin-at');
  expect(soonest).toMatchObject({ loadId: first });
  const moved = { ...early, atMin: Math.ceil(soonest?.kind === 'pin-at' ? soonest.atMin : 0) };
  expect(planOf({ ...day, wishes: [moved, apart] }, 600)).toBeDefined();
  const best = planOf(day, 300) as DayPlan;
  const inTime = [...whatGives({ ...day, overByMin: 30 })].find((way) => way?.kind === 'ready-by');
  expect(inTime?.kind === 'ready-by' && inTime.atMin).toBeGreaterThanOrEqual(best.lowerBoundMin);
  expect(planOf({ ...day, overByMin: Math.ceil(inTime?.kind === 'ready-by' ? inTime.atMin : 0) }, 600)).toBeDefined();
});

test('planned backwards a day begins as late as can be and is over in time, on its own clock; a quarter of an hour later it is not', () => {
  for (const day of DAYS.slice(0, 3)) {
    const best = planOf(day, 300) as DayPlan;
    const asked = { ...day, overByMin: Math.ceil(best.makespanMin) + 100 };
    const later = latestBegin(asked) as number;
    expect(later % 15).toBe(0);
    const then = planOf(begunLater(asked, later), 400) as DayPlan;
    expect(later + then.makespanMin).toBeLessThanOrEqual(asked.overByMin);
    expect(planOf(begunLater(asked, later + 15), 400)).toBeUndefined();
    expect(begunLater(asked, later).startMinute).toBe(day.startMinute + later);
  }
  const [day] = DAYS;
  expect(latestBegin({ ...(day as DayQuestion), overByMin: 30 })).toBeUndefined();
  expect(latestBegin(day as DayQuestion)).toBeUndefined();
});

test('what is to be ready for another day is begun on that day where it can be, and while its produce keeps', () => {
  const day = DAYS[0] as DayQuestion;
  const best = planOf(day, 300) as DayPlan;
  // The same hour of the next day.
  const asked: DayQuestion = { ...day, weekday: 6, useBy: new Map(), overByMin: DAY_MIN + Math.ceil(best.makespanMin) };
  const later = latestBegin(asked) as number;
  expect(later).toBeGreaterThanOrEqual(DAY_MIN - 15);
  const then = begunLater(asked, later);
  expect(then.weekday).toBe(0);
  expect(then.startMinute).toBe((day.startMinute + later) % DAY_MIN);
  expect(planOf(then, 400)).toBeDefined();
  const spoils = new Map(day.batches.map(({ id }) => [id, Math.ceil(best.makespanMin)]));
  const saved = latestBegin({ ...asked, useBy: spoils }) as number;
  expect(saved).toBeLessThan(best.makespanMin);
  expect(planOf(begunLater({ ...asked, useBy: spoils }, saved), 400)?.unsaved).toEqual([]);
  // Days that hang together stay on theirs.
  const [first] = day.batches;
  const later2 = new Map([[first?.id ?? '', { days: 1, fromMin: DAY_MIN }]]);
  const own = latestBegin({ ...asked, later: later2, overByMin: 3 * DAY_MIN });
  expect(day.startMinute + (own ?? 0)).toBeLessThan(DAY_MIN);
});

test('a pin that cannot be kept is refused with its reason, and the soonest time that can is told: one minute sooner is refused too', () => {
  const day = DAYS[1] as DayQuestion;
  const load = loadsOf(day)[0] as string;
  const { atMin: at, why } = soonestIn(day, load, 0) as Soonest;
  const pinned = (atMin: number): DayQuestion => ({ ...day, wishes: [{ kind: 'pin', loadId: load, atMin }] });
  expect(planOf(pinned(Math.ceil(at)), 600)).toBeDefined();
  // By then its jars are filled, and not a minute before.
  expect(why).toMatchObject({ kind: 'after', waitMin: 0, task: { task: { kind: 'fill', loadId: load } } });
  const early = planDay(pinned(Math.ceil(at) - 1));
  expect(early.kind === 'planner' ? early.step(600).plan : undefined).toBeUndefined();
  const sentence =
    early.kind === 'refusal' && early.cause === 'rules' ? early.unmet.sentence : whyNot(pinned(5)).sentence;
  expect(sentence).toMatch(/“Load \d+ \w+”/);
  // What is wished for a time before the day begins is refused, and breaks nothing.
  for (const asked of [pinned(-30), { ...day, overByMin: -5 }])
    expect(planDay(asked)).toMatchObject({ kind: 'refusal', cause: 'rules' });
  expect(planDay({ ...day, wishes: [{ kind: 'canner', loadId: load, cannerId: 'nowhere' }] })).toMatchObject({
    kind: 'refusal',
    cause: 'no-canner',
  });
});
