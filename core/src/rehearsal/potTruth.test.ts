import fc from 'fast-check';
import { boilRuns } from '../kitchen/boilRuns';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { type LoadOrder, loadState } from '../kitchen/loadState';
import { type Mishap } from './mishap';
import { boilsAt, potTruth, unboiledMin } from './potTruth';

const MIN = 60_000;
const order: LoadOrder = { method: 'boiling-water', jars: 7, processMinutes: 55, restMinutes: 5, leastRestMinutes: 5 };

const mishap = fc.oneof(
  fc.record({
    kind: fc.constant('boil-lost' as const),
    loadId: fc.constant('l'),
    part: fc.double({ min: 0.2, max: 0.7, noNaN: true }),
  }),
  fc.record({
    ...{ kind: fc.constant('gas-out' as const), loadId: fc.constant('l'), part: fc.constant(0.5) },
    minutes: fc.integer({ min: 8, max: 20 }),
  }),
  fc.record({
    kind: fc.constant('power-cut' as const),
    atMin: fc.integer({ min: 0, max: 120 }),
    minutes: fc.integer({ min: 5, max: 15 }),
  }),
);

function truthOf(mishaps: readonly Mishap[], told: readonly [KitchenEvent['type'], number][], heatUpMin: number) {
  const events = [['load-started', 0] as const, ...told].map(
    ([type, at]) =>
      ({
        id: `${type} ${at}`,
        loadId: 'l',
        type,
        at: at * MIN,
        ...(type === 'load-started' && { jars: 7 }),
      }) as KitchenEvent,
  );
  const load = { order, state: loadState(order, events), cannerId: 'pot' };
  const truth = potTruth({ load, loadId: 'l', runs: boilRuns(order, events), heatUpMin, mishaps, startAt: 0 });
  if (!truth) throw new Error('its jars are in');
  return truth;
}

test('minutes without a boil are those in which the water does not boil, second by second, whatever goes wrong', () => {
  fc.assert(
    fc.property(
      fc.array(mishap, { maxLength: 2 }).filter((all) => new Set(all.map(({ kind }) => kind)).size === all.length),
      fc.integer({ min: 10, max: 30 }),
      fc.integer({ min: 10, max: 60 }),
      (mishaps, heatUpMin, tapMin) => {
        const truth = truthOf(mishaps, [['boil-reached', tapMin]], heatUpMin);
        const [from, to] = [tapMin * MIN, (tapMin + 55) * MIN];
        let seconds = 0;
        for (let at = from; at < to; at += 1_000) if (!boilsAt(truth, at + 500)) seconds += 1;
        const overlapping = truth.stops.some((stop, i) => i > 0 && stop.from < (truth.stops[i - 1]?.to ?? 0));
        // Two stops that overlap are no longer together than both.
        const told = unboiledMin(truth, from, to);
        if (overlapping) expect(told).toBeGreaterThanOrEqual(seconds / 60 - 0.05);
        else expect(Math.abs(told - seconds / 60)).toBeLessThan(0.05);
      },
    ),
    { numRuns: 300, seed: 24 },
  );
});

test('a boil that is seen to stop is back in three minutes, one that nobody saw in seven; a flame that was out makes it later', () => {
  const lost = [{ kind: 'boil-lost', loadId: 'l', part: 0.4 }] as const;
  // 0.4 of 55 min after the clock began at 25: it stops at 47.
  const unseen = truthOf(lost, [['boil-reached', 25]], 20);
  expect(unseen.stops).toEqual([{ from: 47 * MIN, to: 54 * MIN }]);
  const seen = truthOf(
    lost,
    [
      ['boil-reached', 25],
      ['boil-lost', 49],
    ],
    20,
  );
  expect(seen.stops).toEqual([{ from: 47 * MIN, to: 52 * MIN }]);
  expect(unboiledMin(unseen, 25 * MIN, 80 * MIN)).toBeCloseTo(7, 9);
  // Begun five minutes before it boiled.
  expect(unboiledMin(truthOf([], [['boil-reached', 15]], 20), 15 * MIN, 70 * MIN)).toBeCloseTo(5, 9);
  const out = truthOf([{ kind: 'gas-out', loadId: 'l', part: 0.5, minutes: 12 }], [], 20);
  expect(out.boilsFrom).toBe(32 * MIN);
});
