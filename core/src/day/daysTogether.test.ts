import fc from 'fast-check';
import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { localMoment } from '../measure/localTime';
import { type Batch } from './batch';
import { HANDS } from './dayProblem';
import { batchesTogether, laterOf } from './daysTogether';
import { USUAL_KITCHEN } from './kitchenSetup';
import { begunLater } from './begunLater';
import { planDay } from './planDay';
import { problemOf } from './questionOfDay';
import { HOT_BEFORE_MIN } from './waterInTime';
import { whyThen } from './whyThen';

const ZONE = 'America/Denver';
/** 29 August 2026 is a Saturday. */
const at = (day: number, hour: number, minute = 0) => localMoment(ZONE, [2026, 7, day, hour * 60 + minute]);
const canner = handbookCanner(CANNERS[0]!, { id: 'pot' });
const cook = { name: 'Cook', fromMin: 6 * 60, toMin: 22 * 60, breaks: [] };
const kitchen = { canners: [canner], ownJars: [], setup: { ...USUAL_KITCHEN, cooks: [cook], timeZone: ZONE } };

const batch = (id: string, product: Batch['product'], startAt: number, change: Partial<Batch> = {}): Batch => ({
  ...{ id, product, jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 0, processMinutes: 10 },
  ...{ cannerId: 'pot', startAt, uses: [{ pickId: 'p', massKg: 4, softKg: 0 }] },
  loads: [{ id: `${id} 1`, number: 1, jars: 6 }],
  ...change,
});
const grapes = (startAt: number, change: Partial<Batch> = {}) =>
  batch('juice', 'grape-juice', startAt, {
    jar: 'quart',
    uses: [{ pickId: 'g', crop: 'grape', massKg: 11, softKg: 0 }],
    ...change,
  });
const jam = (startAt: number) =>
  batch('jam', 'tomatoes-crushed', startAt, {
    jar: 'quart',
    processMinutes: 45,
    uses: [{ pickId: 't', crop: 'tomato-paste', massKg: 9, softKg: 0 }],
  });
const ids = (batches: readonly Batch[]) => batches.map(({ id }) => id);

test('juice that settles overnight and what is planned for the next day are one plan; strained again instead, they are two', () => {
  const both = [jam(at(30, 9)), grapes(at(29, 10))];
  for (const date of ['2026-08-29', '2026-08-30']) {
    expect(ids(batchesTogether(date, both, kitchen))).toEqual(['juice', 'jam']);
  }
  const strained = [grapes(at(29, 10), { without: ['settle-24h'] }), jam(at(30, 9))];
  expect(ids(batchesTogether('2026-08-29', strained, kitchen))).toEqual(['juice']);
  expect(ids(batchesTogether('2026-08-30', strained, kitchen))).toEqual(['jam']);
  // Closed together they stay one; a day that was closed alone is over, and one after the next is none of it.
  expect(ids(batchesTogether('2026-08-30', both, kitchen, new Set(['2026-08-29'])))).toEqual(['jam']);
  const closed = new Set(['2026-08-29', '2026-08-30']);
  expect(ids(batchesTogether('2026-08-30', both, kitchen, closed))).toEqual(['juice', 'jam']);
  expect(ids(batchesTogether('2026-08-29', [grapes(at(29, 10)), jam(at(31, 9))], kitchen))).toEqual(['juice']);
  expect(batchesTogether('2026-09-12', both, kitchen)).toEqual([]);
  // A canner that is gone stops nobody from looking.
  expect(ids(batchesTogether('2026-08-30', both, { ...kitchen, canners: [] }))).toEqual(['jam']);
});

test('work that hands cannot end before they go to bed reaches into the next day, wherever the household is', () => {
  // Peeled and cooked from 8 in the evening on, it is not in its jars before 10.
  const late = { ...jam(at(29, 20)), id: 'late', loads: [{ id: 'late 1', number: 1, jars: 7 }] };
  const big = { ...late, uses: [{ pickId: 't', crop: 'tomato-paste' as const, massKg: 40, softKg: 0 }] };
  expect(ids(batchesTogether('2026-08-30', [big, jam(at(30, 9))], kitchen))).toEqual(['late', 'jam']);
  const elsewhere = { ...kitchen, setup: { ...kitchen.setup, timeZone: 'Australia/Sydney' } };
  const there = (day: number, hour: number) => localMoment('Australia/Sydney', [2026, 7, day, hour * 60]);
  expect(ids(batchesTogether('2026-08-30', [grapes(there(29, 10)), jam(there(30, 9))], elsewhere))).toHaveLength(2);
});

test('never more than three dates, every batch in one plan, and the same plan whichever of its dates is asked', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 10 }),
      fc.array(fc.boolean(), { minLength: 10, maxLength: 10 }),
      (days, settles) => {
        const all = days.map((day, i) => ({
          ...(settles[i] ? grapes(at(day, 10)) : jam(at(day, 10))),
          id: `b${day}`,
          loads: [{ id: `l${day}`, number: 1, jars: 4 }],
        }));
        const date = (day: number) => `2026-08-${String(day).padStart(2, '0')}`;
        for (const day of days) {
          const run = batchesTogether(date(day), all, kitchen);
          expect(ids(run)).toContain(`b${day}`);
          expect(run.length).toBeLessThanOrEqual(3);
          for (const { id } of run)
            expect(ids(batchesTogether(date(Number(id.slice(1))), all, kitchen))).toEqual(ids(run));
        }
      },
    ),
    { numRuns: 60, seed: 5 },
  );
});

test('in one plan over two days nothing of the second is begun before its hour, nobody works at night, and each day heats its water', () => {
  const own = [grapes(at(29, 10)), batch('first', 'tomatoes-crushed', at(29, 10), { jar: 'quart' }), jam(at(30, 9))];
  const later = laterOf(own, at(29, 10), ZONE);
  expect([...later]).toEqual([['jam', { days: 1, fromMin: 23 * 60 }]]);
  const planner = planDay({ ...kitchen, batches: own, startMinute: 10 * 60, weekday: 6, later, seed: 1 });
  const plan = planner.kind === 'planner' ? planner.step(400).plan : undefined;
  if (!plan) throw new Error('no plan');
  const second = plan.tasks.filter(({ task }) => task.batchId === 'jam');
  expect(Math.min(...second.map(({ startMin }) => startMin))).toBeGreaterThanOrEqual(23 * 60);
  // Why then? The first of Sunday's steps waits for Sunday.
  const problem = problemOf({ ...kitchen, batches: own, startMinute: 10 * 60, weekday: 6, later }, plan.cannerOf);
  const [first] = second.filter(({ startMin }) => startMin === 23 * 60);
  expect(first && whyThen(problem, plan.tasks, first)).toEqual({ kind: 'asked' });
  const hands = plan.tasks.filter(({ task }) => task.needs[HANDS]);
  for (const { startMin, endMin } of hands) {
    const [from, to] = [startMin, endMin].map((minute) => (minute + 10 * 60) % (24 * 60)) as [number, number];
    expect(from).toBeGreaterThanOrEqual(cook.fromMin);
    expect(to).toBeLessThanOrEqual(cook.toMin);
    // One pair of hands does one thing.
    expect(hands.filter((other) => other.startMin < endMin && other.endMin > startMin)).toHaveLength(1);
  }
  const water = plan.tasks.filter(({ task }) => task.kind === 'preheat').sort((a, b) => a.startMin - b.startMin);
  expect(water.map(({ task }) => task.id)).toEqual(['preheat pot', 'preheat pot 1']);
  for (const { task, endMin } of water) {
    const soon = plan.tasks.filter(
      ({ task: { kind, after } }) => kind === 'load' && after.some((lag) => lag.task === task.id),
    );
    const first = Math.min(...soon.map(({ startMin }) => startMin));
    expect(first - endMin).toBeGreaterThanOrEqual(0);
    expect(first - endMin).toBeLessThanOrEqual(HOT_BEFORE_MIN);
  }
});

test('a day counted from another moment, on its own date or on another, speaks of the same moments', () => {
  const WEEK_MIN = 7 * 1_440;
  fc.assert(
    fc.property(fc.integer({ min: -3_000, max: 3_000 }), (byMin) => {
      const tea = { id: 'tea', cook: 'Cook', fromMin: 900, toMin: 930, atHome: true, day: 5 };
      const question = {
        ...{ ...kitchen, batches: [], startMinute: 600, weekday: 6, overByMin: 9_000 },
        useBy: new Map([['a', 4_000]]),
        later: new Map([['jam', { days: 3, fromMin: 4_200 }]]),
        wishes: [{ kind: 'pin' as const, loadId: 'l', atMin: 3_900 }],
        errands: { set: [tea], struck: [{ id: 'dinner', day: 4 }] },
      };
      const moved = begunLater(question, byMin);
      // Its minutes since some Sunday's midnight, over any number of weeks.
      const at = (minute: number | undefined) => {
        const since = (moved.weekday ?? NaN) * 1_440 + moved.startMinute + (minute ?? 0) - 600 - byMin;
        return ((since % WEEK_MIN) + WEEK_MIN) % WEEK_MIN;
      };
      const was = (minute: number) => (6 * 1_440 + minute) % WEEK_MIN;
      expect(moved.startMinute).toBeGreaterThanOrEqual(0);
      expect(moved.startMinute).toBeLessThan(1_440);
      const atPlan = (minute: number | undefined) => (minute ?? NaN) + byMin;
      expect(at(0)).toBe(was(0));
      expect(atPlan(moved.useBy?.get('a'))).toBe(4_000);
      expect(atPlan(moved.later?.get('jam')?.fromMin)).toBe(4_200);
      expect(moved.wishes?.map((wish) => wish.kind === 'pin' && atPlan(wish.atMin))).toEqual([3_900]);
      expect(atPlan(moved.overByMin)).toBe(9_000);
      // An errand is on the same weekday as before.
      const days = [moved.later?.get('jam')?.days, moved.errands?.set[0]?.day, moved.errands?.struck[0]?.day];
      expect(days.map((day = NaN) => ((moved.weekday ?? NaN) + day) % 7)).toEqual([2, 4, 3]);
      expect(begunLater(moved, -byMin)).toEqual(question);
    }),
  );
});
