import fc from 'fast-check';
import { quartsPerJar } from '../handbook/jars';
import { type Lot } from '../harvest/onHand';
import { type BatchRecord, NOTHING_MORE } from '../yields/batchRecord';
import { cardForCrop, quartsOfBatch } from '../yields/cardForCrop';
import { massForJarsKg } from '../yields/estimateJars';
import { pickedKgPerBatch } from '../yields/pickedKg';
import { learnYields } from '../yields/yieldModel';
import { amountsOfBatch } from './amountsOfBatch';
import { type Batch } from './batch';
import { takeForRecipe } from './takeForRecipe';

const NOW = Date.UTC(2026, 7, 29);

/** Measured prepared, by the cup, and set by no box. */
const RELISHES = [
  ['pickled-corn-relish', 'corn-sweet'],
  ['pepper-onion-relish', 'pepper-sweet'],
  ['cucumber-pickle-relish', 'cucumber-pickling'],
] as const;

type Made = (typeof RELISHES)[number];

/** One batch as its page has it, that gave so much of the jars it promises. */
function gave([product, crop]: Made, part: number): BatchRecord {
  const card = cardForCrop(product, crop)!;
  const { high, jar } = card.card.yields!;
  const [count, left] = [Math.floor(high * part), (high * part) % 1];
  return {
    ...{ id: 'a', batchId: null, product, crop, massKg: card.main.kgPerBatch, waterMl: 0, sugarKg: 0 },
    ...{ jars: [{ jar, count }], partJar: { jar, part: left }, madeAt: NOW, note: '' },
    ...NOTHING_MORE,
    learnFrom: true,
  };
}

function planned([product, crop]: Made, jars: number, records: readonly BatchRecord[]) {
  const learned = learnYields(records, NOW);
  const lots = [{ pickId: 'p', crop, part: 'sound', ripeness: 'ripe', massKg: 1_000, place: 'cool' } as unknown as Lot];
  const { uses, mainKg } = takeForRecipe({ product, crop, jar: 'pint', jars, mainLots: lots, lots, learned });
  const batch = {
    ...{ id: 'b', product, jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 0, processMinutes: 15 },
    ...{ cannerId: 'c', startAt: 0, uses, loads: [{ id: 'l', number: 1, jars }] },
  } as Batch;
  const amounts = amountsOfBatch(batch, { learned })!;
  const line = (role: string) => {
    const all = amounts.lines.find((each) => each.line.role === role)?.all;
    return all && all.of !== 'words' ? all.value : NaN;
  };
  const pots = amounts.loads.reduce((sum, { amounts: { pots: each, factor } }) => sum + each * factor, 0);
  return { mainKg, pots, learned, vinegar: line('vinegar') };
}

// USDA Complete Guide to Home Canning, 2015, guide 6: corn relish, about 9 pints with 4 cups of vinegar.
test('a page that promises 9 pints and gives 5 1/2: for 9 there is more of everything in the pots, as the page mixes it', () => {
  const relish = RELISHES[0];
  const first = planned(relish, 9, []);
  const next = planned(relish, 9, [gave(relish, 5.5 / 9)]);
  expect(first.pots).toBeLessThan(1.25);
  expect(next.pots).toBeGreaterThan(1.35);
  expect(next.pots).toBeLessThan(9 / 5.5 + 0.35);
  expect(next.vinegar / first.vinegar).toBeCloseTo(next.pots / first.pots, 0);
  // What is set apart for it is enough, and no board lost it.
  const { likelyKg } = massForJarsKg('corn-sweet', relish[0], 'pint', 9, { learned: next.learned });
  expect(next.mainKg).toBeGreaterThanOrEqual(likelyKg - 1e-6);
  const card = cardForCrop(relish[0], 'corn-sweet')!;
  expect(Math.abs(pickedKgPerBatch(card, next.learned) / card.main.kgPerBatch - 1)).toBeLessThan(0.1);
});

test('whatever a page gives less, the pounds set apart are the likely ones at least, and what goes in keeps its proportion', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RELISHES),
      fc.double({ min: 0.45, max: 1, noNaN: true }),
      fc.integer({ min: 3, max: 20 }),
      (made, part, jars) => {
        const before = planned(made, jars, []);
        const after = planned(made, jars, [gave(made, part)]);
        const { likelyKg } = massForJarsKg(made[1], made[0], 'pint', jars, { learned: after.learned });
        // Half a jar may be missing rather than another pot put on.
        expect(after.mainKg).toBeGreaterThanOrEqual(likelyKg * (1 - 0.6 / jars) - 1e-6);
        expect(after.vinegar / after.pots / (before.vinegar / before.pots)).toBeGreaterThan(0.9);
        // Nor is there less in the pots than the page itself asks for so many jars: it was never seen to give more.
        const asked = (jars * quartsPerJar('pint')) / quartsOfBatch(cardForCrop(made[0], made[1])!).high;
        expect(after.pots).toBeGreaterThanOrEqual(asked * (1 - 0.6 / jars) - 1e-6);
      },
    ),
  );
});
