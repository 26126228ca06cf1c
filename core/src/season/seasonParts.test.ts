import { handbookCanner } from '../canner/handbookCanner';
import { USUAL_KITCHEN } from '../day/kitchenSetup';
import { CANNERS } from '../handbook/canners';
import { type Planting } from '../harvest/planting';
import { KG_PER_LB } from '../measure/amount';
import { NOTHING_LEARNED } from '../yields/yieldRange';
import { expectedArrivals } from './problem/expectedArrivals';
import { localDay } from '../measure/localTime';
import { type DaysGiven, givenDays } from './problem/givenDays';
import { goalRanges } from './report/harvestChances';
import { lookBack } from './report/lookBack';
import { greedyPlan } from './search/greedyPlan';
import { planChanges } from './report/planChanges';
import { type SeasonHousehold, seasonOfHousehold } from './problem/seasonOfHousehold';
import { type ReportedBatch, type ReportedDay, type SeasonReport } from './report/seasonReport';
import { amountToBuy, shoppingList } from './report/shoppingList';

const DAY_MS = 24 * 60 * 60_000;
const NOW = new Date(2026, 7, 29, 7, 40).getTime();

const GIVEN: DaysGiven = {
  weekly: [
    { weekday: 6, fromMin: 8 * 60, toMin: 18 * 60 },
    { weekday: 3, fromMin: 18 * 60, toMin: 21 * 60 },
  ],
  notOn: ['2026-09-05'],
  mostAWeek: 2,
  freezerBags: 20,
};
const COOKS = [
  { name: 'Cook', fromMin: 6 * 60, toMin: 22 * 60, breaks: [{ fromMin: 17 * 60, toMin: 18 * 60, atHome: true }] },
  { name: 'Helper', fromMin: 13 * 60, toMin: 17 * 60, breaks: [] },
];

test('the days given are those of the week, less those lost, with the hands of everybody in their hours', () => {
  const days = givenDays(GIVEN, NOW, NOW + 15 * DAY_MS, { cooks: COOKS });
  expect(days.map(({ id }) => id)).toEqual(['2026-08-29', '2026-09-02', '2026-09-09', '2026-09-12']);
  // Ten hours, less the hour of chores, and the helper's four; an evening has one pair of hands.
  expect(days.map(({ handsMinutes, windowMinutes }) => [handsMinutes, windowMinutes])).toEqual([
    [9 * 60 + 4 * 60, 600],
    [180, 180],
    [180, 180],
    [13 * 60, 600],
  ]);
  // What is gone of today is not given any more, and an hour is too little to begin.
  const late = (hour: number) =>
    givenDays(GIVEN, new Date(2026, 7, 29, hour, 30).getTime(), NOW + DAY_MS, { cooks: COOKS });
  expect(late(14).map(({ windowMinutes }) => windowMinutes)).toEqual([210]);
  expect(late(17)).toEqual([]);
  const odd = new Date(2026, 7, 29, 10, 7, 31).getTime();
  const [today] = givenDays(GIVEN, odd, odd + DAY_MS, { cooks: COOKS });
  expect([today?.windowMinutes, (today?.at ?? 0) - odd]).toEqual([465, 7.5 * 60_000 - 1_000]);
});

test('a day begins at its own hour on both sides of the turn of the clocks', () => {
  const from = new Date(2026, 9, 20).getTime();
  const days = givenDays({ ...GIVEN, notOn: [] }, from, from + 20 * DAY_MS, { cooks: COOKS });
  for (const { at, id } of days) {
    expect([8, 18]).toContain(new Date(at).getHours());
    expect(localDay(at, undefined)).toBe(id);
  }
  expect(new Set(days.map(({ id }) => id)).size).toBe(days.length);
});

const bed = (id: string, crop: Planting['crop'], firstWeek: number, lastWeek: number, usualLb: number): Planting => ({
  ...{ id, name: id, crop, count: 1, unit: 'plants', firstWeek, lastWeek },
  peakWeek: Math.round((firstWeek + lastWeek) / 2),
  usualKg: usualLb * KG_PER_LB,
});

const [pot] = CANNERS;
const HOUSEHOLD: SeasonHousehold = {
  altitudeFt: 3_420,
  kitchen: {
    canners: pot ? [handbookCanner(pot, { id: 'pot' })] : [],
    ownJars: [],
    setup: { ...USUAL_KITCHEN, cooks: COOKS },
  },
  picks: [],
  lotChanges: [],
  plantings: [bed('south', 'tomato-paste', 32, 41, 300), bed('trees', 'apple', 37, 43, 120)],
  looks: [],
  batches: [],
  stocked: [],
  storedLoads: new Set(),
  goals: [
    { product: 'tomatoes-crushed', jar: 'quart', jars: 42, perMonth: null, priority: 'staple' },
    { product: 'applesauce', jar: 'quart', jars: 16, perMonth: null, priority: 'want' },
    { product: 'pickled-beets', jar: 'half-gallon', jars: 4, perMonth: null, priority: 'want' },
    { product: 'cherries-whole', jar: 'pint', jars: 20, perMonth: null, priority: 'want' },
    { product: 'plums', jar: 'pint', jars: null, perMonth: 2, priority: 'want' },
  ],
  hardware: [
    { kind: 'lid', mouth: 'regular', count: 9 },
    { kind: 'jar', size: 'quart', mouth: 'regular', count: 30 },
  ],
  hardwareMoves: [],
  pages: {},
  learned: NOTHING_LEARNED,
  daysGiven: GIVEN,
  pins: [],
  before: [],
};
const season = (options = {}, household = HOUSEHOLD) => seasonOfHousehold(household, NOW, { weeks: 12, ...options });
const kgOf = ({ problem }: ReturnType<typeof season>, crop: string) =>
  problem.arrivals.reduce((sum, each) => sum + (each.crop === crop ? each.massKg : 0), 0);

test('a household’s season has its goals, its recipes, its drawer, and says what it leaves out', () => {
  const { problem, leftOut } = season();
  expect(problem.goals.map(({ product }) => product)).not.toContain('plums');
  expect(new Set(problem.recipes.map(({ product }) => product))).toEqual(new Set(['tomatoes-crushed', 'applesauce']));
  expect(leftOut.map(({ goal, reason }) => [goal.product, reason])).toEqual([
    ['pickled-beets', 'No tested process for that jar at this altitude.'],
    ['cherries-whole', 'Nothing that it is made of is grown or on hand.'],
  ]);
  expect(problem.recipes[0]?.stock).toEqual(['jar quart regular', 'lid regular']);
  // Seven quarts a load, and quarts of crushed tomatoes take near 2.75 lb each (USDA Complete Guide, guide 3).
  const [crushed] = problem.recipes;
  expect(crushed?.perLoad).toBe(7);
  expect((crushed?.crops[0]?.kgPerJar ?? 0) / KG_PER_LB).toBeCloseTo(2.9, 0);
});

test('what if: frost takes the tomatoes after it, more come, there is a second canner, more hands, and no lids', () => {
  const plain = season();
  const frost = season({ whatIf: 'early-frost' });
  const last = (of: typeof plain) =>
    Math.max(...of.problem.arrivals.filter(({ crop }) => crop === 'tomato-paste').map(({ readyAt }) => readyAt));
  expect(last(plain) - last(frost)).toBeGreaterThanOrEqual(14 * DAY_MS);
  expect(kgOf(frost, 'apple')).toBe(kgOf(plain, 'apple'));
  expect(kgOf(season({ whatIf: 'more-tomatoes' }), 'tomato-paste')).toBeCloseTo(1.3 * kgOf(plain, 'tomato-paste'));
  expect(season({ whatIf: 'second-canner' }).problem.recipes[0]?.vessels).toHaveLength(2);
  const hands = (of: typeof plain) => of.problem.days.reduce((sum, { handsMinutes }) => sum + handsMinutes, 0);
  expect(hands(season({ whatIf: 'more-hands' }))).toBeGreaterThan(hands(plain));
  expect(season({ whatIf: 'no-lids' }).problem.stock).toEqual([
    { key: 'lid regular', have: 9, toBeHad: false },
    { key: 'jar quart regular', have: 30, toBeHad: true },
  ]);
  const cautious = season({ cautious: true });
  expect(kgOf(cautious, 'apple')).toBeLessThan(kgOf(plain, 'apple'));
  expect(cautious.problem.recipes[0]?.crops[0]?.kgPerJar).toBeGreaterThan(
    plain.problem.recipes[0]?.crops[0]?.kgPerJar ?? 0,
  );
});

test('other harvests fill no more than the plan, the middle one more than half of it, and the same seed says the same', () => {
  const { problem, outlook } = season();
  const plan = greedyPlan(problem);
  const ranges = goalRanges(problem, plan, outlook, 3);
  const made = (product: string) =>
    plan.days
      .flatMap(({ batches }) => batches)
      .filter(({ recipe }) => recipe.startsWith(product))
      .reduce((sum, { jars }) => sum + jars, 0);
  for (const { product, jar, have } of problem.goals) {
    const range = ranges.get(`${product} ${jar}`);
    expect(range?.p10).toBeLessThanOrEqual(range?.p50 ?? 0);
    expect(range?.p90).toBeLessThanOrEqual(have + made(product));
  }
  const tomatoes = ranges.get('tomatoes-crushed quart');
  expect(tomatoes?.p10).toBeLessThan(tomatoes?.p90 ?? 0);
  expect(tomatoes?.p50).toBeGreaterThan(0.5 * made('tomatoes-crushed'));
  expect(goalRanges(problem, plan, outlook, 3)).toEqual(ranges);
  expect(expectedArrivals({ plantings: [], picks: [], looks: [] }, [], NOW, NOW + DAY_MS).arrivals).toEqual([]);
});

const batch = (product: ReportedBatch['product'], jar: ReportedBatch['jar'], jars: number, lb = 1): ReportedBatch => ({
  ...{ recipe: `${product} ${jar}`, product, jar, jars, loads: 1, thawed: false, overnight: false, handsMinutes: 60 },
  crops: [{ crop: product === 'dilled-beans' ? 'bean-snap' : 'tomato-paste', massKg: lb * KG_PER_LB }],
});
const day = (id: string, ...batches: ReportedBatch[]): ReportedDay => ({
  ...{ day: id, at: 0, windowMinutes: 600, handsMinutes: 60, batches, takings: [] },
});
const reported = (...days: ReportedDay[]): SeasonReport => ({
  ...{ at: NOW, days, goals: [], rests: [], leftOut: [], jars: 0, hours: 0, worth: 0, bound: null },
  ...{ byHandJars: 0, cautious: false },
});

test('the changes of a plan are a short list: moved, more, fewer, new and gone, and nothing of days gone by', () => {
  const [crushed, beans, sauce] = [
    batch('tomatoes-crushed', 'quart', 14),
    batch('dilled-beans', 'pint', 8),
    batch('tomato-sauce-thin', 'pint', 9),
  ];
  const before = reported(day('2026-08-20', sauce), day('2026-08-29', crushed, beans), day('2026-09-05', sauce));
  const after = reported(
    day('2026-08-29', { ...beans, jars: 6 }),
    day('2026-09-12', crushed, sauce),
    day('2026-09-19', beans),
  );
  expect(
    planChanges(before, after, '2026-08-29').map(({ kind, day: on, fromDay, was }) => [kind, on, fromDay, was]),
  ).toEqual([
    ['fewer', '2026-08-29', undefined, 8],
    ['moved', '2026-09-12', '2026-08-29', 14],
    ['moved', '2026-09-12', '2026-09-05', 9],
    ['new', '2026-09-19', undefined, undefined],
  ]);
  expect(planChanges(before, before, '2026-08-01')).toEqual([]);
  expect(planChanges(before, reported(), '2026-08-29').map(({ kind }) => kind)).toEqual(['gone', 'gone', 'gone']);
});

// USDA Complete Guide, guide 6: 4 lb beans, 8 heads of dill, 1/2 cup salt, 4 cups vinegar for about 8 pints; and guide 3: two
// tablespoons of bottled lemon juice in each quart of tomatoes. As recalled in the handbook.
test('the shopping list has what formulas and doses take, less the drawer, by the first day that needs it', () => {
  const plan = reported(
    day('2026-08-20', batch('tomatoes-crushed', 'quart', 99)),
    day('2026-08-29', batch('dilled-beans', 'pint', 8, 4)),
    day('2026-09-05', batch('tomatoes-crushed', 'quart', 14, 40)),
  );
  const list = shoppingList(plan, '2026-08-29', HOUSEHOLD.hardware, []);
  const item = (words: string) => list.find((each) => each.words.includes(words));
  expect(item('lemon juice')?.neededOn).toBe('2026-09-05');
  // Fourteen quarts, and a few more where the produce gives more: two tablespoons each.
  const tbsp = (item('lemon juice')?.needed ?? 0) / 14.786_764_781_25;
  expect(tbsp).toBeGreaterThanOrEqual(28);
  expect(tbsp).toBeLessThanOrEqual(40);
  expect((item('vinegar')?.needed ?? 0) / 236.588).toBeGreaterThanOrEqual(4);
  const lids = item('lids');
  expect([lids?.here, lids?.neededOn]).toEqual([9, '2026-08-29']);
  expect(lids?.toBuy).toBe((lids?.needed ?? 0) - 9);
  expect(lids?.needed).toBeGreaterThanOrEqual(Math.ceil(22 * 1.1));
  expect(item('quart jars')?.toBuy).toBe(0);
  expect(list.find(({ words }) => words === 'ice')?.needed).toBeCloseTo(20 * KG_PER_LB);
  expect(new Set(list.map(({ key }) => key)).size).toBe(list.length);
  expect(shoppingList(plan, '2027-01-01', [], [])).toEqual([]);
  expect(amountToBuy({ toBuy: 500, unit: 'ml' }, 'us')).toBe('2.5 cups');
  expect(amountToBuy({ toBuy: 1_250, unit: 'ml' }, 'metric')).toBe('1.3 l');
  expect(amountToBuy({ toBuy: 1, unit: 'boxes' }, 'us')).toBe('1 box');
});

test('looking back sums a year to the pound: what came in, what was lost of it, and the jars', () => {
  const pick = (id: string, year: number, massKg: number) => ({
    ...{ id, crop: 'plum', massKg, softKg: 0, ripeness: 'ripe', place: 'cool', told: '', source: 'garden' },
    ...{ plantingId: null, pickedAt: new Date(year, 8, 1).getTime() },
  });
  const years = lookBack(
    [pick('a', 2025, 10), pick('b', 2026, 20)] as never,
    [{ pickId: 'a', massKg: 6, softKg: 0 }],
    [{ id: 'x', pickId: 'b', part: 'sound', from: 'cool', kind: 'lost', to: null, massKg: 5, at: NOW }] as never,
    [{ product: 'plums', madeAt: new Date(2025, 8, 2).getTime(), jars: [{ jar: 'pint', count: 12 }] }] as never,
    [],
    [{ product: 'plums', jar: 'pint', jars: 10, perMonth: null, priority: 'want' }],
  );
  expect(years).toEqual([
    expect.objectContaining({ year: 2025, cameInKg: 10, savedPart: 1, jars: 12, goalsMet: 1, goals: 1, hours: 0 }),
    expect.objectContaining({ year: 2026, cameInKg: 20, savedKg: 15, savedPart: 0.75, jars: 0, goalsMet: 0 }),
  ]);
});
