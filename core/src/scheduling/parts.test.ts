import fc from 'fast-check';
import { randomChoices } from '../../bench/scheduling/randomProblem';
import { type CompiledProblem } from './compiledProblem';
import { decisionsNear } from './decisions';
import { symmetryBreaking } from './symmetryBreaking';
import { compileProblem } from './compileProblem';
import { rootBound } from './rootBound';
import { type ScheduleProblem, type SearchTask } from './scheduleProblem';
import { startSearch } from './searchSchedule';
import { trainsOf } from './trains';

function read(problem: ScheduleProblem): CompiledProblem {
  const own = compileProblem(problem);
  if ('kind' in own) throw new Error(own.sentence);
  return own;
}

const literal = fc.integer({ min: 1, max: 6 }).chain((k) => fc.constantFrom(k, -k));
const holds = (values: readonly boolean[], told: number) => values[Math.abs(told) - 1] === told > 0;

test('decisions that are told keep every clause and leave what was wished where they can; where none are, some clause is hard', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(literal, { minLength: 1, maxLength: 3 }), { maxLength: 12 }),
      fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
      (clauses, wished) => {
        const isKept = (values: readonly boolean[]) => clauses.every((clause) => clause.some((l) => holds(values, l)));
        const told = decisionsNear(wished, clauses);
        if (told) expect(isKept(told)).toBe(true);
        // What is wished and keeps all clauses is told as it is.
        if (isKept(wished)) expect(told).toEqual(wished);
        const all = Array.from({ length: 64 }, (_, n) => Array.from({ length: 6 }, (__, k) => (n >> k) % 2 === 1));
        if (!all.some(isKept)) expect(told).toBeUndefined();
      },
    ),
    { numRuns: 500, seed: 20_261_130 },
  );
});

/** One of some loads in one of two machines, by literals of its own. */
const loadOf = (k: number, minutes = 30): SearchTask => ({
  ...{ id: `run ${k}`, minutes: 0, needs: {} },
  modes: ['a', 'b'].map((machine) => ({ when: `${k} in ${machine}`, minutes, needs: { [machine]: 1 } })),
});
const machines = ['a', 'b'].map((id) => ({ id, capacity: 1 }));

test('parts change places only where nothing tells them apart: a minute, a clause, or a lag of one does', () => {
  const three = { resources: machines, tasks: [loadOf(0), loadOf(1), loadOf(2)] };
  expect(symmetryBreaking(read(three))).toEqual([[0, 1, 2]]);
  expect(symmetryBreaking(read({ ...three, tasks: [loadOf(0), loadOf(1), loadOf(2, 31)] }))).toEqual([[0, 1]]);
  // A clause of one alone, and one that all of them are in alike.
  expect(symmetryBreaking(read({ ...three, clauses: [['0 in a']] }))).toEqual([[1, 2]]);
  expect(symmetryBreaking(read({ ...three, clauses: [['0 in a', '1 in a', '2 in a']] }))).toEqual([[0, 1, 2]]);
  const after: SearchTask = { id: 'end', minutes: 5, needs: {}, after: [{ task: 'run 1', when: '1 in b' }] };
  expect(symmetryBreaking(read({ ...three, tasks: [...three.tasks, after] }))).toEqual([[0, 2]]);
});

test('putting lookalikes in order loses no best schedule: told apart by a minute of nothing they end as early', () => {
  for (let seed = 1; seed <= 25; seed++) {
    const own = randomChoices(seed, 6);
    const twice = (k: number) => ({
      tasks: own.tasks.map((task) => renamed(task, k)),
      clauses: (own.clauses ?? []).map((clause) => clause.map((told) => renamedLiteral(told, k))),
    });
    const [one, other] = [twice(0), twice(1)];
    const tasks = [...one.tasks, ...other.tasks];
    const clauses = [...one.clauses, ...other.clauses];
    const alike = { resources: own.resources, tasks, clauses };
    // A task of its own hangs on the second, so that the two no longer look alike.
    const apart = {
      ...alike,
      tasks: [...tasks, { id: 'mark', minutes: 0, needs: {}, after: [{ task: other.tasks[0]!.id }] }],
    };
    const [a, b] = [alike, apart].map((problem) => {
      const search = startSearch(problem);
      return search.kind === 'search' ? search.step(20_000) : undefined;
    });
    expect([seed, a?.impossible ?? true, a?.makespan]).toEqual([seed, b?.impossible ?? true, b?.makespan]);
    if (a && !a.impossible) expect([seed, a.proven, b?.proven]).toEqual([seed, true, true]);
  }
});

function renamedLiteral(told: string, k: number): string {
  return told.startsWith('!') ? `!${told.slice(1)} of ${k}` : `${told} of ${k}`;
}

function renamed(task: SearchTask, k: number): SearchTask {
  return {
    ...task,
    id: `${task.id} of ${k}`,
    ...(task.presence !== undefined && { presence: renamedLiteral(task.presence, k) }),
    ...(task.modes && { modes: task.modes.map((mode) => ({ ...mode, when: renamedLiteral(mode.when, k) })) }),
    ...(task.after && {
      after: task.after.map((lag) => ({
        ...lag,
        task: `${lag.task} of ${k}`,
        ...(lag.when !== undefined && { when: renamedLiteral(lag.when, k) }),
      })),
    }),
  };
}

test('tasks are one train on a machine where nothing else fits between them, and two where something does', () => {
  const chain = (maxLag: number, short: number): ScheduleProblem => ({
    resources: [{ id: 'a', capacity: 1 }],
    tasks: [
      { id: 'rest', minutes: 5, needs: { a: 1 } },
      { id: 'unload', minutes: 4, needs: { a: 1 }, after: [{ task: 'rest', maxLag }] },
      { id: 'other', minutes: short, needs: { a: 1 } },
    ],
  });
  const trains = (problem: ScheduleProblem) => {
    const own = read(problem);
    return trainsOf(own, own.resources[0]!).map(({ tasks }) => [...tasks]);
  };
  expect(trains(chain(10, 11))).toEqual([[2], [0, 1]]);
  expect(trains(chain(10, 10))).toEqual([[0], [1], [2]]);
  expect(trains(chain(0, 1))).toEqual([[2], [0, 1]]);
});

test('the bound before the search is below every optimum, with all decisions open', () => {
  for (let seed = 1; seed <= 80; seed++) {
    const problem = randomChoices(seed, 9);
    const search = startSearch(problem);
    const state = search.kind === 'search' ? search.step(4_000) : undefined;
    if (!state?.proven || state.makespan === undefined) continue;
    const own = read(problem);
    expect([seed, rootBound(own) / own.scale <= state.makespan]).toEqual([seed, true]);
  }
});
