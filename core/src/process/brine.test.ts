import fc from 'fast-check';
import { PRODUCTS, productRow } from '../handbook/products';
import { mixBrine, testedWaterPerVinegar } from './brine';

const CUP = 236.588_236_5;
const vinegar = (cups: number, acidPercent = 5) => ({ ml: cups * CUP, acidPercent });
const water = (cups: number) => ({ ml: cups * CUP, acidPercent: 0 });

// USDA Complete Guide to Home Canning, 2015, guide 6: cups of water and of 5 % vinegar in the formulas.
test.each([
  ['dilled-beans', 4 / 4],
  ['pickled-beets', 2 / 4],
  ['pickled-bell-peppers', 3 / 3],
  ['pickled-hot-peppers', 1 / 5],
  ['quick-fresh-pack-dill', 8 / 6],
  ['bread-and-butter-pickles', 0],
  ['watermelon-rind-pickles', 3 / 3],
  ['cantaloupe-pickles', 2 / 4.5],
  // Salted or boiled in water that is drained away; the brine itself is vinegar.
  ['cucumber-pickle-relish', 0],
  ['green-tomato-relish', 0],
] as const)('%s: %d of water to one of vinegar', (product, proportion) => {
  expect(testedWaterPerVinegar(productRow(product))).toBeCloseTo(proportion, 6);
});

test('no vinegar in the formula, no verdict', () => {
  expect(testedWaterPerVinegar(productRow('jam-no-pectin'))).toBeUndefined();
  expect(testedWaterPerVinegar(productRow('peaches'))).toBeUndefined();
  // A ferment makes its own acid; a pie filling is no brine.
  expect(testedWaterPerVinegar(productRow('dill-fermented'))).toBeUndefined();
  expect(testedWaterPerVinegar(productRow('green-tomato-pie-filling'))).toBeUndefined();
  const withBrine = PRODUCTS.filter((row) => testedWaterPerVinegar(row) !== undefined);
  expect(withBrine.length).toBeGreaterThan(20);
  expect(new Set(withBrine.map(({ productClass }) => productClass))).toEqual(new Set(['pickle']));
  // The most watered is three-bean salad, 1 1/4 cups of water to half a cup of vinegar beside its lemon juice.
  for (const row of withBrine) expect(testedWaterPerVinegar(row)).toBeLessThanOrEqual(2.5 + 1e-9);
});

test('half water, half vinegar of 5 % is 2.5 %', () => {
  expect(mixBrine([vinegar(3), water(3)])).toMatchObject({ acidPercent: 2.5, waterPerVinegar: 1 });
});

test('a mix is never stronger than its strongest nor weaker than its weakest part, and water only thins it', () => {
  const liquid = fc.record({ ml: fc.integer({ min: 1, max: 9_000 }), acidPercent: fc.constantFrom(0, 5, 6, 7, 10) });
  fc.assert(
    fc.property(
      fc.array(liquid, { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 1, max: 5_000 }),
      (liquids, moreMl) => {
        const mixed = mixBrine(liquids);
        const thinner = mixBrine([...liquids, { ml: moreMl, acidPercent: 0 }]);
        if (mixed.kind === 'refusal' || thinner.kind === 'refusal') throw new Error('refused');
        const percents = liquids.map(({ acidPercent }) => acidPercent);
        expect(mixed.acidPercent).toBeGreaterThanOrEqual(Math.min(...percents) - 1e-9);
        expect(mixed.acidPercent).toBeLessThanOrEqual(Math.max(...percents) + 1e-9);
        expect(thinner.acidPercent).toBeLessThanOrEqual(mixed.acidPercent);
      },
    ),
  );
});

test.each([
  ['4 % vinegar', [vinegar(4, 4), water(4)]],
  ['home-made vinegar', [{ ...vinegar(4, 9), homeMade: true }]],
  ['nothing', []],
])('%s is refused', (_, liquids) => {
  expect(mixBrine(liquids)).toMatchObject({ kind: 'refusal', reason: expect.stringMatching(/\.$/) });
});
