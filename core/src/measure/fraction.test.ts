import fc from 'fast-check';
import { printFraction } from './fraction';
import { readNumber } from './readNumber';

test.each([
  [0.5, '1/2'],
  [3.5, '3 1/2'],
  [8.35, '8 3/8'],
  [14, '14'],
  [0.33, '1/3'],
  [9.33, '9 1/3'],
  [2 / 3, '2/3'],
  [0, '0'],
])('%d is printed as %s', (value, text) => expect(printFraction(value)).toBe(text));

test('what is printed is read back within half a part', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 999, noNaN: true }), fc.constantFrom(4, 8, 16), (value, parts) => {
      const reading = readNumber(printFraction(value, parts));
      return reading.kind === 'number' && Math.abs(reading.value - value) <= 0.5 / parts + 1e-9;
    }),
  );
});
