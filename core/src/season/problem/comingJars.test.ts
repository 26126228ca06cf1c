import { type Batch } from '../../day/batch';
import { comingBatches, comingJars } from './comingJars';

const DAY_MS = 24 * 60 * 60_000;
const NOW = Date.UTC(2027, 7, 20);
const batch = (id: string, startAt: number, change: Partial<Batch> = {}): Batch => ({
  ...{ id, product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 0 },
  ...{ processMinutes: 45, cannerId: 'pot', startAt, uses: [] },
  loads: [7, 5].map((jars, i) => ({ id: `${id} ${i + 1}`, number: i + 1, jars })),
  ...change,
});

test('jars still to come: planned ones by product and size, each load once, none that stands on the shelf or was never made', () => {
  const pints = { jar: 'pint', processMinutes: 35 } as const;
  const batches = [
    batch('a', NOW + DAY_MS),
    batch('half done', NOW - DAY_MS),
    batch('forgotten', NOW - 4 * DAY_MS),
    batch('again', NOW, { againOf: 'a' }),
    batch('sizes', NOW, {
      loads: [
        { id: 's 1', number: 1, jars: 6 },
        { id: 's 2', number: 2, jars: 4, size: pints },
      ],
    }),
  ];
  const storedLoads = new Set(['half done 1']);
  expect(comingBatches({ batches, storedLoads }, NOW).map(({ id }) => id)).toEqual(['a', 'half done', 'sizes']);
  expect([...comingJars({ batches, storedLoads }, NOW)]).toEqual([
    ['tomatoes-crushed quart', 12 + 5 + 6],
    ['tomatoes-crushed pint', 4],
  ]);
});
