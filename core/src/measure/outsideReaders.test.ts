import convert, { type Unit as OtherUnit } from 'convert-units';
import fc from 'fast-check';
import { numericQuantity } from 'numeric-quantity';
import { type Unit } from './amount';
import { convertAmount } from './convertAmount';
import { printFraction } from './fraction';
import { readNumber } from './readNumber';

// Two packages that know nothing of this project: one reads quantities as recipes write them, one converts units.

const SIGNS = ['¼', '½', '¾', '⅓', '⅔', '⅛', '⅜', '⅝', '⅞'];

test('figures as cooks type them are read as another reader of quantities reads them', () => {
  const whole = fc.nat(2_000);
  const written = fc.oneof(
    whole.map(String),
    fc
      .tuple(whole, fc.integer({ min: 1, max: 15 }), fc.integer({ min: 1, max: 16 }))
      .map(([w, a, b]) => `${w} ${a}/${b}`),
    fc.tuple(whole, fc.constantFrom(...SIGNS)).map(([w, sign]) => `${w}${sign}`),
    fc.tuple(whole, fc.constantFrom(...SIGNS)).map(([w, sign]) => `${w} ${sign}`),
    fc.constantFrom(...SIGNS),
    fc.tuple(whole, fc.integer({ min: 0, max: 999 })).map(([w, part]) => `${w}.${part}`),
  );
  fc.assert(
    fc.property(written, (text) => {
      const other = numericQuantity(text, { round: false });
      expect(readNumber(text)).toEqual({ kind: 'number', value: expect.closeTo(other, 9) });
    }),
    { numRuns: 2_000 },
  );
});

test('what is printed is read by the other reader as near as the finest part', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), fc.constantFrom(4, 8, 16), (value, parts) => {
      expect(Math.abs(numericQuantity(printFraction(value, parts), { round: false }) - value)).toBeLessThanOrEqual(
        0.5 / parts + 1e-9,
      );
    }),
  );
});

/** Its figures are rounded to five digits or so, hence the tolerance. */
const KNOWN: readonly (readonly [Unit, OtherUnit])[] = [
  ['tsp', 'tsp'],
  ['tbsp', 'Tbs'],
  ['cup', 'cup'],
  ['pint', 'pnt'],
  ['quart', 'qt'],
  ['gallon-bag', 'gal'],
  ['l', 'l'],
  ['ml', 'ml'],
];
const MASSES: readonly (readonly [Unit, OtherUnit])[] = [
  ['lb', 'lb'],
  ['oz', 'oz'],
  ['kg', 'kg'],
  ['g', 'g'],
];

test.each([
  ['volumes', KNOWN],
  ['masses', MASSES],
])('%s convert as another converter of units says', (_, units) => {
  for (const [from, otherFrom] of units) {
    for (const [to, otherTo] of units) {
      const said = convertAmount({ value: 1, unit: from }, to);
      const other = convert(1).from(otherFrom).to(otherTo);
      expect(said.kind === 'converted' ? said.value / other : NaN).toBeCloseTo(1, 4);
    }
  }
});
