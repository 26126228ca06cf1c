import fc from 'fast-check';
import { type ScheduledTask } from '../day/dayProblem';
import { type Progress } from '../day/restOfDay';
import { dayState } from './dayState';
import { whatNow } from './whatNow';

const NAMES = ['Ada', 'Bo', 'Cy'];
const cooks = (names: readonly string[]) => names.map((name) => ({ name, fromMin: 0, toMin: 1_440, breaks: [] }));
const entry = (id: string, startMin: number): ScheduledTask => ({
  task: {
    id,
    kind: 'prepare',
    words: id,
    minutes: { p10: 9, p50: 10, p90: 11 },
    needs: { hands: 1 },
    after: [],
  },
  startMin,
  endMin: startMin + 10,
});

test('whoever began a step stays at it as long as it runs; what nobody told goes to free hands, and none is given out twice', () => {
  let stayed = 0;
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...NAMES), { minLength: 1 }),
      fc.array(
        fc.record({ runs: fc.boolean(), by: fc.option(fc.constantFrom(...NAMES, 'Gone'), { nil: undefined }) }),
        {
          maxLength: 6,
        },
      ),
      (there, told) => {
        const tasks = told.map((_, k) => entry(`step ${k}`, 100 + k));
        const running = told.flatMap(({ runs }, k): [string, Progress][] =>
          runs ? [[`step ${k}`, { kind: 'running', startMin: 90, endMin: 110 + k }]] : [],
        );
        const { steps } = dayState(
          told.flatMap(({ runs, by }, k) =>
            runs
              ? [
                  {
                    id: `e${k}`,
                    day: 'd',
                    at: k,
                    type: 'step-started' as const,
                    taskId: `step ${k}`,
                    ...(by && { cook: by }),
                  },
                ]
              : [],
          ),
        );
        const progress = { nowMin: 100, of: new Map(running), cannerOf: new Map(), cannersOut: [] };
        const hands = whatNow(cooks(there), tasks, progress, steps);
        expect(hands.map(({ cook }) => cook)).toEqual(there);
        const given = hands.flatMap(({ now, then }) => [now?.entry.task.id, then?.task.id].flatMap((id) => id ?? []));
        expect(new Set(given).size).toBe(given.length);
        const firstOf = (cook: string) => told.findIndex(({ runs, by }) => runs && by === cook);
        for (const { cook, now } of hands) {
          const own = firstOf(cook);
          if (own < 0) continue;
          stayed++;
          expect([cook, now?.entry.task.id, now?.running]).toEqual([cook, `step ${own}`, true]);
        }
        // Nobody is idle while another has two steps that run.
        const free = hands.filter(({ now }) => now === undefined);
        if (free.length > 0) expect(hands.every(({ then }) => then === undefined)).toBe(true);
      },
    ),
  );
  expect(stayed).toBeGreaterThan(10);
});
