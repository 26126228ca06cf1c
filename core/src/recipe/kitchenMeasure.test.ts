import fc from 'fast-check';
import { ROLES } from '../handbook/cards/card';
import { type CardAmount, UNIT_SIZES } from '../handbook/cards/cardAmount';
import { KG_PER_LB, ML_PER_CUP, ML_PER_TSP } from '../measure/amount';
import { readIngredientLine } from './ingredientLine';
import { kitchenMeasure, measureWords, roundingOf, sumOf, timesOf } from './kitchenMeasure';

const anyRole = fc.constantFrom(...ROLES);
const anyTimes = fc.double({ min: 0.05, max: 20, noNaN: true });
const volume = fc
  .record({ unit: fc.constantFrom('tsp', 'tbsp', 'cup', 'quart'), count: fc.integer({ min: 1, max: 24 }) })
  .map(({ unit, count }): CardAmount => {
    const ml = (count / 4) * UNIT_SIZES[unit as 'cup'].size;
    return { of: 'ml', low: ml, high: ml, unit: unit as 'cup' };
  });
const mass = fc.integer({ min: 1, max: 80 }).map((count): CardAmount => {
  const kg = (count / 4) * KG_PER_LB;
  return { of: 'kg', low: kg, high: kg, unit: 'lb' };
});
const exactOf = (amount: CardAmount) => (amount.of === 'words' ? NaN : amount.high);

// Handbook rule 2: acid is never rounded down; what thins it, never up.
test('acid is rounded up, what thins it down, and nothing by more than a measure a kitchen has', () => {
  fc.assert(
    fc.property(anyRole, fc.oneof(volume, mass), anyTimes, (role, amount, times) => {
      const exact = exactOf(amount) * times;
      const measure = kitchenMeasure(role, amount, times);
      if (measure.of === 'words') throw new Error('a figure became words');
      const { up, down } = roundingOf(role);
      const smallest = measure.of === 'ml' ? ML_PER_TSP / 16 : KG_PER_LB / 64;
      expect(measure.value).toBeGreaterThan(0);
      if (up) expect(measure.value).toBeGreaterThanOrEqual(exact - 1e-6);
      // A pinch is the least there is.
      if (down && exact > smallest) expect(measure.value).toBeLessThanOrEqual(exact + 1e-6);
      const step = measure.of === 'ml' ? Math.max(ML_PER_CUP / 4, exact / 8) : Math.max(KG_PER_LB / 8, 0);
      expect(Math.abs(measure.value - exact)).toBeLessThanOrEqual(step + 1e-6);
    }),
  );
});

test('what is printed for a cook is read back as the same amount by the reader of written lines', () => {
  fc.assert(
    fc.property(anyRole, fc.oneof(volume, mass), anyTimes, (role, amount, times) => {
      const measure = kitchenMeasure(role, amount, times);
      const said = measureWords(measure, 'us', role);
      const read = readIngredientLine(`${said} sugar`);
      if (measure.of === 'words' || !read.amount) throw new Error(`${said} was not read`);
      expect([said, read.amount.of, read.amount.high / measure.value]).toEqual([
        said,
        measure.of,
        expect.closeTo(1, 2),
      ]);
    }),
  );
});

test('in a metric kitchen an amount is the same in grams and litres, acid never less and water never more', () => {
  fc.assert(
    fc.property(anyRole, fc.oneof(volume, mass), anyTimes, (role, amount, times) => {
      const measure = kitchenMeasure(role, amount, times);
      if (measure.of === 'words') throw new Error('a figure became words');
      const said = measureWords(measure, 'metric', role);
      if (measure.of === 'ml' && measure.value < 59.2) {
        expect(said).toBe(measureWords(measure, 'us', role));
        return;
      }
      const [, figure = '', unit = ''] = /^([\d.]+) (ml|l|g|kg)$/.exec(said) ?? [];
      const value = Number(figure) * (unit === 'l' ? 1_000 : unit === 'g' ? 0.001 : 1);
      const { up, down } = roundingOf(role);
      if (up) expect(value).toBeGreaterThanOrEqual(measure.value * (1 - 1e-6));
      if (down && measure.value > 0.5) expect(value).toBeLessThanOrEqual(measure.value * (1 + 1e-6));
      const coarsest = measure.of === 'ml' ? Math.max(10, 0.01 * measure.value) : Math.max(0.01, 0.001);
      expect([said, Math.abs(value - measure.value) <= coarsest + 1e-9]).toEqual([said, true]);
    }),
  );
});

test('so many times a measure is it added up so often, and words stay words', () => {
  fc.assert(
    fc.property(volume, fc.integer({ min: 1, max: 12 }), (amount, count) => {
      const one = kitchenMeasure('sugar', amount, 1);
      const all = Array.from({ length: count - 1 }, () => one).reduce(sumOf, one);
      const times = timesOf(one, count);
      if (all.of === 'words' || times.of === 'words') throw new Error('a figure became words');
      expect(all.value).toBeCloseTo(times.value, 6);
    }),
  );
  const cover = { of: 'words', words: 'to cover' } as const;
  expect([timesOf(cover, 3), sumOf(cover, cover), measureWords(cover)]).toEqual([cover, cover, 'to cover']);
});
