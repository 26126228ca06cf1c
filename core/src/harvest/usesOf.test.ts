import fc from 'fast-check';
import { onHand } from './onHand';
import { type Pick } from './pick';
import { takeForBatch } from './takeForBatch';
import { timesUse } from './usesOf';

test('what is taken of lots is told once for each pick, its soft and its frozen part with it, and changes as one', () => {
  const anyPick = fc.record({
    massKg: fc.double({ min: 0.1, max: 20, noNaN: true }),
    soft: fc.constantFrom(0, 0.3, 1),
    place: fc.constantFrom('cool' as const, 'freezer' as const),
  });
  const part = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(fc.array(anyPick, { minLength: 1, maxLength: 5 }), part, part, (told, wanted, factor) => {
      const picks = told.map(({ massKg, soft, place }, i): Pick => ({
        ...{ id: `p${i}`, crop: 'damson', massKg, softKg: massKg * soft, ripeness: 'ripe', place, pickedAt: 0 },
        ...{ told: '', source: 'garden', plantingId: null },
      }));
      const there = told.reduce((sum, { massKg }) => sum + massKg, 0);
      const uses = takeForBatch(onHand(picks, []), there * wanted);
      expect(new Set(uses.map(({ pickId }) => pickId)).size).toBe(uses.length);
      for (const use of uses) {
        const pick = picks.find(({ id }) => id === use.pickId)!;
        expect(use.softKg).toBeLessThanOrEqual(Math.min(use.massKg, pick.softKg) + 1e-9);
        expect(use.frozenKg ?? 0).toBeCloseTo(pick.place === 'freezer' ? use.massKg : 0, 9);
        const half = timesUse(use, factor);
        expect(half.massKg).toBeCloseTo(use.massKg * factor, 9);
        expect(half.frozenKg ?? 0).toBeCloseTo((use.frozenKg ?? 0) * factor, 9);
      }
    }),
  );
});
