import fc from 'fast-check';
import { CANNERS } from '../handbook/canners';
import { type Canner, methodsOf } from './canner';
import { capacityOf } from './capacity';
import { handbookCanner } from './handbookCanner';
import { type HeatUpQuestion, heatUpMinutes, preheatMinutes } from './heatUp';
import { inLayers } from './layers';
import { loadingOrder } from './loadingOrder';
import { loadMap } from './loadMap';
import { waterDepth } from './waterDepth';
import { waterLitres } from './waterLitres';

const canners = CANNERS.map((row) => handbookCanner(row, { id: row.canner }));
const named = (name: string) => canners.find((canner) => canner.name === name) as Canner;
const common = named('21-quart enamel');
const trivetPot = named('16-quart stock pot with trivet');
const steamPan = named('atmospheric steam pan');
const tallPressure = named('23-quart pressure canner');

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

test('a load fills its lower layer first, and a layer that is not begun stays out', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 39 }), (places, less) => {
      const jars = Math.max(1, places - less);
      const layers = inLayers(jars, places, 2);
      expect(layers.reduce((sum, layer) => sum + layer.jars, 0)).toBe(jars);
      for (const layer of layers) expect(layer.jars > 0 && layer.jars <= layer.places).toBe(true);
      if (layers.length === 2) expect(layers[0]!.jars).toBe(layers[0]!.places);
      expect(inLayers(jars, places, 1)).toEqual([{ jars, places }]);
    }),
  );
});

test('a rack takes what it is declared for, until a test fit says otherwise', () => {
  expect(capacityOf(common, 'quart')).toMatchObject({ jars: 7, limitedBy: 'rack' });
  expect(capacityOf(common, 'pint')).toMatchObject({ jars: 9, limitedBy: 'rack' });
  const fitted = { ...common, testFits: [{ jar: 'pint', jars: 10 } as const] };
  expect(capacityOf(fitted, 'pint')).toMatchObject({ jars: 10, limitedBy: 'floor' });
  expect(capacityOf(fitted, 'quart')).toMatchObject({ jars: 7 });
});

test('it is said what binds: the depth, the rack or the floor', () => {
  expect(capacityOf(trivetPot, 'quart')).toMatchObject({ kind: 'refusal', limitedBy: 'rack' });
  expect(capacityOf({ ...trivetPot, insideHeightIn: 8 }, 'quart')).toMatchObject({
    kind: 'refusal',
    limitedBy: 'depth',
  });
  // A household's own jar, wider than the handbook's: six of them need 3 times their width.
  const wide = [{ size: 'quart', diameterIn: 4.4, heightIn: 6.75 } as const];
  expect(capacityOf(common, 'quart', { ownJars: wide })).toMatchObject({ jars: 5, limitedBy: 'floor' });
  const pails = [{ size: 'quart', diameterIn: 14, heightIn: 6.75 } as const];
  expect(capacityOf(common, 'quart', { ownJars: pails })).toMatchObject({ kind: 'refusal', limitedBy: 'floor' });
});

// Handbook rules 7 and 11: steam up to quarts; pressure in stove-top vessels of at least four quarts; with its weight off
// a pressure canner is a pot. Pints in two layers: the handbook's note on the tall one.
test('each canner serves its own ways of processing', () => {
  expect(methodsOf(tallPressure)).toEqual(['pressure-weighted', 'boiling-water', 'low-temperature-bath']);
  expect(capacityOf(tallPressure, 'pint')).toMatchObject({ jars: 18, layers: 2 });
  expect(capacityOf(tallPressure, 'quart')).toMatchObject({ jars: 7, layers: 1 });
  expect(capacityOf(steamPan, 'half-gallon')).toMatchObject({ kind: 'refusal' });
  expect(capacityOf(steamPan, 'quart', { method: 'boiling-water' })).toMatchObject({ kind: 'refusal' });
  expect(capacityOf({ ...tallPressure, electric: true }, 'pint')).toMatchObject({ kind: 'refusal' });
  expect(capacityOf({ ...tallPressure, declaredQuarts: 3 }, 'pint')).toMatchObject({ kind: 'refusal' });
});

test('a canner whose boil nobody sees serves no way of processing, unless it times itself', () => {
  const locked = { ...common, electric: true, lidLocks: true };
  expect(methodsOf(locked)).toEqual([]);
  expect(capacityOf(locked, 'pint', { method: 'boiling-water' }).kind).not.toBe('holds');
  expect(methodsOf({ ...locked, timesItself: true })).toContain('boiling-water');
});

test('jars on the map stand inside the wall and apart from each other, in every canner of the handbook', () => {
  for (const canner of canners) {
    for (const jar of ['quart', 'pint', 'half-pint'] as const) {
      const capacity = capacityOf(canner, jar);
      if (capacity.kind === 'refusal') continue;
      const inLayer = Math.ceil(capacity.jars / capacity.layers);
      const places = loadMap(canner, jar, inLayer);
      expect(places).toHaveLength(inLayer);
      for (const [i, a] of places.entries()) {
        expect([canner.name, jar, Math.hypot(a.x, a.y) + a.radiusIn <= canner.insideDiameterIn / 2 + 1e-6]).toEqual([
          canner.name,
          jar,
          true,
        ]);
        for (const b of places.slice(i + 1))
          expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(2 * a.radiusIn - 1e-6);
      }
    }
  }
});

test('jars of a half-empty load stand level, with spacers in the other places', () => {
  for (const jars of [2, 3, 4, 5, 6]) {
    const places = loadMap(common, 'quart', 7, jars);
    expect(places.map(({ spacer }) => spacer)).toEqual(places.map((_, i) => i >= jars));
    const filled = places.slice(0, jars);
    const [x, y] = [filled.reduce((sum, place) => sum + place.x, 0), filled.reduce((sum, place) => sum + place.y, 0)];
    // Never more out of balance than one jar at the wall.
    expect(Math.hypot(x, y)).toBeLessThanOrEqual(common.insideDiameterIn / 2);
  }
});

test('a rack loaded in the order told is never more out of level than by one jar', () => {
  const place = fc.record({
    x: fc.double({ min: -6, max: 6, noNaN: true }),
    y: fc.double({ min: -6, max: 6, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(place, { minLength: 1, maxLength: 9 }), (half) => {
      const places = half.flatMap(({ x, y }) => [
        { x, y },
        { x: -x, y: -y },
      ]);
      const order = loadingOrder(places);
      expect([...order].sort((a, b) => a - b)).toEqual([...places.keys()]);
      const farthest = Math.max(...places.map(({ x, y }) => Math.hypot(x, y)));
      let [x, y] = [0, 0];
      for (const i of order) {
        x += places[i]!.x;
        y += places[i]!.y;
        expect(Math.hypot(x, y)).toBeLessThanOrEqual(farthest + 1e-9);
      }
    }),
    { seed: 6 },
  );
});

const question: HeatUpQuestion = {
  canner: common,
  jar: 'quart',
  jars: 7,
  pack: 'hot',
  method: 'boiling-water',
  processMinutes: 45,
  altitudeFt: 1_000,
};

// Common practice (handbook steps): a canner with its jars takes 10 to 30 min to the boil, its water alone 30 to 50 min.
test('heating up takes what it takes in kitchens, by an energy balance', () => {
  expect(waterLitres(common, question)).toBeGreaterThan(10);
  expect(waterLitres(common, question)).toBeLessThan(21 * 0.946);
  expect(heatUpMinutes(question).p50).toBeGreaterThan(10);
  expect(heatUpMinutes(question).p50).toBeLessThan(30);
  expect(preheatMinutes(question).p50).toBeGreaterThan(30);
  expect(preheatMinutes(question).p50).toBeLessThan(50);
  const more = (part: Partial<HeatUpQuestion>) =>
    heatUpMinutes({ ...question, ...part }).p50 / heatUpMinutes(question).p50;
  expect(more({ pack: 'raw' })).toBeGreaterThan(1);
  expect(more({ lidOn: false })).toBeGreaterThan(1);
  expect(more({ altitudeFt: 7_000 })).toBeLessThan(1);
  expect(more({ canner: { ...common, burnerWatts: 3_600 } })).toBeCloseTo(0.5);
});

test('what a canner has really taken replaces the balance', () => {
  expect(heatUpMinutes(question, [26])).toMatchObject({ p50: 26 });
  expect(heatUpMinutes(question, [60, 20, 22, 24, 26, 28])).toMatchObject({ p10: 20, p50: 24, p90: 28 });
});
