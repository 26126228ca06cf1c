import fc from 'fast-check';
import { productRow } from '../handbook/products';
import { formulasOf, RECIPES } from '../handbook/recipes';
import { measuredIngredient, measureGate, potCups } from './measureGate';

const CUP = 236.588_236_5; // NIST Handbook 44, Appendix C
const strawberry = formulasOf('jam-with-pectin').find(({ mainInputs }) => mainInputs.startsWith('strawberry'))!;
const berry = formulasOf('jam-no-pectin')[0]!;
const gate = (formula: typeof berry, cups: number) => measureGate(productRow(formula.product), formula, cups * CUP)!;

// USDA Complete Guide to Home Canning, 2015, guide 7, and the National Center: 5 1/2 cups crushed strawberries, 8 of sugar
// and a box of pectin give 9 to 10 half-pints; 4 cups crushed berries and 4 of sugar give 3 to 4.
test('a box of pectin sets one batch: too little waits, more is so many whole batches and a rest', () => {
  expect(gate(strawberry, 4)).toEqual({ kind: 'wait', missingMl: expect.closeTo(1.5 * CUP, 6) });
  expect(gate(strawberry, 5.5)).toMatchObject({ kind: 'make', batches: 1, factor: 1, jars: { low: 9, high: 10 } });
  expect(gate(strawberry, 13)).toMatchObject({ batches: 2, factor: 1, leftMl: expect.closeTo(2 * CUP, 6) });
});

test('long-boil jam is made smaller in proportion, and larger in pots side by side', () => {
  expect(gate(berry, 3)).toMatchObject({ batches: 1, factor: 0.75, jars: { low: 2, high: 3 } });
  expect(gate(berry, 6)).toMatchObject({ batches: 2, factor: 0.75, jars: { low: 4, high: 6 } });
});

test('whatever is measured: nothing is made of more than is there, no pot holds more than one formula, nothing is lost', () => {
  const measured = RECIPES.filter((row) => row.confidence !== 'low' && measuredIngredient(row));
  expect(measured.length).toBeGreaterThan(20);
  fc.assert(
    fc.property(fc.constantFrom(...measured), fc.double({ min: 0.1, max: 80, noNaN: true }), (formula, cups) => {
      const product = productRow(formula.product);
      const main = measuredIngredient(formula)!;
      const said = measureGate(product, formula, cups * CUP)!;
      if (said.kind === 'wait') {
        expect(said.missingMl + cups * CUP).toBeCloseTo(main.ml, 6);
        return;
      }
      expect(said.batches * said.factor * main.ml + said.leftMl).toBeCloseTo(cups * CUP, 6);
      if (!product.mayDouble) expect(said.factor).toBeLessThanOrEqual(1 + 1e-9);
      expect(potCups(product, said.ingredients)).toBeGreaterThan(0);
    }),
  );
});

test('a jam pot is taken three times as large as what goes in', () => {
  const said = gate(berry, 4);
  if (said.kind !== 'make') throw new Error('wait');
  expect(potCups(productRow('jam-no-pectin'), said.ingredients)).toBeCloseTo(3 * 8, 6);
});
