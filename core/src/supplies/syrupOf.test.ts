import fc from 'fast-check';
import { CARDS } from '../handbook/cards';
import { ML_PER_CUP } from '../measure/amount';
import { recipeFor } from '../recipe/recipeFor';
import { LIGHT_PERCENT, MOST_PERCENT_SUGAR, syrupOf } from './syrupOf';

// USDA Complete Guide to Home Canning, 2015, guide 2, "Preparing and using syrups": cups of water and sugar.
test.each([
  [10, 6.5, 0.75, 10.5, 1.25],
  [20, 5.75, 1.5, 9, 2.25],
  [30, 5.25, 2.25, 8.25, 3.75],
  [40, 5, 3.25, 7.75, 5.25],
  [50, 4.25, 4.25, 6.5, 6.75],
])('%d %% for 9 pints and for 7 quarts is within an eighth of a cup of the table', (percent, w9, s9, w7, s7) => {
  const [pints, quarts] = [syrupOf(percent, 'pint', 9), syrupOf(percent, 'quart', 7)];
  for (const [said, printed] of [
    [pints.waterCups, w9],
    [pints.sugarCups, s9],
    [quarts.waterCups, w7],
    [quarts.sugarCups, s7],
  ] as const) {
    expect(Math.abs(said - printed)).toBeLessThanOrEqual(1 / 8);
  }
});

test('a stronger syrup never takes less sugar nor more water; more jars never less of either', () => {
  const percent = fc.double({ min: 0, max: MOST_PERCENT_SUGAR, noNaN: true });
  const jars = fc.integer({ min: 1, max: 60 });
  fc.assert(
    fc.property(
      percent,
      percent,
      jars,
      jars,
      fc.constantFrom('pint' as const, 'quart' as const),
      (a, b, n, more, jar) => {
        const [weak, strong] = [syrupOf(Math.min(a, b), jar, n), syrupOf(Math.max(a, b), jar, n)];
        expect(strong.sugarCups).toBeGreaterThanOrEqual(weak.sugarCups);
        expect(strong.waterCups).toBeLessThanOrEqual(weak.waterCups);
        const larger = syrupOf(a, jar, n + more);
        const smaller = syrupOf(a, jar, n);
        expect(larger.waterCups >= smaller.waterCups && larger.sugarCups >= smaller.sugarCups).toBe(true);
      },
    ),
  );
});

test('lighter than the lightest is said to be taste only, and has a name nowhere', () => {
  expect(syrupOf(5, 'quart', 7)).toMatchObject({ tasteOnly: true, sugarCups: 0.625 });
  expect(syrupOf(5, 'quart', 7).published).toBeUndefined();
  expect(syrupOf(0, 'pint', 9).sugarCups).toBe(0);
  expect(syrupOf(20, 'pint', 9)).toMatchObject({ tasteOnly: false, published: 'light' });
  for (const percent of [-1, 51, NaN]) expect(() => syrupOf(percent, 'pint', 9)).toThrow(RangeError);
});

test('the cards of fruit in syrup make the same light syrup as the table of syrups, for any jars', () => {
  const inSyrup = CARDS.filter((card) =>
    card.ingredients.some(({ into, item }) => into === 'syrup' && /light syrup/.test(item)),
  );
  expect(inSyrup.length).toBeGreaterThan(8);
  fc.assert(
    fc.property(
      fc.constantFrom(...inSyrup),
      fc.constantFrom('pint' as const, 'quart' as const),
      fc.integer({ min: 1, max: 40 }),
      (card, jar, count) => {
        const { waterCups, sugarCups } = syrupOf(LIGHT_PERCENT, jar, count);
        const { lines } = recipeFor(card, { jars: [{ jar, count }] });
        const cupsOf = (role: string) =>
          lines.flatMap(({ line, all }) =>
            line.into === 'syrup' && line.role === role && all.of === 'ml' ? all.value : [],
          );
        expect(cupsOf('water')).toEqual([expect.closeTo(waterCups * ML_PER_CUP, 6)]);
        expect(cupsOf('sugar')).toEqual([expect.closeTo(sugarCups * ML_PER_CUP, 6)]);
      },
    ),
  );
});
