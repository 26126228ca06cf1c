import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { batchesNow } from './batchesNow';
import { type DayEvent } from './dayEvent';

const jam: Batch = {
  ...{ id: 'b', product: 'jam-with-pectin', recipe: 'jam-with-pectin/strawberry', jar: 'half-pint', pack: 'hot' },
  ...{ method: 'boiling-water', altitudeFt: 0, processMinutes: 10, cannerId: 'c', startAt: 0, without: ['x'] },
  uses: [{ pickId: 'p', crop: 'strawberry', massKg: 2, softKg: 1 }],
  loads: [{ id: 'l', number: 1, jars: 9 }],
} as Batch;

let count = 0;
const told = (more: object): DayEvent =>
  ({ id: `e${(count += 1)}`, day: '2026-06-20', at: count, batchId: 'b', ...more }) as DayEvent;
const added = (pickId: string, massKg: number) =>
  told({ type: 'produce-added', use: { pickId, crop: 'strawberry', massKg, softKg: 0 } });
const now = (...events: DayEvent[]) => batchesNow([jam], events, []);

test('fruit that was added comes to what was reserved, one use for each pick, whatever is left over of the rest', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom('p', 'q', 'r'), fc.double({ min: 0.1, max: 5, noNaN: true })), {
        maxLength: 6,
      }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (more, produceUsed) => {
        const changed = told({ type: 'loads-changed', loads: jam.loads, produceUsed });
        const [batch] = now(changed, ...more.map(([pickId, massKg]) => added(pickId, massKg)));
        const picks = batch!.uses.map(({ pickId }) => pickId);
        expect(new Set(picks).size).toBe(picks.length);
        const sum = batch!.uses.reduce((all, { massKg }) => all + massKg, 0);
        expect(sum).toBeCloseTo(2 * produceUsed + more.reduce((all, [, massKg]) => all + massKg, 0), 9);
        expect(batch!.loads).toEqual(jam.loads);
      },
    ),
  );
});

test('another card brings its own product and time, keeps jars, loads and fruit, and can be taken back', () => {
  const other = told({
    ...{ type: 'recipe-changed', product: 'jam-no-pectin', recipe: 'jam-no-pectin/berry', pack: 'hot' },
    processMinutes: 15,
  });
  const [batch] = now(added('q', 1), other);
  expect(batch).toMatchObject({
    product: 'jam-no-pectin',
    recipe: 'jam-no-pectin/berry',
    processMinutes: 15,
    jar: 'half-pint',
  });
  expect([batch!.loads, batch!.uses.length]).toEqual([jam.loads, 2]);
  // Steps that were left out of the one card are none of the other's.
  expect(batch).not.toHaveProperty('without');
  expect(now(other, told({ type: 'taken-back', eventId: other.id }))).toEqual([jam]);
  expect(now(other, other)).toEqual(now(other));
});

test('a batch that was dropped is gone, with what was added to it', () => {
  expect(now(added('q', 1), told({ type: 'loads-changed', loads: [], produceUsed: 0 }))).toEqual([]);
});
