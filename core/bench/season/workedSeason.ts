import {
  type Arrival,
  type SeasonDay,
  type SeasonProblem,
  type SeasonRecipe,
} from '../../src/season/problem/seasonProblem';

const DAY_MS = 24 * 60 * 60_000;
const SATURDAY = Date.UTC(2026, 7, 22, 13);

/**
 * The season of docs/season-plan.md, small enough to follow by hand: tomatoes for two Saturdays, two products, one canner.
 * Figures are round ones, made for the example.
 */
export function workedSeason(): SeasonProblem {
  return {
    days: [day('2026-08-22', SATURDAY, 0), day('2026-08-29', SATURDAY + 7 * DAY_MS, 1)],
    arrivals: [arrival('first picking', 30, SATURDAY), arrival('second picking', 12, SATURDAY + 7 * DAY_MS)],
    recipes: [
      recipe('tomatoes-crushed', 'quart', { kgPerJar: 1.5, perLoad: 7, begin: 20, load: 10, jar: 6, canner: 90 }),
      recipe('tomato-sauce-thin', 'pint', { kgPerJar: 1, perLoad: 9, begin: 40, load: 10, jar: 4, canner: 80 }),
    ],
    goals: [
      { product: 'tomatoes-crushed', jar: 'quart', priority: 'staple', want: 14, have: 0 },
      { product: 'tomato-sauce-thin', jar: 'pint', priority: 'want', want: 18, have: 0 },
    ],
    stock: [{ key: 'lid regular', have: 26, toBeHad: false }],
    burners: 4,
    cannerBurners: 2,
    firstHeatMinutes: 30,
    freezerBags: 0,
    refrigeratorKg: 0,
    mostDaysAWeek: 1,
    pins: [],
    before: [],
    cuts: [],
  };
}

function day(id: string, at: number, week: number): SeasonDay {
  return { id, at, windowMinutes: 360, handsMinutes: 240, week, quiet: false };
}

/** It keeps three days: not to the next Saturday. */
function arrival(id: string, massKg: number, readyAt: number): Arrival {
  const until = readyAt + 3 * DAY_MS;
  return { id, crop: 'tomato-paste', soft: false, massKg, readyAt, until, coldUntil: until, frozen: false };
}

interface Figures {
  readonly kgPerJar: number;
  readonly perLoad: number;
  readonly begin: number;
  readonly load: number;
  readonly jar: number;
  readonly canner: number;
}

function recipe(product: SeasonRecipe['product'], jar: SeasonRecipe['jar'], figures: Figures): SeasonRecipe {
  return {
    id: product,
    product,
    jar,
    crops: [{ crop: 'tomato-paste', kgPerJar: figures.kgPerJar }],
    softToo: true,
    frozenToo: false,
    vessels: [{ canner: 'pot', method: 'boiling-water' }],
    perLoad: figures.perLoad,
    wholePots: false,
    mostLoadsADay: 4,
    hands: { begin: figures.begin, load: figures.load, jar: figures.jar },
    cannerMinutes: figures.canner,
    burnerMinutes: 20,
    stock: ['lid regular'],
    leastMinutes: 150,
    nextMinutes: figures.canner,
    overnight: false,
  };
}
