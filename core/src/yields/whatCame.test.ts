import { type Batch } from '../day/batch';
import { KG_PER_LB, ML_PER_CUP } from '../measure/amount';
import { type BatchRecord, NOTHING_MORE } from './batchRecord';
import { estimateJars } from './estimateJars';
import { likelyInPot } from '../day/likelyInPot';
import { madeWords } from './madeWords';
import { likelyWords, spanWords } from './spanWords';
import { learnYields } from './yieldModel';
import { basisWords, yieldRange } from './yieldRange';

const NOW = Date.UTC(2026, 7, 29);

const juice: BatchRecord = {
  ...{ id: 'a', batchId: null, product: 'tomato-juice', crop: 'tomato-paste', massKg: 20 * KG_PER_LB },
  ...{ waterMl: 0, sugarKg: 0, jars: [{ jar: 'quart', count: 6 }], partJar: null, madeAt: NOW, note: '' },
  ...NOTHING_MORE,
  learnFrom: true,
};

const likely = (records: readonly BatchRecord[]) => {
  const estimate = estimateJars('tomato-paste', 20 * KG_PER_LB, 'tomato-juice', 'pint', learnYields(records, NOW));
  return estimate.kind === 'estimate' ? estimate.quarts.p50 : NaN;
};

test('water that was added is not produce, and is added again the next time', () => {
  const quarts = 1.5;
  const watered = { ...juice, jars: [{ jar: 'quart', count: 6 } as const], waterMl: quarts * 4 * ML_PER_CUP };
  const dry = { ...juice, jars: [{ jar: 'pint', count: 9 } as const] };
  // The same produce, the same pounds a quart of it learned: more jars by just the water.
  expect(yieldRange('tomato-juice', 'tomato-paste', learnYields([watered], NOW))?.lbPerQuart.p50).toBeCloseTo(
    yieldRange('tomato-juice', 'tomato-paste', learnYields([dry], NOW))?.lbPerQuart.p50 ?? NaN,
    6,
  );
  expect(likely([watered]) - likely([dry])).toBeCloseTo(quarts, 6);
  // Half of the batches with it, half of it expected; those with less produce count less.
  expect(likely([watered, { ...dry, id: 'b' }]) - likely([dry, { ...dry, id: 'b' }])).toBeCloseTo(quarts / 2, 6);
});

test('in a product by a formula what is added is the formula, and not added twice', () => {
  const jam = { ...juice, product: 'jam-with-pectin', crop: 'damson', sugarKg: 3 } as const;
  expect(learnYields([jam], NOW).addedOf('damson', 'jam-with-pectin')).toBe(0);
});

test('the close of a batch begins with what its jars likely took, and moves nothing when it is taken as it stands', () => {
  const batch = (setApartLb: number, jars: number): Batch =>
    ({
      product: 'tomatoes-crushed',
      jar: 'quart',
      uses: [{ pickId: 'p', crop: 'tomato-paste', massKg: setApartLb * KG_PER_LB }],
      loads: [{ id: 'l', number: 1, jars }],
    }) as unknown as Batch;
  const kg = likelyInPot(batch(26, 7));
  expect(kg).toBeLessThan(26 * KG_PER_LB);
  const told: BatchRecord = {
    ...juice,
    product: 'tomatoes-crushed',
    massKg: kg,
    jars: [{ jar: 'quart', count: 7 }],
  };
  const [before, after] = [[], [told]].map(
    (records) => yieldRange('tomatoes-crushed', 'tomato-paste', learnYields(records, NOW))?.lbPerQuart.p50 ?? NaN,
  );
  expect(Math.abs(after! / before! - 1)).toBeLessThan(0.01);
  // Set apart for it was less than the jars take: no more can have gone in.
  expect(likelyInPot(batch(12, 7))).toBeCloseTo(12 * KG_PER_LB, 9);
  // Other crops of its card are not what it is weighed by.
  const mixed = batch(26, 7);
  const others = [...mixed.uses, { pickId: 'q', crop: 'onion', massKg: 5 }] as Batch['uses'];
  expect(likelyInPot({ ...mixed, uses: others })).toBeCloseTo(kg, 9);
});

test('jars are told as they were, a part jar as the part it is, and one whole number is no range', () => {
  expect(madeWords({ jars: [{ jar: 'pint', count: 1 }], partJar: { jar: 'pint', part: 0.5 } })).toBe('1 1/2 pints');
  expect(madeWords({ jars: [{ jar: 'quart', count: 0 }], partJar: { jar: 'quart', part: 0.75 } })).toBe(
    '3/4 of a quart',
  );
  expect(
    madeWords({
      jars: [
        { jar: 'quart', count: 6 },
        { jar: 'pint', count: 1 },
      ],
      partJar: null,
    }),
  ).toBe('6 quarts and 1 pint');
  expect(spanWords({ p10: 1, p90: 1 })).toBeUndefined();
  expect(likelyWords({ p10: 1, p50: 1, p90: 1 }, 'pint')).toBe('1 pint');
  expect(likelyWords({ p10: 5, p50: 6, p90: 8 }, 'quart')).toBe('5 to 8 quarts, likely 6');
  const small = { ...juice, massKg: 1.5 * KG_PER_LB, jars: [{ jar: 'pint', count: 1 } as const] };
  const told = learnYields([{ ...small, partJar: { jar: 'pint', part: 0.5 } }], NOW);
  expect(basisWords(yieldRange('tomato-juice', 'tomato-paste', told)!.basis)).toBe(
    'handbook + your 1 batch, last time 1 1/2 pints from 1 1/2 lb',
  );
});
