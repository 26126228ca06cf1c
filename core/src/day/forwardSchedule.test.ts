import fc from 'fast-check';
import { type Chain, type DayProblem, type DaySchedule, type DayTask } from './dayProblem';
import { forwardSchedule } from './forwardSchedule';

const taskArbitrary = fc.record({
  minutes: fc.integer({ min: 1, max: 60 }),
  hands: fc.boolean(),
  burners: fc.nat(2),
  canner: fc.boolean(),
});

const problemArbitrary = fc
  .array(
    fc.record({ tasks: fc.array(taskArbitrary, { minLength: 1, maxLength: 5 }), late: fc.boolean(), after: fc.nat() }),
    { minLength: 1, maxLength: 8 },
  )
  .map((drafts): DayProblem => {
    const chains = drafts.map(({ tasks, late }, c): Chain => ({
      late,
      after: [],
      tasks: tasks.map(({ minutes, hands, burners, canner }, t): DayTask => ({
        id: `${c}.${t}`,
        kind: 'prepare',
        words: '',
        minutes: { p10: minutes, p50: minutes, p90: minutes },
        needs: { ...(hands && { hands: 1 }), ...(burners && { burners }), ...(canner && { canner: 1 }) },
      })),
    }));
    const linked = chains.map((chain, c) => {
      const before = chains[(drafts[c]?.after ?? 0) % Math.max(1, c)];
      return c > 0 && before ? { ...chain, after: [before.tasks.at(-1)?.id ?? ''] } : chain;
    });
    return {
      chains: linked,
      resources: [
        { id: 'hands', capacity: 1 },
        { id: 'burners', capacity: 3 },
        { id: 'canner', capacity: 1 },
      ],
    };
  });

/** Checked minute by minute and pair by pair, apart from how the schedule was made. Empty when no rule is broken. */
function brokenRules(problem: DayProblem, schedule: DaySchedule): string[] {
  const broken: string[] = [];
  const at = new Map(schedule.tasks.map((entry) => [entry.task.id, entry]));
  for (const chain of problem.chains) {
    for (const [i, task] of chain.tasks.entries()) {
      const entry = at.get(task.id);
      const next = at.get(chain.tasks[i + 1]?.id ?? '');
      if (!entry) broken.push(`${task.id} is missing`);
      else if (entry.endMin - entry.startMin !== task.minutes.p50 || entry.startMin < 0)
        broken.push(`${task.id} has another length`);
      if (entry && next && next.startMin !== entry.endMin) broken.push(`a gap after ${task.id}`);
    }
    for (const id of chain.after) {
      if ((at.get(id)?.endMin ?? Infinity) > (at.get(chain.tasks[0]?.id ?? '')?.startMin ?? -1))
        broken.push(`${id} ends too late`);
    }
  }
  for (let minute = 0.5; minute < schedule.makespanMin; minute++) {
    for (const { id, capacity } of problem.resources) {
      const running = schedule.tasks.filter((entry) => entry.startMin < minute && minute < entry.endMin);
      const held = running.reduce((sum, entry) => sum + (entry.task.needs[id] ?? 0), 0);
      if (held > capacity) broken.push(`${held} ${id} at minute ${minute}`);
    }
  }
  return broken;
}

test('no plan breaks a rule, whatever the day', () => {
  fc.assert(
    fc.property(problemArbitrary, (problem) => expect(brokenRules(problem, forwardSchedule(problem))).toEqual([])),
    { numRuns: 300 },
  );
});

test('the last chain placed could not have started a minute earlier', () => {
  fc.assert(
    fc.property(problemArbitrary, (drafted) => {
      const problem = { ...drafted, chains: drafted.chains.map((chain) => ({ ...chain, late: false })) };
      const schedule = forwardSchedule(problem);
      const last = new Set(problem.chains.at(-1)?.tasks.map((task) => task.id));
      const earlier = schedule.tasks.map((entry) =>
        last.has(entry.task.id) ? { ...entry, startMin: entry.startMin - 1, endMin: entry.endMin - 1 } : entry,
      );
      expect(brokenRules(problem, { ...schedule, tasks: earlier })).not.toEqual([]);
    }),
    { numRuns: 300 },
  );
});

test('a duration drawn by chance is drawn once a task, so that what was checked is what is planned', () => {
  fc.assert(
    fc.property(problemArbitrary, fc.infiniteStream(fc.integer({ min: 1, max: 60 })), (problem, chance) => {
      const drawn = new Map<string, number>();
      const schedule = forwardSchedule(problem, (task) => {
        expect(drawn.has(task.id)).toBe(false);
        const minutes = chance.next().value as number;
        drawn.set(task.id, minutes);
        return minutes;
      });
      const asDrawn = (task: DayTask): DayTask => ({
        ...task,
        minutes: { ...task.minutes, p50: drawn.get(task.id) ?? 0 },
      });
      const told = {
        ...problem,
        chains: problem.chains.map((chain) => ({ ...chain, tasks: chain.tasks.map(asDrawn) })),
      };
      expect(
        brokenRules(told, {
          ...schedule,
          tasks: schedule.tasks.map((entry) => ({ ...entry, task: asDrawn(entry.task) })),
        }),
      ).toEqual([]);
    }),
    { numRuns: 100 },
  );
});
