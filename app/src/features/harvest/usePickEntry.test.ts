import { type PickDraft, pickFrom, readDraft } from './usePickEntry';

const draft: PickDraft = { crop: 'tomato-paste', amount: '68', soft: '12', unit: 'lb', place: 'cool', daysAgo: 0 };
const LB = 0.45359237;

test('68 lb of which 12 soft becomes one pick as told', () => {
  const reading = readDraft(draft);
  expect(reading).toEqual({
    kind: 'ready',
    massKg: expect.closeTo(68 * LB, 6),
    softKg: expect.closeTo(12 * LB, 6),
    told: '68 lb',
  });
  if (reading.kind === 'ready')
    expect(pickFrom({ ...draft, daysAgo: 1 }, reading, 'id', 100_000_000)).toMatchObject({
      id: 'id',
      pickedAt: 100_000_000 - 86_400_000,
    });
});

// NIST Handbook 44 and the bushel of 53 lb: what is typed by hand overrides the chosen measure.
test.each([
  ['½ bushel', 26.5, '½ bushel'],
  ['1 1/4 pecks', 1.25 * 13.25, '1 1/4 pecks'],
  ['1,5', 1.5, '1,5 lb'],
  ['half bushel', 26.5, '1 half bushel'],
])('%j is %d lb', (amount, lb, told) => {
  expect(readDraft({ ...draft, amount, soft: '' })).toEqual({
    kind: 'ready',
    massKg: expect.closeTo(lb * LB, 6),
    softKg: 0,
    told,
  });
});

test.each([
  ['-3', '', 'amount'],
  ['a few', '', 'amount'],
  ['10,000 bushels', '', 'amount'],
  ['12', '13', 'soft'],
  ['12', 'some', 'soft'],
])('%j with %j soft is a slip of %s, told in a sentence', (amount, soft, field) => {
  expect(readDraft({ ...draft, amount, soft })).toEqual({
    kind: 'slip',
    field,
    sentence: expect.stringMatching(/[.?]$/),
  });
});

test.each(['', '   ', '0'])('%j is nothing yet, without reproach', (amount) =>
  expect(readDraft({ ...draft, amount, soft: '' })).toEqual({ kind: 'empty' }),
);
