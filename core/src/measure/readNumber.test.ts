import fc from 'fast-check';
import { readNumber } from './readNumber';

test.each([
  ['12', 12],
  [' 12.5 ', 12.5],
  ['.5', 0.5],
  ['1,5', 1.5],
  ['10,000', 10_000],
  ['1 1/4', 1.25],
  ['1-1/4', 1.25],
  ['1¼', 1.25],
  ['1 ½', 1.5],
  ['½', 0.5],
  ['2/3', 2 / 3],
])('%j is read as %d', (text, value) => {
  expect(readNumber(text)).toEqual({ kind: 'number', value: expect.closeTo(value, 10) });
});

test.each([
  ['', 'empty'],
  ['   ', 'empty'],
  ['-3', 'negative'],
  ['1/0', 'notANumber'],
  ['a few', 'notANumber'],
  ['1.2.3', 'notANumber'],
  ['1e400', 'notANumber'],
])('%j is not read, because it is %s', (text, why) => {
  expect(readNumber(text)).toEqual({ kind: 'unreadable', why });
});

test('any text gives a finite number from 0 up or a reason', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const reading = readNumber(text);
      return reading.kind === 'unreadable' || (Number.isFinite(reading.value) && reading.value >= 0);
    }),
  );
});

test('a mixed fraction means its whole part plus its fraction', () => {
  fc.assert(
    fc.property(fc.nat(500), fc.integer({ min: 1, max: 15 }), fc.integer({ min: 1, max: 16 }), (whole, over, under) => {
      const reading = readNumber(`${whole} ${over}/${under}`);
      expect(reading).toEqual({ kind: 'number', value: expect.closeTo(whole + over / under, 9) });
    }),
  );
});
