import fc from 'fast-check';
import { partLoads, splitLoads } from './splitLoads';

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
      const loads = splitLoads(jars, capacity, style);
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

test.each([
  [17, [9, 8], [9, 8]],
  [18, [9, 8], [6, 6, 6]],
  [16, [8, 9], [8, 8]],
  [21, [7, 7], [7, 7, 7]],
  [8, [9, 8], [8]],
] as const)('%d jars in canners of %j side by side: %j', (jars, capacities, loads) => {
  expect(partLoads(jars, capacities, 'beside')).toEqual(loads);
});

test('side by side no jar is lost, each load fits the canner whose turn it is, and one load fewer would not do', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 200 }),
      fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 4 }),
      (jars, capacities) => {
        const loads = partLoads(jars, capacities, 'beside');
        const places = [...capacities].sort((a, b) => b - a);
        const room = loads.map((_, k) => places[k % places.length]!);
        expect(loads.reduce((a, b) => a + b)).toBe(jars);
        expect(loads.every((count, k) => count > 0 && count <= room[k]!)).toBe(true);
        expect(room.slice(0, -1).reduce((a, b) => a + b, 0)).toBeLessThan(jars);
        // As even as they can be: whatever is below the fullest is full itself, or one below.
        expect(loads.every((count, k) => count >= Math.max(...loads) - 1 || count === room[k])).toBe(true);
      },
    ),
  );
});
