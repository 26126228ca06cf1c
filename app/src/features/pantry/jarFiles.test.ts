import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import fc from 'fast-check';
import { jarShape } from '@/ui/jarShape';
import { BEHIND, jarFiles } from './jarFiles';

const MONTH = 30 * 24 * 60 * 60_000;

// Jars of one depth are drawn as one path, which is right only where none stands before another.
test('jars of one depth never overlap, every jar has its place, and the board is as wide as what stands on it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ jars: fc.integer({ min: 1, max: 40 }), month: fc.integer({ min: 0, max: 30 }) }), {
        maxLength: 8,
      }),
      fc.nat(20),
      fc.nat(60),
      fc.constantFrom(...JAR_SIZES),
      (told, planned, gap, jar) => {
        const lots = told.map(
          ({ jars, month }) =>
            ({ jars, madeAt: (600 + month) * MONTH, keepsUntil: (612 + month) * MONTH }) as StockedLot,
        );
        const { files, width } = jarFiles(lots, { planned, gap, jar, quartPx: 62, now: 620 * MONTH });
        const jarWide = jarShape(jar, 62).width;
        const deepest = Math.max(0, ...files.map(({ looks }) => looks.length));
        for (let depth = 0; depth < deepest; depth++) {
          const lefts = files.filter(({ looks }) => looks.length > depth).map(({ x }) => x + depth * BEHIND.x);
          for (const [i, left] of lefts.entries())
            expect(left).toBeGreaterThanOrEqual((lefts[i - 1] ?? -Infinity) + jarWide);
          expect(lefts.at(-1)! + jarWide).toBeLessThanOrEqual(width);
        }
        const looks = files.flatMap((file) => file.looks);
        const count = (look: string) => looks.filter((each) => each === look).length;
        expect([count('here'), count('planned'), count('gap')]).toEqual([
          ...[lots.reduce((sum, { jars }) => sum + jars, 0), planned, gap],
        ]);
      },
    ),
  );
});
