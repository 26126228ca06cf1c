import { handbookCanner } from '../canner/handbookCanner';
import { USUAL_KITCHEN } from '../day/kitchenSetup';
import { CANNERS } from '../handbook/canners';
import { ownProductId } from '../handbook/ownIds';
import { layOwnPages, NO_OWN_PAGES } from '../handbook/ownPages';
import { KG_PER_LB } from '../measure/amount';
import { type OwnRecipe, type RecipeSource } from '../process/ownRecipe';
import { ownPagesOf } from '../recipe/own/pagesOf';
import { readRecipe } from '../recipe/own/readRecipe';
import { NOTHING_LEARNED } from '../yields/yieldRange';
import { batchesOfDay } from './search/batchesOfDay';
import { greedyPlan } from './search/greedyPlan';
import { dayCheck } from './search/dayCheck';
import { highsSolver } from './model/highsSolver';
import { verifyPlan } from './problem/verifyPlan';
import { planSeason } from './search/planSeason';
import { type SeasonHousehold, seasonOfHousehold } from './problem/seasonOfHousehold';
import { type Solver } from './model/solver';

const NOW = new Date(2026, 6, 11, 7, 40).getTime();
const DILLS = '0198f3a0-0000-7000-8000-0000000000d1';
const RELISH = '0198f3a0-0000-7000-8000-0000000000d2';
const SHUT = '0198f3a0-0000-7000-8000-0000000000d3';
const BOOK: RecipeSource = {
  ...{ title: 'Preserving at home', kind: 'tested-book', page: '31', method: 'boiling-water', jar: 'pint' },
  bands: [{ upToFt: 6_000, minutes: 20 }].flatMap((last) => [
    { upToFt: 1_000, minutes: 15 },
    { upToFt: 3_000, minutes: 20 },
    last,
  ]),
};

function page(id: string, text: string, source?: RecipeSource): OwnRecipe {
  const { processing: _, ...read } = readRecipe(text);
  const lines = read.lines.map(({ open: __, ...line }) => line);
  return { ...read, lines, id, revision: 1, draft: false, ...(source && { source }) };
}

const RECIPES = [
  page(
    DILLS,
    'Cold dills\n8 lb pickling cucumbers\n8 cups white vinegar (5 %)\n6 cups water\nMethod\nWash the cucumbers.\nBoil the vinegar and water.\nPack into quart jars.\nCover with the hot brine.\nMakes 6 quarts',
  ),
  page(
    RELISH,
    'Our relish\n4 lb sweet peppers\n4 cups white vinegar (5 %)\n2 cups sugar\nMethod\nChop the peppers.\nSimmer all 20 minutes.\nFill into pint jars.\nMakes 5 pints',
    BOOK,
  ),
  // Tested up to 1,000 ft only: never cold unasked, never on the shelf here.
  page(
    SHUT,
    'Low country relish\n4 lb sweet peppers\n4 cups white vinegar (5 %)\nMethod\nChop the peppers.\nSimmer all 20 minutes.\nFill into pint jars.\nMakes 5 pints',
    { ...BOOK, bands: [{ upToFt: 1_000, minutes: 15 }] },
  ),
];

const bed = (crop: 'cucumber-pickling' | 'pepper-sweet', usualLb: number) => ({
  ...{ id: crop, name: crop, crop, count: 1, unit: 'plants' as const, firstWeek: 28, lastWeek: 36, peakWeek: 32 },
  usualKg: usualLb * KG_PER_LB,
});
const [pot] = CANNERS;
const HOUSEHOLD: SeasonHousehold = {
  altitudeFt: 3_420,
  kitchen: {
    canners: pot ? [handbookCanner(pot, { id: 'pot' })] : [],
    ownJars: [],
    setup: { ...USUAL_KITCHEN, cooks: [{ name: 'Cook', fromMin: 6 * 60, toMin: 22 * 60, breaks: [] }] },
  },
  ...{ picks: [], lotChanges: [], looks: [], batches: [], stocked: [], hardware: [], hardwareMoves: [], pins: [] },
  plantings: [bed('cucumber-pickling', 120), bed('pepper-sweet', 80)],
  storedLoads: new Set(),
  goals: [
    { product: ownProductId(DILLS), jar: 'quart', jars: 14, perMonth: null, priority: 'staple' },
    { product: ownProductId(RELISH), jar: 'pint', jars: 10, perMonth: null, priority: 'want' },
    { product: ownProductId(SHUT), jar: 'pint', jars: 4, perMonth: null, priority: 'want' },
  ],
  pages: { recipes: RECIPES },
  learned: NOTHING_LEARNED,
  daysGiven: { weekly: [{ weekday: 6, fromMin: 8 * 60, toMin: 18 * 60 }], notOn: [], mostAWeek: 1, freezerBags: 10 },
  before: [],
};

let solve: Solver;
beforeAll(async () => (solve = await highsSolver()));
beforeEach(() => layOwnPages(ownPagesOf(RECIPES)));
afterEach(() => layOwnPages(NO_OWN_PAGES));

test('recipes of one’s own are planned: the tested one in a canner, the cold one a batch at a time without', () => {
  const { problem, kitchen, leftOut } = seasonOfHousehold(HOUSEHOLD, NOW, { weeks: 10 });
  expect(leftOut.map(({ goal, reason }) => [goal.product, reason])).toEqual([
    [ownProductId(SHUT), expect.stringMatching(/No tested process/)],
  ]);
  const recipeOf = (id: string) => problem.recipes.find(({ product }) => product === ownProductId(id));
  expect(recipeOf(DILLS)).toMatchObject({ vessels: [], into: 'refrigerator', perLoad: 6, cannerMinutes: 0 });
  expect(recipeOf(RELISH)?.vessels).toHaveLength(1);
  expect(recipeOf(RELISH)?.into).toBeUndefined();
  // 8 lb make 6 quarts, as its page says.
  expect((recipeOf(DILLS)?.crops[0]?.kgPerJar ?? 0) / KG_PER_LB).toBeCloseTo(8 / 6, 1);
  const began = performance.now();
  const { plan } = planSeason(problem, solve, {
    ...{ seconds: 5, seed: 1, gap: 1e-6, canBeDone: dayCheck(problem, kitchen) },
    elapsed: () => (performance.now() - began) / 1_000,
  });
  expect(verifyPlan(problem, greedyPlan(problem))).toEqual([]);
  expect(verifyPlan(problem, plan)).toEqual([]);
  const made = (id: string) =>
    plan.days.flatMap(({ batches }) => batches).flatMap((own) => (own.recipe === recipeOf(id)?.id ? own.jars : []));
  expect(made(DILLS).reduce((sum, jars) => sum + jars, 0)).toBe(14);
  expect(Math.max(...made(DILLS))).toBeLessThanOrEqual(6);
  expect(made(RELISH).reduce((sum, jars) => sum + jars, 0)).toBe(10);
  const day = plan.days.find(({ batches }) => batches.some(({ recipe }) => recipe === recipeOf(DILLS)?.id));
  const batches = day ? batchesOfDay(day, problem.recipes, kitchen, NOW, (of) => of) : [];
  expect(batches.find(({ product }) => product === ownProductId(DILLS))).toMatchObject({
    method: 'refrigerator',
    processMinutes: 0,
    cannerId: '',
  });
});

test('what stands in the refrigerator counts for its goal', () => {
  const lot = { product: ownProductId(DILLS), jar: 'quart', jars: 6, seal: 'cold', placeKind: 'refrigerator' };
  const { problem } = seasonOfHousehold({ ...HOUSEHOLD, stocked: [lot as SeasonHousehold['stocked'][number]] }, NOW, {
    weeks: 10,
  });
  expect(problem.goals.find(({ product }) => product === ownProductId(DILLS))?.have).toBe(6);
});
