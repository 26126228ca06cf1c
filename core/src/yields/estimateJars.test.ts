import fc from 'fast-check';
import { estimateJars, massForJarsKg } from './estimateJars';

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

test('68 lb of paste tomatoes are 19 to 26 quarts of crushed tomatoes, likely 23', () => {
  expect(rangeOf('tomato-paste', 68, 'tomatoes-crushed', 'quart')).toEqual({ p10: 19, p50: 23, p90: 26 });
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
        const back = massForJarsKg(p, j, small.p50);
        expect(back.p50).toBeLessThanOrEqual(lb(pounds) + 1e-6);
        const sure = rangeOf('tomato-paste', back.p90 / KG_PER_LB, p, j);
        expect(sure.p10).toBe(small.p50);
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
