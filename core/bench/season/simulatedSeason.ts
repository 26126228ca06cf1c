import { handbookCanner } from '../../src/canner/handbookCanner';
import { CANNERS } from '../../src/handbook/canners';
import { HARVEST_YIELDS } from '../../src/handbook/harvestYields';
import { type JarSize } from '../../src/handbook/jars';
import { type ProduceId } from '../../src/handbook/produce';
import { PRODUCTS } from '../../src/handbook/products';
import { productsFrom } from '../../src/yields/estimateJars';
import { type Planting, weekStart } from '../../src/harvest/planting';
import { expectedArrivals, type Outlook } from '../../src/season/problem/expectedArrivals';
import { givenDays } from '../../src/season/problem/givenDays';
import { withQuietDays } from '../../src/season/problem/quietDays';
import { recipesFor, type SeasonKitchen } from '../../src/season/problem/recipesFor';
import { PRIORITIES } from '../../src/pantry/shelfGoal';
import { goalKey, type SeasonGoal, type SeasonProblem } from '../../src/season/problem/seasonProblem';
import { NOTHING_LEARNED } from '../../src/yields/yieldRange';
import { USUAL_KITCHEN } from '../../src/day/kitchenSetup';
import { type Chance } from '../chance';

export interface SeasonSize {
  readonly weeks: number;
  readonly crops: number;
  readonly products: number;
  readonly daysAWeek: number;
}

const YEAR = 2026;
const WEEK_MS = 7 * 24 * 60 * 60_000;
const HOURS = [
  { weekday: 6, fromMin: 8 * 60, toMin: 18 * 60 },
  { weekday: 3, fromMin: 16 * 60, toMin: 21 * 60 },
  { weekday: 0, fromMin: 12 * 60, toMin: 18 * 60 },
  { weekday: 1, fromMin: 16 * 60, toMin: 21 * 60 },
];

export interface SimulatedSeason {
  readonly problem: SeasonProblem;
  readonly kitchen: SeasonKitchen;
  readonly outlook: Outlook;
}

/**
 * A household's season with real products and invented beds: so many crops, so many goals, in the kitchen of two canners
 * and one cook. A little more comes than it has the hours for.
 */
export function simulateSeason(chance: Chance, { weeks, crops, products, daysAWeek }: SeasonSize): SimulatedSeason {
  const shuffled = <T>(list: readonly T[]) =>
    [...list]
      .map((item) => [chance.uniform(0, 1), item] as const)
      .sort(([a], [b]) => a - b)
      .map(([, item]) => item);
  // Beds of what a product is named for: garlic and dill go with others.
  const rows = shuffled(HARVEST_YIELDS.filter(({ crop }) => productsFrom(crop).length > 0)).slice(0, crops);
  const from = weekStart(YEAR, 22);
  const plantings = rows.map((row, i): Planting => {
    const first = 22 + Math.round(chance.uniform(0, weeks * 0.6));
    const last = Math.min(22 + weeks, first + Math.round(chance.uniform(3, 10)));
    return {
      id: `bed ${i}`,
      name: `Bed ${i}`,
      crop: row.crop,
      count: 1,
      unit: row.usual,
      firstWeek: ((first - 1) % 52) + 1,
      peakWeek: ((Math.round((first + last) / 2) - 1) % 52) + 1,
      lastWeek: ((last - 1) % 52) + 1,
      usualKg: chance.uniform(10, 90),
    };
  });
  const grown = new Set<ProduceId>(rows.map(({ crop }) => crop));
  const canners = [CANNERS[0], CANNERS[4]].flatMap((row, i) =>
    row ? [handbookCanner(row, { id: `canner ${i}` })] : [],
  );
  const setup = { ...USUAL_KITCHEN, cooks: [{ name: 'Cook', fromMin: 0, toMin: 1440, breaks: [] }] };
  const kitchen = {
    canners,
    ownJars: [],
    altitudeFt: 900,
    setup,
    pages: {},
    learned: NOTHING_LEARNED,
  };
  const jars: readonly JarSize[] = ['quart', 'pint', 'half-pint'];
  const goals: SeasonGoal[] = [];
  for (const row of shuffled(PRODUCTS)) {
    const [jar] = shuffled(jars).filter((size) => {
      const goal = { product: row.product, jar: size, priority: 'want', want: 10, have: 0 } as const;
      return recipesFor([goal], grown, kitchen).recipes.length > 0;
    });
    if (jar === undefined) continue;
    const want = Math.round(chance.uniform(6, 40));
    const have = chance.uniform(0, 1) < 0.5 ? 0 : Math.round(chance.uniform(0, want / 2));
    goals.push({ product: row.product, jar, priority: chance.oneOf(PRIORITIES), want, have });
    if (goals.length === products) break;
  }
  const { recipes } = recipesFor(goals, grown, kitchen);
  const endAt = from + weeks * WEEK_MS;
  const outlook = expectedArrivals({ plantings, picks: [], looks: [] }, [], from, endAt);
  const { arrivals } = outlook;
  const problem = {
    days: withQuietDays(
      givenDays(
        { weekly: HOURS.slice(0, daysAWeek), notOn: [], mostAWeek: daysAWeek, freezerBags: 30 },
        from,
        endAt,
        setup,
      ),
      arrivals,
    ),
    arrivals,
    recipes: recipes.map((recipe) => ({ ...recipe, stock: ['lid'] })),
    goals: goals.filter((goal) => recipes.some((recipe) => goalKey(recipe) === goalKey(goal))),
    stock: [{ key: 'lid', have: 150, toBeHad: true }],
    burners: setup.burners,
    cannerBurners: setup.cannerBurners,
    firstHeatMinutes: 30,
    freezerBags: 30,
    refrigeratorKg: 18,
    mostDaysAWeek: daysAWeek,
    pins: [],
    before: [],
    cuts: [],
  };
  return { problem, kitchen, outlook };
}
