import { type Batch } from '../day/batch';
import { type DayWish } from '../day/dayWish';
import { localMoment } from '../measure/localTime';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { moveTold } from './moveTold';

const ZONE = 'Australia/Sydney';
const at = (day: number, minute: number) => localMoment(ZONE, [2026, 7, day, minute]);
const made = (id: string, startAt: number) =>
  ({
    id,
    product: 'plums',
    jar: 'pint',
    startAt,
    uses: [],
    loads: [{ id: `${id} 1`, number: 1, jars: 7 }],
  }) as unknown as Batch;
const [plums, sauce] = [made('plums', at(29, 480)), made('sauce', at(29, 540))];
const WISHES: DayWish[] = [
  { kind: 'ready-by', at: at(30, 720) },
  { kind: 'not-before', at: at(29, 500) },
  { kind: 'way', batchId: 'plums', method: 'steam' },
  { kind: 'canner', loadId: 'sauce 1', cannerId: 'pot' },
  { kind: 'pin', loadId: 'plums 1', at: at(29, 700) },
];
const from = { id: '2026-08-29', batches: [plums, sauce], wishes: WISHES };

/** What stands on a date once all of it was told, and when each batch begins. */
function after(moves: readonly ReturnType<typeof moveTold>[]) {
  const before = WISHES.map((wish): DayEvent => ({
    id: `w ${wish.kind}`,
    day: from.id,
    at: 0,
    type: 'wish-made',
    wish,
  }));
  const told = moves.flatMap((own, k) => own.map((each, n) => ({ ...each, id: `${k} ${n}`, at: k + 1 })));
  const all = [...before, ...told];
  const wishesOn = (day: string) =>
    dayState(all.filter((event) => event.day === day))
      .wishes.map(({ kind }) => kind)
      .sort();
  const startOf = new Map(batchesNow([plums, sauce], all, [], AS_PLANNED).map(({ id, startAt }) => [id, startAt]));
  return { wishesOn, startOf };
}

test('all batches of a day go with what is wished of it, in their order, and leave nothing of it behind', () => {
  const { wishesOn, startOf } = after([moveTold([plums, sauce], at(30, 600), from, ZONE)]);
  expect([startOf.get('plums'), startOf.get('sauce')]).toEqual([at(30, 600), at(30, 660)]);
  expect(wishesOn('2026-08-30')).toEqual(['canner', 'pin', 'ready-by', 'way']);
  expect(wishesOn('2026-08-29')).toEqual([]);
});

test('one of two goes with its way and its canner; what is wished of the day stays with the other', () => {
  const { wishesOn, startOf } = after([moveTold([plums], at(30, 480), from, ZONE)]);
  expect([startOf.get('plums'), startOf.get('sauce')]).toEqual([at(30, 480), at(29, 540)]);
  expect(wishesOn('2026-08-30')).toEqual(['way']);
  expect(wishesOn('2026-08-29')).toEqual(['canner', 'not-before', 'pin', 'ready-by']);
});

test('on its own date only the time changes, near midnight too; back again all of it is as wished', () => {
  expect(moveTold([plums, sauce], at(29, 5), from, ZONE).map(({ type }) => type)).toEqual([
    'batch-moved',
    'batch-moved',
  ]);
  const gone = moveTold([plums, sauce], at(30, 600), from, ZONE);
  const there = [made('plums', at(30, 600)), made('sauce', at(30, 660))];
  const wishes = WISHES.filter(({ kind }) => kind !== 'not-before');
  const back = moveTold(there, at(29, 480), { id: '2026-08-30', batches: there, wishes }, ZONE);
  const { wishesOn, startOf } = after([gone, back]);
  expect([startOf.get('plums'), startOf.get('sauce')]).toEqual([plums.startAt, sauce.startAt]);
  expect([wishesOn('2026-08-30'), wishesOn('2026-08-29')]).toEqual([[], ['canner', 'pin', 'ready-by', 'way']]);
});
