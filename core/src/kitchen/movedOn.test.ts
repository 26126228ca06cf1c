import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { movesWith } from '../day/movesWith';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { type DayEvent } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';

const DAY = '2026-08-29';
const plums: Batch = {
  ...{
    id: 'plums',
    product: 'plums',
    jar: 'pint',
    pack: 'hot',
    method: 'boiling-water',
    altitudeFt: 0,
    processMinutes: 20,
  },
  ...{ cannerId: 'pot', startAt: 1_000, uses: [] },
  loads: [{ id: 'p1', number: 1, jars: 7 }],
};
const juice: Batch = {
  ...plums,
  id: 'juice',
  loads: [{ id: 'j1', number: 1, jars: 3 }],
  from: { batchId: 'plums', kind: 'thin-juice', crop: 'plum' },
};
const guest: Batch = { ...plums, id: 'guest', loads: [{ id: 'g1', number: 1, jars: 2, withLoadId: 'p1' }] };
const alone: Batch = { ...plums, id: 'alone', loads: [{ id: 'a1', number: 1, jars: 2 }] };
const all = [plums, juice, guest, alone];
const startOf = (told: readonly DayEvent[], events: readonly KitchenEvent[] = []) =>
  new Map(batchesNow(all, told, events, AS_PLANNED).map(({ id, startAt }) => [id, startAt]));
let count = 0;
const moved = (at: number, batchId: string, startAt: number): DayEvent => ({
  id: `m${count++}`,
  day: DAY,
  at,
  type: 'batch-moved',
  batchId,
  startAt,
});

test('a batch is where it was moved to last, with what its pot gives; told twice, in any order, or taken back', () => {
  const told = [moved(5, 'plums', 70_000), moved(6, 'plums', 50_000), moved(6, 'alone', 9_000)];
  const expected = { plums: 50_000, juice: 50_000, guest: 1_000, alone: 9_000 };
  fc.assert(
    fc.property(fc.shuffledSubarray([...told, ...told], { minLength: 6 }), (events) => {
      expect(Object.fromEntries(startOf(events))).toEqual(expected);
    }),
  );
  const slip: DayEvent = { id: 't', day: DAY, at: 8, type: 'taken-back', eventId: told[1]!.id };
  expect(startOf([...told, slip]).get('plums')).toBe(70_000);
});

test.each([
  ['a step of it', { type: 'step-started', taskId: 'wash p1' }],
  ['a soak that was over before', { type: 'done-before', taskId: 'soak wait plums', endedAt: 1 }],
] as const)('once %s is begun it stays; what was begun after it was moved changes nothing', (_, begun) => {
  const at = (minute: number) => ({ id: 's', day: DAY, at: minute, ...begun }) as DayEvent;
  expect(startOf([at(4), moved(5, 'plums', 70_000)]).get('plums')).toBe(1_000);
  expect(startOf([moved(5, 'plums', 70_000), at(6)]).get('plums')).toBe(70_000);
  expect(startOf([at(4), moved(5, 'alone', 70_000)]).get('alone')).toBe(70_000);
});

test('jars that went into a canner with those of another stay with them', () => {
  const put: KitchenEvent = { id: 'e', loadId: 'p1', at: 4, type: 'load-started', jars: 7 };
  const told = [moved(5, 'guest', 70_000), moved(5, 'plums', 70_000), moved(5, 'alone', 70_000)];
  expect(Object.fromEntries(startOf(told, [put]))).toEqual({ plums: 1_000, juice: 1_000, guest: 1_000, alone: 70_000 });
  expect(
    movesWith(guest, all)
      .map(({ id }) => id)
      .sort(),
  ).toEqual(['guest', 'juice', 'plums']);
  expect(movesWith(alone, all)).toEqual([alone]);
  // A slip that was taken back at once is no beginning; one that the fold keeps is.
  const slip: KitchenEvent = { id: 'b', loadId: 'p1', at: 4.1, type: 'taken-back', eventId: 'e' };
  expect(startOf(told, [put, slip]).get('plums')).toBe(70_000);
  const boils: KitchenEvent = { id: 'c', loadId: 'p1', at: 4.05, type: 'boil-reached', sure: true };
  expect(startOf(told, [put, boils, slip]).get('plums')).toBe(1_000);
});
