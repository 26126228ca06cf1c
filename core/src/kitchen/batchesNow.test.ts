import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { type DayEvent } from './dayEvent';
import { measuredNow } from './measuredNow';

const jam: Batch = {
  ...{ id: 'b', product: 'jam-with-pectin', recipe: 'jam-with-pectin/strawberry', jar: 'half-pint', pack: 'hot' },
  ...{ method: 'boiling-water', altitudeFt: 0, processMinutes: 10, cannerId: 'c', startAt: 0, without: ['x'] },
  uses: [{ pickId: 'p', crop: 'strawberry', massKg: 2, softKg: 1 }],
  loads: [{ id: 'l', number: 1, jars: 9 }],
};

const RHUBARB = { pickId: 's', crop: 'rhubarb', massKg: 1, softKg: 0 };

let count = 0;
const told = (more: object): DayEvent =>
  ({ id: `e${(count += 1)}`, day: '2026-06-20', at: count, batchId: 'b', ...more }) as DayEvent;
const added = (pickId: string, massKg: number) =>
  told({ type: 'produce-added', use: { pickId, crop: 'strawberry', massKg, softKg: 0 } });
const now = (...events: DayEvent[]) => batchesNow([jam], events, [], AS_PLANNED);

/** Two loads of one batch, of strawberries from two picks and of a rhubarb that nobody measures. */
const twoLoads = {
  ...jam,
  uses: [...jam.uses, { pickId: 'q', crop: 'strawberry', massKg: 3, softKg: 0 }, { ...RHUBARB }],
  loads: [jam.loads[0], { id: 'm', number: 2, jars: 9 }],
} as Batch;

const masses = fc.double({ min: 0.01, max: 0.4, noNaN: true });
/** What can be told of a batch at the gates of its loads, in any order and as often as anybody likes. */
const anyTold = fc.oneof(
  fc.record({
    type: fc.constant('added'),
    pick: fc.constantFrom('p', 'q', 'r'),
    load: fc.constantFrom('l', 'm'),
    kg: masses,
  }),
  fc.record({
    type: fc.constant('left'),
    pick: fc.constantFrom('p', 'q'),
    load: fc.constantFrom('l', 'm'),
    kg: masses,
  }),
);

test('each load adds and gives back its own, its last measure holds, and a load that is dropped takes its own with it', () => {
  fc.assert(
    fc.property(fc.array(anyTold, { maxLength: 12 }), fc.boolean(), (all, isDropped) => {
      const events = all.map(({ type, pick: pickId, load, kg }) => {
        const use = { pickId, crop: 'strawberry', massKg: kg, softKg: 0 };
        return type === 'added'
          ? told({ type: 'produce-added', loadId: load, use })
          : told({ type: 'measured', taskId: `crush ${load}`, loadIds: [load], amount: 6, left: [use] });
      });
      const drop = told({ type: 'loads-changed', loads: [jam.loads[0]], produceUsed: 0.5 });
      const [batch] = batchesNow([twoLoads], isDropped ? [...events, drop] : events, [], AS_PLANNED);
      // Reckoned by hand: load by load, the last that was left of it.
      for (const [pickId, reserved] of [
        ['p', 2],
        ['q', 3],
        ['r', 0],
      ] as const) {
        const ofLoads = (isDropped ? ['l'] : ['l', 'm']).map((load) => {
          const own = all.filter((each) => each.load === load);
          const added = own.filter(({ type, pick }) => type === 'added' && pick === pickId);
          const lastLeft = own.findLast(({ type }) => type === 'left');
          const left = lastLeft?.pick === pickId ? lastLeft.kg : 0;
          return added.reduce((sum, { kg }) => sum + kg, 0) - left;
        });
        const kg = reserved * (isDropped ? 0.5 : 1) + ofLoads.reduce((a, b) => a + b, 0);
        const use = batch!.uses.filter((each) => each.pickId === pickId);
        expect(use.length).toBeLessThanOrEqual(1);
        expect(use[0]?.massKg ?? 0).toBeCloseTo(Math.max(0, kg), 9);
      }
      // Nothing of what nobody measured is given back.
      expect(batch!.uses.find(({ pickId }) => pickId === 's')?.massKg).toBeCloseTo(isDropped ? 0.5 : 1, 9);
      for (const { massKg, softKg } of batch!.uses) expect(softKg).toBeLessThanOrEqual(massKg);
    }),
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

test('another card is measured anew: what was left of the one before it is none of its own', () => {
  const use = { pickId: 'p', crop: 'strawberry', massKg: 0.5, softKg: 0.5 };
  const measured = told({ type: 'measured', taskId: 'crush l', loadIds: ['l'], amount: 6, left: [use] });
  const card = { product: 'jam-no-pectin', recipe: 'jam-no-pectin/berry', pack: 'hot', processMinutes: 15 };
  const kgOf = (...events: DayEvent[]) => now(...events)[0]!.uses[0];
  expect(kgOf(measured)).toMatchObject({ massKg: 1.5, softKg: 0.5 });
  const other = told({ type: 'recipe-changed', ...card });
  expect(kgOf(measured, other)).toMatchObject({ massKg: 2, softKg: 1 });
  expect(kgOf(measured, other, { ...measured, id: 'again', at: (count += 1) })).toMatchObject({ massKg: 1.5 });
  expect(measuredNow('b', [measured, other])).toEqual([]);
  expect(measuredNow('b', [other, measured, told({ type: 'taken-back', eventId: measured.id })])).toEqual([]);
  expect(measuredNow('another', [measured])).toEqual([]);
});
