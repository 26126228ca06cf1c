import fc from 'fast-check';
import { liveDay, restAt } from '../../bench/kitchen/liveDay';
import { handbookCanner } from '../canner/handbookCanner';
import { type Batch } from '../day/batch';
import { waterId } from '../day/dayKitchen';
import { USUAL_KITCHEN } from '../day/kitchenSetup';
import { type DayQuestion } from '../day/questionOfDay';
import { CANNERS } from '../handbook/canners';
import { alarmsOf } from './alarms';
import { layOut } from './layOut';

const HOUR = 60;
/** From 10 on Saturday; Sunday's tomatoes not before 9. */
const SUNDAY = 23 * HOUR;
const batch = (id: string, product: Batch['product'], crop: string, massKg: number): Batch =>
  ({
    ...{ id, product, jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 0, processMinutes: 45 },
    ...{ cannerId: 'pot', startAt: 0, uses: [{ pickId: crop, crop, massKg, softKg: 0 }] },
    loads: [{ id: `${id} 1`, number: 1, jars: 6 }],
  }) as Batch;
const QUESTION: DayQuestion = {
  batches: [
    batch('juice', 'grape-juice', 'grape', 10),
    batch('first', 'tomatoes-crushed', 'tomato-paste', 8),
    batch('jam', 'tomatoes-crushed', 'tomato-paste', 8),
  ],
  canners: [handbookCanner(CANNERS[0]!, { id: 'pot' })],
  setup: { ...USUAL_KITCHEN, cooks: [{ name: 'Cook', fromMin: 6 * HOUR, toMin: 22 * HOUR, breaks: [] }] },
  startMinute: 10 * HOUR,
  later: new Map([['jam', { days: 1, fromMin: SUNDAY }]]),
  seed: 1,
};
/** Two days as slow and quick cooks live them. */
const LIVES = [1, 2, 3].map((seed) => {
  const live = liveDay(QUESTION, seed, { nodes: 200 });
  if (!live) throw new Error('no plan');
  return live;
});

test('whenever one looks at two days that are one plan, the rest can be done, and Sunday waits for its hour', () => {
  fc.assert(
    fc.property(fc.constantFrom(...LIVES), fc.double({ min: 0, max: 1, noNaN: true }), (live, part) => {
      const last = Math.max(...[...live.real.values()].map(({ end }) => end));
      const nowMin = Math.floor(part * last);
      const { progress, running } = restAt(live, nowMin);
      const laid = layOut({ ...live.question, progress }, live.order, live.cannerOf);
      expect(laid).toBeDefined();
      for (const { task, startMin } of laid?.tasks ?? []) {
        if (task.batchId === 'jam' || task.id === waterId('pot', 1)) expect(startMin).toBeGreaterThanOrEqual(SUNDAY);
      }
      const starts = new Map((laid?.tasks ?? []).map(({ task, startMin }) => [task.id, startMin]));
      const calls = alarmsOf(running, progress, nowMin * 60_000, starts).map(({ taskId }) => taskId);
      if (nowMin < SUNDAY - 1) expect(calls).not.toContain(waterId('pot', 1));
    }),
    { numRuns: 60, seed: 2 },
  );
});
