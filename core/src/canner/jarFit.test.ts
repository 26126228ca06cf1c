import fc from 'fast-check';
import { fitJars, type JarMeasures } from './jarFit';
import { packCircles } from './packCircles';

// Radius of the smallest circle around N equal circles of radius 1, best known: Graham, Lubachevsky, Nurmela and
// Östergård, "Dense packings of congruent circles in a circle", Discrete Mathematics 181 (1998), and E. Specht's list of
// best known packings; from memory.
const BEST_KNOWN = [
  [2, 2],
  [3, 2.154_701],
  [4, 2.414_214],
  [5, 2.701_302],
  [6, 3],
  [7, 3],
  [8, 3.304_765],
  [9, 3.613_126],
  [10, 3.813_026],
  [11, 3.923_804],
  [12, 4.029_602],
  [13, 4.236_068],
  [14, 4.328_429],
  [15, 4.521_357],
  [16, 4.615_426],
  [17, 4.792_034],
  [18, 4.863_703],
  [19, 4.863_703],
  [20, 5.122_321],
] as const;

test.each(BEST_KNOWN)('%d equal circles lie within %d radii, to a part in a thousand', (count, ratio) => {
  const { radius, centres } = packCircles(Array.from({ length: count }, () => 1));
  expect(radius / ratio).toBeLessThan(1.001);
  // Better than the best known would mean that circles overlap.
  expect(radius / ratio).toBeGreaterThan(1 - 1e-5);
  for (const [i, a] of centres.entries()) {
    expect(Math.hypot(a.x, a.y) + 1).toBeLessThanOrEqual(radius + 1e-9);
    for (const b of centres.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(2 - 1e-9);
  }
});

const pot = { insideDiameterIn: 13.25, insideHeightIn: 10.5, rackHeightIn: 0.6, clearanceIn: 0.125 };
const quart: JarMeasures = { size: 'quart', diameterIn: 3.75, heightIn: 6.75 };
const pint: JarMeasures = { size: 'pint', diameterIn: 3.125, heightIn: 5 };
const halfPint: JarMeasures = { size: 'half-pint', diameterIn: 2.875, heightIn: 3.75 };

// Common practice sizes of the handbook's canners: the common pot takes 7 quarts or 9 pints, the tall narrow one 5 quarts.
test('pots take what they are known to take', () => {
  const tall = { insideDiameterIn: 11.5, insideHeightIn: 11, rackHeightIn: 0.5, clearanceIn: 0.125 };
  const seven = Array.from({ length: 7 }, () => quart);
  expect(fitJars(pot, seven)).toMatchObject({ fits: true, limitedBy: 'floor' });
  expect(fitJars(pot, seven).circles.slice(0, 2)).toEqual([
    { x: 0, y: 0, r: 1.875, size: 'quart' },
    { x: 0, y: expect.closeTo(-4.625), r: 1.875, size: 'quart' },
  ]);
  expect(fitJars(pot, [pint]).capacity).toBeGreaterThanOrEqual(9);
  expect(fitJars(tall, [quart]).capacity).toBe(5);
});

test('a jar taller than the pot under an inch of water is limited by the depth', () => {
  const shallow = { ...pot, insideHeightIn: 8.3 };
  expect(fitJars(shallow, [quart])).toEqual({ fits: false, circles: [], capacity: 0, limitedBy: 'depth' });
  expect(fitJars({ ...shallow, insideHeightIn: 8.35 }, [quart]).fits).toBe(true);
});

test('a jar wider than the pot does not go in', () => {
  expect(fitJars({ ...pot, insideDiameterIn: 3 }, [quart])).toMatchObject({ fits: false, capacity: 0 });
});

test('mixed jars never overlap, touch no wall, and as many of one kind go in as are said to', () => {
  const jar = fc.constantFrom(quart, pint, halfPint);
  const question = fc.record({
    insideDiameterIn: fc.double({ min: 4, max: 18, noNaN: true }),
    clearanceIn: fc.double({ min: 0, max: 0.3, noNaN: true }),
    jars: fc.array(jar, { minLength: 1, maxLength: 14 }),
  });
  fc.assert(
    fc.property(question, ({ jars, ...measures }) => {
      const asked = { ...pot, ...measures };
      const { fits, circles, capacity } = fitJars(asked, jars);
      if (capacity !== undefined) expect(fits).toBe(jars.length <= capacity);
      expect(circles.map(({ size }) => size)).toEqual(fits ? jars.map(({ size }) => size) : []);
      const slack = asked.insideDiameterIn * 2e-6;
      for (const [i, a] of circles.entries()) {
        const toWall = asked.insideDiameterIn / 2 - Math.hypot(a.x, a.y) - a.r;
        expect(toWall).toBeGreaterThanOrEqual(asked.clearanceIn - slack);
        for (const b of circles.slice(i + 1)) {
          expect(Math.hypot(a.x - b.x, a.y - b.y) - a.r - b.r).toBeGreaterThanOrEqual(asked.clearanceIn - slack);
        }
      }
    }),
    { numRuns: 40, seed: 6 },
  );
});
