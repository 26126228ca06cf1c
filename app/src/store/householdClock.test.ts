import fc from 'fast-check';
import { deviceIsWrongBy, sampleOf, steadyAhead, watchClock } from './householdClock';

test('whatever the way of the message takes, the household’s time is right within half of it', () => {
  const ms = (max: number) => fc.integer({ min: 0, max });
  fc.assert(
    fc.property(
      fc.integer({ min: -90_000_000, max: 90_000_000 }),
      fc.array(fc.tuple(ms(4_000), ms(4_000)), { minLength: 1, maxLength: 6 }),
      (wrongBy, ways) => {
        // The device shows `wrongBy` less than the server.
        let known: number | undefined;
        let withinMs = Infinity;
        for (const [there, back] of ways) {
          const sample = sampleOf(1_000_000 + wrongBy + there, 1_000_000, 1_000_000 + there + back);
          known = steadyAhead(sample, null, known);
          withinMs = sample.withinMs;
        }
        expect(Math.abs(known! - wrongBy)).toBeLessThanOrEqual(2 * withinMs);
      },
    ),
  );
});

test('a device that is right, or a demo’s, goes by its own clock; one wrong by hours is told', () => {
  expect(steadyAhead({ aheadMs: 180, withinMs: 300 }, null)).toBe(0);
  expect(steadyAhead({ aheadMs: 5_000_120, withinMs: 300 }, 5_000_000, 7)).toBe(5_000_000);
  expect(deviceIsWrongBy(3 * 3_600_000, null)).toBe(3 * 3_600_000);
  expect(deviceIsWrongBy(5_000_000, 5_000_000)).toBeUndefined();
});

test('a clock that is set while the page is looked at is noticed; the time between looks is not', () => {
  const page = { visibilityState: 'visible', addEventListener: () => undefined, removeEventListener: () => undefined };
  Object.assign(globalThis, { document: page });
  jest.useFakeTimers({ now: 1_000_000 });
  const heard: number[] = [];
  const stop = watchClock((byMs) => heard.push(byMs));
  jest.advanceTimersByTime(10_000);
  expect(heard).toEqual([]);
  // Set three hours ahead: the wall clock jumps, the time since the page was opened does not.
  const steady = performance.now();
  jest.setSystemTime(Date.now() + 3 * 3_600_000);
  jest.spyOn(performance, 'now').mockImplementation(() => steady + 2_000);
  jest.advanceTimersByTime(2_000);
  expect(heard[0]).toBeCloseTo(3 * 3_600_000, -2);
  stop();
  jest.restoreAllMocks();
  jest.useRealTimers();
});
