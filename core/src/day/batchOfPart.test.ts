import fc from 'fast-check';
import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { type ProductId, productRow } from '../handbook/products';
import { divideLots } from '../harvest/divideLots';
import { type Lot, onHand } from '../harvest/onHand';
import { jarsOf, massKgOf } from './batch';
import { batchOfPart } from './batchOfPart';
import { handsMinutes } from './handsMinutes';
import { USUAL_KITCHEN } from './kitchenSetup';

const LB = 0.45359237;
const pot = handbookCanner(CANNERS[0]!, { id: 'big' });
const here = { canners: [pot], ownJars: [], altitudeFt: 800 };
const ground = (lots: readonly Lot[]) => ({ lots, newId: (of: string) => of });

function lotsOf(of: Readonly<Record<string, number>>): Lot[] {
  return onHand(
    Object.entries(of).map(([crop, lb]) => ({
      ...{
        id: crop,
        crop: crop as 'pear',
        massKg: lb * LB,
        softKg: 0,
        ripeness: 'ripe' as const,
        place: 'cool' as const,
      },
      ...{ pickedAt: 0, told: '', source: 'garden' as const, plantingId: null },
    })),
    [],
  );
}

const part = (product: ProductId, crop: 'pear' | 'tomato-paste', lots: readonly Lot[], lb: number) => {
  const { parts } = divideLots(
    lots.filter((lot) => lot.crop === crop),
    [{ product, massKg: lb * LB }],
  );
  return { product: productRow(product), crop, jar: 'quart' as const, uses: parts[0]!.uses, startAt: 0 };
};

// USDA Complete Guide to Home Canning, 2015, guide 2: pears, hot pack, quarts 25 min to 1,000 ft; 17 1/2 lb for 7 quarts.
test('a part becomes a batch of the jars it likely fills, by their tested time, with just its own produce', () => {
  const lots = lotsOf({ pear: 70 });
  const { jars, batch } = batchOfPart(part('pears-halved', 'pear', lots, 35), here, {}, ground(lots));
  expect(batch).toMatchObject({ processMinutes: 25, jar: 'quart', cannerId: 'big' });
  expect(jarsOf(batch!)).toBe(jars.p50);
  expect(jars.p10).toBeLessThanOrEqual(14);
  expect(jars.p90).toBeGreaterThanOrEqual(14);
  expect(massKgOf(batch!)).toBeCloseTo(35 * LB, 6);
  const hands = (lb: number) => {
    const own = batchOfPart(part('pears-halved', 'pear', lots, lb), here, {}, ground(lots)).batch!;
    return handsMinutes(own, { canners: [pot], setup: USUAL_KITCHEN });
  };
  // Peeling and coring goes by the pound.
  expect(hands(60)).toBeGreaterThan(hands(30) + 30);
});

test('a recipe takes its other crops as its card does, and of what is not there only what is', () => {
  const lots = lotsOf({ 'tomato-paste': 20, 'pepper-hot': 1, onion: 30 });
  const salsa = { ...part('tomato-salsa-paste-tomatoes', 'tomato-paste', lots, 14), jar: 'pint' as const };
  const { batch } = batchOfPart(salsa, here, {}, ground(lots));
  const massOf = (crop: string) =>
    batch!.uses.filter((use) => use.crop === crop).reduce((sum, use) => sum + use.massKg, 0);
  expect(massOf('tomato-paste')).toBeCloseTo(14 * LB, 6);
  expect(massOf('pepper-hot')).toBeLessThanOrEqual(LB + 1e-9);
  expect(massOf('onion')).toBeGreaterThan(0);
  expect(massOf('onion')).toBeLessThan(10 * LB);
});

test('where no yield is published it is as many as the cook tells; where nothing is tested or fits, nothing is planned', () => {
  const lots = lotsOf({ pear: 70 });
  const puree = { ...part('fruit-puree', 'pear', lots, 20), jar: 'pint' as const };
  expect(batchOfPart(puree, here, {}, ground(lots))).toEqual({ jars: { p10: 0, p50: 0, p90: 0 } });
  const told = batchOfPart({ ...puree, toldJars: 11 }, here, {}, ground(lots));
  expect(told.batch?.loads.map(({ jars }) => jars)).toEqual([9, 2]);
  const halves = part('pears-halved', 'pear', lots, 35);
  for (const kitchen of [
    { ...here, canners: [] },
    { ...here, altitudeFt: null },
  ]) {
    const planned = batchOfPart(halves, kitchen, {}, ground(lots));
    expect(planned.batch).toBeUndefined();
    expect(planned.jars.p50).toBeGreaterThan(0);
  }
});

test('whatever a lot is divided into, its batches together take no more than it has', () => {
  const lots = lotsOf({ pear: 70 });
  const pounds = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 1, maxLength: 5 });
  fc.assert(
    fc.property(pounds, (asked) => {
      const products = ['pears-halved', 'jam-with-pectin', 'pears-halved', 'jam-with-pectin', 'pears-halved'] as const;
      const wanted = asked.map((lb, i) => ({ product: products[i]!, massKg: lb * LB }));
      const { parts } = divideLots(lots, wanted);
      const batches = parts.flatMap(({ uses }, i) => {
        const product = productRow(wanted[i]!.product);
        const wish = { product, crop: 'pear', jar: 'half-pint', uses, startAt: 0 } as const;
        return batchOfPart(wish, here, {}, ground(lots)).batch ?? [];
      });
      const used = batches.reduce((sum, batch) => sum + massKgOf(batch, 'pear'), 0);
      expect(used).toBeLessThanOrEqual(70 * LB + 1e-6);
      for (const batch of batches) expect(batch.loads.every(({ jars }) => jars >= 1)).toBe(true);
    }),
    { numRuns: 40 },
  );
});
