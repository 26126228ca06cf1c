import { type PlanChange } from '@hoddle/core/season/report/planChanges';
import { type ReportedBatch, type ReportedGoal } from '@hoddle/core/season/report/seasonReport';
import { monthsOf, ribbonScale, tiersOf } from './ribbonLayout';
import { type SeasonPin } from '@hoddle/core/season/problem/seasonProblem';
import { reportedJars, madeOfWords } from '@hoddle/core/season/report/reportedWords';
import { changeWords, dayShort, shortWords, takingWords } from '@/household/season/seasonWords';

const pounds = (kg: number) => `${Math.round(kg * 2.204_62)} lb`;
const batch: ReportedBatch = {
  ...{ recipe: 'r', product: 'tomatoes-crushed', jar: 'quart', jars: 14, loads: 2, thawed: false, overnight: false },
  ...{ handsMinutes: 150, crops: [{ crop: 'tomato-paste', massKg: 20 }] },
};
const goal: ReportedGoal = {
  ...{ product: 'tomatoes-crushed', jar: 'quart', priority: 'staple', want: 42, have: 5, planned: 28 },
  range: { p10: 30, p50: 33, p90: 33 },
};

test('a batch, its produce, and where that comes from are sentences', () => {
  expect(reportedJars(batch)).toBe('14 quarts crushed tomatoes');
  expect(dayShort('2026-09-05')).toBe('Saturday 5 Sep');
  expect(madeOfWords(batch, pounds)).toBe('44 lb paste tomatoes');
  expect(madeOfWords({ ...batch, thawed: true }, pounds)).toBe('44 lb paste tomatoes, some of it from the freezer');
  expect(madeOfWords({ ...batch, from: 'thin juice' }, pounds)).toBe('from the thin juice of the same day');
  const taking = { crop: 'tomato-paste', onHandKg: 8, toPickKg: 12, thawedKg: 0.01, chilledKg: 5 } as const;
  expect(takingWords(taking, pounds)).toBe(
    'Paste tomatoes: 18 lb on hand, 26 lb still to be picked; keep 11 lb of it in the refrigerator until then',
  );
});

test('why a goal stays short says how much of what would do', () => {
  const short = (part: object) => shortWords({ ...goal, short: { jars: 9, ...part } as never }, pounds);
  expect(shortWords(goal, pounds)).toBeUndefined();
  expect(short({ kind: 'lids' })).toBe('9 quarts more would need lids or jars');
  expect(short({ kind: 'produce', crop: 'tomato-paste', massKg: 12 })).toBe(
    '9 quarts more would need 26 lb of paste tomatoes',
  );
  expect(short({ kind: 'days', crop: 'tomato-paste', massKg: 12 })).toBe(
    '9 quarts more would need another day; the 26 lb of paste tomatoes is there',
  );
});

test('every kind of change is told with its days and what it was', () => {
  const day = '2026-09-12';
  const pin = { recipe: batch.recipe, jars: batch.jars };
  const told = (change: Omit<PlanChange, 'batch'>, pins: readonly SeasonPin[] = []) =>
    changeWords({ batch, ...change }, pins).note;
  expect(told({ kind: 'new', day })).toBe('new on Saturday 12 Sep');
  expect(told({ kind: 'gone', day })).toBe('no longer on Saturday 12 Sep');
  expect(told({ kind: 'more', day, was: 7 })).toBe('on Saturday 12 Sep, 7 before');
  expect(told({ kind: 'fewer', day, was: 21 })).toBe('on Saturday 12 Sep, 21 before');
  expect(told({ kind: 'moved', day, fromDay: '2026-09-05', was: 14 })).toBe('from Saturday 5 Sep to Saturday 12 Sep');
  expect(told({ kind: 'moved', day, fromDay: '2026-09-05', was: 9 })).toContain(', 9 before');
  expect(told({ kind: 'gone', day }, [{ ...pin, day }])).toMatch(/Pinned, but it cannot be kept so\.$/);
  expect(told({ kind: 'more', day, was: 7 }, [{ ...pin, day }])).toBe('on Saturday 12 Sep, 7 before');
});

test('a ribbon spans its weeks and days from edge to edge, with its months between', () => {
  const from = new Date(2026, 4, 4).getTime();
  const week = { pickedKg: 0, expectedKg: { p10: 0, p50: 0, p90: 0 } };
  const weeks = Array.from({ length: 12 }, (_, i) => ({ ...week, startAt: from + i * 7 * 24 * 60 * 60_000 }));
  const row = { crop: 'beet', name: 'Beetroot', weeks, pickedKg: 0, remainingKg: week.expectedKg } as const;
  const scale = ribbonScale([row], [new Date(2026, 9, 1).getTime()], 100, 700);
  expect([scale.x(scale.fromAt), scale.x(scale.toAt)]).toEqual([100, 700]);
  expect(scale.toAt).toBe(new Date(2026, 9, 1).getTime());
  expect(monthsOf(scale).map((at) => new Date(at).getMonth())).toEqual([5, 6, 7, 8, 9]);
});

test('plates that would cover each other stand in different tiers, as long as there are tiers', () => {
  expect(tiersOf([0, 10, 20, 200], 30, 3)).toEqual([0, 1, 2, 0]);
  expect(tiersOf([0, 40, 80], 30, 3)).toEqual([0, 0, 0]);
  // A fourth one takes the tier that was left longest ago.
  expect(tiersOf([0, 10, 20, 25], 30, 3)).toEqual([0, 1, 2, 0]);
  expect(tiersOf([0, 10, 20, 25, 35], 30, 5)).toEqual([0, 1, 2, 3, 0]);
  expect(tiersOf([], 30, 2)).toEqual([]);
});
