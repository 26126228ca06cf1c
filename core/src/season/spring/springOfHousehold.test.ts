import { handbookCanner } from '../../canner/handbookCanner';
import { USUAL_KITCHEN } from '../../day/kitchenSetup';
import { CANNERS } from '../../handbook/canners';
import { HARVEST_YIELDS, harvestYieldRow } from '../../handbook/harvestYields';
import { sowingRow } from '../../handbook/sowing';
import { type Pick } from '../../harvest/pick';
import { pickingSeason, type Planting, WEEK_MS } from '../../harvest/planting';
import { KG_PER_LB } from '../../measure/amount';
import { drawsFrom } from '../../math/draws';
import { type UseRecord } from '../../pantry/useRecord';
import { NOTHING_LEARNED } from '../../yields/yieldRange';
import { bedsGive } from './bedsGive';
import { planSpring } from './planSpring';
import { sowingList } from './sowingList';
import { type SpringHousehold, springOfHousehold, springYear } from './springOfHousehold';

const NOW = Date.UTC(2027, 1, 20, 18);
const DAY_MS = 24 * 60 * 60_000;
const bed = (
  crop: Planting['crop'],
  count: number,
  unit: Planting['unit'],
  change: Partial<Planting> = {},
): Planting => ({
  ...{ id: `bed ${crop}`, name: crop, crop, count, unit, firstWeek: 32, peakWeek: 35, lastWeek: 40, usualKg: null },
  ...change,
});
const pick = (of: Planting, year: number, week: number, massKg: number): Pick =>
  ({
    ...{ id: `${of.id} ${year} ${week}`, crop: of.crop, massKg, softKg: 0, source: 'garden', place: 'cool' },
    ...{ ripeness: 'ripe', plantingId: of.id },
    pickedAt: pickingSeason(of, year).startAt + (week - 0.5) * WEEK_MS,
  }) as Pick;
/** A season of so many kilograms, a fifth of it in each of five weeks. */
const season = (of: Planting, year: number, kg: number) => [2, 3, 4, 5, 6].map((week) => pick(of, year, week, kg / 5));

const [pot] = CANNERS;
const HOUSEHOLD: SpringHousehold = {
  altitudeFt: 3_420,
  kitchen: {
    canners: pot ? [handbookCanner(pot, { id: 'pot' })] : [],
    ownJars: [],
    setup: { ...USUAL_KITCHEN, timeZone: 'America/Denver' },
  },
  ...{ picks: [], lotChanges: [], looks: [], batches: [], stocked: [], use: [], pages: {}, learned: NOTHING_LEARNED },
  plantings: [bed('tomato-paste', 20, 'plants'), bed('damson', 2, 'trees'), bed('beet', 40, 'row-feet')],
  goals: [
    { product: 'tomatoes-crushed', jar: 'quart', jars: 42, perMonth: null, priority: 'staple' },
    { product: 'applesauce', jar: 'quart', jars: 14, perMonth: null, priority: 'want' },
    { product: 'pickled-beets', jar: 'half-gallon', jars: 4, perMonth: null, priority: 'want' },
    { product: 'plums', jar: 'pint', jars: 12, perMonth: null, priority: 'want' },
  ],
  coming: new Map(),
  kept: new Set(),
};
const planOf = (change: Partial<SpringHousehold> = {}) => {
  const spring = springOfHousehold({ ...HOUSEHOLD, ...change }, NOW);
  return { ...spring, ...planSpring(spring.problem) };
};
const bedOf = (of: ReturnType<typeof planOf>, crop: string) => of.beds.find((each) => each.crop === crop);

test('goals become plants: what grows here, what would have to, what cannot be made, and what nothing takes', () => {
  const plan = planOf();
  expect(plan.year).toBe(2027);
  expect(plan.notGrownFor.map(({ product, kind }) => [product, kind])).toEqual([['pickled-beets', 'cannot-be-made']]);
  // 42 quarts want about 130 lb, 20 plants give 200 in half the years: as many, or a few fewer.
  const tomatoes = bedOf(plan, 'tomato-paste');
  expect(tomatoes?.set).toBeGreaterThan(14);
  expect(tomatoes?.set).toBeLessThan(30);
  expect(bedOf(plan, 'apple')).toMatchObject({ now: 0, unit: 'trees', enoughAsNow: 0 });
  expect(plan.unused.map(({ crop }) => crop)).toContain('beet');
});

test('without a canner or an altitude yet the garden is planned all the same; a canner that cannot do it leaves its goal out', () => {
  const bare = planOf({ altitudeFt: null, kitchen: { ...HOUSEHOLD.kitchen, canners: [] } });
  expect(bedOf(bare, 'tomato-paste')?.set).toBe(bedOf(planOf(), 'tomato-paste')?.set);
  const beans = { product: 'snap-beans', jar: 'pint', jars: 20, perMonth: null, priority: 'want' } as const;
  const goals = [...HOUSEHOLD.goals, beans];
  expect(planOf({ goals }).notGrownFor).toContainEqual(
    expect.objectContaining({ product: 'snap-beans', reason: 'No canner here does what it is tested for.' }),
  );
});

test('the household’s own beds go first: after two seasons of twice as much, nearly half the plants are enough', () => {
  const tomatoes = bed('tomato-paste', 20, 'plants');
  const kg = 20 * 10 * KG_PER_LB;
  const plain = bedOf(planOf(), 'tomato-paste');
  const twice = bedOf(
    planOf({ picks: [...season(tomatoes, 2025, 2 * kg), ...season(tomatoes, 2026, 2 * kg)] }),
    'tomato-paste',
  );
  expect(twice?.seasons).toBe(2);
  expect((twice?.set ?? 0) / (plain?.set ?? 1)).toBeGreaterThan(0.45);
  expect((twice?.set ?? 0) / (plain?.set ?? 1)).toBeLessThan(0.75);
  // Its own word is surer than the common figure: fewer for the same kilograms.
  const told = bedOf(planOf({ plantings: [{ ...tomatoes, usualKg: kg }] }), 'tomato-paste');
  expect(told?.set).toBeLessThan(plain?.set ?? 0);
});

test('what is never eaten is left out unless somebody wants it all the same; what is on its way counts', () => {
  const record: UseRecord = {
    ...{ product: 'applesauce', jar: 'quart', putUpInYear: 9, madeOnDays: [260] },
    months: Array.from({ length: 12 }, () => ({ jars: 0, days: 28 })),
  };
  const lot = { product: 'applesauce', jar: 'quart', jars: 9, seal: 'sealed', placeKind: 'shelf' };
  const there = { use: [record], stocked: [lot as SpringHousehold['stocked'][number]] };
  const left = planOf(there);
  expect(left.notGrownFor).toContainEqual(
    expect.objectContaining({ product: 'applesauce', kind: 'never-eaten', jars: 9 }),
  );
  expect(bedOf(left, 'apple')).toBeUndefined();
  expect(bedOf(planOf({ ...there, kept: new Set(['applesauce quart']) }), 'apple')).toBeDefined();
  const gift = HOUSEHOLD.goals.map((goal) => ({ ...goal, priority: 'gift' as const }));
  expect(bedOf(planOf({ ...there, goals: gift }), 'apple')).toBeDefined();
  // Eaten twice, it is eaten.
  const months = record.months.map((month, i) => (i === 3 ? { ...month, jars: 2 } : month));
  const eaten = planOf({ ...there, use: [{ ...record, months }] });
  expect(eaten.notGrownFor.map(({ kind }) => kind)).not.toContain('never-eaten');
  const more = eaten.jars.filter((each) => each.eaten !== undefined);
  expect(more.map(({ product }) => product)).toEqual(['applesauce']);
  expect(more[0]?.eaten).toBeLessThan(10);
  const coming = bedOf(planOf({ coming: new Map([['tomatoes-crushed quart', 60]]) }), 'tomato-paste');
  expect(coming?.set ?? 0).toBeLessThan(bedOf(planOf(), 'tomato-paste')?.set ?? 0);
});

test('spring is this year’s until June, and the sowing list counts back from the first picking', () => {
  const at = (month: number, day: number) => springYear(Date.UTC(2026, month, day, 12), 'America/Denver');
  expect([at(0, 1), at(4, 31), at(5, 1), at(11, 31)]).toEqual([2026, 2026, 2027, 2027]);
  // In Denver it is still the evening of 31 May.
  expect(springYear(Date.UTC(2026, 5, 1, 3), 'America/Denver')).toBe(2026);
  const list = sowingList(
    ['damson', 'carrot', 'bean-snap', 'tomato-paste'],
    [bed('tomato-paste', 20, 'plants'), bed('bean-snap', 40, 'row-feet', { firstWeek: 29 })],
    2027,
  );
  expect(list.map(({ crop }) => crop)).toEqual(['tomato-paste', 'bean-snap', 'damson', 'carrot']);
  const [tomato] = list;
  const first = Date.UTC(2027, 0, 1) + 31 * WEEK_MS;
  // 75 days from setting out to the first picking, seven weeks in pots before it.
  expect(tomato?.setOutAt).toBe(first - 75 * DAY_MS);
  expect(tomato?.sowAt).toBe(first - 75 * DAY_MS - 7 * WEEK_MS);
  expect(list[2]).toMatchObject({ begun: 'lasting', bearsAfterYears: 6 });
  for (const { crop } of HARVEST_YIELDS) expect(sowingRow(crop).source).toBe('common practice');
});

test('in made households whose plants give what they give, the plants told are enough in eight of ten seasons', () => {
  // The truth: a bed’s own figure about the common one, and years about that; spreads of docs/yields-and-harvest.md.
  const [OF_BED, OF_YEAR] = [0.3, 0.35];
  const draws = drawsFrom(11);
  const kg = 60;
  let enough = 0;
  const households = 800;
  for (let i = 0; i < households; i++) {
    const own = bed('tomato-paste', 10 + Math.floor(draws.unit() * 30), 'plants');
    const each = harvestYieldRow('tomato-paste').lbEach * KG_PER_LB * Math.exp(OF_BED * draws.normal());
    const year = () => own.count * each * Math.exp(OF_YEAR * draws.normal());
    const picks = Array.from({ length: i % 4 }, (_, before) => season(own, 2026 - before, year())).flat();
    const row = bedsGive('tomato-paste', { plantings: [own], picks, looks: [] }, NOW);
    const plants = Math.ceil(kg / Math.exp(row.logKgEach - 0.8416 * row.spread));
    if (plants * each * Math.exp(OF_YEAR * draws.normal()) >= kg) enough++;
  }
  // Four standard errors of 800 households about 0.8.
  expect(enough / households).toBeGreaterThan(0.743);
  expect(enough / households).toBeLessThan(0.857);
});
