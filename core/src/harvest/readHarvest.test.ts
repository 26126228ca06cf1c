import { FORMS } from '../handbook/forms';
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

// Common practice and the handbook's forms: 3 cups hulled, 1.22 cups crushed from a pound; a quart box 1 1/2 lb, a pint box half.
test.each([
  ['3 colanders and 2 lb', 'tomatillo', 6 + 2 * LB, '3 colanders and 2 lb'],
  ['1 lb + 8 oz', 'tomatillo', 1.5 * LB, '1 lb and 8 oz'],
  ['1 and 1/2 lb', 'tomatillo', 1.5 * LB, '1 1/2 lb'],
  ['2 lb, 3', 'tomatillo', 5 * LB, '2 lb and 3 lb'],
  ['1,250 g', 'tomatillo', 1.25, '1,250 g'],
  ['5.5 cups crushed', 'strawberry', (5.5 / 1.22) * LB, '5.5 cups crushed'],
  ['2 quarts hulled whole', 'strawberry', (8 / (4 / 1.5)) * LB, '2 quarts hulled whole'],
  ['1 quart of hulled and 1 lb', 'strawberry', (1.5 + 1) * LB, '1 quart hulled whole and 1 lb'],
  ['2 pint boxes', 'strawberry', 1.5 * LB, '2 pint boxes'],
  // By the quart berries come in whole.
  ['4 quarts', 'blackberry', 6 * LB, '4 quarts whole'],
  ['1 gallon', 'grape', (16 / 2.75) * LB, '1 gallon stemmed whole'],
  ['1 gallon', 'tomatillo', (16 / 2.5) * LB, '1 gallon chopped'],
  ['12 cups', 'cabbage', (12 / 4.5) * LB, '12 cups shredded'],
] as const)('%j of %s, told as people do', (typed, crop, massKg, told) => {
  expect(readHarvest(typed, crop, 'lb', own)).toEqual({ kind: 'mass', massKg: expect.closeTo(massKg, 6), told });
});

test('cups of something that is prepared in several ways: which one is asked, and each way is read as it is offered', () => {
  const reading = readHarvest('6 cups', 'strawberry', 'lb');
  expect(reading).toMatchObject({ kind: 'form', ways: ['6 cups hulled whole', '6 cups crushed'] });
  if (reading.kind !== 'form') throw new Error('no ways');
  const kg = reading.ways.map((way) => readHarvest(way, 'strawberry', 'lb'));
  expect(kg).toEqual([
    expect.objectContaining({ kind: 'mass', told: '6 cups hulled whole' }),
    expect.objectContaining({ kind: 'mass', told: '6 cups crushed' }),
  ]);
  // The household's own cup stands before the book's, and part of a sum that is not read stops all of it.
  const cup: OwnMeasure = { crop: 'strawberry', measure: 'cup', massKg: 0.2 };
  expect(readHarvest('6 cups', 'strawberry', 'lb', [cup])).toMatchObject({
    kind: 'mass',
    massKg: expect.closeTo(1.2, 9),
  });
  expect(readHarvest('3 lb and a lot', 'strawberry', 'lb').kind).toBe('slip');
  const sum = readHarvest('3 lb and 6 cups', 'strawberry', 'lb');
  expect(sum).toMatchObject({ kind: 'form', ways: ['3 lb and 6 cups hulled whole', '3 lb and 6 cups crushed'] });
});

test('every form of every crop is read by its name, and gives what the converter gives', () => {
  for (const { crop, form, cupsPerLb } of FORMS) {
    expect([crop, form, readHarvest(`${cupsPerLb} cups ${form}`, crop, 'lb')]).toEqual([
      ...[crop, form],
      expect.objectContaining({ kind: 'mass', massKg: expect.closeTo(LB, 6) }),
    ]);
  }
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
  // Three bags are three, whatever a bag holds, and half of them two.
  const three = { told: '3 gallon bags', massKg: 9 };
  expect([9, 6, 4.5, 0.1].map((kg) => freezerBags('blackberry', kg, three))).toEqual([3, 2, 2, 1]);
});
