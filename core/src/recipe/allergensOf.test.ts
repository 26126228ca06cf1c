import { cardsOf, findCard } from '../handbook/cards';
import { PRODUCTS } from '../handbook/products';
import { allergensOf } from './allergensOf';

const line = (item: string, prep = '') => ({ item, prep }) as never;

// FALCPA 2004 with the FASTER Act 2021, and Regulation (EU) 1169/2011, Annex II; both from memory.
test.each([
  ['butter, to keep foam down', 'milk'],
  ['Worcestershire sauce', 'fish'],
  ['soy sauce', 'soy'],
  ['ground walnuts', 'tree nuts'],
  ['all-purpose flour', 'wheat'],
  ['malt vinegar', 'wheat'],
  ['celery seed', 'celery'],
  ['dry mustard', 'mustard'],
  ['dry white wine', 'sulphites'],
  ['toasted sesame', 'sesame'],
])('%s is %s', (item, allergen) => {
  expect(allergensOf({ ingredients: [line(item)] })).toEqual([allergen]);
});

test.each([
  'butternut squash',
  'cream of tartar',
  'crab apples',
  'eggplant',
  'buckwheat',
  'nutmeg',
  'coconut',
  'corn flour',
])('%s is none', (item) => expect(allergensOf({ ingredients: [line(item)] })).toEqual([]));

test('cards of the handbook: pickles with mustard and celery seed say so, bare tomatoes are free of all', () => {
  expect(allergensOf(findCard('bread-and-butter-pickles')!)).toEqual(['celery', 'mustard']);
  expect(allergensOf(cardsOf('tomatoes-crushed')[0]!)).toEqual([]);
  // Every card is read, and hardly any of these kitchens has what is not in this list.
  const all = new Set(PRODUCTS.flatMap(({ product }) => cardsOf(product).flatMap((card) => allergensOf(card))));
  expect([...all].filter((each) => ['egg', 'shellfish', 'peanuts', 'lupin', 'sesame'].includes(each))).toEqual([]);
});
