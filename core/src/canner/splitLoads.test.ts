import fc from 'fast-check';
import { splitLoads } from './splitLoads';

test.each([
  [21, 7, 'full', [7, 7, 7]],
  [24, 9, 'full', [9, 9, 6]],
  [24, 9, 'even', [8, 8, 8]],
  [23, 9, 'even', [8, 8, 7]],
  [3, 7, 'full', [3]],
] as const)('%d jars in a canner that holds %d, %s: %j', (jars, capacity, style, loads) => {
  expect(splitLoads(jars, capacity, style)).toEqual(loads);
});

test('no jar is lost, no load is over full or empty, and no fewer loads would do', () => {
  const arbitrary = [
    fc.integer({ min: 1, max: 400 }),
    fc.integer({ min: 1, max: 24 }),
    fc.constantFrom('full', 'even'),
  ] as const;
  fc.assert(
    fc.property(...arbitrary, (jars, capacity, style) => {
      const loads = splitLoads(jars, capacity, style as 'full' | 'even');
      expect(loads.reduce((a, b) => a + b)).toBe(jars);
      expect(Math.max(...loads)).toBeLessThanOrEqual(capacity);
      expect(Math.min(...loads)).toBeGreaterThan(0);
      expect((loads.length - 1) * capacity).toBeLessThan(jars);
      if (style === 'even') expect(Math.max(...loads) - Math.min(...loads)).toBeLessThanOrEqual(1);
    }),
  );
});

test.each([
  [0, 7],
  [7, 0],
  [2.5, 7],
  [-1, 7],
])('%d jars in %d is a mistake of the caller', (jars, capacity) => {
  expect(() => splitLoads(jars, capacity, 'full')).toThrow(RangeError);
});
