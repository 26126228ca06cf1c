import { checkPickDay } from './checkPickDay';
import { freezerBags } from './freezerSpace';
import { type OwnMeasure } from './ownMeasure';
import { readHarvest } from './readHarvest';

const LB = 0.45359237;
const own: OwnMeasure[] = [
  { crop: 'tomatillo', measure: 'colander', massKg: 2 },
  { crop: 'tomatillo', measure: 'bushel', massKg: 18 },
];

// NIST Handbook 44 and the bushel of 53 lb.
test.each([
  ['68', 'tomato-paste', 68 * LB, '68 lb'],
  ['1/2 bushel', 'tomato-paste', 26.5 * LB, '1/2 bushel'],
  ['2 colanders', 'tomatillo', 4, '2 colanders'],
  ['a half bushel', 'tomatillo', undefined, undefined],
  ['1 bushel', 'tomatillo', 18, '1 bushel'],
  ['1½ colanders', 'tomatillo', 3, '1½ colanders'],
  ['2 colander', 'tomatillo', 4, '2 colanders'],
  ['1/2 colander', 'tomatillo', 1, '1/2 colander'],
] as const)('%j of %s', (typed, crop, massKg, told) => {
  const reading = readHarvest(typed, crop, 'lb', own);
  if (massKg === undefined) expect(reading.kind).not.toBe('mass');
  else expect(reading).toEqual({ kind: 'mass', massKg: expect.closeTo(massKg, 6), told });
});

test('a measure without a weight is asked about once; the same words are read when it is known', () => {
  expect(readHarvest('3 buckets', 'tomatillo', 'lb')).toMatchObject({
    kind: 'ask',
    measure: 'five-gallon-bucket',
    sentence: expect.stringContaining('Asked once'),
  });
  expect(readHarvest('2 glasses', 'gooseberry', 'lb')).toMatchObject({ kind: 'ask', measure: 'glass' });
  const known: OwnMeasure = { crop: 'gooseberry', measure: 'glass', massKg: 0.3 };
  expect(readHarvest('2 glasses', 'gooseberry', 'lb', [known])).toMatchObject({ kind: 'mass', massKg: 0.6 });
  // Another crop's colander is another weight.
  expect(readHarvest('2 colanders', 'damson', 'lb', own).kind).toBe('ask');
});

test.each(['a lot', '-4', 'colander', '0 colanders', '10,000 bushels'])('%j is told in a sentence', (typed) => {
  expect(readHarvest(typed, 'tomato-paste', 'lb')).toMatchObject({
    kind: 'slip',
    sentence: expect.stringMatching(/[.?]$/),
  });
});

test('a pick is of today or lately, not of tomorrow nor of last year', () => {
  const day = 24 * 60 * 60_000;
  const now = Date.UTC(2026, 7, 29, 8);
  for (const ago of [0, 1, 40, 200]) expect(checkPickDay(now - ago * day, now)).toEqual({ kind: 'ok' });
  for (const ago of [-1, -40, 365, 800]) expect(checkPickDay(now - ago * day, now)).toMatchObject({ kind: 'refusal' });
});

// Common practice: 11 lb of damsons are 15 cups pitted, two gallon bags.
test('frozen produce takes whole bags', () => {
  expect(freezerBags('damson', 11 * LB)).toBe(2);
  expect(freezerBags('damson', 0.1)).toBe(1);
});
