import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { type KitchenEvent } from './kitchenEvent';
import { loadOrder } from './loadOrder';
import { loadsNow } from './loadsNow';
import { loadState } from './loadState';
import { toldOf } from './toldOf';

const HOUR = 60 * 60_000;

/** Batches of two loads each, some of which go in with a load of another batch. */
const batches = fc
  .array(fc.record({ minutes: fc.integer({ min: 10, max: 85 }), with: fc.option(fc.nat(5), { nil: undefined }) }), {
    minLength: 1,
    maxLength: 6,
  })
  .map((drafts) =>
    drafts.map(({ minutes, with: host }, n): Batch => {
      const withLoadId = host !== undefined && host < n ? { withLoadId: `${host} 1` } : {};
      return {
        ...{ id: `b${n}`, product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water' },
        ...{ altitudeFt: 500, processMinutes: minutes, cannerId: 'c', startAt: 0, uses: [] },
        loads: [
          { id: `${n} 1`, number: 1, jars: 7 },
          { id: `${n} 2`, number: 2, jars: 3, ...withLoadId },
        ],
      };
    }),
  );

const events = fc
  .array(
    fc.record({
      batch: fc.nat(5),
      load: fc.constantFrom(1, 2),
      step: fc.constantFrom('load-started', 'boil-reached', 'heat-off', 'jars-out', 'jars-left', 'seal-checked'),
      at: fc.nat(40),
    }),
    { maxLength: 40 },
  )
  .map((drafts) =>
    drafts.map(({ batch, load, step, at }, n) => {
      const common = { id: `e${n}`, loadId: `${batch} ${load}`, type: step, at: at * HOUR };
      const sealed = Array<boolean>(load === 1 ? 7 : 3).fill(true);
      return { ...common, jars: load === 1 ? 7 : 3, sealed, sealedLotId: `s${n}`, unsealedLotId: `u${n}` };
    }),
  )
  .map((list) => list as unknown as KitchenEvent[]);

test('each load told by its own events and those it shares a canner with stands as it does when told by all', () => {
  fc.assert(
    fc.property(batches, events, (all, told) => {
      const plain = all.flatMap((batch) =>
        batch.loads.map((load) => {
          const order = loadOrder(batch, load, all);
          return { batch, load, order, state: loadState(order, toldOf(load, all, told)) };
        }),
      );
      expect(loadsNow(all, told)).toEqual(plain);
    }),
    { numRuns: 300 },
  );
});
