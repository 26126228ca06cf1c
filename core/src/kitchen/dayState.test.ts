import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { type DayTask } from '../day/dayProblem';
import { askedOf, beginOf, wishKey } from '../day/dayWish';
import { alarmsOf, missed, ringing } from './alarms';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { type KitchenEvent } from './kitchenEvent';
import { loadState } from './loadState';
import { progressOf } from './progressOf';
import { readStep, stepClock } from './stepClock';

const MIN = 60_000;
let made = 0;
type Told<Event> = Event extends DayEvent ? Omit<Event, 'id' | 'day' | 'at'> : never;
const tell = (atMin: number, told: Told<DayEvent>, id = `d${String(made++).padStart(5, '0')}`): DayEvent => ({
  id,
  day: '2026-08-29',
  at: atMin * MIN,
  ...told,
});

test('told twice, late or in another order it is the same day; of two starts the later holds, of two ends the first', () => {
  const step = fc.constantFrom('wash a', 'simmer a', 'drip b');
  const event = fc
    .tuple(
      fc.constantFrom<'step-started' | 'step-done'>('step-started', 'step-done'),
      step,
      fc.integer({ min: 0, max: 300 }),
    )
    .map(([type, taskId, at]) => tell(at, { type, taskId }));
  fc.assert(
    fc.property(fc.array(event, { maxLength: 20 }), fc.infiniteStream(fc.nat()), (events, keys) => {
      const shuffled = [...events, ...events.slice(0, 3)]
        .map((told) => ({ told, key: keys.next().value as number }))
        .sort((a, b) => a.key - b.key)
        .map(({ told }) => told);
      expect(dayState(shuffled)).toEqual(dayState(events));
      for (const [taskId, { startedAt, doneAt }] of dayState(events).steps) {
        const of = (type: string) =>
          events.flatMap((told) => (told.type === type && 'taskId' in told && told.taskId === taskId ? [told.at] : []));
        expect(doneAt ?? Infinity).toBe(Math.min(...of('step-done'), Infinity));
        const starts = of('step-started').filter((at) => at < (doneAt ?? Infinity));
        if (startedAt !== undefined) expect(startedAt).toBeGreaterThanOrEqual(Math.max(...starts));
      }
    }),
  );
});

test('of errands and wishes with one name the last one told holds, whatever order they come in; what is let go is gone', () => {
  const errandId = fc.constantFrom('town', 'Ann 1020-1080');
  const later = fc.constantFrom(undefined, 1);
  const event = fc.oneof(
    fc.record({ errandId, later, fromMin: fc.integer({ min: 0, max: 1_000 }) }).map(({ later: day, ...own }) => ({
      ...{ type: 'errand-set' as const, cook: 'Ann', toMin: 1_100, atHome: false, ...own },
      ...(day !== undefined && { later: day }),
    })),
    fc.record({ errandId, later }).map(({ later: day, ...own }) => ({
      ...{ type: 'errand-struck' as const, ...own },
      ...(day !== undefined && { later: day }),
    })),
    fc.record({ loadId: fc.constantFrom('one', 'two'), at: fc.nat(99) }).map((pin) => ({
      type: 'wish-made' as const,
      wish: { kind: 'pin' as const, ...pin },
    })),
    fc.constantFrom('pin one', 'pin two').map((key) => ({ type: 'wish-dropped' as const, key })),
  );
  fc.assert(
    fc.property(fc.uniqueArray(fc.tuple(fc.nat(500), event), { maxLength: 14, selector: ([at]) => at }), (told) => {
      const events = told.map(([at, own]) => tell(at, own));
      const { errands, wishes } = dayState(events);
      expect(dayState([...events].reverse())).toEqual(dayState(events));
      const inTime = [...told].sort(([a], [b]) => a - b).map(([, own]) => own);
      for (const [id, day] of [['town'], ['town', 1], ['Ann 1020-1080'], ['Ann 1020-1080', 1]] as const) {
        const last = inTime.findLast((own) => 'errandId' in own && own.errandId === id && own.later === day);
        const isOf = (own: { id: string; day?: number }) => own.id === id && own.day === day;
        expect(errands.set.find(isOf)?.fromMin).toBe(last?.type === 'errand-set' ? last.fromMin : undefined);
        expect(errands.struck.some(isOf)).toBe(last?.type === 'errand-struck');
      }
      for (const loadId of ['one', 'two']) {
        const last = inTime.findLast(
          (own) =>
            (own.type === 'wish-made' && own.wish.loadId === loadId) ||
            (own.type === 'wish-dropped' && own.key === `pin ${loadId}`),
        );
        const own = wishes.filter((wish) => wish.kind === 'pin' && wish.loadId === loadId);
        expect(own).toEqual(last?.type === 'wish-made' ? [last.wish] : []);
      }
    }),
  );
});

test('moments of a day’s wishes are minutes of its plan; it begins as late as it is wished', () => {
  const at = (minute: number) => minute * MIN;
  const wishes = [
    { kind: 'not-before', at: at(90) },
    { kind: 'ready-by', at: at(690) },
    { kind: 'pin', loadId: 'one', at: at(210) },
    { kind: 'apart', loadId: 'one', otherId: 'two' },
  ] as const;
  expect(beginOf(wishes, at(60))).toBe(at(90));
  expect(beginOf(wishes, at(120))).toBe(at(120));
  expect(askedOf(wishes, at(90))).toEqual({
    overByMin: 600,
    wishes: [{ kind: 'pin', loadId: 'one', atMin: 120 }, wishes[3]],
  });
  expect(askedOf([], at(90))).toEqual({});
  expect(wishKey({ kind: 'apart', loadId: 'b', otherId: 'a' })).toBe(
    wishKey({ kind: 'apart', loadId: 'a', otherId: 'b' }),
  );
});

test('what is taken back never was', () => {
  const away = tell(5, { type: 'cook-away', cook: 'Cook' });
  expect(dayState([away]).away).toEqual(['Cook']);
  expect(dayState([away, tell(6, { type: 'taken-back', eventId: away.id })]).away).toEqual([]);
});

const batch = {
  id: 'b',
  product: 'plums',
  uses: [{ pickId: 'p', massKg: 10, softKg: 2 }],
  loads: [
    { id: 'one', number: 1, jars: 9 },
    { id: 'two', number: 2, jars: 5 },
  ],
} as unknown as Batch;

test('loads are as they were told last; one that went in stays, whoever dropped it', () => {
  const drop = tell(10, { type: 'loads-changed', batchId: 'b', loads: [], produceUsed: 9 / 14 });
  const began: KitchenEvent = { id: 'k', loadId: 'one', at: 30 * MIN, type: 'load-started', jars: 9 };
  expect(batchesNow([batch], [drop], [], AS_PLANNED)).toEqual([]);
  const kept = batchesNow([batch], [drop], [began], AS_PLANNED);
  expect(kept[0]?.loads.map(({ id }) => id)).toEqual(['one']);
  expect(kept[0]?.uses[0]?.massKg).toBeCloseTo((10 * 9) / 14, 9);
  const more = tell(12, {
    type: 'loads-changed',
    batchId: 'b',
    loads: [{ id: 'new', number: 3, jars: 4 }],
    produceUsed: 1,
  });
  expect(batchesNow([batch], [more, drop], [began], AS_PLANNED)[0]?.loads.map(({ id }) => id)).toEqual(['one', 'new']);
  const begunToo: KitchenEvent = { id: 'k2', loadId: 'new', at: 31 * MIN, type: 'load-started', jars: 4 };
  const dropRest = tell(40, { type: 'loads-changed', batchId: 'b', loads: [], produceUsed: 1 });
  const both = batchesNow([batch], [more, dropRest], [began, begunToo], AS_PLANNED)[0];
  expect(both?.loads.map(({ id }) => id)).toEqual(['one', 'new']);
  const back = tell(13, { type: 'taken-back', eventId: more.id });
  expect(batchesNow([batch], [drop, more, back], [began], AS_PLANNED)[0]?.loads.map(({ id }) => id)).toEqual(['one']);
});

const task = (id: string, step: string, min: number, more: Partial<DayTask> = {}): DayTask => ({
  ...{ id, kind: 'prepare', words: step, step, needs: {}, after: [], batchId: 'b' },
  minutes: { p10: min, p50: min, p90: min },
  ...more,
});
const running = (tasks: DayTask[], events: DayEvent[]) => ({
  ...{ tasks, day: dayState(events), loads: new Map(), startAt: 0 },
});

// Common practice: a sauce that cooks down is stirred every ten minutes and looked at until it is down by a third.
test('a sauce calls to be stirred every ten minutes, asks whether it is down, and asks again', () => {
  const sauce = task('sauce', 'cook-down-third', 45);
  const events = [tell(0, { type: 'step-started', taskId: 'sauce' })];
  const at = (minute: number, more: DayEvent[] = []) => {
    const day = running([sauce], [...events, ...more]);
    return alarmsOf(day, progressOf(day, minute * MIN), minute * MIN);
  };
  expect(ringing(at(9), 9 * MIN)).toEqual([]);
  expect(ringing(at(11), 11 * MIN)).toMatchObject([{ kind: 'stir', dueAt: 10 * MIN }]);
  const stirred = tell(11, { type: 'alarm-answered', alarmId: ringing(at(11), 11 * MIN)[0]!.id });
  expect(ringing(at(12, [stirred]), 12 * MIN)).toEqual([]);
  // Nobody stirred at 20: the call of 30 takes its place, and it is written down.
  expect(ringing(at(31, [stirred]), 31 * MIN).map(({ dueAt }) => dueAt / MIN)).toEqual([30]);
  expect(missed(at(31, [stirred]), 31 * MIN).map(({ dueAt }) => dueAt / MIN)).toEqual([20]);
  expect(ringing(at(46, [stirred]), 46 * MIN).map(({ kind }) => kind)).toContain('ask');
  const again = tell(47, { type: 'clock-started', taskId: 'sauce', minutes: 5 });
  expect(ringing(at(48, [stirred, again]), 48 * MIN).map(({ kind }) => kind)).not.toContain('ask');
  expect(ringing(at(53, [stirred, again]), 53 * MIN).map(({ kind }) => kind)).toContain('ask');
  const done = tell(54, { type: 'step-done', taskId: 'sauce' });
  expect(ringing(at(70, [stirred, again, done]), 70 * MIN)).toEqual([]);
});

test('a hard boil is started by a tap within its step; jars are sterilised where the tested time is short', () => {
  const boil = task('boil', 'boil-1-hard', 12, { needs: { hands: 1 } });
  expect(stepClock(boil)).toEqual({ tapMin: 1 });
  const events = [
    tell(0, { type: 'step-started', taskId: 'boil' }),
    tell(8, { type: 'clock-started', taskId: 'boil', minutes: 1 }),
  ];
  const day = running([boil], events);
  const own = progressOf(day, 8.5 * MIN).of.get('boil');
  const read = readStep(stepClock(boil), own, day.day.steps.get('boil'), { startAt: 0, now: 8.5 * MIN });
  expect(read).toMatchObject({ leftMs: 0.5 * MIN, timeIsUp: false });
  const jars = task('jars', 'ready-jars', 10, { kind: 'ready-jars', needs: { hands: 1 } });
  // Handbook rule 4: sterile jars below 10 min; at 3,420 ft they boil 13.
  expect(stepClock(jars)).toEqual({});
});

test('a soak begins by itself when its work is done, and what was filled counts as done once it is in the canner', () => {
  const work = task('salt', 'salt-ice-Nh', 8, { needs: { hands: 1 } });
  const soak = task('soak', 'salt-ice-Nh', 120, { after: [{ task: 'salt', maxLag: 0 }] });
  const load = task('load one', 'load', 4, { kind: 'load', loadId: 'one', cannerId: 'c', after: [{ task: 'soak' }] });
  const day = running([work, soak, load], [tell(10, { type: 'step-done', taskId: 'salt' })]);
  expect(progressOf(day, 20 * MIN).of.get('soak')).toEqual({ kind: 'running', startMin: 10, endMin: 130 });
  const order = { method: 'boiling-water', jars: 9, processMinutes: 30, restMinutes: 5, leastRestMinutes: 5 } as const;
  const state = loadState(order, [{ id: 'k', loadId: 'one', at: 140 * MIN, type: 'load-started', jars: 9 }]);
  const began = { ...running([work, soak, load], []), loads: new Map([['one', { order, state, cannerId: 'c' }]]) };
  const { of } = progressOf(began, 141 * MIN);
  expect(['salt', 'soak', 'load one'].map((id) => of.get(id)?.kind)).toEqual(['done', 'done', 'done']);
});

test('time that is up calls until the heat is off, and is missed when that comes late', () => {
  const order = { method: 'boiling-water', jars: 9, processMinutes: 30, restMinutes: 5, leastRestMinutes: 5 } as const;
  const told = (type: 'load-started' | 'boil-reached' | 'heat-off', at: number): KitchenEvent =>
    ({ id: type, loadId: 'one', at: at * MIN, type, ...(type === 'load-started' && { jars: 9 }) }) as KitchenEvent;
  const at = (minute: number, events: KitchenEvent[]) => {
    const loads = new Map([['one', { order, state: loadState(order, events), cannerId: 'c' }]]);
    const day = { ...running([], []), loads };
    return alarmsOf(day, progressOf(day, minute * MIN), minute * MIN);
  };
  const boiling = [told('load-started', 0), told('boil-reached', 20)];
  expect(ringing(at(49, boiling), 49 * MIN)).toEqual([]);
  expect(ringing(at(51, boiling), 51 * MIN)).toMatchObject([{ kind: 'time-up', dueAt: 50 * MIN }]);
  const off = [...boiling, told('heat-off', 56)];
  expect(ringing(at(57, off), 57 * MIN)).toEqual([]);
  expect(missed(at(57, off), 57 * MIN)).toMatchObject([{ kind: 'time-up', answeredAt: 56 * MIN }]);
  expect(ringing(at(62, off), 62 * MIN)).toMatchObject([{ kind: 'rest-over' }]);
});

test('water is called for by how the day goes, filled jars by how long they wait, and what was done before called nobody', () => {
  const water = task('preheat c', '', 20, { kind: 'preheat', cannerId: 'c' });
  const simmer = task('simmer', 'simmer-N', 40);
  const fill = task('fill one', 'fill', 10, {
    kind: 'fill',
    loadId: 'one',
    needs: { hands: 1 },
    after: [{ task: 'simmer' }],
  });
  const load = task('load one', 'load', 4, {
    kind: 'load',
    loadId: 'one',
    cannerId: 'c',
    after: [{ task: 'fill one' }],
  });
  const order = { method: 'boiling-water', jars: 9, processMinutes: 30, restMinutes: 5, leastRestMinutes: 5 } as const;
  const planned = { startAt: { 'preheat c': 90 * MIN }, cannerOf: {}, endAt: 0 };
  const began = tell(0, { type: 'day-started', order: planned, aim: { jars: 9, pounds: 9, handsMin: 9, endAt: 0 } });
  const at = (minute: number, events: DayEvent[], laidMin: number, kitchen: KitchenEvent[] = []) => {
    const loads = new Map([['one', { order, state: loadState(order, kitchen), cannerId: 'c' }]]);
    const day = { ...running([water, simmer, fill, load], [began, ...events]), loads };
    const laid = new Map([['preheat c', laidMin]]);
    return alarmsOf(day, progressOf(day, minute * MIN), minute * MIN, laid).map(({ kind, dueAt }) => [
      kind,
      dueAt / MIN,
    ]);
  };
  // 47 minutes before the plan's own time, since the jars are ready then.
  expect(at(42, [], 43)).toEqual([]);
  expect(at(43, [], 43)).toEqual([['start', 43]]);
  // Late: the plan's time has come, the jars' has not.
  expect(at(100, [], 130)).toEqual([]);
  // Told afterwards, from before the day began: nobody was to stir, and nothing is late.
  const before = tell(60, { type: 'done-before', taskId: 'simmer', endedAt: 30 * MIN });
  expect(at(60, [before], 200)).toEqual([['step-over', 30]]);
  const filled = [
    before,
    tell(61, { type: 'step-started', taskId: 'fill one' }),
    tell(70, { type: 'step-done', taskId: 'fill one' }),
  ];
  expect(at(84, filled, 200)).toEqual([['step-over', 30]]);
  expect(at(86, filled, 200)).toContainEqual(['jars-wait', 85]);
  const into: KitchenEvent = { id: 'k', loadId: 'one', at: 80 * MIN, type: 'load-started', jars: 9 };
  expect(at(86, filled, 200, [into]).map(([kind]) => kind)).not.toContain('jars-wait');
});
