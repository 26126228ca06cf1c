import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { handbookCanner } from '../canner/handbookCanner';
import { type Batch, jarsOf, quartsIn } from '../day/batch';
import { batchFromPot } from '../day/batchFromPot';
import { batchOf } from '../day/batchOf';
import { scheduleProblemOf } from '../day/dayProblem';
import { joinFault, joinedPots } from '../day/joinPots';
import { USUAL_KITCHEN } from '../day/kitchenSetup';
import { planDay } from '../day/planDay';
import { problemOf } from '../day/questionOfDay';
import { CANNERS } from '../handbook/canners';
import { productRow } from '../handbook/products';
import { estimateJars } from '../yields/estimateJars';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { withChange } from './dayChange';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { otherProducts } from './otherProducts';
import { pacesSeen } from './pace';
import { asOther, begunOf, joinFaultNow, loadsAsOther } from './potChanges';
import { progressOf } from './progressOf';
import { runningDay } from './runningDay';

const LB = 0.45359237;
const MINUTE = 60_000;
const big = handbookCanner(CANNERS[0]!, { id: 'big' });
const KITCHEN = { setup: USUAL_KITCHEN, canners: [big, { ...big, id: 'second' }], startMinute: 480 };

function pot(id: string, over: Partial<Parameters<typeof batchOf>[0]> = {}, altitudeFt = 800): Batch {
  const wish = {
    product: productRow('tomato-sauce-thick'),
    ...{ jar: 'pint' as const, method: 'boiling-water' as const, cannerId: 'big', loads: [8], startAt: 0 },
    uses: [{ pickId: `pick of ${id}`, crop: 'tomato-slicing' as const, massKg: 20 * LB, softKg: 2 * LB }],
    ...over,
  };
  return batchOf(wish, { altitudeFt }, {}, (of) => `${id} ${of}`)!;
}

let count = 0;
const told = (more: object): DayEvent =>
  ({ id: `e${(count += 1)}`, day: '1970-01-01', at: count, ...more }) as DayEvent;
const join = (a: Batch, b: Batch) => told({ type: 'pots-joined', batchId: a.id, withId: b.id });
const now = (batches: Batch[], events: DayEvent[]) => batchesNow(batches, events, [], AS_PLANNED);

test('two pots are one: every load once with its own jars and minutes, all produce, and taken back they are two again', () => {
  const sizes = fc.record({
    jar: fc.constantFrom('pint', 'quart'),
    loads: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 3 }),
    canner: fc.constantFrom('big', 'second'),
    lb: fc.double({ min: 5, max: 60, noNaN: true }),
    pick: fc.constantFrom('p', 'q'),
  });
  fc.assert(
    fc.property(sizes, sizes, fc.double({ min: 0.1, max: 1, noNaN: true }), (one, two, left) => {
      const [a, b] = [one, two].map(({ jar, loads, canner, lb, pick }, i) =>
        pot(`${i}`, {
          ...{ jar: jar as 'pint', loads, cannerId: canner },
          uses: [{ pickId: pick, crop: 'tomato-slicing', massKg: lb * LB, softKg: 0 }],
        }),
      ) as [Batch, Batch];
      const fewer = told({ type: 'loads-changed', batchId: b.id, loads: b.loads.slice(0, 1), produceUsed: left });
      const joining = join(a, b);
      const [both, ...none] = now([a, b], [fewer, joining]);
      expect(none).toEqual([]);
      const kept = { ...b, loads: b.loads.slice(0, 1) };
      expect(jarsOf(both!)).toBe(jarsOf(a) + jarsOf(kept));
      expect(quartsIn(both!)).toBeCloseTo(quartsIn(a) + quartsIn(kept), 9);
      expect(new Set(both!.loads.map(({ id }) => id)).size).toBe(a.loads.length + 1);
      expect(new Set(both!.loads.map(({ number }) => number)).size).toBe(a.loads.length + 1);
      const kg = both!.uses.reduce((sum, { massKg }) => sum + massKg, 0);
      expect(kg).toBeCloseTo((one.lb + two.lb * left) * LB, 6);
      const moved = both!.loads.at(-1)!;
      expect([moved.size?.jar ?? both!.jar, moved.size?.processMinutes ?? both!.processMinutes]).toEqual([
        b.jar,
        b.processMinutes,
      ]);
      expect(moved.cannerId ?? both!.cannerId).toBe(b.cannerId);
      expect(now([a, b], [joining, told({ type: 'taken-back', eventId: joining.id })])).toEqual([a, b]);
      // Told of the joined pot afterwards, it holds for both.
      expect(now([a, b], [joining, told({ type: 'loads-changed', batchId: a.id, loads: [], produceUsed: 0 })])).toEqual(
        [],
      );
    }),
  );
});

test('what both give goes on as one', () => {
  const [a, b] = [pot('a', { gives: ['thin-juice'] }), pot('b', { gives: ['thin-juice'] })];
  const wish = { kind: 'thin-juice', jar: 'quart', method: 'boiling-water', cannerId: 'second' } as const;
  const juices = [a, b].map((of) =>
    batchFromPot({ ...wish, pot: of, loads: [4] }, { altitudeFt: 800 }, {}, (id) => `${of.id} ${id}`)!,
  );
  const all = now([a, b, ...juices], [join(a, b)]);
  expect(all.map(({ id }) => id)).toEqual([a.id, juices[0]!.id]);
  expect(jarsOf(all[1]!)).toBe(8);
  const only = now([a, b, juices[1]!], [join(a, b)]);
  expect(only[1]!.from?.batchId).toBe(a.id);
});

test.each([
  ['another card', pot('b', { product: productRow('tomato-sauce-thin') }), /different cards/],
  ['another way', { ...pot('b'), method: 'steam' as const }, /different ways/],
  ['another altitude', pot('b', {}, 4_000), /different ways/],
  ['only one is ladled off', pot('b', { gives: ['thin-juice'] }), /taken off one/],
])('not joined: %s', (_, other, words) => {
  const a = pot('a');
  expect(joinFault(a, other)).toMatch(words);
  expect(now([a, other], [join(a, other)])).toEqual([a, other]);
});

test('jam is made one batch at a time', () => {
  const uses = [{ pickId: 'p', crop: 'blackberry' as const, massKg: 3, softKg: 0 }];
  const jam = (id: string) => pot(id, { product: productRow('jam-with-pectin'), jar: 'half-pint', uses });
  expect(joinFault(jam('a'), jam('b'))).toMatch(/one batch at a time/);
});

/** The day with the steps named told as done one after the other, a minute each, in all their loads. */
function dayWith(batches: Batch[], steps: readonly string[]) {
  const tasks = problemOf({ batches, ...KITCHEN }).tasks;
  const ids = steps.flatMap((entry) => tasks.filter((task) => task.entry === entry).map(({ id }) => id));
  const events = ids.flatMap((taskId, i) => [
    { id: `s${i}`, day: 'd', at: 20 * i * MINUTE, type: 'step-started', taskId },
    { id: `d${i}`, day: 'd', at: (20 * i + 19) * MINUTE, type: 'step-done', taskId },
  ]) as DayEvent[];
  const running = runningDay(batches, KITCHEN, [], events, 0);
  const at = 20 * ids.length * MINUTE;
  const progress = progressOf(running, at);
  const rest = { question: { batches, ...KITCHEN, progress }, order: new Map(), cannerOf: new Map<string, string>() };
  return { events, running, progress, rest };
}

const MILLED = ['wash', 'core', 'chop', 'crush-heat', 'simmer-5', 'food-mill'];

test('sauce that becomes juice behind the mill is heated and filled, by the juice’s own minutes; nothing is done again', () => {
  const sauce = pot('a', { loads: [8, 4], more: [{ jar: 'quart', loads: [3] }] });
  const { running, progress, rest, events } = dayWith([sauce], MILLED);
  const juice = otherProducts(sauce, begunOf(sauce.id, running, progress), {}).find(
    (each) => each.kind === 'other' && each.card.product === 'tomato-juice',
  );
  if (juice?.kind !== 'other') throw new Error('no juice');
  const change = asOther(sauce, juice, sauce.loads, rest, running);
  const changed = withChange(rest, change, USUAL_KITCHEN.cooks);
  const [batch] = changed.question.batches;
  // USDA Complete Guide, Guide 3, tomato juice, 0 to 1,000 ft: pints 35, quarts 40.
  expect([batch!.product, batch!.processMinutes, batch!.loads.at(-1)!.size?.processMinutes]).toEqual([
    'tomato-juice',
    35,
    40,
  ]);
  const planner = planDay(changed.question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  const { plan } = planner.step(2_000);
  const left = problemOf(changed.question, plan!.cannerOf);
  const placed = plan!.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
  expect(brokenRules(scheduleProblemOf(left), placed)).toEqual([]);
  const steps = new Set(left.tasks.flatMap(({ entry }) => entry ?? []));
  expect([...steps].sort()).toEqual(['acid', 'fill', 'reheat']);
  // What the pot was before teaches nothing: its steps are no part of the day any more, its cooking down neither.
  const told = change.kind === 'pots' ? change.told : [];
  const after = batchesNow(
    [sauce],
    told.map((each, i) => ({ ...each, id: `t${i}`, day: 'd', at: 1e9 + i })),
    [],
    AS_PLANNED,
  );
  const begun = [
    ...events,
    { id: 'x', day: 'd', at: 2e8, type: 'step-started', taskId: `cook-down-half ${sauce.loads[0]!.id}` },
  ];
  const seen = pacesSeen(after, KITCHEN, dayState(begun as DayEvent[]));
  expect(seen.map(({ step }) => step)).not.toContain('cook-down-half');
});

test('sauce that stays thin fills as many jars as its tomatoes likely give of that, in loads the canner holds', () => {
  let id = 0;
  const sauce = pot('a', { loads: [8] });
  const loads = loadsAsOther(sauce, 'tomato-juice', 9, () => `new ${id++}`);
  const estimate = estimateJars('tomato-slicing', 20 * LB, 'tomato-juice', 'pint');
  expect(jarsOf({ loads })).toBe(estimate.kind === 'estimate' ? estimate.jars.p50 : NaN);
  expect(jarsOf({ loads })).toBeGreaterThan(8);
  expect(loads[0]!.id).toBe(sauce.loads[0]!.id);
  expect(Math.max(...loads.map(({ jars }) => jars))).toBeLessThanOrEqual(9);
  // Purée has no published yield, and of two sizes nobody can say which one grows.
  expect(loadsAsOther(sauce, 'fruit-puree', 9, () => 'x')).toBe(sauce.loads);
});

test('salsa that is crushed tomatoes after all leaves its peppers and onions where they lie', () => {
  const uses = (['tomato-slicing', 'pepper-hot', 'onion'] as const).map((crop) => ({
    ...{ pickId: crop, crop, massKg: 3, softKg: 0 },
  }));
  const salsa = pot('a', { product: productRow('tomato-chile-salsa'), uses });
  const { running, progress, rest } = dayWith([salsa], ['wash', 'scald-peel']);
  const crushed = otherProducts(salsa, begunOf(salsa.id, running, progress), {}).find(
    (each) => each.kind === 'other' && each.card.product === 'tomatoes-crushed',
  );
  if (crushed?.kind !== 'other') throw new Error('no crushed tomatoes');
  const change = asOther(salsa, crushed, salsa.loads, rest, running);
  const [batch] = withChange(rest, change, USUAL_KITCHEN.cooks).question.batches;
  expect(batch!.uses.map(({ crop }) => crop)).toEqual(['tomato-slicing']);
  expect(batch!.processMinutes).toBe(35);
});

test('a pot that is ladled off is not poured into one that is not; once both are, they are joined', () => {
  const [a, b] = [pot('a', { gives: ['thin-juice'] }), pot('b', { gives: ['thin-juice'] })];
  const first = dayWith([a, b], []);
  expect(joinFaultNow(a, b, first.running, first.progress)).toBeUndefined();
  const ofA = problemOf({ batches: [a, b], ...KITCHEN }).tasks.filter(({ batchId }) => batchId === a.id);
  const steps = ['wash', 'core', 'chop', 'crush-heat', 'simmer-5', 'ladle-off'];
  const events = ofA
    .filter(({ entry }) => entry !== undefined && steps.includes(entry))
    .map(({ id }, i) => ({
      id: `d${i}`,
      day: 'd',
      at: (30 * i + 1) * MINUTE,
      type: 'step-done',
      taskId: id,
      sure: true,
    }));
  const running = runningDay([a, b], KITCHEN, [], events as DayEvent[], 0);
  expect(joinFaultNow(a, b, running, progressOf(running, 400 * MINUTE))).toMatch(/same step/);
  const both = dayWith([a, b], steps);
  expect(joinFaultNow(a, b, both.running, both.progress)).toBeUndefined();
  const inJars = dayWith([a, b], [...steps, 'food-mill', 'cook-down-half', 'acid']);
  expect(joinFaultNow(a, b, inJars.running, inJars.progress)).toMatch(/in its jars/);
});

test('two joined pots are planned as one, and no rule is broken', () => {
  const both = joinedPots(pot('a', { loads: [8, 3] }), pot('b', { jar: 'quart', loads: [5], cannerId: 'second' }));
  const planner = planDay({ batches: [both], ...KITCHEN });
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  const { plan } = planner.step(2_000);
  const whole = problemOf({ batches: [both], ...KITCHEN }, plan!.cannerOf);
  const placed = plan!.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
  expect(brokenRules(scheduleProblemOf(whole), placed)).toEqual([]);
  // Guide 3, thick sauce in quarts, 0 to 1,000 ft: 40 minutes, and 35 in pints.
  expect(whole.tasks.filter(({ kind }) => kind === 'process').map(({ minutes }) => minutes.p50)).toEqual([35, 35, 40]);
});
