import { massOf } from './massOf';

const KG_PER_LB = 0.45359237; // NIST Handbook 44, Appendix C

// USDA Complete Guide to Home Canning, 2015, guides 2 and 3: a bushel of tomatoes weighs 53 lb, of plums 56 lb.
test.each([
  [1, 'lb', 'tomato-paste', 1],
  [1, 'bushel', 'tomato-paste', 53],
  [2, 'half-bushel', 'tomato-paste', 53],
  [4, 'peck', 'damson', 56],
  // 5 US gallons of 231 cubic inches in a bushel of 2,150.42: 0.5371 bushels.
  [1, 'five-gallon-bucket', 'tomato-paste', 28.466],
] as const)('%d %s of %s is %d lb', (value, unit, crop, lb) => {
  expect(massOf({ value, unit }, crop)).toEqual({ kind: 'mass', massKg: expect.closeTo(lb * KG_PER_LB, 3) });
});

test.each([
  ['nothing', { value: 0, unit: 'lb' }, 'tomato-paste'],
  ['less than nothing', { value: -4, unit: 'lb' }, 'tomato-paste'],
  ['ten thousand bushels', { value: 10_000, unit: 'bushel' }, 'tomato-paste'],
  ['a bushel of a crop without a published bushel', { value: 1, unit: 'bushel' }, 'tomatillo'],
  ['not a number', { value: NaN, unit: 'kg' }, 'tomato-paste'],
] as const)('%s is refused with a sentence', (_, amount, crop) => {
  expect(massOf(amount, crop)).toMatchObject({ kind: 'refusal', reason: expect.stringMatching(/\.$/) });
});
