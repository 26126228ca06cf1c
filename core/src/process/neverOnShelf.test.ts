import { PRODUCTS } from '../handbook/products';
import { neverOnShelf, notAProcess, searchNever } from './neverOnShelf';

// Handbook rules 10 and 16.
test.each([
  ['pumpkin butter', 'Pumpkin or squash butter'],
  ['mashed pumpkin', 'Pumpkin or squash butter'],
  ['White peaches', 'White peaches and white nectarines'],
  ['peaches, white', 'White peaches and white nectarines'],
  ['elderberry syrup', 'Elderberries'],
  ['tomatoes from frosted vines', 'Tomatoes from dead or frosted vines'],
  ['dead vines', 'Tomatoes from dead or frosted vines'],
  ['mouldy plums', 'Mouldy or rotting produce'],
  ['garlic in oil', 'Vegetables, herbs or garlic in oil'],
  ['pesto', 'Vegetables, herbs or garlic in oil'],
])('%j means %s', (text, name) => expect(neverOnShelf(text)?.name).toBe(name));

test('no tested product is taken for one that never is, by any of its names', () => {
  for (const { product, name, otherNames } of PRODUCTS) {
    for (const known of [product, name, ...otherNames])
      expect([known, neverOnShelf(known)?.name]).toEqual([known, undefined]);
  }
});

test.each([
  ['pumpkin bu', 1],
  ['elder', 1],
  ['frosted vi', 1],
  ['jam', 0],
  ['tomatoes', 0],
  ['butter', 0],
  ['pi', 0],
])('typing %j shows %d refusals', (typed, count) => expect(searchNever(typed)).toHaveLength(count));

test.each(['open-kettle', 'hot fill', 'turn upside down', 'oven', 'dishwasher', 'electric multi-cooker'])(
  '%j is no process, with a sentence',
  (method) => expect(notAProcess(method)).toMatch(/\.$/),
);
