import { type Batch } from '../day/batch';
import { type LoadState } from './loadState';
import { heatUpsTaken, restsTaken } from './timesTaken';

const MIN = 60_000;
const batch = (id: string, change: Partial<Batch> = {}): Batch => ({
  ...{ id, product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 0 },
  ...{ processMinutes: 45, cannerId: 'pot', startAt: 0, uses: [], loads: [{ id: `${id} 1`, number: 1, jars: 7 }] },
  ...change,
});
const state = (change: Partial<LoadState>): LoadState =>
  ({ phase: 'cooling', jars: 7, broken: 0, timesLost: 0, soonBoils: [], outOfPlace: [], ...change }) as LoadState;
/** In at a minute, so long to the boil, out so long after the heat was off. */
const run = (atMin: number, heatMin: number, restMin: number, change: Partial<LoadState> = {}) =>
  state({
    ...{ startedAt: atMin * MIN, boilAt: (atMin + heatMin) * MIN, heatOffAt: (atMin + 100) * MIN },
    outAt: (atMin + 100 + restMin) * MIN,
    ...change,
  });

test('each canner by each method keeps its own times, the newest last, whatever order they are told in', () => {
  const batches = [batch('late'), batch('first'), batch('steam', { method: 'steam', cannerId: 'pan' })];
  const states = new Map([
    ['late 1', run(900, 26, 6)],
    ['first 1', run(100, 22.4, 5)],
    ['steam 1', run(50, 12, 4)],
  ]);
  expect([...heatUpsTaken(batches, states)]).toEqual([
    ['steam pan', [12]],
    ['boiling-water pot', [22, 26]],
  ]);
  expect(restsTaken(batches, states).get('boiling-water pot')).toEqual([5, 6]);
  // It went into another canner than was planned: its time is that one's.
  const moved = new Map([['first 1', run(0, 30, 5, { cannerId: 'big' })]]);
  expect([...heatUpsTaken([batch('first')], moved).keys()]).toEqual(['boiling-water big']);
});

test('nothing is learned of a boil that was lost, a tap that was forgotten, one that is missing, or twice of one canner', () => {
  const of = (own: LoadState) => [...heatUpsTaken([batch('b')], new Map([['b 1', own]])).values()].flat();
  expect(of(run(0, 25, 5))).toEqual([25]);
  expect(of(run(0, 25, 5, { timesLost: 1 }))).toEqual([]);
  expect(of(run(0, 121, 5))).toEqual([]);
  expect(of(run(0, 0, 5))).toEqual([]);
  expect(of(run(0, 25, 5, { boilAt: undefined }))).toEqual([]);
  // After a lost boil it still rests as long as it rests.
  const lost = new Map([['b 1', run(0, 25, 5, { timesLost: 2 })]]);
  expect([...restsTaken([batch('b')], lost).values()]).toEqual([[5]]);
  const guest = batch('guest', { loads: [{ id: 'guest 1', number: 1, jars: 2, withLoadId: 'b 1' }] });
  const both = new Map([
    ['b 1', run(0, 25, 5)],
    ['guest 1', run(0, 25, 5)],
  ]);
  expect([...heatUpsTaken([batch('b'), guest], both).values()]).toEqual([[25]]);
  expect(heatUpsTaken([batch('b')], new Map()).size).toBe(0);
});
