import fc from 'fast-check';
import { type ProductId } from '../handbook/products';
import { divideLots, takesSoft } from './divideLots';
import { leftBehind, onHand } from './onHand';
import { type Pick } from './pick';

const PEAR: readonly ProductId[] = ['pears-halved', 'fruit-puree', 'jam-with-pectin', 'pears-halved', 'fruit-puree'];

const pick = (id: string, massKg: number, soft: number, day = 0): Pick => ({
  id,
  ...{ crop: 'pear', massKg, softKg: massKg * soft, ripeness: 'ripe', place: 'cool', pickedAt: day * 86_400_000 },
  ...{ told: '', source: 'garden', plantingId: null },
});

test('the best fruit to halves, the soft to sauce and jam; halves take soft fruit only when there is no other', () => {
  const lots = onHand([pick('a', 10, 0.4)], []);
  const { parts } = divideLots(lots, [
    { product: 'fruit-puree', massKg: 5 },
    { product: 'pears-halved', massKg: 5 },
  ]);
  expect(parts).toMatchObject([
    { massKg: 5, softKg: 4 },
    { massKg: 5, softKg: 0 },
  ]);
  const [halves] = divideLots(lots, [{ product: 'pears-halved', massKg: 8 }]).parts;
  expect(halves?.softKg).toBeCloseTo(2, 9);
  expect([takesSoft('pears-halved'), takesSoft('fruit-puree'), takesSoft('jam-no-pectin')]).toEqual([
    false,
    true,
    true,
  ]);
});

test('whatever is asked: nothing is used twice, nothing is lost, and what the parts took can be taken', () => {
  const anyPicks = fc.array(
    fc.record({
      massKg: fc.double({ min: 0.5, max: 60, noNaN: true }),
      soft: fc.constantFrom(0, 0.2, 1),
      day: fc.integer({ min: 0, max: 3 }),
    }),
    { minLength: 1, maxLength: 5 },
  );
  const anyParts = fc.array(
    fc.record({ product: fc.constantFrom(...PEAR), massKg: fc.double({ min: 0, max: 50, noNaN: true }) }),
    { maxLength: 5 },
  );
  fc.assert(
    fc.property(anyPicks, anyParts, (told, parts) => {
      const picks = told.map(({ massKg, soft, day }, i) => pick(`p${i}`, massKg, soft, day));
      const lots = onHand(picks, []);
      const there = lots.reduce((sum, { massKg }) => sum + massKg, 0);
      const divided = divideLots(lots, parts);
      const used = divided.parts.reduce((sum, { massKg }) => sum + massKg, 0);
      const asked = parts.reduce((sum, { massKg }) => sum + massKg, 0);
      expect(used + divided.leftKg).toBeCloseTo(there, 6);
      expect(used + divided.shortKg).toBeCloseTo(asked, 6);
      expect(Math.min(divided.leftKg, divided.shortKg)).toBeCloseTo(0, 6);
      for (const [i, own] of divided.parts.entries()) {
        expect(own.uses.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(own.massKg, 6);
        expect(own.massKg).toBeLessThanOrEqual((parts[i]?.massKg ?? 0) + 1e-9);
      }
      // Once planned it is gone from what is on hand, pick by pick and soft from soft.
      const uses = divided.parts.flatMap((own) => own.uses);
      const rest = onHand(picks, uses);
      expect(rest.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(divided.leftKg, 1);
      const softRest = rest.filter(({ ripeness }) => ripeness === 'soft').reduce((sum, { massKg }) => sum + massKg, 0);
      expect(softRest).toBeCloseTo(divided.leftSoftKg, 1);
      expect(leftBehind(picks, uses)).toEqual([]);
    }),
  );
});
