import loadHighs from 'highs';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { randomChoices } from '../../bench/scheduling/randomProblem';
import { timeIndexedModel } from '../../bench/scheduling/timeIndexedModel';
import { type ScheduleProblem, type SearchTask } from './scheduleProblem';
import { startSearch } from './searchSchedule';
import { type SearchState } from './searchState';

/** Minutes by which every one of the random problems that can be done is over. */
const FAR = 70;

// The last four: a longer mode once ended after what was due.
const SEEDS = [...Array.from({ length: 60 }, (_, k) => k + 1), 63, 123, 249, 265];

function solved(problem: ScheduleProblem, nodes = 8_000): SearchState | undefined {
  const search = startSearch(problem);
  return search.kind === 'ruleNotMet' ? undefined : search.step(nodes);
}

// Outside judge: an integer program of the same problem, solved by HiGHS. Alternatives, optional steps, clauses, lags under a
// literal and between starts or ends, closed times, absences, releases and dues.
test('where decisions are open, each optimum and each problem that cannot be done is what the integer program says', async () => {
  const highs = await loadHighs();
  let impossible = 0;
  let decided = 0;
  for (const seed of SEEDS) {
    const problem = randomChoices(seed, 8 + (seed % 5));
    const state = solved(problem);
    const found = state && !state.impossible ? state.makespan : undefined;
    if (found !== undefined) {
      expect([seed, brokenRules(problem, state?.tasks ?? [], state?.decisions)]).toEqual([seed, []]);
      expect([seed, state?.proven]).toEqual([seed, true]);
      decided += state?.decisions?.size ? 1 : 0;
    } else impossible++;
    const judged = highs.solve(timeIndexedModel(problem, found ?? FAR));
    expect([seed, judged.Status]).toEqual([seed, found === undefined ? 'Infeasible' : 'Optimal']);
    if (judged.Status === 'Optimal') expect([seed, Math.round(judged.ObjectiveValue)]).toEqual([seed, found]);
  }
  expect(impossible).toBeGreaterThan(0);
  expect(decided).toBeGreaterThan(40);
});

test('the same problem and steps make the same decisions', () => {
  const problem = randomChoices(5, 24);
  const states = [1, 2].map(() => solved(problem, 300));
  expect(states[1]).toEqual(states[0]);
});

/** A load that one of three machines takes, and hands to fill it. */
const loadOf = (k: number): SearchTask[] => [
  { id: `fill ${k}`, minutes: 7, needs: { hands: 1 } },
  {
    ...{ id: `run ${k}`, minutes: 0, needs: {}, after: [{ task: `fill ${k}`, maxLag: 10 }] },
    modes: ['a', 'b', 'c'].map((machine) => ({ when: `${k} in ${machine}`, minutes: 40, needs: { [machine]: 1 } })),
  },
];

test('loads and machines that stand for each other are told apart only once: eight loads in three machines are soon proven', () => {
  const resources = ['hands', 'a', 'b', 'c'].map((id) => ({ id, capacity: 1 }));
  const problem = { resources, tasks: Array.from({ length: 8 }, (_, k) => loadOf(k)).flat() };
  const state = solved(problem, 3_000);
  // By hand: the second machine gets its third load 14 min after the first got its first, and the third run of both follows on.
  expect(state).toMatchObject({ proven: true, makespan: 7 + 7 + 3 * 40 });
  expect(brokenRules(problem, state?.tasks ?? [], state?.decisions)).toEqual([]);
});

test('hands that are partly away are in the bound: the work is held against the hours that are left', () => {
  const tasks = Array.from({ length: 20 }, (_, k): SearchTask => ({ id: `t${k}`, minutes: 30, needs: { hands: 1 } }));
  const hands = { id: 'hands', capacity: 2, taken: [{ from: 60, to: 300, amount: 1 }] };
  const search = startSearch({ resources: [hands], tasks });
  if (search.kind === 'ruleNotMet') throw new Error(search.sentence);
  // By hand: 120 min of work by 60, 240 more by 300 with one pair of hands, the last 240 in two hours with two.
  expect(search.step(50)).toMatchObject({ lowerBound: 420, makespan: 420, proven: true });
});

test('steps that feed each other in portions overlap: one begins and ends so long after the other', () => {
  const tasks: SearchTask[] = [
    { id: 'mill', minutes: 60, needs: { hands: 1 } },
    {
      ...{ id: 'cook', minutes: 50, needs: {} },
      after: [
        { task: 'mill', between: 'start-start', minLag: 10 },
        { task: 'mill', between: 'end-end', minLag: 15 },
      ],
    },
  ];
  const state = solved({ resources: [{ id: 'hands', capacity: 1 }], tasks });
  expect(state).toMatchObject({ proven: true, makespan: 75 });
  expect(state?.tasks?.find(({ id }) => id === 'cook')).toEqual({ id: 'cook', start: 25, end: 75 });
});

test('what contradicts itself under every decision is impossible, and what is absent holds nothing', () => {
  const step = (id: string, presence: string): SearchTask => ({ id, minutes: 30, needs: { oven: 1 }, presence });
  const oven = { id: 'oven', capacity: 1 };
  const both = { resources: [oven], tasks: [step('a', 'p'), step('b', '!p')], clauses: [] };
  expect(solved(both)).toMatchObject({ proven: true, makespan: 30 });
  expect(solved({ ...both, clauses: [['p'], ['!p']] })?.impossible).toBe(true);
  const bound: ScheduleProblem = {
    resources: [oven],
    tasks: [step('a', 'p'), { id: 'c', minutes: 5, needs: {}, due: 20, after: [{ task: 'a', when: 'q' }] }],
    clauses: [['p'], ['q']],
  };
  expect(solved(bound)?.impossible).toBe(true);
});
