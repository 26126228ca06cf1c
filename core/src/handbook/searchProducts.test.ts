import fc from 'fast-check';
import { PRODUCTS } from './products';
import { searchProducts } from './searchProducts';

const firstOf = (text: string) => searchProducts(text)[0]?.product;

test('every product is found by its own name and by each other name, among the first', () => {
  for (const { product, name, otherNames } of PRODUCTS) {
    for (const known of [name, ...otherNames]) {
      const found = searchProducts(known, 6).map((row) => row.product);
      expect({ known, found: found.includes(product) }).toEqual({ known, found: true });
    }
  }
});

test.each([
  ['ketchup', 'tomato-ketchup'],
  ['catsup', 'tomato-ketchup'],
  ['green beans', 'snap-beans'],
  ['pole beans', 'snap-beans'],
  ['passata', 'tomato-sauce-thin'],
  ['apple puree', 'applesauce'],
  ['saurkraut', 'sauerkraut'],
  ['damson', 'plums'],
  ['crock dills', 'dill-fermented'],
])('%j finds %s first', (text, product) => expect(firstOf(text)).toBe(product));

test('a crop finds what is made of it', () => {
  expect(searchProducts('rhubarb').map(({ product }) => product)).toEqual(
    expect.arrayContaining(['rhubarb-stewed', 'jelly-with-pectin']),
  );
});

test('nothing typed lists everything; any text gives products without repeats', () => {
  expect(searchProducts('  ')).toHaveLength(PRODUCTS.length);
  fc.assert(
    fc.property(fc.string(), (text) => {
      const found = searchProducts(text);
      expect(new Set(found).size).toBe(found.length);
    }),
  );
});
