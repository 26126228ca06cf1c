import { type Lot } from '../harvest/onHand';
import { type BatchRecord } from '../yields/batchRecord';
import { learnYields } from '../yields/yieldModel';
import { proposeDay } from './proposeDay';

const DAY_MS = 24 * 60 * 60_000;
const NOW = Date.UTC(2026, 7, 29);

const lot = (crop: Lot['crop'], massKg: number, days: number, place: Lot['place'] = 'cool') =>
  ({ pickId: crop, crop, massKg, place, until: NOW + days * DAY_MS }) as Lot;
const made = (product: string, jar: 'pint' | 'quart', daysAgo: number) =>
  ({
    ...{ product, crop: 'tomato-paste', massKg: 12, jars: [{ jar, count: 7 }], madeAt: NOW - daysAgo * DAY_MS },
    ...{ waterMl: 0, sugarKg: 0, partJar: null, learnFrom: true },
  }) as unknown as BatchRecord;
const records = [
  made('tomato-sauce-thin', 'quart', 30),
  made('tomato-sauce-thin', 'pint', 20),
  made('tomatoes-crushed', 'quart', 9),
];
const ground = { records, learned: learnYields(records, NOW), now: NOW, perLoad: () => 7 };

test('what spoils first becomes what was made of it most, in the jar last taken for it, in whole loads', () => {
  const proposals = proposeDay([lot('apple', 40, 30), lot('tomato-paste', 30, 2), lot('damson', 8, 1)], ground);
  expect(proposals.map(({ crop }) => crop)).toEqual(['damson', 'tomato-paste']);
  expect(proposals[1]).toMatchObject({ product: 'tomato-sauce-thin', jar: 'pint' });
  for (const { jars } of proposals) expect(jars < 7 || jars % 7 === 0).toBe(true);
});

test('what keeps is proposed only when nothing is urgent; frozen lots and what no canner takes are not', () => {
  expect(proposeDay([lot('apple', 40, 30), lot('tomato-paste', 30, 90, 'freezer')], ground)).toMatchObject([
    { crop: 'apple' },
  ]);
  const none = { ...ground, perLoad: () => undefined };
  expect(proposeDay([lot('tomato-paste', 30, 2)], none)).toEqual([]);
});
