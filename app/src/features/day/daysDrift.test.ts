import { type Batch } from '@hoddle/core/day/batch';
import { planned } from './plannedDays';
import { type LoadState } from '@hoddle/core/kitchen/loadState';
import { daysDriftMs } from './daysDrift';

const MIN = 60_000;
const START = Date.UTC(2026, 7, 29, 8);
const batch: Batch = {
  id: 'b',
  product: 'tomatoes-crushed',
  jar: 'quart',
  pack: 'hot',
  method: 'boiling-water',
  altitudeFt: 3_420,
  processMinutes: 55,
  cannerId: 'c',
  startAt: START,
  uses: [{ pickId: 'p', massKg: 20, softKg: 0 }],
  loads: [
    { id: 'one', number: 1, jars: 7 },
    { id: 'two', number: 2, jars: 7 },
  ],
};
const { tasks } = planned([batch]);
const plannedBoil = (loadId: string) =>
  START + tasks.find(({ task }) => task.id === `process ${loadId}`)!.startMin * MIN;
const state = (part: Partial<LoadState>): LoadState => ({
  phase: 'planned',
  jars: 7,
  timesLost: 0,
  outOfPlace: [],
  ...part,
});

test('a day not begun has no drift', () => {
  expect(daysDriftMs(START, tasks, new Map([['one', state({})]]))).toBe(0);
});

test('the drift is that of the last thing told of the load begun last', () => {
  const one = state({ startedAt: START, boilAt: plannedBoil('one') + 90 * MIN });
  expect(
    daysDriftMs(
      START,
      tasks,
      new Map([
        ['one', one],
        ['two', state({})],
      ]),
    ),
  ).toBe(90 * MIN);
  const two = state({ startedAt: START + 1, boilAt: plannedBoil('two') - 12 * MIN });
  expect(
    daysDriftMs(
      START,
      tasks,
      new Map([
        ['one', one],
        ['two', two],
      ]),
    ),
  ).toBe(-12 * MIN);
});
