import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { handbookCanner } from '../canner/handbookCanner';
import { holdsMixed } from '../canner/holdsMixed';
import { CANNERS } from '../handbook/canners';
import { quartsPerJar } from '../handbook/jars';
import { productRow } from '../handbook/products';
import { byTheTable } from '../kitchen/byTheTable';
import { loadOrder } from '../kitchen/loadOrder';
import { sealCheck } from '../pantry/sealCheck';
import { amountsOfBatch } from './amountsOfBatch';
import { type Batch, jarsWords, massKgOf, ofLoad, quartsIn, shareOf } from './batch';
import { batchOf, type MoreJars } from './batchOf';
import { beforeYouStart } from './beforeYouStart';
import { dayOf } from './dayOf';
import { scheduleProblemOf } from './dayProblem';
import { USUAL_KITCHEN } from './kitchenSetup';
import { likelyInPot } from './likelyInPot';
import { type DayPlan, planDay } from './planDay';

const LB = 0.45359237;
const pot = handbookCanner(CANNERS[0]!, { id: 'big' });

function whole(loads: readonly number[], besides: MoreJars | readonly MoreJars[], lb = 24): Batch {
  const more = [besides].flat();
  return batchOf(
    {
      product: productRow('tomatoes-whole-in-water'),
      ...{ jar: 'quart', method: 'boiling-water', cannerId: 'big', loads, more, startAt: 0 },
      uses: [{ pickId: 'p', crop: 'tomato-slicing', massKg: lb * LB, softKg: 0 }],
    },
    { altitudeFt: 800 },
    {},
    (of) => of,
  )!;
}

// Job 14: whole tomatoes, 6 quarts and 4 pints of one lot. USDA Complete Guide, Guide 3, whole or halved tomatoes in water:
// pints 40 and quarts 45 min to 1,000 ft, 50 and 55 min to 6,000 ft.
const job14 = whole([6], { jar: 'pint', loads: [4] });

test('two sizes are one batch, each load by the time of its own jars, now and at another altitude', () => {
  expect(jarsWords(job14)).toBe('6 quarts and 4 pints');
  const minutes = (batch: Batch) => batch.loads.map((load) => loadOrder(batch, load, [batch]).processMinutes);
  expect(minutes(job14)).toEqual([45, 40]);
  const [up] = byTheTable([job14], [], { altitudeFt: 3_420, pages: {} });
  expect(minutes(up!)).toEqual([55, 50]);
  expect(ofLoad(up!, up!.loads[1]!)).toMatchObject({ jar: 'pint', planned: { processMinutes: 40 } });
});

test('shared because the cook says so: the longest time for both, and only where both surely fit', () => {
  const shared = whole([3], { jar: 'pint', loads: [4], isShared: true });
  expect(shared.loads[1]).toMatchObject({ withLoadId: 'load 1', size: { jar: 'pint', processMinutes: 40 } });
  for (const load of shared.loads) expect(loadOrder(shared, load, [shared]).processMinutes).toBe(45);
  const how = { method: 'boiling-water', ownJars: [] } as const;
  expect(holdsMixed(pot, ['quart', 'pint'], 7, how)).toBe(true);
  expect(holdsMixed(pot, ['quart', 'pint'], 8, how)).toBe(false);
  const { tasks } = dayOf([shared], { setup: USUAL_KITCHEN, canners: [pot], startMinute: 480 });
  expect(tasks.filter(({ kind }) => kind === 'process').map(({ minutes }) => minutes.p50)).toEqual([45]);
  expect(tasks.find(({ kind }) => kind === 'load')?.words).toBe('Load 3 quarts and 4 pints');
});

test('acid by the jar: a quart 2 Tbsp, a pint 1; jars, lids and produce are of both', () => {
  const { lines, loads } = amountsOfBatch(job14)!;
  const lemon = lines.find(({ line }) => line.role === 'lemon');
  // 14.7868 ml to the tablespoon.
  expect(lemon?.all.of === 'ml' && lemon.all.value / 14.7868).toBeCloseTo(6 * 2 + 4, 2);
  expect(loads.map(({ amounts }) => amounts.jars)).toEqual([[{ jar: 'quart', count: 6 }], [{ jar: 'pint', count: 4 }]]);
  expect(beforeYouStart([job14]).jars).toMatchObject([
    { jar: 'quart', jars: 6 },
    { jar: 'pint', jars: 4 },
  ]);
  const quarts = whole([8], { jar: 'pint', loads: [] });
  expect(likelyInPot({ ...job14, uses: quarts.uses })).toBeCloseTo(likelyInPot(quarts), 6);
});

test('what is sealed stands on the shelf in the jars it is in', () => {
  const check = (loadId: string) => {
    const event = { id: 'e', loadId, type: 'seal-checked', sealed: [true, true], at: 16 * 3_600_000 } as const;
    return sealCheck(job14, { heatOffAt: 0 }, { ...event, sealedLotId: `s ${loadId}`, unsealedLotId: 'u' }).lots;
  };
  expect(check('load 1')).toMatchObject([{ jar: 'quart' }]);
  expect(check('load 2')).toMatchObject([{ jar: 'pint' }]);
});

test('however many of each, every load takes its part of the pot and no more, and a plan keeps every rule', () => {
  const counts = fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 2 });
  fc.assert(
    fc.property(counts, counts, fc.boolean(), (loads, others, isShared) => {
      const fits = !isShared || loads.at(-1)! + others.at(-1)! <= 7;
      const lb = 3 * loads.reduce((sum, jars) => sum + jars, 0) + 1.5 * others.reduce((sum, jars) => sum + jars, 0);
      const batch = whole(loads, { jar: 'pint', loads: others, isShared: isShared && fits }, lb);
      expect(batch.loads.reduce((sum, load) => sum + shareOf(batch, load), 0)).toBeCloseTo(1, 9);
      expect(quartsIn(batch)).toBeCloseTo(
        loads.reduce((sum, jars) => sum + jars, 0) + others.reduce((sum, jars) => sum + jars * quartsPerJar('pint'), 0),
        9,
      );
      const kitchen = { setup: USUAL_KITCHEN, canners: [pot], startMinute: 480 };
      const { tasks } = dayOf([batch], kitchen);
      const cored = tasks.filter(({ step }) => step === 'core').reduce((sum, { pounds = 0 }) => sum + pounds, 0);
      expect(cored).toBeCloseTo(massKgOf(batch) / LB, 6);
      const planner = planDay({ batches: [batch], ...kitchen });
      if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
      const plan = planner.step(3_000).plan as DayPlan;
      const placed = plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
      expect(brokenRules(scheduleProblemOf(dayOf([batch], { ...kitchen, cannerOf: plan.cannerOf })), placed)).toEqual(
        [],
      );
    }),
    // Two loads of as many jars, of which one has a guest, are ready at once and do not stand for each other.
    { numRuns: 25, examples: [[[5, 5], [1], true]] },
  );
});

test('three sizes of one pot are three kinds of load, each once; two of them go in with the first', () => {
  const sauce = batchOf(
    {
      product: productRow('tomato-sauce-thick'),
      ...{ jar: 'quart', method: 'boiling-water', cannerId: 'big', loads: [2], startAt: 0 },
      more: [
        { jar: 'pint', loads: [7, 3], isShared: true },
        { jar: 'half-pint', loads: [2], isShared: true },
      ],
      uses: [{ pickId: 'p', crop: 'tomato-paste', massKg: 40 * LB, softKg: 0 }],
    },
    { altitudeFt: 800 },
    {},
    (of) => of,
  )!;
  expect(jarsWords(sauce)).toBe('2 quarts, 10 pints and 2 half-pints');
  expect(sauce.loads.map(({ number }) => number)).toEqual([1, 2, 3, 4]);
  expect(sauce.loads.map(({ withLoadId }) => withLoadId)).toEqual([undefined, undefined, 'load 1', 'load 1']);
  expect(sauce.loads.reduce((sum, load) => sum + shareOf(sauce, load), 0)).toBeCloseTo(1, 9);
  const { tasks } = dayOf([sauce], { setup: USUAL_KITCHEN, canners: [pot], startMinute: 480 });
  // Guide 3, tomato sauce to 1,000 ft: pints 35, quarts 40 min, the longest for all that go in together.
  expect(tasks.filter(({ kind }) => kind === 'process').map(({ minutes }) => minutes.p50)).toEqual([40, 35]);
  expect(tasks.find(({ kind }) => kind === 'load')?.words).toMatch(/^Load 2 quarts/);
});
