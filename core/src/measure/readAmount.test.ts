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
] as const)('%j is %d %s', (text, value, unit) => {
  expect(readAmount(text, 'lb')).toEqual({ kind: 'amount', amount: { value, unit } });
});

test.each(['', 'some lb', '-2 bushels'])('%j is not an amount', (text) => {
  expect(readAmount(text, 'lb').kind).toBe('unreadable');
});
