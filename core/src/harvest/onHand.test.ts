import fc from 'fast-check';
import { onHand, type Lot } from './onHand';
import { type Pick } from './pick';
import { takeForBatch } from './takeForBatch';

const DAY = 24 * 60 * 60_000;
const tomatoes: Pick = {
  id: 'a',
  crop: 'tomato-paste',
  massKg: 30,
  softKg: 5,
  place: 'cool',
  pickedAt: 0,
  told: '30 kg',
};

// USDA Agriculture Handbook 66 and common practice: ripe tomatoes a week in a cool room, soft ones a day.
test('soft produce comes first, each part with its own days', () => {
  expect(onHand([tomatoes], [])).toMatchObject([
    { ripeness: 'soft', massKg: 5, until: DAY },
    { ripeness: 'sound', massKg: 25, until: 7 * DAY },
  ]);
});

const pickArbitrary = fc
  .record({
    id: fc.uuid(),
    crop: fc.constantFrom('tomato-paste' as const, 'damson' as const),
    massKg: fc.double({ min: 0.1, max: 200, noNaN: true }),
    softShare: fc.double({ min: 0, max: 1, noNaN: true }),
    place: fc.constantFrom('counter' as const, 'cool' as const, 'refrigerator' as const),
    pickedAt: fc.nat(30 * DAY),
  })
  .map(({ softShare, ...pick }): Pick => ({ ...pick, softKg: pick.massKg * softShare, told: '' }));

test('what a batch takes and what is left always add up to what came in, and nothing is taken twice', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(pickArbitrary, { selector: (pick) => pick.id, maxLength: 6 }),
      fc.nat(400),
      (picks, askedKg) => {
        const before = onHand(picks, []);
        const uses = takeForBatch(before, askedKg);
        const after = onHand(picks, uses);
        const total = (lots: { massKg: number }[]) => lots.reduce((sum, lot) => sum + lot.massKg, 0);
        expect(total(after) + total(uses)).toBeCloseTo(total(before), 1);
        expect(total(uses)).toBeLessThanOrEqual(askedKg + 1e-9);
        expect(after.every((lot) => lot.massKg > 0)).toBe(true);
        const key = (lot: Lot) => `${lot.pickId} ${lot.ripeness}`;
        const left = new Map(after.map((lot) => [key(lot), lot.massKg]));
        const touched = before.filter((lot) => (left.get(key(lot)) ?? 0) < lot.massKg - 0.01);
        const lastTaken = Math.max(0, ...touched.map((lot) => lot.until));
        expect(after.every((lot) => lot.until >= lastTaken)).toBe(true);
      },
    ),
  );
});
