import { nearProducts, productCalled } from './nearProducts';
import { allProducts } from './products';

test('what nobody tested is answered with products of the same words, the nearest first; every product is nearest to its own name', () => {
  const names = (asked: string) => nearProducts(asked, 5).map(({ product }) => product);
  expect(names('smoked tomato salsa').slice(0, 3)).toEqual(expect.arrayContaining([expect.stringContaining('salsa')]));
  expect(names('Purées of pumpkin seeds')).toEqual(names('puree of pumpkin seed'));
  expect(names('moon cheese')).toEqual([]);
  expect(names('')).toEqual([]);
  for (const row of allProducts()) {
    const near = nearProducts(row.name, allProducts().length);
    expect(near.map(({ product }) => product)).toContain(row.product);
    expect(productCalled(row.name.toUpperCase())).toBe(row);
  }
});
