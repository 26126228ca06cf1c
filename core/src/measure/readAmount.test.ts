import { readAmount } from './readAmount';

test.each([
  ['68', 68, 'lb'],
  ['68 lb', 68, 'lb'],
  ['½ bushel', 0.5, 'bushel'],
  ['half bushel', 1, 'half-bushel'],
  ['1 1/4 pecks', 1.25, 'peck'],
  ['1,5 kg', 1.5, 'kg'],
  ['2 five-gallon buckets', 2, 'five-gallon-bucket'],
  ['3 buckets', 3, 'five-gallon-bucket'],
  ['2 lugs', 2, 'lug'],
  ['1 gallon bag', 1, 'gallon-bag'],
  ['3 quart boxes', 3, 'quart-box'],
  ['7 qts', 7, 'quart'],
  ['5 cups', 5, 'cup'],
  ['2 T', 2, 'tbsp'],
  ['1/4 t', 0.25, 'tsp'],
  ['½ tsp.', 0.5, 'tsp'],
  ['1,5 l', 1.5, 'l'],
  ['250 ml', 250, 'ml'],
  ['8oz', 8, 'oz'],
  ['900 g', 900, 'g'],
  ['16 ears', 16, 'count'],
] as const)('%j is %d %s', (text, value, unit) => {
  expect(readAmount(text, 'lb')).toEqual({ kind: 'amount', amount: { value, unit } });
});

test.each(['', 'some lb', '-2 bushels'])('%j is not an amount', (text) => {
  expect(readAmount(text, 'lb').kind).toBe('unreadable');
});
