import { typedAfter } from '@/ui/Keypad';
import { newDraft, pickFrom, readDraft, withAnd } from './usePickEntry';

const NOW = new Date(2026, 7, 29, 8).getTime();
const DAY = 24 * 60 * 60_000;
const LB = 0.45359237;
const draft = { ...newDraft('tomato-paste'), amount: '68', soft: '12' };
const read = (more: object = {}) => readDraft({ ...draft, ...more }, [], NOW);

test('68 lb of which 12 soft becomes one pick as told', () => {
  const reading = read({ when: '1' });
  expect(reading).toEqual({
    kind: 'ready',
    massKg: expect.closeTo(68 * LB, 6),
    softKg: expect.closeTo(12 * LB, 6),
    told: '68 lb',
    pickedAt: NOW - DAY,
  });
  if (reading.kind !== 'ready') return;
  expect(pickFrom({ ...draft, ripeness: 'firm' }, reading, 'id')).toMatchObject({
    id: 'id',
    ripeness: 'firm',
    source: 'garden',
    pickedAt: NOW - DAY,
  });
  expect(pickFrom({ ...draft, source: 'bought', plantingId: 'bed' }, reading, 'id').plantingId).toBeNull();
});

test('all of it soft needs no second figure', () => {
  expect(read({ ripeness: 'soft', soft: '' })).toMatchObject({ softKg: expect.closeTo(68 * LB, 6) });
});

// NIST Handbook 44 and the bushel of 53 lb: what is typed by hand overrides the chosen measure.
test.each([
  ['½ bushel', 26.5, '½ bushel'],
  ['1 1/4 pecks', 1.25 * 13.25, '1 1/4 pecks'],
  ['1,5', 1.5, '1,5 lb'],
  ['half bushel', 26.5, '1 half bushel'],
])('%j is %d lb', (amount, lb, told) => {
  expect(read({ amount, soft: '' })).toMatchObject({ kind: 'ready', massKg: expect.closeTo(lb * LB, 6), told });
});

test.each([
  [{ amount: '-3', soft: '' }, 'amount'],
  [{ amount: 'a few', soft: '' }, 'amount'],
  [{ amount: '10,000 bushels', soft: '' }, 'amount'],
  [{ amount: '12', soft: '13' }, 'soft'],
  [{ amount: '12', soft: 'some' }, 'soft'],
  [{ when: 'other', day: 'someday' }, 'day'],
  [{ when: 'other', day: '31 Aug' }, 'day'],
  [{ when: 'other', day: '2025-08-20' }, 'day'],
])('%j is a slip of %s, told in a sentence', (more, field) => {
  expect(read(more)).toEqual({ kind: 'slip', field, sentence: expect.stringMatching(/[.?]$/) });
});

test.each(['18 Aug', 'Aug 18', '2026-08-18', '8/18', '18 August'])('%j is the noon of that day', (day) => {
  expect(read({ when: 'other', day })).toMatchObject({ pickedAt: new Date(2026, 7, 18, 12).getTime() });
});

test.each(['', '   ', '0'])('%j is nothing yet, without reproach', (amount) =>
  expect(read({ amount, soft: '' })).toEqual({ kind: 'empty' }),
);

test('a measure that has no weight for the crop is asked about, and read once it is known', () => {
  const bushel = { ...newDraft('tomatillo'), amount: '2', unit: 'bushel' as const };
  expect(readDraft(bushel, [], NOW)).toMatchObject({ kind: 'ask', measure: 'bushel' });
  const known = [{ crop: 'tomatillo' as const, measure: 'bushel', massKg: 18 }];
  expect(readDraft(bushel, known, NOW)).toMatchObject({ kind: 'ready', massKg: 36, told: '2 bushels' });
});

test('with the keys alone a sum of measures is told: three bags, and two pounds, and half a cup', () => {
  let typed = { ...draft, amount: '3', vessel: 'gallon bag', soft: '' };
  typed = { ...typed, ...withAnd(typed, 'amount') };
  expect(typed).toMatchObject({ amount: '3 gallon bags and ', vessel: '' });
  typed = { ...typed, amount: typedAfter(typed.amount, '2') };
  // Tomatoes are frozen peeled: a bag is a gallon of them, 2 cups to the pound.
  expect(readDraft({ ...typed, crop: 'tomatillo' }, [], NOW)).toMatchObject({
    kind: 'ready',
    massKg: expect.closeTo((3 * 16 * LB) / 2.5 + 2 * LB, 6),
    told: '3 gallon bags chopped and 2 lb',
  });
  typed = { ...typed, ...withAnd(typed, 'amount') };
  expect(typed.amount).toBe('3 gallon bags and 2 lb and ');
  // Rubbed out, a word goes as a whole.
  expect(['back', 'back'].reduce(typedAfter, typed.amount)).toBe('3 gallon bags and 2');
  // Nothing typed after the last "and" is nothing more.
  expect(readDraft({ ...typed, crop: 'tomatillo' }, [], NOW)).toMatchObject({ told: '3 gallon bags chopped and 2 lb' });
});
