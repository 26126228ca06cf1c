import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { cardsOf } from '../handbook/cards';
import { type ProductId, PRODUCTS } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { ableCanners } from './ableCanners';
import { type Batch } from './batch';
import { beforeYouStart } from './beforeYouStart';
import { type DayKitchen } from './dayKitchen';
import { dayOf } from './dayOf';
import { scheduleProblemOf } from './dayProblem';
import { madeBefore } from './daySequence';
import { DAY_MIN, USUAL_KITCHEN } from './kitchenSetup';
import { type DayPlan, planDay } from './planDay';
import { takeForRecipe } from './takeForRecipe';
import { whatGives } from './whatGives';
import { whyThen } from './whyThen';
import { replayDay } from '../replay/replayDay';

const KG_PER_LB = 0.45359237;
const pot = handbookCanner(CANNERS[0]!, { id: 'big' });
const second = { ...pot, id: 'second', name: 'Second pot' };
const EIGHT = 8 * 60;

function batchOf(product: Batch['product'], jar: Batch['jar'], loads: number[], pounds: number, id = 'b'): Batch {
  return {
    id,
    product,
    jar,
    pack: 'hot',
    method: 'boiling-water',
    altitudeFt: 3_420,
    processMinutes: 55,
    cannerId: 'big',
    startAt: 0,
    uses: [{ pickId: 'p', massKg: pounds * KG_PER_LB, softKg: 0 }],
    loads: loads.map((jars, i) => ({ id: `${id} load${i + 1}`, number: i + 1, jars })),
  };
}

function planned(batches: Batch[], kitchen: Partial<DayKitchen> = {}, nodes = 3_000) {
  const question = { batches, canners: [pot], setup: USUAL_KITCHEN, startMinute: EIGHT, ...kitchen };
  const planner = planDay(question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  const plan = planner.step(nodes).plan as DayPlan;
  const problem = dayOf(batches, { ...question, cannerOf: plan.cannerOf });
  const placed = plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
  return { plan, problem, broken: brokenRules(scheduleProblemOf(problem), placed) };
}

const twoLoads = batchOf('tomatoes-crushed', 'quart', [7, 7], 44);

test('each load heats, processes its tested minutes, rests 5 min and comes out, one after the other in one canner', () => {
  const { plan, broken } = planned([twoLoads]);
  expect(broken).toEqual([]);
  const loads = twoLoads.loads.map((load) =>
    ['load', 'heat-up', 'process', 'rest', 'unload'].map((kind) =>
      plan.tasks.find(({ task }) => task.id === `${kind} ${load.id}`)!,
    ),
  );
  for (const stages of loads) {
    for (const [i, stage] of stages.slice(1, 4).entries()) expect(stage.startMin).toBe(stages[i]!.endMin);
    expect(stages[2]!.endMin - stages[2]!.startMin).toBe(55);
    expect(stages[3]!.endMin - stages[3]!.startMin).toBe(5);
  }
  const [a, b] = loads.sort((x, y) => x[0]!.startMin - y[0]!.startMin);
  expect(b![0]!.startMin).toBeGreaterThanOrEqual(a![4]!.endMin);
});

// Handbook rule 4: under 10 minutes jars are boiled 10, and a minute longer for each further 1,000 ft; then filled.
test('under 10 minutes each load’s jars are boiled and filled within the hour, at 10 and more they are only clean', () => {
  const short = { ...batchOf('tomatoes-crushed', 'quart', [7, 7], 44), processMinutes: 5 };
  const { plan, broken } = planned([short]);
  expect(broken).toEqual([]);
  for (const { id } of short.loads) {
    const own = plan.tasks.filter(({ task }) => task.loadId === id);
    const boil = own.find(({ task }) => task.entry === 'sterile-jars')!;
    const fill = own.filter(({ task }) => task.kind === 'fill').reduce((a, b) => (b.startMin < a.startMin ? b : a));
    expect(boil.endMin - boil.startMin).toBe(13);
    expect(boil.task.words).toBe('Boil 7 quarts 13 min: sterile');
    expect(boil.task.needs).toMatchObject({ burners: 1, 'big pot': 1 });
    expect(fill.startMin - boil.endMin).toBeGreaterThanOrEqual(0);
    expect(fill.startMin - boil.endMin).toBeLessThanOrEqual(60);
  }
  expect(beforeYouStart([short]).jars).toMatchObject([{ jars: 14, sterile: { jars: 14, minutes: 13 } }]);
  expect(beforeYouStart([short]).tools).toContain('big pot');
  const clean = { ...short, processMinutes: 10 };
  expect(planned([clean]).plan.tasks.some(({ task }) => task.entry === 'sterile-jars')).toBe(false);
  expect(beforeYouStart([clean]).jars[0]?.sterile).toBeUndefined();
});

// USDA Complete Guide to Home Canning, 2015, guide 1, from memory: pressure falls by itself, 30 min with pints and 45 with
// quarts in a heavy canner, and the lid stays on for 10 min more with the weight off.
test.each([
  ['pint', 40],
  ['quart', 55],
] as const)(
  'under pressure %ss are vented first and rest %d min at least before the lid comes off',
  (jar, leastMin) => {
    const canner = handbookCanner(
      CANNERS.find(({ canner: name }) => name === '23-quart pressure canner')!,
      { id: 'big' },
    );
    const beans = batchOf('snap-beans', jar, [7], 12);
    const batch: Batch = { ...beans, method: 'pressure-weighted', processMinutes: 25, pressurePsi: 15 };
    const { plan, broken } = planned([batch], { canners: [canner] });
    expect(broken).toEqual([]);
    const of = (kind: string) => plan.tasks.find(({ task }) => task.kind === kind)!;
    expect(of('heat-up').endMin - of('heat-up').startMin).toBeGreaterThanOrEqual(10);
    expect([of('heat-up').task.words, of('process').task.words]).toEqual([
      'Vent 10 min, up to 15 psi',
      '25 min at 15 psi',
    ]);
    expect(of('rest').endMin - of('rest').startMin).toBeGreaterThanOrEqual(leastMin);
    expect(of('rest').task.needs).toEqual({ 'canner big': 1 });
  },
);

// Handbook rule 15, common practice: whoever shares a canner is processed together, at the longest time.
test('jars that share a load are filled in time for it and take its longer minutes; without their host they go alone', () => {
  const host = batchOf('tomatoes-raw-no-liquid', 'pint', [6], 9, 'host');
  const own = batchOf('plums', 'pint', [3], 4, 'guest');
  const guest: Batch = {
    ...own,
    processMinutes: 85,
    loads: own.loads.map((load) => ({ ...load, withLoadId: host.loads[0]!.id })),
  };
  const { plan, broken } = planned([host, guest]);
  expect(broken).toEqual([]);
  const of = (kind: string) => plan.tasks.filter(({ task }) => task.kind === kind);
  expect(of('process').map(({ task, startMin, endMin }) => [task.loadId, endMin - startMin])).toEqual([
    [host.loads[0]!.id, 85],
  ]);
  for (const { endMin } of of('fill').filter(({ task }) => task.words.startsWith('Fill'))) {
    expect(of('load')[0]!.startMin - endMin).toBeGreaterThanOrEqual(0);
    expect(of('load')[0]!.startMin - endMin).toBeLessThanOrEqual(10);
  }
  expect(of('load')[0]!.task.words).toBe('Load 9 pints');
  // A fourth jar would be one too many for the rack.
  const four = { ...guest, loads: guest.loads.map((load) => ({ ...load, jars: 4 })) };
  expect(planDay({ batches: [host, four], canners: [pot], setup: USUAL_KITCHEN, startMinute: EIGHT })).toEqual({
    kind: 'refusal',
    cause: 'no-canner',
  });
  expect(planned([guest]).plan.tasks.filter(({ task }) => task.kind === 'process')).toHaveLength(1);
});

test('what stands for weeks is over before its day: kraut is filled, not fermented', () => {
  const { plan } = planned([batchOf('sauerkraut', 'quart', [7], 20)]);
  const before = (product: ProductId) => madeBefore(cardsOf(product)[0]!).map(({ entry }) => entry);
  expect(before('sauerkraut')).toEqual(['wash', 'shred', 'salt-pack', 'ferment-3wk']);
  expect(before('sweet-gherkins').at(-1)).toBe('syrup-4');
  expect(before('bread-and-butter-pickles')).toEqual([]);
  expect(plan.makespanMin).toBeLessThan(DAY_MIN / 2);
});

// A marinade for the night, then loads for half a day: all hang on one wait, which must end when the canner is free.
test('a night in the cold is begun as late as the loads after it ask', () => {
  const salad = batchOf(
    'three-bean-salad',
    'half-pint',
    Array.from({ length: 10 }, () => 9),
    8,
  );
  const cooks = [{ name: 'Cook', fromMin: 6 * 60, toMin: 21 * 60, breaks: [] }];
  const { plan, broken } = planned([salad], { setup: { ...USUAL_KITCHEN, cooks } });
  expect([broken, plan.makespanMin < 2 * DAY_MIN]).toEqual([[], true]);
});

test('a slower pace makes hands-on steps longer, waits and tested times stay', () => {
  const minutesOf = (handsPace?: number) =>
    new Map(
      dayOf([twoLoads], {
        canners: [pot],
        setup: { ...USUAL_KITCHEN, ...(handsPace !== undefined && { handsPace }) },
        startMinute: EIGHT,
      }).tasks.map(({ id, minutes }) => [id, minutes.p50]),
    );
  const [usual, slow] = [minutesOf(), minutesOf(1.5)];
  const id = (step: string) => `${step} ${twoLoads.loads[0]!.id}`;
  expect(slow.get(id('scald-peel'))! / usual.get(id('scald-peel'))!).toBeCloseTo(1.5, 1);
  expect([slow.get(id('process')), slow.get(id('boil-5 wait'))]).toEqual([55, usual.get(id('boil-5 wait'))]);
});

// Common practice (handbook steps): filled hot jars wait 10 min at most for the canner; its water is hot by then.
test('jars go into a hot canner soon after they are filled, and the water is put on no sooner than it must', () => {
  const { plan } = planned([twoLoads]);
  const at = (id: string) => plan.tasks.find(({ task }) => task.id === id)!;
  for (const load of twoLoads.loads) {
    expect(at(`load ${load.id}`).startMin - at(`fill ${load.id}`).endMin).toBeLessThanOrEqual(10);
  }
  const first = Math.min(...twoLoads.loads.map((load) => at(`load ${load.id}`).startMin));
  expect(first - at('preheat big').endMin).toBeGreaterThanOrEqual(0);
  expect(first - at('preheat big').endMin).toBeLessThan(30);
});

test('two canners side by side are over sooner than one, and a second cook sooner still', () => {
  const batches = [batchOf('tomatoes-crushed', 'quart', [7], 22, 't'), batchOf('plums', 'pint', [9, 9], 19, 'p')];
  const cooks = [...USUAL_KITCHEN.cooks, { ...USUAL_KITCHEN.cooks[0], name: 'Helper' }];
  const one = planned(batches);
  const two = planned(batches, { canners: [pot, second] });
  const more = planned(batches, { canners: [pot, second], setup: { ...USUAL_KITCHEN, cooks } });
  expect([one, two, more].flatMap(({ broken }) => broken)).toEqual([]);
  expect(two.plan.makespanMin).toBeLessThan(one.plan.makespanMin);
  expect(more.plan.makespanMin).toBeLessThan(two.plan.makespanMin);
  expect(new Set(two.plan.cannerOf.values()).size).toBe(2);
});

test('nothing boils while all are out of the house, and a soak may span the night', () => {
  const cooks = [
    { name: 'Cook', fromMin: 6 * 60, toMin: 21 * 60, breaks: [{ fromMin: 17 * 60, toMin: 18 * 60, atHome: false }] },
  ];
  const setup = { ...USUAL_KITCHEN, cooks };
  const { plan, broken } = planned([twoLoads], { setup, startMinute: 14 * 60 });
  expect(broken).toEqual([]);
  for (const { task, startMin, endMin } of plan.tasks) {
    if (!task.needs.watch) continue;
    const [from, to] = [14 * 60 + startMin, 14 * 60 + endMin].map((minute) => minute % (24 * 60)) as [number, number];
    expect([task.id, to <= 17 * 60 || from >= 18 * 60, from >= 6 * 60 && to <= 21 * 60]).toEqual([task.id, true, true]);
  }
  const night = planned([batchOf('quick-fresh-pack-dill', 'pint', [9], 12)], { setup, startMinute: 16 * 60 });
  expect(night.broken).toEqual([]);
  expect(night.plan.makespanMin).toBeGreaterThan(12 * 60);
});

test('every step of a plan says what it waits for', () => {
  const { plan, problem } = planned([twoLoads]);
  const whys = plan.tasks.map((entry) => whyThen(problem, plan.tasks, entry));
  expect(whys[0]).toEqual({ kind: 'first' });
  for (const [i, why] of whys.entries()) {
    if (why.kind === 'after') expect(why.task.endMin).toBe(plan.tasks[i]!.startMin);
    // Of what it held, or of what its wait waited for.
    if (why.kind === 'resource') expect(why.task.endMin).toBeGreaterThanOrEqual(plan.tasks[i]!.startMin);
    if (why.kind === 'soonEnough') expect(why.maxLagMin).toBeGreaterThan(0);
  }
  expect(whys.filter(({ kind }) => kind === 'free').length).toBeLessThan(plan.tasks.length / 4);
  expect(whys[plan.tasks.findIndex(({ task }) => task.id === 'preheat big')]).toMatchObject({ kind: 'late' });
});

test('a day that cannot be done is refused with what stands in its way', () => {
  const tooMany = [batchOf('tomatoes-crushed', 'quart', [9], 30)];
  const question = { batches: tooMany, canners: [pot], setup: USUAL_KITCHEN, startMinute: EIGHT };
  expect(planDay(question)).toEqual({ kind: 'refusal', cause: 'no-canner' });
  expect(planDay({ ...question, canners: [] })).toEqual({ kind: 'refusal', cause: 'no-canner' });
  const noPots = { ...question, batches: [twoLoads], setup: { ...USUAL_KITCHEN, bigPots: 0 } };
  const sentence: unknown = expect.stringMatching(/"big pot", and there are 0/);
  expect(planDay(noPots)).toMatchObject({ kind: 'refusal', cause: 'rules', unmet: { sentence } });
  // In the words of the steps, not by their ids.
  const refused = planDay(noPots);
  if (refused.kind !== 'refusal' || refused.cause !== 'rules') throw new Error('it was planned');
  expect(refused.unmet.sentence).toMatch(/^“Crush and heat \d+ lb” needs/);
});

const anyBatch = fc
  .record({
    product: fc.constantFrom(
      ...PRODUCTS.filter(({ sequence }) => !sequence.some((entry) => /ferment|day-/.test(entry))),
    ),
    jar: fc.constantFrom('quart' as const, 'pint' as const),
    loads: fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 2 }),
    pounds: fc.double({ min: 1, max: 30, noNaN: true }),
    id: fc.uuid(),
  })
  .map(({ product, jar, loads, pounds, id }) => ({
    ...batchOf(product.product, jar, loads, pounds, id),
    pack: usualPack(product),
  }));

test('whatever is made, a plan breaks no rule, and it is late no earlier than it is likely over', () => {
  const batches = fc.uniqueArray(anyBatch, { minLength: 1, maxLength: 2, selector: ({ id }) => id });
  fc.assert(
    fc.property(batches, fc.boolean(), (own, two) => {
      const { plan, problem, broken } = planned(own, { canners: two ? [pot, second] : [pot] }, 300);
      expect(broken).toEqual([]);
      expect(plan.lowerBoundMin).toBeLessThanOrEqual(plan.makespanMin);
      const late = replayDay(problem, plan.tasks, 7, 20);
      expect(late).toEqual(replayDay(problem, plan.tasks, 7, 20));
      expect(late.lateMin).toBeGreaterThan(plan.makespanMin * 0.95);
    }),
    { numRuns: 30, seed: 6 },
  );
});

test('the most urgent produce is saved before the day is made short, and what no plan saves is told', () => {
  const batches = [batchOf('tomatoes-crushed', 'quart', [7], 22, 't'), batchOf('plums', 'pint', [9], 10, 'p')];
  const free = planned(batches).plan;
  const washed = (plan: DayPlan, batchId: string) =>
    plan.tasks.find(({ task }) => task.batchId === batchId && task.kind === 'prepare')!;
  const lastFirst = washed(free, 't').startMin <= washed(free, 'p').startMin ? 'p' : 't';
  const soon = planned(batches, { useBy: new Map([[lastFirst, 25]]) }).plan;
  expect(washed(soon, lastFirst).endMin).toBeLessThanOrEqual(25);
  expect([soon.unsaved, soon.makespanMin >= free.lowerBoundMin]).toEqual([[], true]);
  // Both within minutes do not go: the one that spoils first is saved.
  const both = planned(batches, {
    useBy: new Map([
      ['t', 24],
      ['p', 21],
    ]),
  }).plan;
  expect(both.unsaved).toEqual(['t']);
  expect(washed(both, 'p').endMin).toBeLessThanOrEqual(21);
  // What nobody can save any more costs the other nothing.
  const late = planned(batches, {
    useBy: new Map([
      ['t', 1],
      ['p', 25],
    ]),
  }).plan;
  expect(late.unsaved).toEqual(['t']);
  expect(washed(late, 'p').endMin).toBeLessThanOrEqual(25);
});

test('what must lie ready is counted with a little to spare', () => {
  const { jars, lids, tools } = beforeYouStart([twoLoads, batchOf('plums', 'pint', [9], 10, 'p')]);
  expect(jars).toEqual([
    { jar: 'quart', jars: 14, spare: 2 },
    { jar: 'pint', jars: 9, spare: 1 },
  ]);
  expect(lids).toEqual([{ mouth: 'regular', lids: 26 }]);
  expect(tools).toEqual(expect.arrayContaining(['big pot', 'jar lifter']));
});

test('what gives in a day that cannot be done is tried before it is told', () => {
  const setup = { ...USUAL_KITCHEN, bigPots: 0 };
  const batches = [twoLoads, batchOf('tomatoes-raw-no-liquid', 'pint', [9], 12, 'raw')];
  const question = { batches, canners: [pot], setup, startMinute: EIGHT };
  expect(planDay(question)).toMatchObject({ kind: 'refusal' });
  // Raw-pack tomatoes need no big pot, crushed ones do.
  expect([...whatGives(question)].filter(Boolean)).toEqual([{ kind: 'without', batchId: 'b' }]);
});

test('a load goes into each canner that holds its jars and is in use, and stays in the one it stands in', () => {
  const batches = [batchOf('tomatoes-crushed', 'quart', [7, 7], 44)];
  const question = { batches, canners: [pot, second], setup: USUAL_KITCHEN, startMinute: EIGHT };
  expect([...ableCanners(question).values()]).toEqual([
    ['big', 'second'],
    ['big', 'second'],
  ]);
  const [first] = batches[0]!.loads;
  const progress = { nowMin: 0, of: new Map(), cannerOf: new Map([[first!.id, 'big']]), cannersOut: ['big'] };
  expect([...ableCanners({ ...question, progress }).values()]).toEqual([['big'], ['second']]);
  expect([...ableCanners({ ...question, batches: [batchOf('tomatoes-crushed', 'quart', [8], 20)] }).values()]).toEqual([
    [],
  ]);
});

// What is peeled, chopped or shelled is in the plan by its pounds and pace, crop by crop: handbook, steps.
test('every crop that a card works on is prepared in the plan, in the pounds that are set apart of it', () => {
  const lots = [
    'tomato-slicing',
    'tomato-paste',
    'pepper-hot',
    'pepper-sweet',
    'onion',
    'cucumber-pickling',
    'tomatillo',
  ];
  for (const [product, crop] of [
    ['tomato-chile-salsa', 'tomato-slicing'],
    ['bread-and-butter-pickles', 'cucumber-pickling'],
    ['tomatillo-green-salsa', 'tomatillo'],
  ] as const) {
    const all = lots.map((each) => ({
      ...{ pickId: each, crop: each, part: 'sound', place: 'cool', ripeness: 'ripe', until: DAY_MIN * 60_000 },
      massKg: 100 * KG_PER_LB,
    })) as unknown as Parameters<typeof takeForRecipe>[0]['lots'];
    const mainLots = all.filter((lot) => lot.crop === crop);
    const { uses } = takeForRecipe({ product, crop, jar: 'pint', jars: 14, mainLots, lots: all });
    const batch = { ...batchOf(product, 'pint', [7, 7], 0), uses };
    const { problem, broken } = planned([batch]);
    expect([product, broken]).toEqual([product, []]);
    expect(new Set(uses.map((use) => use.crop)).size).toBeGreaterThan(1);
    const card = cardsOf(product)[0]!;
    for (const { crop: own = '', massKg } of uses) {
      const works = card.steps.filter(({ of }) => of?.includes(own)).map(({ step }) => step);
      if (works.length === 0) continue;
      const tasks = problem.tasks.filter(({ id, pounds }) => {
        const name = id.split(' ')[0]!;
        const isOwn = name.includes(':') ? name.includes(`:${own}`) : own === crop;
        return pounds !== undefined && isOwn && works.includes(name.split(/[:#]/)[0]!);
      });
      const step = tasks[0]?.id.split(' ')[0];
      const pounds = tasks
        .filter(({ id }) => id.startsWith(`${step} `))
        .reduce((sum, task) => sum + (task.pounds ?? 0), 0);
      // Both loads together, whichever of them it is done for.
      expect([product, own, pounds]).toEqual([product, own, expect.closeTo(massKg / KG_PER_LB, 6)]);
    }
  }
});
