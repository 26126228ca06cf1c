import fc from 'fast-check';
import { chanceFrom } from '../../bench/chance';
import { livedThrough, simulateUse } from '../../bench/simulatedPantry';
import { type Planting } from '../harvest/planting';
import { bestBy } from './keepsUntil';
import { isInSeason, nextCropAt } from './nextCrop';
import { proposeGoal, runOut, usedWithin } from './runOut';
import { learnUse, jarsPerMonth } from './useModel';
import { UseBook } from './useRecord';

const DAY = 24 * 60 * 60_000;
const SEPTEMBER = Date.UTC(2025, 8, 1);

/** A product that is used so often a month, told day by day. */
function bookOf(perMonth: number, months: number, from = SEPTEMBER) {
  const book = new UseBook();
  book.add(from, 400, 0);
  book.putUp(from, Math.round(perMonth * 12));
  const uses = Math.round(perMonth * months);
  for (let i = 0; i < uses; i++) book.add(from + ((i + 0.5) / uses) * months * 30.4 * DAY, -1, 1);
  return book.record('plums', 'pint', from + months * 30.4 * DAY);
}

// The issue's own number: 8 in 10 must hold 75 to 85 %. The households are not drawn from the model: docs/pantry-forecast.md.
test('after six months of use the interval of the run-out holds in 75 to 85 % of simulated households', () => {
  const chance = chanceFrom(20_261_125);
  let [held, asked] = [0, 0];
  while (asked < 700) {
    const use = simulateUse(chance);
    const told = chance.uniform(0, 1) < 0.5 ? use.perMonth * Math.exp(chance.normal(0, 0.4)) : undefined;
    const putUp = Math.max(3, Math.round(12 * use.perMonth * Math.exp(chance.normal(0, 0.35))));
    const book = new UseBook();
    book.add(SEPTEMBER, putUp, 0);
    book.putUp(SEPTEMBER, putUp);
    const { taken, left } = livedThrough(use, SEPTEMBER, 182, putUp);
    if (left === 0) continue;
    for (const { at, jars } of taken) book.add(at, -jars, jars);
    const now = SEPTEMBER + 182 * DAY;
    const model = learnUse(book.record('plums', 'pint', now), told);
    const { at } = runOut(model, left, { now, bestUntil: now + 200 * DAY }, asked);
    const real = livedThrough(use, now, 1_095, left).emptyAt;
    asked += 1;
    held += Number(at.p10 <= real && real <= at.p90);
  }
  expect(held / asked).toBeGreaterThan(0.75);
  expect(held / asked).toBeLessThan(0.85);
});

test.each([0.5, 3, 12])('two years of %d a month are learned, whatever was said at first', (perMonth) => {
  expect(jarsPerMonth(learnUse(bookOf(perMonth, 24), 30)) / perMonth).toBeCloseTo(1, 0);
});

test('with no use yet the household’s own word is the middle, and a word surer than none', () => {
  const said = learnUse(undefined, 6);
  expect(jarsPerMonth(said)).toBeCloseTo(6, 1);
  const width = (perMonth?: number) => {
    const { p10, p90 } = usedWithin(learnUse(undefined, perMonth), SEPTEMBER, SEPTEMBER + 365 * DAY);
    return p90 / Math.max(1, p10);
  };
  expect(width(1)).toBeLessThan(width());
});

test('more jars last longer, never shorter; short and too many cannot both be likely', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), fc.nat(9), (jars, more, rate) => {
      const model = learnUse(bookOf(rate / 2 + 0.3, 9));
      const asked = { now: SEPTEMBER, nextCropAt: SEPTEMBER + 330 * DAY, bestUntil: SEPTEMBER + 365 * DAY };
      const [few, many] = [runOut(model, jars, asked, 3), runOut(model, jars + more, asked, 3)];
      expect(many.at.p50).toBeGreaterThanOrEqual(few.at.p50);
      expect(many.short.p50).toBeLessThanOrEqual(few.short.p50);
      expect(Math.min(few.short.p50, few.tooMany.p50)).toBe(0);
      expect(few.at.p10).toBeLessThanOrEqual(few.at.p90);
    }),
    { numRuns: 15 },
  );
});

test('a goal is never more than is likely eaten while it is at its best', () => {
  for (const rate of [0.3, 2, 9]) {
    const model = learnUse(bookOf(rate, 12));
    for (const months of [12, 18] as const) {
      const inItsBest = usedWithin(model, SEPTEMBER, bestBy(SEPTEMBER, months), 5);
      expect(proposeGoal(model, SEPTEMBER, months, 5)).toBeLessThanOrEqual(Math.ceil(inItsBest.p50));
    }
    expect(proposeGoal(model, SEPTEMBER, 18, 5)).toBeGreaterThanOrEqual(proposeGoal(model, SEPTEMBER, 12, 5));
  }
});

test('the next crop is the garden’s first week of it, else when it was made before; a season may be on now', () => {
  const weeks = { firstWeek: 34, peakWeek: 35, lastWeek: 37 };
  const planting: Planting = { id: 'p', name: 'Plum', crop: 'plum', count: 1, unit: 'trees', usualKg: null, ...weeks };
  const may = Date.UTC(2026, 4, 1);
  const week34 = Date.UTC(2026, 0) + 33 * 7 * DAY;
  expect(nextCropAt('plums', undefined, [planting], may)).toBe(week34);
  expect(nextCropAt('plums', undefined, [planting], week34 + DAY)).toBe(Date.UTC(2027, 0) + 33 * 7 * DAY);
  expect([may, week34 + DAY].map((at) => isInSeason('plums', [planting], at))).toEqual([false, true]);
  expect(nextCropAt('plums', undefined, [], may)).toBeUndefined();
  expect(new Date(nextCropAt('plums', bookOf(2, 3), [], may)!).toISOString().slice(5, 10)).toBe('09-01');
});
