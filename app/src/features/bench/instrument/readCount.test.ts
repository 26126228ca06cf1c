import { readJars, readMeasure } from './readCount';

test.each([
  ['7', 'count'],
  ['', 'empty'],
  ['0', 'slip'],
  ['-3', 'slip'],
  ['2 1/2', 'slip'],
  ['1,000', 'slip'],
  ['a few', 'slip'],
])('%j jars: %s', (typed, kind) => {
  const count = readJars(typed);
  expect(count.kind).toBe(kind);
  if (count.kind === 'slip') expect(count.sentence).toMatch(/[.?]$/);
});

test.each([
  ['1 1/2', 1.5],
  ['1½', 1.5],
  ['1,5', 1.5],
  ['0', 0],
])('%j cups is %d', (typed, value) => expect(readMeasure(typed, 'cups')).toEqual({ kind: 'count', value }));

test.each(['-2', 'lots', '99,999'])('%j cups is told in a sentence', (typed) => {
  expect(readMeasure(typed, 'cups')).toMatchObject({ kind: 'slip', sentence: expect.stringMatching(/\.$/) });
});
