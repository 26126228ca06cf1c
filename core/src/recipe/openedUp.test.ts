import fc from 'fast-check';
import { ROLES } from '../handbook/cards/card';
import { type CardAmount, UNIT_SIZES } from '../handbook/cards/cardAmount';
import { KG_PER_LB, ML_PER_TSP } from '../measure/amount';
import { readIngredientLine } from './ingredientLine';
import { endOf, kitchenMeasure, measureWords } from './kitchenMeasure';
import { openedUp } from './openedUp';

const anyAmount = fc
  .record({ unit: fc.constantFrom('tsp', 'tbsp', 'cup', 'quart', 'lb'), count: fc.integer({ min: 1, max: 24 }) })
  .map(({ unit, count }): CardAmount => {
    const value = (count / 4) * (unit === 'lb' ? KG_PER_LB : UNIT_SIZES[unit as 'cup'].size);
    return { of: unit === 'lb' ? 'kg' : 'ml', low: value, high: value, unit: unit as 'cup' };
  });

// Whoever halves a page in kitchen measures and writes it down has changed nothing; whoever leaves out a quarter has.
test('what a rounded measure may have been holds what it was, in cups and in litres, and not three quarters of it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...ROLES),
      anyAmount,
      fc.double({ min: 0.1, max: 12, noNaN: true }),
      fc.constantFrom('us' as const, 'metric' as const),
      (role, amount, times, units) => {
        if (amount.of === 'words' || role === 'pectin') return;
        const exact = endOf(role, amount) * times;
        // A pinch is the least there is.
        if (exact < (amount.of === 'kg' ? KG_PER_LB / 64 : ML_PER_TSP / 16)) return;
        const words = measureWords(kitchenMeasure(role, amount, times), units, role);
        const read = readIngredientLine(`${words} sugar`).amount;
        if (!read) throw new Error(`${words} was not read`);
        const { low, high } = openedUp(role, amount.of, read.high);
        const slack = 0.01 * exact + 1e-6;
        expect([words, low - slack <= exact, high + slack >= exact]).toEqual([words, true, true]);
        // From a cup or a pound on, a measure leaves less than a quarter open.
        const isLarge = amount.of === 'kg' ? exact > KG_PER_LB : exact > 240;
        if (isLarge) expect([words, (high - low) / exact < 0.25]).toEqual([words, true]);
      },
    ),
  );
});
