import fc from 'fast-check';
import { drawsFrom } from '../math/draws';
import { type BatchRecord, NOTHING_MORE } from './batchRecord';
import { mostThinJuice, thinJuiceQuarts } from './thinJuice';

const LB = 0.45359237;
const ML_PER_QUART = 946.353;

function sauce(lb: number, juiceMl: number | null): BatchRecord {
  return {
    ...NOTHING_MORE,
    ...{ id: 'r', batchId: null, product: 'tomato-sauce-thick', crop: 'tomato-slicing', massKg: lb * LB },
    ...{ waterMl: 0, sugarKg: 0, jars: [{ jar: 'pint', count: 12 }], partJar: null, madeAt: 0, note: '' },
    ...{ juiceMl, learnFrom: true },
  };
}

// USDA Complete Guide, Guide 3: 23 lb for 7 quarts of juice, 46 lb for 7 quarts of thick sauce, a bushel 15 to 18 and 7 to 9.
test('from 45 lb at most what is juice and not yet sauce, by the printed figures', () => {
  const most = mostThinJuice('tomato-sauce-thick', 'tomato-slicing', 45 * LB)!;
  expect(most).toBeGreaterThan(45 / 3.3 - 45 / 6.2);
  expect(most).toBeLessThan(45 / 3 - 45 / 7.6);
  expect(mostThinJuice('tomatoes-crushed', 'tomato-slicing', 45 * LB)).toBeUndefined();
  expect(thinJuiceQuarts('tomato-juice', 'tomato-slicing', 45 * LB)).toBeUndefined();
});

test('kitchens drawn from what kitchens do: four in five measures fall into the range, and it narrows with each one', () => {
  const draws = drawsFrom(20261130);
  const normal = () => draws.normal();
  let [within, all] = [0, 0];
  let [first, last] = [0, 0];
  for (let kitchen = 0; kitchen < 400; kitchen++) {
    const own = 0.6 + 0.18 * normal();
    const records: BatchRecord[] = [];
    for (let batch = 0; batch < 5; batch++) {
      const lb = 20 + 40 * draws.unit();
      const range = thinJuiceQuarts('tomato-sauce-thick', 'tomato-slicing', lb * LB, records)!;
      const most = mostThinJuice('tomato-sauce-thick', 'tomato-slicing', lb * LB)!;
      const real = most * Math.max(0, own + 0.1 * normal());
      all += 1;
      if (real >= range.p10 && real <= range.p90) within += 1;
      if (batch === 0) first += (range.p90 - range.p10) / most;
      if (batch === 4) last += (range.p90 - range.p10) / most;
      records.push(sauce(lb, real * ML_PER_QUART));
    }
  }
  expect(within / all).toBeGreaterThan(0.77);
  expect(within / all).toBeLessThan(0.83);
  expect(last).toBeLessThan(0.7 * first);
});

test('what was not measured teaches nothing, whatever else is known of that batch', () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 200 }), fc.integer({ min: 1, max: 5 }), (lb, count) => {
      const unknown = Array.from({ length: count }, () => sauce(lb, null));
      const range = thinJuiceQuarts('tomato-sauce-thin', 'tomato-slicing', lb * LB, unknown);
      expect(range).toEqual(thinJuiceQuarts('tomato-sauce-thin', 'tomato-slicing', lb * LB));
      expect(range!.p10).toBeLessThan(range!.p90);
    }),
  );
});
