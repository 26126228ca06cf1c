import { type Batch } from './batch';
import { dayOf } from './dayOf';
import { forwardSchedule } from './forwardSchedule';
import { lateFinishMin } from './lateFinish';

const KG_PER_LB = 0.45359237;

function batchOf(product: Batch['product'], jar: Batch['jar'], loads: number[], pounds: number): Batch {
  return {
    id: 'b',
    product,
    jar,
    pack: 'hot',
    method: 'boiling-water',
    altitudeFt: 3_420,
    processMinutes: 55,
    cannerId: 'big',
    startAt: 0,
    uses: [{ pickId: 'p', massKg: pounds * KG_PER_LB, softKg: 0 }],
    loads: loads.map((jars, i) => ({ id: `load${i + 1}`, number: i + 1, jars })),
  };
}

const threeLoads = batchOf('tomatoes-crushed', 'quart', [7, 7, 7], 66);

test('each load heats, processes its tested minutes, rests 5 min and comes out, one after the other in one canner', () => {
  const { tasks } = forwardSchedule(dayOf([threeLoads], 4));
  let freeMin = 0;
  for (const load of threeLoads.loads) {
    const stages = ['load', 'heat-up', 'process', 'rest', 'unload'].map((kind) =>
      tasks.find((entry) => entry.task.id === `${kind} ${load.id}`)!,
    );
    expect(stages[0]!.startMin).toBeGreaterThanOrEqual(freeMin);
    for (const [i, stage] of stages.slice(1).entries()) expect(stage.startMin).toBeCloseTo(stages[i]!.endMin, 9);
    expect(stages[2]!.endMin - stages[2]!.startMin).toBeCloseTo(55, 9);
    expect(stages[3]!.endMin - stages[3]!.startMin).toBeCloseTo(5, 9);
    freeMin = stages[4]!.endMin;
  }
});

// Common practice (handbook steps): filled hot jars wait 10 min at most for the canner.
test('jars go into the canner as soon as they are filled, and the canner is hot by then', () => {
  const { tasks } = forwardSchedule(dayOf([threeLoads], 4));
  const end = (id: string) => tasks.find((entry) => entry.task.id === id)!.endMin;
  const start = (id: string) => tasks.find((entry) => entry.task.id === id)!.startMin;
  for (const load of threeLoads.loads) expect(start(`load ${load.id}`)).toBeCloseTo(end(`fill ${load.id}`), 9);
  expect(end('preheat big')).toBeLessThanOrEqual(start('load load1'));
});

test.each([
  ['tomatoes-crushed', 'quart'],
  ['tomatoes-whole-in-water', 'pint'],
  ['tomato-sauce-thin', 'pint'],
  ['plums', 'pint'],
] as const)(
  '%s has a day, and its late finish is after its likely one and the same for the same seed',
  (product, jar) => {
    const problem = dayOf([batchOf(product, jar, [9, 9], 30)], 4);
    const { makespanMin } = forwardSchedule(problem);
    expect(makespanMin).toBeGreaterThan(2 * (55 + 5));
    expect(lateFinishMin(problem, 7)).toBeGreaterThan(makespanMin);
    expect(lateFinishMin(problem, 7)).toBe(lateFinishMin(problem, 7));
  },
);
