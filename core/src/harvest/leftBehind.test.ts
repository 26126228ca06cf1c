import fc from 'fast-check';
import { findCard } from '../handbook/cards';
import { LEFT_PLACES, leftKeepsDays, trimmingsOf } from './leftBehind';
import { LEFT_KINDS, type LeftKind } from './leftOf';
import { leftBehind, onHand, type TimedUse } from './onHand';
import { type Pick } from './pick';
import { readLeft } from './readLeft';
import { seasonTally } from './seasonTally';

const DAY = 24 * 60 * 60_000;
const apples: Pick = {
  id: 'apples',
  ...{ crop: 'apple', massKg: 30, softKg: 0, ripeness: 'ripe', place: 'cool', pickedAt: 0, told: '66 lb' },
  ...{ source: 'garden', plantingId: null },
};
const left = (id: string, kind: LeftKind, massKg: number): Pick => ({
  ...apples,
  id,
  massKg,
  softKg: kind === 'soft-fruit' ? massKg : 0,
  place: 'refrigerator',
  of: { batchId: 'b', kind },
});
const kgOf = (lots: readonly { massKg: number }[]) => lots.reduce((sum, { massKg }) => sum + massKg, 0);

test('peels are no apples any more, soft fruit is; nothing is in both, and nothing is lost', () => {
  const anyLeft = fc.record({ kind: fc.constantFrom(...LEFT_KINDS), kg: fc.double({ min: 0.1, max: 9, noNaN: true }) });
  fc.assert(
    fc.property(fc.array(anyLeft, { maxLength: 6 }), fc.double({ min: 0, max: 1, noNaN: true }), (told, part) => {
      const picks = [apples, ...told.map(({ kind, kg }, i) => left(`l${i}`, kind, kg))];
      const uses: TimedUse[] = told.map(({ kg }, i) => ({ pickId: `l${i}`, massKg: kg * part, softKg: 0 }));
      const [fruit, rest] = [onHand(picks, uses), leftBehind(picks, uses)];
      const keys = [...fruit, ...rest].map(({ pickId, part: own }) => `${pickId} ${own}`);
      expect(new Set(keys).size).toBe(keys.length);
      const came = 30 + told.reduce((sum, { kg }) => sum + kg, 0);
      const used = told.reduce((sum, { kg }) => sum + kg * part, 0);
      // A crumb of each lot is a remainder of rounding.
      expect(Math.abs(kgOf(fruit) + kgOf(rest) - (came - used))).toBeLessThan(0.005 * (told.length + 1) + 1e-9);
      expect(rest.every(({ of }) => of !== undefined && of.kind !== 'soft-fruit')).toBe(true);
      // What fell off came in with the harvest: it is no second one.
      const [tally] = seasonTally(picks, uses, [], -1, DAY);
      expect(tally?.cameInKg).toBe(30);
    }),
  );
});

// Common practice: cut and cooked food two hours at room temperature; in the cold peels, pulp and juice a few days.
test('each burns down on a fuse of its own: in the cold longer than warm, frozen longest', () => {
  for (const kind of LEFT_KINDS) {
    if (kind === 'soft-fruit') continue;
    const [counter, cold, frozen] = LEFT_PLACES.map((place) => leftKeepsDays(kind, place)) as [number, number, number];
    expect(counter).toBeLessThan(cold);
    expect(cold).toBeLessThan(frozen);
  }
  const [peels] = leftBehind([left('l', 'peels-and-cores', 3)], []);
  expect(peels).toMatchObject({ until: 3 * DAY, keepsDays: 3, of: { kind: 'peels-and-cores' } });
  const [thawed] = leftBehind([{ ...left('l', 'pulp', 3), place: 'freezer' }], [], [
    ...[
      { id: 'c', pickId: 'l', part: 'sound', from: 'freezer', kind: 'moved', to: 'refrigerator', massKg: 3, at: DAY },
    ],
  ] as const);
  expect(thawed).toMatchObject({ until: 2 * DAY });
});

test('what falls off a card is known from its steps', () => {
  expect(trimmingsOf(findCard('tomato-sauce-thick')!)).toEqual(['peels-and-cores', 'pulp']);
  expect(trimmingsOf(findCard('tomatoes-crushed')!)).toEqual(['peels-and-cores']);
});

test('solid leftovers are weighed, liquid ones measured: a bowl of peels has no weight of its own', () => {
  expect(readLeft('3 lb', 'pulp', 'lb')).toMatchObject({ kind: 'mass', massKg: expect.closeTo(1.3608, 3) });
  expect(readLeft('2 quarts', 'pulp', 'lb')).toMatchObject({ kind: 'slip', sentence: expect.stringMatching(/scale/) });
  expect(readLeft('2 quarts', 'brine', 'quart')).toMatchObject({ kind: 'mass', massKg: expect.closeTo(1.8927, 3) });
  expect(readLeft('5', 'juice', 'quart')).toMatchObject({ told: '5 quart' });
  expect(readLeft('', 'juice', 'quart')).toEqual({ kind: 'empty' });
  expect(readLeft('a lot', 'juice', 'quart').kind).toBe('slip');
});
