import fc from 'fast-check';
import { type LotChange } from './lotChange';
import { onHand, overdrawnKg, type Lot } from './onHand';
import { type Pick, PLACES } from './pick';
import { seasonTally } from './seasonTally';
import { takeForBatch } from './takeForBatch';

const DAY = 24 * 60 * 60_000;
const tomatoes: Pick = {
  id: 'a',
  crop: 'tomato-paste',
  massKg: 30,
  softKg: 5,
  ripeness: 'ripe',
  place: 'cool',
  pickedAt: 0,
  told: '30 kg',
  source: 'garden',
  plantingId: null,
};
const change = (more: Partial<LotChange>): LotChange => ({
  id: 'c',
  pickId: 'a',
  part: 'sound',
  from: 'cool',
  kind: 'moved',
  to: 'refrigerator',
  massKg: 10,
  at: 3.5 * DAY,
  ...more,
});

// USDA Agriculture Handbook 66 and common practice: ripe tomatoes a week in a cool room, soft ones a day.
test('soft produce comes first, each part with its own days on a fuse of one length', () => {
  expect(onHand([tomatoes], [])).toMatchObject([
    { ripeness: 'soft', massKg: 5, until: DAY, keepsDays: 11 },
    { ripeness: 'ripe', massKg: 25, until: 7 * DAY, keepsDays: 11 },
  ]);
});

test('what is carried keeps the part of its life that is left', () => {
  // Half of seven days in the cool room are gone: half of three on the counter are left.
  expect(onHand([tomatoes], [], [change({ to: 'counter' })])).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ place: 'counter', massKg: 10, until: 5 * DAY }),
      expect.objectContaining({ place: 'cool', ripeness: 'ripe', massKg: 15, until: 7 * DAY }),
    ]),
  );
});

test('frozen produce waits for months, thawed it is used within a day, and what is past its time stays so', () => {
  const frozen = change({ to: 'freezer', at: 2 * DAY });
  const [lot] = onHand([tomatoes], [], [frozen]).filter(({ place }) => place === 'freezer');
  expect(lot!.until).toBe(242 * DAY);
  const thawed = change({ id: 'd', from: 'freezer', to: 'refrigerator', at: 100 * DAY });
  expect(onHand([tomatoes], [], [frozen, thawed]).find((each) => each.thawed)).toMatchObject({
    place: 'refrigerator',
    massKg: 10,
    until: 101 * DAY,
  });
  const tooLate = change({ to: 'freezer', at: 9 * DAY });
  expect(onHand([tomatoes], [], [tooLate]).find(({ place }) => place === 'freezer')!.until).toBe(9 * DAY);
});

test('sorted out as soft it has a day', () => {
  const sorted = change({ kind: 'softened', to: null, massKg: 4, at: 2 * DAY });
  expect(onHand([tomatoes], [], [sorted])).toEqual(
    expect.arrayContaining([expect.objectContaining({ ripeness: 'soft', massKg: 4, until: 3 * DAY })]),
  );
});

const pickArbitrary = fc
  .record({
    id: fc.uuid(),
    crop: fc.constantFrom('tomato-paste' as const, 'damson' as const),
    massKg: fc.double({ min: 0.1, max: 200, noNaN: true }),
    softShare: fc.double({ min: 0, max: 1, noNaN: true }),
    ripeness: fc.constantFrom('firm' as const, 'ripe' as const),
    place: fc.constantFrom('counter' as const, 'cool' as const, 'refrigerator' as const),
    pickedAt: fc.nat(30 * DAY),
  })
  .map(({ softShare, ...pick }): Pick => ({
    ...pick,
    softKg: pick.massKg * softShare,
    told: '',
    source: 'garden',
    plantingId: null,
  }));
const picksArbitrary = fc.uniqueArray(pickArbitrary, { selector: (pick) => pick.id, maxLength: 6 });
const total = (items: readonly { massKg: number }[]) => items.reduce((sum, { massKg }) => sum + massKg, 0);

test('what a batch takes and what is left always add up to what came in, and the next to spoil is taken first', () => {
  fc.assert(
    fc.property(picksArbitrary, fc.nat(400), (picks, askedKg) => {
      const before = onHand(picks, []);
      const uses = takeForBatch(before, askedKg);
      const after = onHand(picks, uses);
      expect(total(after) + total(uses)).toBeCloseTo(total(before), 1);
      expect(total(uses)).toBeLessThanOrEqual(askedKg + 1e-9);
      expect(after.every((lot) => lot.massKg > 0)).toBe(true);
      const key = (lot: Lot) => `${lot.pickId} ${lot.ripeness}`;
      const left = new Map(after.map((lot) => [key(lot), lot.massKg]));
      const touched = before.filter((lot) => (left.get(key(lot)) ?? 0) < lot.massKg - 0.01);
      const lastTaken = Math.max(0, ...touched.map((lot) => lot.until));
      expect(after.every((lot) => lot.until >= lastTaken)).toBe(true);
    }),
  );
});

test('whatever happens to lots, in any order: nothing below none, and the tally adds up to what came in', () => {
  const changeArbitrary = fc.record({
    pick: fc.nat(5),
    part: fc.constantFrom('sound' as const, 'soft' as const),
    from: fc.constantFrom(...PLACES),
    kind: fc.constantFrom('eaten', 'given-away', 'fed', 'lost', 'moved', 'softened'),
    to: fc.constantFrom(...PLACES),
    massKg: fc.double({ min: 0.1, max: 60, noNaN: true }),
    at: fc.nat(60 * DAY),
  });
  fc.assert(
    fc.property(picksArbitrary, fc.array(changeArbitrary, { maxLength: 12 }), (picks, wishes) => {
      // As the server does it: what would draw a lot below none is not taken.
      const changes: LotChange[] = [];
      for (const [i, { pick, to, ...wish }] of wishes.entries()) {
        const pickId = picks[pick]?.id;
        if (pickId === undefined) continue;
        const next = { ...wish, id: String(i), pickId, to: wish.kind === 'moved' ? to : null };
        if (overdrawnKg(picks, [], [...changes, next]) < 1e-9) changes.push(next);
      }
      const lots = onHand(picks, [], changes);
      expect(lots.every(({ massKg, until }) => massKg > 0 && Number.isFinite(until))).toBe(true);
      const ended = changes.filter(({ kind }) => kind !== 'moved' && kind !== 'softened');
      expect(total(lots) + total(ended)).toBeCloseTo(total(picks), 0);
      for (const tally of seasonTally(picks, [], changes, 0, 31 * DAY)) {
        const gone = Object.values(tally.ended).reduce((sum, kg) => sum + kg, 0);
        expect(tally.onHandKg + tally.frozenKg + gone).toBeCloseTo(tally.cameInKg, 0);
      }
    }),
  );
});
