import { altitudeFtFromMetres } from './altitude';

test.each([
  [305, 1_001],
  [304.8, 1_000],
  [0, 0],
  [1_042.4, 3_420],
])('%d m is %d ft, rounded up', (metres, ft) => expect(altitudeFtFromMetres(metres)).toBe(ft));
