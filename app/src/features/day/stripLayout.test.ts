import { type Batch } from '@hoddle/core/day/batch';
import { PRODUCTS } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import fc from 'fast-check';
import { planned } from './plannedDays';
import { stepLines, stoveLanes } from './stripLayout';
import { PX_PER_MIN, stripScale } from './stripScale';

const batchArbitrary = fc
  .record({
    product: fc.constantFrom(
      ...PRODUCTS.filter(({ sequence }) => !sequence.some((entry) => /ferment|day-/.test(entry))),
    ),
    jar: fc.constantFrom('quart' as const, 'pint' as const),
    loads: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 2 }),
    massKg: fc.double({ min: 1, max: 18, noNaN: true }),
    id: fc.uuid(),
  })
  .map(({ product, jar, loads, massKg, id }): Batch => ({
    id,
    product: product.product,
    jar,
    pack: usualPack(product),
    method: 'boiling-water',
    altitudeFt: 3_420,
    processMinutes: 55,
    cannerId: 'c',
    startAt: 0,
    uses: [{ pickId: 'p', massKg, softKg: 0 }],
    loads: loads.map((jars, i) => ({ id: `${id} ${i}`, number: i + 1, jars })),
  }));

test('a night is drawn short, and what is done besides in it as long as it takes', () => {
  const at = (startMin: number, endMin: number) => ({
    task: { id: `${startMin}`, kind: 'prepare', words: '', needs: { hands: 1 } },
    startMin,
    endMin,
  });
  const tasks = [at(0, 60), at(24 * 60, 25 * 60)] as unknown as Parameters<typeof stripScale>[0];
  const night = stripScale(tasks);
  expect(night.yOf(24 * 60) - night.yOf(60)).toBeCloseTo(84, 6);
  const dinner = stripScale(tasks, 0, [{ startMin: 600, endMin: 660 }]);
  expect(dinner.pauses.map(({ fromMin, toMin }) => [fromMin, toMin])).toEqual([
    [60, 600],
    [660, 24 * 60],
  ]);
  expect(dinner.yOf(660) - dinner.yOf(600)).toBeCloseTo(60 * PX_PER_MIN, 6);
});

test('whatever the day, no words lie on each other, none stand above their step, and no two pots share a place', () => {
  fc.assert(
    fc.property(fc.uniqueArray(batchArbitrary, { minLength: 1, maxLength: 2, selector: ({ id }) => id }), (batches) => {
      const { tasks } = planned(batches);
      const scale = stripScale(tasks);
      // Later is lower, however short a pause is drawn, and what is done is never drawn short.
      const marks = [...new Set(tasks.flatMap(({ startMin, endMin }) => [startMin, endMin]))].sort((a, b) => a - b);
      for (const [i, mark] of marks.entries()) {
        if (i > 0) expect(scale.yOf(mark)).toBeGreaterThan(scale.yOf(marks[i - 1]!));
      }
      for (const { task, startMin, endMin } of tasks) {
        if (!task.needs.hands) continue;
        expect(scale.yOf(endMin) - scale.yOf(startMin)).toBeCloseTo((endMin - startMin) * PX_PER_MIN, 6);
      }
      const lines = stepLines(tasks, scale);
      for (const [i, line] of lines.entries()) {
        expect(line.wordsY).toBeGreaterThanOrEqual(line.y);
        if (i > 0) expect(line.wordsY - lines[i - 1]!.wordsY).toBeGreaterThan(17 - 1e-6);
      }
      const pots = stoveLanes(tasks);
      for (const a of pots) {
        for (const b of pots) {
          if (a === b || a.lane !== b.lane) continue;
          expect(a.entry.endMin <= b.entry.startMin + 1e-6 || b.entry.endMin <= a.entry.startMin + 1e-6).toBe(true);
        }
      }
      // The canner has a burner of its own, so three are left for pots.
      expect(Math.max(0, ...pots.map(({ lane }) => lane))).toBeLessThan(4);
    }),
    { numRuns: 30 },
  );
});
