import { CANNERS } from '../handbook/canners';
import { type Canner } from './canner';
import { capacityOf } from './capacity';
import { loadMap } from './loadMap';
import { waterDepth } from './waterDepth';

const canners: Canner[] = CANNERS.filter(({ method }) => method === 'boiling-water').map((row) => ({
  ...row,
  method: 'boiling-water',
  id: row.canner,
  name: row.canner,
}));
const common = canners[0]!;
const trivetPot = canners[3]!;

// USDA Complete Guide to Home Canning, 2015, guide 1: at least 1 in of water over the lids, 2 in to start with when the
// process is longer than 30 min. Rack 0.6 in and a quart of 6 3/4 in: common practice sizes.
test('water stands an inch over the lids at least, two to start a long process with', () => {
  expect(waterDepth(common, 'quart', 55)).toMatchObject({
    leastIn: expect.closeTo(8.35),
    startIn: expect.closeTo(9.35),
  });
  expect(waterDepth(common, 'quart', 25)).toMatchObject({ startIn: expect.closeTo(8.35) });
  expect(waterDepth(common, 'half-gallon', 25)).toMatchObject({ kind: 'tooShallow' });
});

test('a rack takes what it is declared for, a shallow pot no quarts', () => {
  expect(capacityOf(common, 'quart')).toEqual({ kind: 'holds', jars: 7 });
  expect(capacityOf(common, 'pint')).toEqual({ kind: 'holds', jars: 9 });
  expect(capacityOf(trivetPot, 'quart')).toMatchObject({ kind: 'refusal', reason: expect.stringContaining('quarts') });
});

test('jars on the map stand inside the wall and apart from each other, in every canner of the handbook', () => {
  for (const canner of canners) {
    for (const jar of ['quart', 'pint'] as const) {
      const capacity = capacityOf(canner, jar);
      if (capacity.kind === 'refusal') continue;
      const places = loadMap(canner, jar, capacity.jars);
      expect(places).toHaveLength(capacity.jars);
      for (const [i, a] of places.entries()) {
        expect(Math.hypot(a.x, a.y) + a.radiusIn).toBeLessThanOrEqual(canner.insideDiameterIn / 2);
        for (const b of places.slice(i + 1))
          expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(2 * a.radiusIn - 1e-9);
      }
    }
  }
});
