import fc from 'fast-check';
import { findProcess } from './findProcess';

const crushedQuarts = { product: 'tomatoes-crushed', pack: 'hot', jar: 'quart', method: 'boiling-water' };

function minutesOf(question: Parameters<typeof findProcess>[0]): number {
  const answer = findProcess(question);
  if (answer.kind === 'refusal') throw new Error(answer.reason);
  return answer.minutes;
}

// USDA Complete Guide to Home Canning, 2015, guide 3, "Crushed Tomatoes (with no added liquid)", boiling-water canner.
test.each([
  [0, 45],
  [1_000, 45],
  [1_000.5, 50],
  [1_001, 50],
  [3_000, 50],
  [3_001, 55],
  [3_420, 55],
  [6_000, 55],
  [6_001, 60],
  [12_000, 60],
])('crushed tomatoes in quarts at %d ft take %d min', (altitudeFt, minutes) => {
  expect(minutesOf({ ...crushedQuarts, altitudeFt })).toBe(minutes);
});

// The same guide and guide 2 (plums): minutes in the four bands, headspace in inches.
test.each([
  ['tomatoes-crushed', 'hot', 'pint', [35, 40, 45, 50], 0.5],
  ['tomatoes-whole-in-water', 'raw', 'pint', [40, 45, 50, 55], 0.5],
  ['tomatoes-whole-in-water', 'hot', 'quart', [45, 50, 55, 60], 0.5],
  ['tomato-sauce-thin', 'hot', 'pint', [35, 40, 45, 50], 0.25],
  ['tomato-sauce-thin', 'hot', 'quart', [40, 45, 50, 55], 0.25],
  ['plums', 'hot', 'pint', [20, 25, 30, 35], 0.5],
  ['plums', 'raw', 'quart', [25, 30, 35, 40], 0.5],
])('%s, %s pack, %s: minutes and headspace as published', (product, pack, jar, minutes, headspaceIn) => {
  const answers = [500, 2_000, 3_420, 7_000].map((altitudeFt) =>
    findProcess({ product, pack, jar, method: 'boiling-water', altitudeFt }),
  );
  expect(answers).toMatchObject(
    minutes.map((value) => ({ kind: 'tested', minutes: value, headspaceIn, recalled: true })),
  );
});

// The same guide, "Acidification": 1 Tbsp bottled lemon juice or 1/4 tsp citric acid a pint, twice that a quart.
test('acid is dosed by the jar, rounded up, and only where the food needs it', () => {
  const acid = (product: string, jar: string) => {
    const answer = findProcess({ product, pack: 'hot', jar, method: 'boiling-water', altitudeFt: 500 });
    return answer.kind === 'tested' ? answer.acid : undefined;
  };
  expect(acid('tomatoes-crushed', 'pint')).toEqual({ bottledLemonJuiceTbsp: 1, citricAcidTsp: 0.25, vinegarTbsp: 2 });
  expect(acid('tomatoes-crushed', 'quart')).toEqual({ bottledLemonJuiceTbsp: 2, citricAcidTsp: 0.5, vinegarTbsp: 4 });
  expect(acid('tomatoes-crushed', 'twelve-ounce')).toEqual({
    bottledLemonJuiceTbsp: 1,
    citricAcidTsp: 0.25,
    vinegarTbsp: 1.5,
  });
  expect(acid('plums', 'quart')).toBeUndefined();
});

test('a half-gallon is refused with quarts and pints as the way out', () => {
  expect(findProcess({ ...crushedQuarts, jar: 'half-gallon', altitudeFt: 3_420 })).toEqual({
    kind: 'refusal',
    reason: expect.stringContaining('No tested time for crushed tomatoes in half-gallon jars'),
    instead: ['quart', 'pint'],
  });
});

test('a jar between two published sizes takes the larger one', () => {
  expect(minutesOf({ ...crushedQuarts, jar: 'pint-and-half', altitudeFt: 500 })).toBe(45);
  expect(minutesOf({ ...crushedQuarts, jar: 'half-pint', altitudeFt: 500 })).toBe(35);
});

test('any words end in a tested row or a refusal with a way out, and no band is shorter than the one below it', () => {
  const words = (...known: string[]) => fc.oneof(fc.constantFrom(...known), fc.string());
  const question = fc.record({
    product: words('tomatoes-crushed', 'tomatoes-whole-in-water', 'tomato-sauce-thin', 'plums'),
    pack: words('hot', 'raw'),
    jar: words('quarter-pint', 'half-pint', 'twelve-ounce', 'pint', 'pint-and-half', 'quart', 'half-gallon'),
    method: fc.oneof({ weight: 5, arbitrary: fc.constant('boiling-water') }, words('steam', 'pressure-dial')),
  });
  const altitude = fc.double({ min: 0, max: 12_000, noNaN: true });
  fc.assert(
    fc.property(question, altitude, altitude, (asked, a, b) => {
      const low = findProcess({ ...asked, altitudeFt: Math.min(a, b) });
      const high = findProcess({ ...asked, altitudeFt: Math.max(a, b) });
      if (low.kind === 'refusal' || high.kind === 'refusal') {
        expect(low).toEqual(high);
        expect(low).toMatchObject({
          kind: 'refusal',
          reason: expect.stringMatching(/\S/),
          instead: expect.arrayContaining([expect.any(String)]),
        });
        return;
      }
      expect(high.minutes).toBeGreaterThanOrEqual(low.minutes);
      expect(low.sterilizeJars === undefined).toBe(low.minutes >= 10);
      expect(asked.method).toBe('boiling-water');
      expect(asked.jar).not.toBe('half-gallon');
    }),
  );
});

test.each([-1, -5_000, 12_001, NaN, Infinity])('an altitude of %d ft is not answered', (altitudeFt) => {
  expect(() => findProcess({ ...crushedQuarts, altitudeFt })).toThrow(RangeError);
});
