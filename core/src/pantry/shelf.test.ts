import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { recipeName } from '../recipe/recipeName';
import { type JarLot, jarCounts } from './jarLot';
import { sealCheck } from './sealCheck';
import { shelfGroups, type StockedLot, stockedLots } from './shelf';
import { takeAdvice } from './takeAdvice';
import { USUAL_PLACES } from './place';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;
const uses = [{ pickId: 'p', crop: 'tomato-paste', massKg: 10, softKg: 0 }] as const;
const batch = {
  product: 'tomatoes-crushed',
  jar: 'quart',
  uses: uses as Batch['uses'],
  loads: [] as Batch['loads'],
} as Batch;

function check(sealed: boolean[], hoursLater: number) {
  const event = {
    id: 'e',
    loadId: 'l',
    type: 'seal-checked',
    sealed,
    sealedLotId: 's',
    unsealedLotId: 'u',
    at: hoursLater * HOUR,
  } as const;
  return sealCheck(batch, { heatOffAt: 0 }, event);
}

// Handbook rules 9 and 10: unsealed within 24 h to the refrigerator, tomatoes a week; found later: discarded.
test('20 sealed and 1 not: 20 on the shelf, 1 in the refrigerator with a use-by', () => {
  const result = check([...Array<boolean>(20).fill(true), false], 16);
  expect(result).toMatchObject({ sealed: 20, refrigerated: 1, discarded: 0 });
  expect(shelfGroups(stockedLots(result.lots, result.movements, USUAL_PLACES))).toMatchObject([
    { placeKind: 'refrigerator', jars: 1, lots: [{ seal: 'unsealed', keepsUntil: 16 * HOUR + 7 * DAY }] },
    { placeKind: 'shelf', jars: 20, lots: [{ seal: 'sealed', keepsUntil: 365 * DAY }] },
  ]);
});

test('an unsealed jar found after 24 h is thrown away', () => {
  expect(check([true, false], 24)).toMatchObject({ refrigerated: 1, discarded: 0 });
  expect(check([true, false], 24.1)).toMatchObject({ sealed: 1, refrigerated: 0, discarded: 1 });
});

test('a household that stretches it to 18 months counts its sealed jars so, and no other', () => {
  const { lots, movements } = check([true, false], 16);
  const until = stockedLots(lots, movements, USUAL_PLACES, 18).map(({ seal, keepsUntil }) => [seal, keepsUntil / DAY]);
  expect(until).toEqual([
    ['sealed', 548],
    ['unsealed', 16 / 24 + 7],
  ]);
});

const lotArbitrary = fc.record({
  id: fc.uuid(),
  product: fc.constantFrom('tomatoes-crushed' as const, 'plums' as const, 'dilled-beans' as const),
  jar: fc.constantFrom('quart' as const, 'pint' as const),
  place: fc.constantFrom('shelf', 'refrigerator', 'freezer'),
  seal: fc.constantFrom('sealed' as const, 'unsealed' as const),
  madeAt: fc.nat(900).map((day) => day * DAY),
  jarsBefore: fc.nat(9),
});

test('the front of every board is the one to take: none keeps shorter, and nobody is told of an older one', () => {
  fc.assert(
    fc.property(fc.uniqueArray(lotArbitrary, { selector: ({ id }) => id, maxLength: 14 }), (drafts) => {
      const lots: JarLot[] = drafts.map((draft) => ({ ...draft, keepsUntil: draft.madeAt + 365 * DAY }));
      const stocked = stockedLots(lots, [], USUAL_PLACES);
      const groups = shelfGroups(stocked);
      const all = [...jarCounts(lots, []).values()].reduce((sum, jars) => sum + jars, 0);
      expect(groups.reduce((sum, { jars }) => sum + jars, 0)).toBe(all);
      for (const { lots: inGroup } of groups) {
        expect(inGroup[0]!.keepsUntil).toBe(Math.min(...inGroup.map(({ keepsUntil }) => keepsUntil)));
      }
      for (const lot of stocked) {
        const { olderFirst } = takeAdvice(lot, stocked, 0);
        const older = stocked.some(
          (other) => other.product === lot.product && other.jar === lot.jar && other.keepsUntil < lot.keepsUntil,
        );
        expect(olderFirst !== undefined).toBe(older);
      }
    }),
  );
});

test('two jams stand on two boards with their names, all jars on one of them, each in the order it is taken', () => {
  const jams = fc.array(
    fc.record({
      kind: fc.constantFrom(
        { recipe: 'jam-with-pectin/strawberry', crop: 'strawberry' },
        { recipe: 'jam-with-pectin/plum', crop: 'damson' },
        { recipe: 'jam-with-pectin/plum', crop: 'plum' },
        {},
      ),
      jars: fc.integer({ min: 1, max: 9 }),
      keepsUntil: fc.nat(1_000),
    }),
    { minLength: 1, maxLength: 20 },
  );
  fc.assert(
    fc.property(jams, (all) => {
      const lots = all.map(({ kind, jars, keepsUntil }, i) => ({
        ...{
          id: `l${i}`,
          product: 'jam-with-pectin',
          jar: 'half-pint',
          place: 'shelf',
          placeKind: 'shelf',
          seal: 'sealed',
        },
        ...{ madeAt: 0, keepsUntil, jars },
        ...kind,
      })) as unknown as StockedLot[];
      const groups = shelfGroups(lots);
      const names = groups.map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
      for (const name of names) {
        expect(['Strawberry jam', 'Damson jam', 'Plum jam', 'Jam with added pectin']).toContain(name);
      }
      expect(groups.reduce((sum, { jars }) => sum + jars, 0)).toBe(lots.reduce((sum, { jars }) => sum + jars, 0));
      for (const group of groups) {
        expect(group.jars).toBe(group.lots.reduce((sum, { jars }) => sum + jars, 0));
        const until = group.lots.map((lot) => lot.keepsUntil);
        expect(until).toEqual([...until].sort((a, b) => a - b));
        // A board says what each of its jars is.
        expect(new Set(group.lots.map((lot) => recipeName(lot)))).toEqual(new Set([group.name]));
      }
    }),
  );
});

// What is drawn of a lot or a board stays as long as the same object comes; a stale one would show jars that are gone.
test('what has not changed is the same object, and what has is never an old one', () => {
  const kinds = USUAL_PLACES.map(({ id }) => id);
  const anyLot = fc.record({ place: fc.constantFrom(...kinds), pint: fc.boolean(), month: fc.nat(20) });
  const anyMove = fc.record({ lot: fc.nat(5), jars: fc.integer({ min: 1, max: 3 }) });
  fc.assert(
    fc.property(
      fc.array(anyLot, { minLength: 1, maxLength: 6 }),
      fc.array(anyMove, { maxLength: 12 }),
      fc.constantFrom(12, 18),
      (told, moves, months) => {
        const lots = told.map(
          ({ place, pint, month }, i) =>
            ({
              ...{ id: `lot ${i}`, product: 'applesauce', jar: pint ? 'pint' : 'quart', place, seal: 'sealed' },
              ...{ madeAt: month * 30 * DAY, keepsUntil: (month + 12) * 30 * DAY, jarsBefore: 9 },
            }) as JarLot,
        );
        const all = moves.map(({ lot, jars }, i) => ({
          ...{ id: `move ${i}`, lotId: lots[lot % lots.length]!.id, kind: 'taken', jars, at: i },
        })) as Parameters<typeof stockedLots>[1];
        let before: StockedLot[] = [];
        for (let told = 0; told <= all.length; told++) {
          const now = stockedLots(lots, all.slice(0, told), USUAL_PLACES, months as 12);
          // Reckoned anew from copies, of which nothing is known.
          const anew = stockedLots(structuredClone(lots), all.slice(0, told), USUAL_PLACES, months as 12);
          expect(now).toEqual(anew);
          const groups = shelfGroups(now);
          expect(groups).toEqual(shelfGroups(anew));
          for (const lot of now) {
            const same = before.find(({ id }) => id === lot.id);
            if (same?.jars === lot.jars) expect(lot).toBe(same);
          }
          const again = shelfGroups(now);
          for (const [i, group] of groups.entries()) expect(again[i]).toBe(group);
          before = now;
        }
      },
    ),
    { numRuns: 60 },
  );
});
