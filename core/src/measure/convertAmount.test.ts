import fc from 'fast-check';
import { type Unit, UNIT_IDS } from './amount';
import { convertAmount, type ProduceFigures } from './convertAmount';

const value = (amount: number, unit: Unit, to: Unit, produce?: ProduceFigures) => {
  const said = convertAmount({ value: amount, unit }, to, produce);
  if (said.kind === 'refusal') throw new Error(said.reason);
  return said.value;
};

// NIST Handbook 44, Appendix C, "General tables of units of measurement": exact where the page is exact, else its digits.
test.each([
  [1, 'lb', 'g', 453.592_37],
  [1, 'lb', 'oz', 16],
  [1, 'oz', 'g', 28.349_523_125],
  [1, 'quart', 'l', 0.946_352_946],
  [1, 'pint', 'ml', 473.176_473],
  [1, 'cup', 'ml', 236.588_236_5],
  [1, 'cup', 'tbsp', 16],
  [1, 'tbsp', 'tsp', 3],
  [1, 'tsp', 'ml', 4.928_921_593_75],
  [1, 'quart', 'cup', 4],
  [1, 'gallon-bag', 'quart', 4],
  [1, 'bushel', 'peck', 4],
  [1, 'half-bushel', 'peck', 2],
] as const)('%d %s is %s, %d', (amount, unit, to, expected) => {
  expect(value(amount, unit, to)).toBeCloseTo(expected, 9);
});

const full: ProduceFigures = {
  words: 'strawberries, crushed',
  bushelLb: 36,
  lugLb: 20,
  quartBoxLb: 1.5,
  cupsPerLb: 1.22,
  cupsPerPiece: 0.75,
};

test('there and back again is the same amount, between any two units of a crop that all is known of', () => {
  const unit = fc.constantFrom(...UNIT_IDS);
  fc.assert(
    fc.property(unit, unit, fc.double({ min: 0.01, max: 1_000, noNaN: true }), (from, to, amount) => {
      expect(value(value(amount, from, to, full), to, from, full) / amount).toBeCloseTo(1, 9);
    }),
  );
});

test('any way round gives the same: by a third unit or at once', () => {
  const unit = fc.constantFrom(...UNIT_IDS);
  fc.assert(
    fc.property(unit, unit, unit, (from, over, to) => {
      expect(value(value(1, from, over, full), over, to, full) / value(1, from, to, full)).toBeCloseTo(1, 9);
    }),
  );
});

test('what is not published is refused with what would do', () => {
  expect(convertAmount({ value: 1, unit: 'bushel' }, 'lb', { words: 'tomatillos' })).toEqual({
    kind: 'refusal',
    reason: 'No published weight for a bushel of tomatillos.',
    instead: ['lb', 'kg'],
  });
  expect(convertAmount({ value: 5, unit: 'cup' }, 'lb', { words: 'quinces', bushelLb: 48 }).kind).toBe('refusal');
  expect(convertAmount({ value: 5, unit: 'count' }, 'cup', { words: 'apples' }).kind).toBe('refusal');
});
