import fc from 'fast-check';
import { findCard } from '../handbook/cards';
import { ML_PER_CUP } from '../measure/amount';
import { recipeFor } from '../recipe/recipeFor';
import { type BatchRecord } from '../yields/batchRecord';
import { learnedLiquid } from './learnedLiquid';

const CARD = findCard('dilled-beans')!;
const PINT_ML = 2 * ML_PER_CUP;

/** A batch whose jars took this part of their glass of the brine that was made. */
function record(part: number, pints: number, more: Partial<BatchRecord> = {}): BatchRecord {
  const jars = [{ jar: 'pint' as const, count: pints }];
  const made = recipeFor(CARD, { jars }).covering!.makeMl;
  return {
    ...{ id: 'r', batchId: null, product: 'dilled-beans', crop: 'bean-snap', massKg: 4, waterMl: 0, sugarKg: 0 },
    ...{ jars, partJar: null, madeAt: 0, note: '', jarMake: '', lidMake: '', faults: [], learnFrom: true },
    leftoverMl: Math.max(0, made - part * pints * PINT_ML),
    ...more,
  } as unknown as BatchRecord;
}
const anyPart = fc.double({ min: 0.3, max: 0.48, noNaN: true });

test('what a kitchen has left over moves what its jars will likely take towards the truth, batch by batch', () => {
  fc.assert(
    fc.property(anyPart, fc.integer({ min: 4, max: 30 }), (part, pints) => {
      const off = (batches: number) => {
        const records = Array.from({ length: batches }, () => record(part, pints));
        return Math.abs(learnedLiquid(CARD, records)!.p50 - part);
      };
      const [one, five, forty] = [off(1), off(5), off(40)];
      expect(five).toBeLessThanOrEqual(one + 1e-9);
      expect(forty).toBeLessThanOrEqual(five + 1e-9);
      expect(forty).toBeLessThan(0.01);
      const { p10, p50, p90 } = learnedLiquid(CARD, [record(part, pints)])!;
      expect(p10 < p50 && p50 < p90 && p10 > 0 && p90 < 1).toBe(true);
    }),
  );
});

test('the learned part is what a new batch is told, and its mix stays the tested one', () => {
  fc.assert(
    fc.property(anyPart, fc.integer({ min: 1, max: 40 }), (part, count) => {
      const liquid = learnedLiquid(
        CARD,
        Array.from({ length: 30 }, () => record(part, 9)),
      )!;
      const usual = recipeFor(CARD, { jars: [{ jar: 'pint', count }] }).covering!;
      const own = recipeFor(CARD, { jars: [{ jar: 'pint', count }], learnedLiquid: liquid }).covering!;
      expect(own.likelyMl.p50).toBeLessThan(usual.likelyMl.p50);
      expect(own.makeMl).toBeGreaterThanOrEqual(own.likelyMl.p90 - 1e-6);
      const valueOf = (lines: typeof own.lines, role: string) => {
        const { all } = lines.find(({ line }) => line.role === role)!;
        return all.of === 'words' ? NaN : all.value;
      };
      // USDA Complete Guide to Home Canning, 2015, guide 6: as much water as vinegar, 1/2 cup of salt to 4 cups.
      expect(valueOf(own.lines, 'water')).toBeCloseTo(valueOf(own.lines, 'vinegar'), 6);
      expect(valueOf(own.lines, 'salt') / valueOf(own.lines, 'vinegar')).toBeCloseTo(1 / 2 / 4, 6);
    }),
  );
});

test('nothing is learned from another product, from a batch that was none to learn from, or from an empty jug', () => {
  const other = record(0.4, 9, { product: 'tomatoes-crushed' });
  const odd = record(0.4, 9, { learnFrom: false });
  const dry = record(0.4, 9, { leftoverMl: 0 });
  expect(learnedLiquid(CARD, [other, odd, dry])).toBeUndefined();
  expect(learnedLiquid(CARD, [])).toBeUndefined();
  expect(learnedLiquid(findCard('tomato-chile-salsa')!, [record(0.4, 9)])).toBeUndefined();
});
