import fc from 'fast-check';
import { onHand } from './onHand';
import { type Pick, PLACES } from './pick';
import { goneBefore, usedUp } from './usedUp';

const NOW = Date.UTC(2026, 7, 29);

test('of a pick that is used up nothing is on hand, wherever it lay and however much of it was soft; told twice it is the same', () => {
  const pick = fc.record({ massKg: fc.double({ min: 0.01, max: 90, noNaN: true }), place: fc.constantFrom(...PLACES) });
  fc.assert(
    fc.property(pick, fc.constantFrom(0, 0.3, 1), fc.uuid(), ({ massKg, place }, soft, id) => {
      const own: Pick = {
        ...{ id, crop: 'tomato-paste', massKg, softKg: massKg * soft, ripeness: 'ripe', place },
        ...{ pickedAt: NOW - 9e9, told: '', source: 'garden', plantingId: null },
      };
      expect(onHand([own], [], []).length).toBeGreaterThan(0);
      expect(onHand([own], [], usedUp(own))).toEqual([]);
      expect(usedUp(own)).toEqual(usedUp(own));
      expect(new Set(usedUp(own).map((change) => change.id)).size).toBe(usedUp(own).length);
    }),
  );
  expect(new Date(goneBefore(NOW)).toISOString()).toBe('2026-08-15T00:00:00.000Z');
});
