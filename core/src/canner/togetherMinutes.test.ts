import { CANNERS } from '../handbook/canners';
import { productRow } from '../handbook/products';
import { handbookCanner } from './handbookCanner';
import { togetherMinutes } from './togetherMinutes';
import { cannerBeside, widestCanner } from './widestCanner';

const big = handbookCanner(CANNERS[0]!, { id: 'big' });
const second = { ...big, id: 'second' };

// USDA Complete Guide, guide 3, whole tomatoes in water: pints 40, 50 min, quarts 45, 55 min to 1,000 and 6,000 ft.
test('two sizes together take the longer time, at each altitude, where both surely fit; else they stay apart', () => {
  const product = productRow('tomatoes-whole-in-water');
  const ask = (jars: number, altitudeFt: number | null) =>
    togetherMinutes(
      { product, pack: 'raw', method: 'boiling-water', sizes: ['quart', 'pint'], jars },
      big,
      { altitudeFt, ownJars: [] },
      {},
    );
  expect([ask(7, 800), ask(7, 3_420)]).toEqual([45, 55]);
  expect(ask(8, 800)).toBeUndefined();
  expect(ask(7, null)).toBeUndefined();
  const salsa = { product: productRow('tomato-salsa-paste-tomatoes'), pack: 'hot', method: 'boiling-water' } as const;
  const here = { altitudeFt: 800, ownJars: [] };
  // Quarts of it were never tested: nothing makes them so.
  expect(togetherMinutes({ ...salsa, sizes: ['pint', 'quart'], jars: 4 }, big, here, {})).toBeUndefined();
});

test('beside the canner that is taken stands another one, where there is one that holds the jars', () => {
  const both = { canners: [big, second], ownJars: [] };
  expect(cannerBeside(both, 'big', 'quart', 'boiling-water').canner?.id).toBe('second');
  expect(cannerBeside(both, 'second', 'quart', 'boiling-water').canner?.id).toBe('big');
  const one = { canners: [big], ownJars: [] };
  expect(cannerBeside(one, 'big', 'quart', 'boiling-water')).toEqual(widestCanner(one, 'quart', 'boiling-water'));
});
