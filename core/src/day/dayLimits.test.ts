import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { PRODUCTS } from '../handbook/products';
import { allStepRows } from '../handbook/steps';
import { type Batch } from './batch';
import { dayOf } from './dayOf';
import { type DayTask } from './dayProblem';
import { USUAL_KITCHEN } from './kitchenSetup';

const pot = handbookCanner(CANNERS[0]!, { id: 'pot' });

/** Every product of the handbook in two loads of pints, on a day of its own. */
const days = PRODUCTS.map(({ product }) => {
  const batch: Batch = {
    ...{ id: 'b', product, jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 3_420, processMinutes: 5 },
    ...{ cannerId: 'pot', startAt: 0, uses: [{ pickId: 'p', massKg: 9, softKg: 0 }] },
    loads: [1, 2].map((number) => ({ id: `load${number}`, number, jars: 7 })),
  };
  return { product, tasks: dayOf([batch], { canners: [pot], setup: USUAL_KITCHEN, startMinute: 480 }).tasks };
});

/** Each pause between two steps that may only be so long: of what after what, in minutes. */
const pauses = days.flatMap(({ product, tasks }) => {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return tasks.flatMap((task) =>
    task.after.map(({ task: id, maxLag }) => ({ product, task, before: byId.get(id) as DayTask, maxLag })),
  );
});
const after = (kind: DayTask['kind'], next: DayTask['kind']) =>
  pauses.filter(({ before, task }) => before?.kind === kind && task.kind === next).map(({ maxLag }) => maxLag);

/** A step whose row names its own longest pause goes by that. */
const ownPause = new Set(
  allStepRows().flatMap(({ step, longestPauseAfter }) => (longestPauseAfter === undefined ? [] : [step])),
);

// The limits as docs/day-search.md states them; each is written out here, so that none moves by itself.
test('a load stands still between its stages in no plan, and is lifted out within ten minutes of its rest', () => {
  for (const [kind, next] of [
    ['load', 'heat-up'],
    ['heat-up', 'process'],
    ['process', 'rest'],
  ] as const) {
    expect(new Set(after(kind, next))).toEqual(new Set([0]));
  }
  const out = after('rest', 'unload');
  expect(out.length).toBeGreaterThan(100);
  expect(new Set(out)).toEqual(new Set([10]));
});

test('cut food stands two hours and no longer, hot food thirty minutes, filled jars ten, raw fruit in its jars fifteen', () => {
  const held = (holding: string) =>
    pauses.filter(
      ({ before, task, maxLag }) =>
        before?.holding?.startsWith(holding) &&
        !ownPause.has(before.step ?? '') &&
        task.kind !== 'load' &&
        maxLag !== 0 &&
        before.kind === 'prepare' &&
        !before.id.includes(' wait '),
    );
  const cut = held('2 h cut');
  expect(cut.length).toBeGreaterThan(50);
  expect(new Set(cut.map(({ maxLag }) => maxLag))).toEqual(new Set([120]));
  const hot = held('hot');
  expect(hot.length).toBeGreaterThan(20);
  expect(new Set(hot.map(({ maxLag }) => maxLag))).toEqual(new Set([30]));
  // Raw fruit has more time: its row says so.
  const filled = pauses.filter(({ before, task }) => before?.kind === 'fill' && task.entry !== 'hot-brine');
  const limits = new Map(filled.map(({ before, maxLag }) => [before.step, maxLag]));
  expect(filled.length).toBeGreaterThan(100);
  expect(Object.fromEntries(limits)).toEqual({
    ...{ acid: 10, fill: 10, close: 10, 'hot-brine': 10, 'top-up': 10, 'raw-pack': 15 },
  });
});

test('jars that were boiled are filled within the hour', () => {
  const sterile = pauses.filter(({ before }) => before?.entry === 'sterile-jars');
  const limits = sterile.filter(({ task }) => task.entry !== 'sterile-jars').map(({ maxLag }) => maxLag);
  expect(limits.length).toBeGreaterThan(100);
  expect(new Set(limits)).toEqual(new Set([60]));
});
test('a soak in the cold may take its longest time, and half a day more until somebody comes', () => {
  const waits = pauses.filter(({ before }) => before?.id.includes(' wait '));
  const of = (entry: string) =>
    new Set(waits.filter(({ before }) => before.entry === entry).map(({ maxLag }) => maxLag));
  // 12 to 18 hours, and 12 to 13: what is left of the one or the other, and 12 hours.
  expect([of('soak-12h'), of('salt-soak-12h')]).toEqual([new Set([1_080]), new Set([780])]);
});

test('jars of another batch that go in with a load are filled ten minutes before it at most', () => {
  const [host, guest] = ['host', 'guest'].map((id): Batch => ({
    ...{ id, product: 'tomatoes-crushed', jar: id === 'host' ? 'quart' : 'pint', pack: 'hot', method: 'boiling-water' },
    ...{ altitudeFt: 3_420, processMinutes: 55, cannerId: 'pot', startAt: 0 },
    uses: [{ pickId: id, massKg: 9, softKg: 0 }],
    loads: [{ id: `load of ${id}`, number: 1, jars: 3, ...(id === 'guest' && { withLoadId: 'load of host' }) }],
  }));
  const { tasks } = dayOf([host!, guest!], { canners: [pot], setup: USUAL_KITCHEN, startMinute: 480 });
  const into = tasks.find(({ kind, loadId }) => kind === 'load' && loadId === 'load of host');
  const filled = into?.after.filter(({ task }) => task.endsWith('load of guest'));
  expect(filled).toMatchObject([{ maxLag: 10 }]);
  expect(tasks.filter(({ kind }) => kind === 'load')).toHaveLength(1);
});
