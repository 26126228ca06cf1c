import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { type JarLot, jarsInLot, type Movement } from './jarLot';
import { sealCheck } from './sealCheck';
import { shelfGroups } from './shelf';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;
const batch = { product: 'tomatoes-crushed', jar: 'quart' } as Batch;

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
  expect(shelfGroups(result.lots, result.movements)).toMatchObject([
    { place: 'refrigerator', jars: 1, lots: [{ keepsUntil: 16 * HOUR + 7 * DAY }] },
    { place: 'shelf', jars: 20, lots: [{ keepsUntil: 365 * DAY }] },
  ]);
});

test('an unsealed jar found after 24 h is thrown away', () => {
  expect(check([true, false], 24)).toMatchObject({ refrigerated: 1, discarded: 0 });
  expect(check([true, false], 24.1)).toMatchObject({ sealed: 1, refrigerated: 0, discarded: 1 });
});

test('the front of every group is the oldest, and what is shown is the sum of the movements', () => {
  const lotArbitrary = fc.record({
    id: fc.uuid(),
    product: fc.constantFrom('tomatoes-crushed' as const, 'plums' as const),
    jar: fc.constantFrom('quart' as const, 'pint' as const),
    place: fc.constantFrom('shelf' as const, 'refrigerator' as const),
    madeAt: fc.nat(900).map((day) => day * DAY),
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(lotArbitrary, { selector: (lot) => lot.id, maxLength: 12 }),
      fc.array(fc.nat(9), { maxLength: 12 }),
      (drafts, taken) => {
        const lots: JarLot[] = drafts.map((draft) => ({ ...draft, keepsUntil: draft.madeAt + 365 * DAY }));
        const movements = lots.flatMap((lot, i): Movement[] => [
          { id: `${i}in`, lotId: lot.id, kind: 'stored', jars: 9, at: 0 },
          ...(taken[i] ? [{ id: `${i}out`, lotId: lot.id, kind: 'taken' as const, jars: taken[i], at: 1 }] : []),
        ]);
        const groups = shelfGroups(lots, movements);
        const shown = groups.flatMap((group) => group.lots);
        expect(shown.reduce((sum, lot) => sum + lot.jars, 0)).toBe(
          lots.reduce((sum, lot) => sum + jarsInLot(lot.id, movements), 0),
        );
        for (const { lots: inGroup } of groups) {
          expect(inGroup[0]!.madeAt).toBe(Math.min(...inGroup.map((lot) => lot.madeAt)));
        }
      },
    ),
  );
});
