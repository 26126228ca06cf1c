import fc from 'fast-check';
import { PRODUCE } from '../handbook/produce';
import { estimateJars, massForJarsKg, productsFrom } from './estimateJars';

const KG_PER_LB = 0.45359237;
const lb = (pounds: number) => pounds * KG_PER_LB;

function rangeOf(crop: 'tomato-paste' | 'damson', pounds: number, product: string, jar: 'quart' | 'pint') {
  const estimate = estimateJars(crop, lb(pounds), product, jar);
  if (estimate.kind === 'refusal') throw new Error(estimate.reason);
  return estimate.jars;
}

// USDA Complete Guide to Home Canning, 2015, guides 2 and 3, "Quantity": pounds for a load of 7 quarts and of 9 pints.
test.each([
  ['tomato-paste', 'tomatoes-crushed', 22, 14],
  ['tomato-paste', 'tomatoes-whole-in-water', 21, 13],
  ['tomato-paste', 'tomato-sauce-thin', 35, 21],
  ['damson', 'plums', 14, 9],
] as const)('the published pounds of %s %s fill a load within the range', (crop, product, lbQuarts, lbPints) => {
  const quarts = rangeOf(crop, lbQuarts, product, 'quart');
  const pints = rangeOf(crop, lbPints, product, 'pint');
  expect(quarts.p10).toBeLessThanOrEqual(7);
  expect(quarts.p90).toBeGreaterThanOrEqual(7);
  expect(pints.p10).toBeLessThanOrEqual(9);
  expect(pints.p90).toBeGreaterThanOrEqual(9);
});

// The same guide: a bushel of 53 lb makes 17 to 20 quarts of crushed tomatoes.
test('the published bushel of tomatoes overlaps the range', () => {
  const { p10, p50, p90 } = rangeOf('tomato-paste', 53, 'tomatoes-crushed', 'quart');
  expect([p10 <= 17, p50 >= 17 && p50 <= 20, p90 >= 20]).toEqual([true, true, true]);
});

// Printed yields are off by a quarter in a given kitchen and in one of ten by a half (common practice), so that a kitchen of
// which nothing is known has a wide range about what is printed.
test('68 lb of paste tomatoes are likely 23 quarts of crushed tomatoes, 16 to 32 in a kitchen that is not known yet', () => {
  expect(rangeOf('tomato-paste', 68, 'tomatoes-crushed', 'quart')).toEqual({ p10: 16, p50: 23, p90: 32 });
});

test('more produce never makes fewer jars, the range is in order, and pounds for jars is its inverse', () => {
  const product = fc.constantFrom('tomatoes-crushed', 'tomatoes-whole-in-water', 'tomato-sauce-thin');
  const jar = fc.constantFrom('quart' as const, 'pint' as const);
  fc.assert(
    fc.property(
      product,
      jar,
      fc.integer({ min: 1, max: 900 }),
      fc.integer({ min: 0, max: 90 }),
      (p, j, pounds, more) => {
        const small = rangeOf('tomato-paste', pounds, p, j);
        const large = rangeOf('tomato-paste', pounds + more, p, j);
        expect(small.p10 <= small.p50 && small.p50 <= small.p90).toBe(true);
        expect(large.p10 >= small.p10 && large.p50 >= small.p50 && large.p90 >= small.p90).toBe(true);
        if (small.p50 === 0) return;
        const { likelyKg, sureKg } = massForJarsKg('tomato-paste', p, j, small.p50, { sure: 0.9 });
        expect(likelyKg).toBeLessThanOrEqual(lb(pounds) + 1e-6);
        expect(rangeOf('tomato-paste', sureKg / KG_PER_LB, p, j).p10).toBe(small.p50);
      },
    ),
  );
});

// USDA Complete Guide to Home Canning, 2015, guide 7: 6 cups chopped plums (1.4 cups a pound of damsons, common practice) and
// one box of pectin give 8 to 9 half-pints; guide 3: 24 lb of tomatoes give 6 to 7 pints of ketchup.
test('a formula with pectin is made in whole batches, side by side, and leaves the rest', () => {
  const estimate = estimateJars('damson', lb(19), 'jam-with-pectin', 'half-pint');
  if (estimate.kind === 'refusal') throw new Error(estimate.reason);
  expect(estimate.pots).toBe(4);
  expect(estimate.usedKg).toBeCloseTo(lb((4 * 6) / 1.4), 3);
  expect(estimate.jars.p50).toBeGreaterThanOrEqual(4 * 8);
  expect(estimate.jars.p50).toBeLessThanOrEqual(4 * 9);
  expect(estimateJars('damson', lb(3), 'jam-with-pectin', 'half-pint')).toMatchObject({ pots: 0, jars: { p50: 0 } });
});

test('what is weighed whole fills more or fewer jars, and never more pots than its weight', () => {
  const ketchup = estimateJars('tomato-paste', lb(60), 'tomato-ketchup', 'pint');
  expect(ketchup).toMatchObject({ kind: 'estimate', pots: 3, usedKg: expect.closeTo(lb(60), 6) });
  const { sureKg } = massForJarsKg('damson', 'jam-with-pectin', 'half-pint', 10);
  // Ten half-pints need a second box.
  expect(sureKg / KG_PER_LB).toBeGreaterThan(2 * 4);
});

test('whatever the formula: nothing is used that is not there, and more produce never makes fewer jars', () => {
  const pairs = PRODUCE.flatMap(({ crop }) => productsFrom(crop).map(({ product }) => [crop, product] as const));
  expect(pairs.length).toBeGreaterThan(90);
  fc.assert(
    fc.property(
      fc.constantFrom(...pairs),
      fc.integer({ min: 1, max: 300 }),
      fc.nat(60),
      ([crop, product], pounds, more) => {
        const [small, large] = [pounds, pounds + more].map((each) =>
          estimateJars(crop, lb(each), product, 'half-pint'),
        );
        if (small?.kind !== 'estimate' || large?.kind !== 'estimate') throw new Error('refused');
        expect(small.usedKg).toBeLessThanOrEqual(lb(pounds) + 1e-9);
        expect(small.jars.p10 <= small.jars.p50 && small.jars.p50 <= small.jars.p90).toBe(true);
        expect(large.jars.p10 >= small.jars.p10 && large.jars.p90 >= small.jars.p90).toBe(true);
      },
    ),
  );
});

test.each([
  ['damson', 'tomatoes-crushed'],
  ['tomato-paste', 'lunar-cheese'],
  ['bean-snap', 'plums'],
] as const)('%s is refused for %s, with what it can become', (crop, product) => {
  expect(estimateJars(crop, 10, product, 'quart')).toMatchObject({ kind: 'refusal', reason: expect.any(String) });
});
