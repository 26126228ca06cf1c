import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { type LoadState } from './loadState';
import { openDay } from './openDay';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;
const dateOf = (at: number) => `${Math.floor(at / DAY)}`;

type Told = { startAt: number; phase: LoadState['phase']; outAt?: number };
const asked = (all: readonly Told[], now: number, closed: readonly string[] = []) =>
  openDay(
    all.map(({ startAt }, i) => ({ startAt, loads: [{ id: `${i}`, number: 1, jars: 7 }] }) as unknown as Batch),
    new Map(all.map(({ phase, outAt }, i) => [`${i}`, { phase, ...(outAt !== undefined && { outAt }) }])),
    { now, dateOf, closed: new Set(closed) },
  );

test('a soak past midnight leaves its day open, and so do jars that came out in the night, until it is closed', () => {
  const evening = 20 * HOUR;
  expect(asked([{ startAt: evening, phase: 'planned' }], DAY + 3 * HOUR)).toBe(evening);
  const out = [{ startAt: evening, phase: 'cooling', outAt: DAY - HOUR / 6 } as const];
  expect(asked(out, DAY - HOUR / 10)).toBe(evening);
  expect(asked(out, DAY + HOUR / 2)).toBe(evening);
  expect(asked(out, DAY + HOUR / 2, ['0'])).toBeUndefined();
  expect(asked(out, DAY + 8 * HOUR)).toBeUndefined();
  // What is planned for the new day is its own.
  expect(asked([...out, { startAt: DAY + 9 * HOUR, phase: 'planned' }], DAY + HOUR)).toBe(DAY + 9 * HOUR);
});

test('a day with jars to process comes before everything else, the earliest first', () => {
  const anyBatch = fc.record({
    startAt: fc.integer({ min: 0, max: 10 * DAY }),
    phase: fc.constantFrom<LoadState['phase']>('planned', 'heating', 'boiling', 'resting', 'cooling', 'checked'),
    outAt: fc.integer({ min: 0, max: 10 * DAY }),
  });
  fc.assert(
    fc.property(fc.array(anyBatch), fc.integer({ min: 0, max: 10 * DAY }), (all, now) => {
      const open = all.filter(({ phase }) => phase !== 'cooling' && phase !== 'checked').map(({ startAt }) => startAt);
      const answer = asked(all, now);
      if (open.length > 0) expect(answer).toBe(Math.min(...open));
      else if (answer !== undefined && dateOf(answer) !== dateOf(now)) {
        expect(all.some(({ startAt, outAt }) => startAt === answer && outAt > now - 6 * HOUR)).toBe(true);
      }
    }),
  );
});
