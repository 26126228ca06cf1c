import loadHighs from 'highs';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { FT06, jobShop } from '../../bench/scheduling/jobShops';
import { randomProblem } from '../../bench/scheduling/randomProblem';
import { simulatedDay } from '../../bench/day/simulatedDay';
import { timeIndexedModel } from '../../bench/scheduling/timeIndexedModel';
import { type ScheduleProblem } from './scheduleProblem';
import { startSearch } from './searchSchedule';
import { type SearchState } from './searchState';
import { unmetRule } from './unmetRule';

function solved(problem: ScheduleProblem, seed = 1, nodes = 20_000): SearchState {
  const search = startSearch(problem, { seed });
  if (search.kind === 'ruleNotMet') throw new Error(search.sentence);
  return search.step(nodes);
}

test('the 6 x 6 job shop of Fisher and Thompson takes 55, proven', () => {
  const problem = jobShop(FT06);
  const state = solved(problem);
  expect(brokenRules(problem, state.tasks ?? [])).toEqual([]);
  expect(state).toMatchObject({ makespan: 55, lowerBound: 55, proven: true });
});

// Outside judge: an integer program of the same day, solved by HiGHS. Days in steps of 5 min, to keep it small.
test.each([1, 2, 3, 4, 5, 6])(
  'a small day (seed %d) ends when the integer program says',
  async (seed) => {
    const size = {
      loads: 3 + (seed % 2),
      people: 1 + (seed % 2),
      burners: 3,
      canners: 1 + (seed % 2),
      pots: 2,
      grain: 5,
    };
    const problem = simulatedDay(seed, size);
    const state = solved(problem);
    expect(brokenRules(problem, state.tasks ?? [])).toEqual([]);
    const highs = await loadHighs();
    const optimum = highs.solve(timeIndexedModel(problem, state.makespan ?? 0));
    expect(optimum.Status).toBe('Optimal');
    expect(state).toMatchObject({ proven: true, makespan: Math.round(optimum.ObjectiveValue) });
    // The integer program takes seconds, and more beside other tests.
  },
  60_000,
);

test('whatever the rules, a schedule breaks none, and searches from other seeds prove the same', () => {
  let impossible = 0;
  let open = 0;
  for (let p = 1; p <= 100; p++) {
    const day = {
      loads: 2 + (p % 4),
      people: 1 + (p % 2),
      burners: 3,
      canners: 1 + (p % 3 === 0 ? 1 : 0),
      pots: 2,
      grain: 1,
    };
    const problem = p % 2 === 1 ? simulatedDay(p, day) : randomProblem(p, 8 + (p % 24));
    const states = [1, 2].map((seed) => {
      const search = startSearch(problem, { seed });
      return search.kind === 'ruleNotMet' ? undefined : search.step(8_000);
    });
    const [first, second] = states;
    expect([p, second?.impossible]).toEqual([p, first?.impossible]);
    if (!first || first.impossible) {
      impossible += 1;
      continue;
    }
    for (const state of states) expect([p, brokenRules(problem, state?.tasks ?? [])]).toEqual([p, []]);
    // The largest of these days may stay open at this budget.
    const bounds = states.map((state) => state?.lowerBound ?? NaN);
    const ends = states.map((state) => state?.makespan ?? NaN);
    expect([p, Math.max(...bounds) <= Math.min(...ends)]).toEqual([p, true]);
    open += first.proven && second?.proven ? 0 : 1;
  }
  // The generator makes both kinds.
  expect(impossible).toBeGreaterThan(2);
  expect(impossible).toBeLessThan(40);
  expect(open).toBeLessThanOrEqual(2);
});

test('the same problem, seed and steps give the same schedules, and a longer search none that is worse', () => {
  const problem = simulatedDay(7, { loads: 12, people: 2, burners: 4, canners: 2, pots: 3, grain: 1 });
  const run = () => {
    const search = startSearch(problem, { seed: 3 });
    if (search.kind === 'ruleNotMet') throw new Error(search.sentence);
    return [1, 2, 3, 4].map(() => search.step(150));
  };
  const states = run();
  expect(run()).toEqual(states);
  for (const [i, state] of states.entries()) {
    expect(brokenRules(problem, state.tasks ?? [])).toEqual([]);
    expect(state.lowerBound).toBeLessThanOrEqual(state.makespan ?? 0);
    expect(state.makespan).toBeLessThanOrEqual(states[i - 1]?.makespan ?? Infinity);
    expect(state.lowerBound).toBeGreaterThanOrEqual(states[i - 1]?.lowerBound ?? 0);
  }
});

const hands = { id: 'hands', capacity: 1 };

test.each<[string, ScheduleProblem, RegExp]>([
  [
    'more than there is',
    { resources: [hands], tasks: [{ id: 'fill', minutes: 5, needs: { hands: 2 } }] },
    /"fill" needs 2 of "hands", and there are 1/,
  ],
  [
    'a due time before the work can be done',
    { resources: [hands], tasks: [{ id: 'boil', minutes: 55, needs: {}, release: 10, due: 60 }] },
    /"boil" cannot be over by 60 min/,
  ],
  [
    'a least lag above the longest',
    {
      resources: [],
      tasks: [
        { id: 'soak', minutes: 5, needs: {} },
        { id: 'drain', minutes: 5, needs: {}, after: [{ task: 'soak', minLag: 60, maxLag: 30 }] },
      ],
    },
    /"drain" cannot start at least 60 and at most 30 min after "soak"/,
  ],
  [
    'lags that contradict each other in a ring',
    {
      resources: [],
      tasks: [
        { id: 'a', minutes: 5, needs: {} },
        { id: 'b', minutes: 30, needs: {}, after: [{ task: 'a' }] },
        { id: 'c', minutes: 5, needs: {}, after: [{ task: 'b' }, { task: 'a', maxLag: 10 }] },
      ],
    },
    /contradict|no time/,
  ],
])('a rule that nothing can meet is named: %s', (_, problem, words) => {
  const search = startSearch(problem);
  expect(search).toMatchObject({ kind: 'ruleNotMet', sentence: expect.stringMatching(words) });
});

test('rules that only together cannot be met are named together, and no others', () => {
  const problem: ScheduleProblem = {
    resources: [hands],
    tasks: [
      { id: 'jam', minutes: 30, needs: { hands: 1 }, due: 50 },
      { id: 'pickles', minutes: 30, needs: { hands: 1 }, due: 55 },
      { id: 'sauce', minutes: 30, needs: { hands: 1 }, due: 500 },
    ],
  };
  const search = startSearch(problem);
  if (search.kind === 'ruleNotMet') throw new Error('one by one each could be met');
  expect(search.step(1_000).impossible).toBe(true);
  const { sentence } = unmetRule(problem);
  expect(sentence).toBe('These cannot all be kept: "jam" over by 50 min; "pickles" over by 55 min.');
});

test.each<[string, ScheduleProblem, RegExp]>([
  [
    'an unknown task',
    { resources: [], tasks: [{ id: 'a', minutes: 1, needs: {}, after: [{ task: 'b' }] }] },
    /no task/,
  ],
  ['an unknown resource', { resources: [], tasks: [{ id: 'a', minutes: 1, needs: { oven: 1 } }] }, /no resource/],
  [
    'a circle',
    {
      resources: [],
      tasks: [
        { id: 'a', minutes: 1, needs: {}, after: [{ task: 'b' }] },
        { id: 'b', minutes: 1, needs: {}, after: [{ task: 'a' }] },
      ],
    },
    /circle: "[ab]", "[ab]"/,
  ],
  [
    'a name used twice',
    {
      resources: [],
      tasks: [
        { id: 'a', minutes: 1, needs: {} },
        { id: 'a', minutes: 1, needs: {} },
      ],
    },
    /two tasks are called "a"/,
  ],
  ['a negative time', { resources: [], tasks: [{ id: 'a', minutes: -1, needs: {} }] }, /0 or more, got -1/],
])('%s is refused as no problem at all', (_, problem, words) => {
  expect(() => startSearch(problem)).toThrow(words);
});

test('thousands of tasks get a schedule too, without proof', () => {
  const problem = simulatedDay(1, { loads: 250, people: 6, burners: 12, canners: 6, pots: 8, grain: 1 });
  expect(problem.tasks.length).toBeGreaterThan(1_200);
  const state = solved(problem, 1, 3);
  expect(brokenRules(problem, state.tasks ?? [])).toEqual([]);
});
