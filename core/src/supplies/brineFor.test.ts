import { PRODUCTS, productRow } from '../handbook/products';
import { brineFor, cupsOf } from './brineFor';

// USDA Complete Guide to Home Canning, 2015, guide 6: cups of vinegar, water and sugar in one batch, and the jars it
// fills (the middle of the range). A cup of sugar is taken to raise the brine by half a cup (common practice).
test.each([
  ['dilled-beans', 'pint', 8, 4, 4, 0],
  ['pickled-beets', 'pint', 8, 4, 2, 2],
  ['pickled-bell-peppers', 'pint', 9, 3, 3, 3.5],
  ['pickled-hot-peppers', 'pint', 9, 5, 1, 0.125],
  ['quick-fresh-pack-dill', 'pint', 8, 6, 8, 0.25],
  ['bread-and-butter-pickles', 'pint', 8, 4, 0, 4.5],
  ['quick-sweet-pickles', 'pint', 8, 3.5, 0, 4.5],
  ['pickled-carrots', 'pint', 4, 5.5, 1, 2],
  ['pickled-cauliflower', 'half-pint', 9, 4, 0, 2],
  ['pickled-yellow-pepper-rings', 'pint', 4, 5, 1.25, 0],
  ['pickled-jalapeno-rings', 'pint', 6, 7.5, 1.75, 0],
] as const)(
  '%s: the brine of %ss x %d is within 15 %% of the published batch',
  (product, jar, jars, vinegar, water, sugar) => {
    const need = brineFor(productRow(product), jar, jars)!;
    expect(cupsOf(need.totalMl) / (vinegar + water + 0.5 * sugar)).toBeGreaterThan(0.85);
    expect(cupsOf(need.totalMl) / (vinegar + water + 0.5 * sugar)).toBeLessThan(1.15);
    expect(cupsOf(need.vinegarMl)).toBeCloseTo(vinegar, 6);
    expect(cupsOf(need.waterMl)).toBeCloseTo(water, 6);
  },
);

test('twice the jars take twice the brine, a quart twice a pint, and the proportion stays', () => {
  for (const product of PRODUCTS) {
    const [one, two, quarts] = [
      brineFor(product, 'pint', 5),
      brineFor(product, 'pint', 10),
      brineFor(product, 'quart', 5),
    ];
    if (!one || !two || !quarts) continue;
    expect(two.totalMl / one.totalMl).toBeCloseTo(2, 9);
    expect(quarts.totalMl / one.totalMl).toBeCloseTo(2, 9);
    expect(two.waterMl * one.vinegarMl).toBeCloseTo(one.waterMl * two.vinegarMl, 3);
  }
  expect(brineFor(productRow('peaches'), 'pint', 5)).toBeUndefined();
  expect(brineFor(productRow('jam-no-pectin'), 'pint', 5)).toBeUndefined();
});
