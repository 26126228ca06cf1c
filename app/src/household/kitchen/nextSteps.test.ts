import { type Batch } from '@hoddle/core/day/batch';
import { loadClock } from '@hoddle/core/kitchen/loadClock';
import { loadState } from '@hoddle/core/kitchen/loadState';
import { nextSteps } from './nextSteps';

const MIN = 60_000;
const START = new Date(2026, 7, 29, 8, 0).getTime();
const batch = {
  product: 'plums',
  jar: 'pint',
  method: 'boiling-water',
  processMinutes: 30,
  loads: [
    { id: 'one', number: 1, jars: 9 },
    { id: 'two', number: 2, jars: 6 },
  ],
} as unknown as Batch;
const order = { method: 'boiling-water', jars: 9, processMinutes: 30, restMinutes: 5, leastRestMinutes: 5 } as const;
const told = [
  { id: 'a', loadId: 'one', type: 'load-started', jars: 9, at: START },
  { id: 'b', loadId: 'one', type: 'boil-reached', at: START + 20 * MIN },
  { id: 'c', loadId: 'one', type: 'heat-off', at: START + 50 * MIN },
  { id: 'd', loadId: 'one', type: 'jars-out', at: START + 55 * MIN },
] as const;

test.each([
  [1, 10, ['boil Start 30 min', 'then Heat off, lid off, wait 5 min', 'then Lift out 9 pints']],
  [2, 30, ['8:50 am Heat off, lid off, wait 5 min', '8:55 am Lift out 9 pints', 'then Load 2: 6 pints']],
  [2, 60, ['now Heat off, lid off', '5 min on Lift out 9 pints', 'then Load 2: 6 pints']],
  [3, 52, ['8:55 am Lift out 9 pints', 'then Load 2: 6 pints', 'after Cool 12 to 24 h, then press the lids']],
  [3, 56, ['now Lift out 9 pints', 'then Load 2: 6 pints', 'after Cool 12 to 24 h, then press the lids']],
  [4, 60, ['8:55 pm Press the lids', 'then Load 2: 6 pints']],
])('after %d taps, at minute %d, the next steps are told with their clock times', (taps, minute, words) => {
  const state = loadState(order, told.slice(0, taps));
  const steps = nextSteps({ batch, order, state, besides: [] }, loadClock(order, state, START + minute * MIN), 'us', {
    id: 'two',
    number: 2,
    jars: 6,
    jar: 'pint',
  });
  expect(steps.map((step) => `${step.when} ${step.words}`)).toEqual(words);
});
