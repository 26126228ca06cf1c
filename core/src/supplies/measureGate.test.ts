import fc from 'fast-check';
import { measuredIngredient } from '../handbook/measuredIngredient';
import { productRow } from '../handbook/products';
import { formulasOf, RECIPES } from '../handbook/recipes';
import { measureGate, potCups } from './measureGate';

const strawberry = formulasOf('jam-with-pectin').find(({ mainInputs }) => mainInputs.startsWith('strawberry'))!;
const berry = formulasOf('jam-no-pectin')[0]!;
const gate = (formula: typeof berry, cups: number) => measureGate(productRow(formula.product), formula, cups)!;

// USDA Complete Guide to Home Canning, 2015, guide 7, and the National Center: 5 1/2 cups crushed strawberries, 8 of sugar
// and a box of pectin give 9 to 10 half-pints; 4 cups crushed berries and 4 of sugar give 3 to 4.
test('a box of pectin sets one batch: too little waits, more is so many whole batches and a rest', () => {
  expect(gate(strawberry, 4)).toEqual({ kind: 'wait', missing: expect.closeTo(1.5, 9) });
  expect(gate(strawberry, 5.5)).toMatchObject({ kind: 'make', batches: 1, factor: 1, jars: { low: 9, high: 10 } });
  expect(gate(strawberry, 13)).toMatchObject({ batches: 2, factor: 1, left: expect.closeTo(2, 9) });
});

test('long-boil jam is made smaller in proportion, and larger in pots side by side', () => {
  expect(gate(berry, 3)).toMatchObject({ batches: 1, factor: 0.75, jars: { low: 2, high: 3 } });
  expect(gate(berry, 6)).toMatchObject({ batches: 2, factor: 0.75, jars: { low: 4, high: 6 } });
});

test('whatever is measured: nothing is made of more than is there, no pot holds more than one formula, nothing is lost', () => {
  const measured = RECIPES.filter((row) => row.confidence !== 'low' && measuredIngredient(row));
  expect(measured.length).toBeGreaterThan(55);
  fc.assert(
    fc.property(fc.constantFrom(...measured), fc.double({ min: 0.1, max: 80, noNaN: true }), (formula, amount) => {
      const product = productRow(formula.product);
      const main = measuredIngredient(formula)!;
      const said = measureGate(product, formula, amount)!;
      if (said.kind === 'wait') {
        expect(said.missing + amount).toBeCloseTo(main.perBatch, 9);
        return;
      }
      expect(said.batches * said.factor * main.perBatch + said.left).toBeCloseTo(amount, 9);
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

// USDA Complete Guide to Home Canning, 2015, guide 6: 7 lb of beets and 4 cups of vinegar give 8 pints.
test('what is measured by the pound is worked out by the pound', () => {
  const beets = formulasOf('pickled-beets')[0]!;
  expect(measuredIngredient(beets)).toMatchObject({ unit: 'lb', perBatch: expect.closeTo(7, 9) });
  expect(gate(beets, 14)).toMatchObject({ batches: 1, factor: expect.closeTo(2, 9), jars: { low: 16, high: 16 } });
});
