import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { type Canner } from '../canner/canner';
import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { quartsPerJar } from '../handbook/jars';
import { productRow } from '../handbook/products';
import { batchesNow } from '../kitchen/batchesNow';
import { AS_PLANNED, byTheTable } from '../kitchen/byTheTable';
import { type DayEvent } from '../kitchen/dayEvent';
import { amountsOfBatch } from './amountsOfBatch';
import { type Batch, nameOf } from './batch';
import { batchFromPot, jarsFromVolume, wayBeside } from './batchFromPot';
import { batchOf } from './batchOf';
import { dayOf } from './dayOf';
import { scheduleProblemOf } from './dayProblem';
import { USUAL_KITCHEN } from './kitchenSetup';
import { type DayPlan, planDay } from './planDay';

const LB = 0.45359237;
const big = handbookCanner(CANNERS[0]!, { id: 'big' });
const second = { ...big, id: 'second', name: 'Second pot' };
const here = { altitudeFt: 800 };

/** 45 lb of slicing tomatoes on the stove in one pot: sauce in pints, and its thin juice in quarts. */
function job10(sauceLoads: number[], juiceLoads: number[]): [Batch, Batch] {
  const sauce = batchOf(
    {
      product: productRow('tomato-sauce-thick'),
      ...{ jar: 'pint', method: 'boiling-water', cannerId: 'big', loads: sauceLoads, startAt: 0 },
      uses: [{ pickId: 'p', crop: 'tomato-slicing', massKg: 45 * LB, softKg: 0 }],
      gives: ['thin-juice'],
    },
    here,
    {},
    (of) => `sauce ${of}`,
  )!;
  const wish = { kind: 'thin-juice', jar: 'quart', method: 'boiling-water', cannerId: 'second' } as const;
  const juice = batchFromPot({ ...wish, pot: sauce, loads: juiceLoads }, here, {}, (of) => `juice ${of}`)!;
  return [sauce, juice];
}

// Processing times: USDA Complete Guide, Guide 3, tables for tomato juice and for tomato sauce, 0 to 1,000 ft.
test('the juice is tomato juice by its own tested time and acid, and takes no produce', () => {
  const [sauce, juice] = job10([12], [4]);
  expect([sauce.processMinutes, juice.processMinutes]).toEqual([35, 40]);
  expect(nameOf(juice)).toBe('Tomato juice');
  expect(juice.uses).toEqual([]);
  const { lines } = amountsOfBatch(juice)!;
  expect(lines.map(({ line }) => line.role)).toEqual(['lemon', 'salt']);
  expect(lines.some(({ line }) => line.item === 'tomatoes')).toBe(false);
});

test.each([
  [[9, 3], [4]],
  [[9, 9], [7]],
  [
    [9, 4],
    [7, 3],
  ],
])(
  'sauce of %j and juice of %j: ladled off once, before the mill; a proven order keeps every rule',
  (sauces, juices) => {
    const batches = job10(sauces, juices);
    const kitchen = { setup: USUAL_KITCHEN, canners: [big, second], startMinute: 480 };
    const { tasks } = dayOf(batches, kitchen);
    const ladled = tasks.filter(({ step }) => step === 'ladle-off');
    expect(ladled.map(({ id }) => id)).toEqual(['ladle-off sauce batch']);
    const mills = tasks.filter(({ step, batchId }) => step === 'food-mill' && batchId === 'sauce batch');
    expect(mills).toHaveLength(sauces.length);
    const planner = planDay({ batches, ...kitchen });
    if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
    const plan = planner.step(3_000).plan as DayPlan;
    const placed = plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
    expect(brokenRules(scheduleProblemOf(dayOf(batches, { ...kitchen, cannerOf: plan.cannerOf })), placed)).toEqual([]);
    const at = (step: string, batchId: string) =>
      plan.tasks.filter(({ task }) => task.step === step && task.batchId === batchId).map(({ startMin }) => startMin);
    const [off] = plan.tasks.filter(({ task }) => task.step === 'ladle-off').map(({ endMin }) => endMin);
    for (const startMin of [...at('food-mill', 'sauce batch'), ...at('reheat', 'juice batch')])
      expect(startMin).toBeGreaterThanOrEqual(off!);
    // Juice is no produce: nothing of it is washed, cut or milled a second time.
    expect(
      plan.tasks.some(({ task }) => task.batchId === 'juice batch' && ['wash', 'food-mill'].includes(task.step ?? '')),
    ).toBe(false);
  },
);

test('juice goes beside the sauce where another canner is as hot, by that one’s own way; into a pressure canner only as into a pot', () => {
  const steam = handbookCanner(CANNERS[4]!, { id: 'steam pan' });
  const way = (canners: readonly Canner[]) => {
    const { method, canner } = wayBeside('thin-juice', 'quart', 'big', { canners, ownJars: [], altitudeFt: 800 }, {});
    return [method, canner?.id];
  };
  expect(way([big])).toEqual(['boiling-water', 'big']);
  expect(way([big, steam])).toEqual(['steam', 'steam pan']);
  expect(way([big, steam, second])).toEqual(['boiling-water', 'second']);
  const pressure = { ...handbookCanner(CANNERS[5]!, { id: 'pressure' }), alsoBoilingWater: false };
  expect(way([big, pressure])).toEqual(['boiling-water', 'big']);
});

// The same guide, 3,001 to 6,000 ft: tomato sauce in pints 45 min, tomato juice in quarts 50 min.
test('moved up the hill, the juice goes by its own table as the sauce does by its', () => {
  const up = byTheTable(job10([9, 3], [4]), [], { altitudeFt: 3_420, pages: {} });
  expect(up.map(({ processMinutes, untested }) => [processMinutes, untested])).toEqual([
    [45, undefined],
    [50, undefined],
  ]);
});

test('a sauce that is dropped takes its juice with it, unless that was ladled off before', () => {
  const batches = job10([12], [4]);
  const dropped = {
    id: 'e2',
    day: 'd',
    at: 2,
    type: 'loads-changed',
    batchId: 'sauce batch',
    loads: [],
    produceUsed: 0,
  };
  const ladled = { id: 'e1', day: 'd', at: 1, type: 'output-measured', batchId: 'sauce batch', taskId: 't' };
  const told = (events: object[]) => batchesNow(batches, events as DayEvent[], [], AS_PLANNED).map(({ id }) => id);
  expect(told([])).toEqual(['sauce batch', 'juice batch']);
  expect(told([dropped])).toEqual([]);
  expect(told([{ ...ladled, kind: 'thin-juice', volumeMl: 4_000 }, dropped])).toEqual(['juice batch']);
});

test('full jars and the part of one are what was measured, nothing more and nothing less', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 30_000, noNaN: true }), fc.constantFrom('pint', 'quart'), (ml, jar) => {
      const { jars, part } = jarsFromVolume(ml, jar);
      expect(part).toBeLessThan(1);
      expect((jars + part) * quartsPerJar(jar as 'pint') * 946.352946).toBeCloseTo(ml, 2);
    }),
  );
});
