import { canningMinutes, usableHands } from '../../src/season/problem/dayHours';
import { goalKey, type SeasonProblem, type SeasonRecipe } from '../../src/season/problem/seasonProblem';
import { COSTS, pointsPerJar } from '../../src/season/problem/seasonWorth';

/** Jars of each recipe on each day. */
type Jars = readonly (readonly number[])[];

/**
 * The best that a tiny season can come to, by trying every number of jars on every day. For one crop that keeps no longer
 * than its own day, one canner, a stock of one kind and whole jars: written from the rules, without the model.
 */
export function bestByTrying(problem: SeasonProblem): { readonly worth: number; readonly jars: Jars } {
  const { days, recipes, goals, stock, arrivals } = problem;
  const lids = stock[0] && !stock[0].toBeHad ? Math.max(0, stock[0].have) : Infinity;
  const kgOf = days.map((day) =>
    arrivals
      .filter(({ readyAt, until }) => readyAt <= day.at && until >= day.at)
      .reduce((sum, { massKg }) => sum + massKg, 0),
  );
  const most = recipes.map((recipe) => goals.find((goal) => goalKey(goal) === goalKey(recipe))?.want ?? 0);
  const costs = days.map((_, i) => costsOfDay(problem, i, kgOf[i] ?? 0, most));
  let best: { worth: number; jars: Jars } = { worth: -Infinity, jars: [] };
  const walk = (day: number, made: readonly number[], cost: number, jars: Jars): void => {
    if (day === days.length) {
      const gain = recipes.reduce((sum, recipe, i) => sum + gainOf(problem, recipe, made[i] ?? 0), 0);
      if (gain - cost > best.worth + 1e-9) best = { worth: gain - cost, jars };
      return;
    }
    for (const { counts, cost: ofDay } of costs[day] ?? []) {
      const next = made.map((count, i) => count + (counts[i] ?? 0));
      if (next.some((count, i) => count > (most[i] ?? 0)) || next.reduce((sum, count) => sum + count, 0) > lids)
        continue;
      walk(day + 1, next, cost + ofDay, [...jars, counts]);
    }
  };
  walk(
    0,
    recipes.map(() => 0),
    0,
    [],
  );
  return best;
}

/** Every number of jars that one day can make, with what it costs. */
function costsOfDay(problem: SeasonProblem, i: number, kg: number, most: readonly number[]) {
  const { recipes, days } = problem;
  const day = days[i];
  const found: { counts: readonly number[]; cost: number }[] = [];
  if (!day) return found;
  const room = canningMinutes(problem, day, recipes);
  const choose = (counts: readonly number[]): void => {
    if (counts.length < recipes.length) {
      for (let count = 0; count <= (most[counts.length] ?? 0); count++) choose([...counts, count]);
      return;
    }
    const made = recipes.flatMap((recipe, at) => (counts[at] ? [{ recipe, jars: counts[at] ?? 0 }] : []));
    const loads = ({ recipe, jars }: (typeof made)[number]) => Math.ceil(jars / recipe.perLoad);
    const sum = (of: (each: (typeof made)[number]) => number) => made.reduce((all, each) => all + of(each), 0);
    const used = sum(({ recipe, jars }) => jars * (recipe.crops[0]?.kgPerJar ?? 0));
    const hands = sum(
      (each) => each.recipe.hands.begin + each.recipe.hands.load * loads(each) + each.recipe.hands.jar * each.jars,
    );
    const canning = sum((each) => loads(each) * each.recipe.cannerMinutes);
    const isLate = made.some(
      (each) => each.recipe.leastMinutes + (loads(each) - 1) * each.recipe.nextMinutes > day.windowMinutes,
    );
    if (isLate) return;
    if (used > kg + 1e-9 || hands > usableHands(day) + 1e-9 || canning > room + 1e-9) return;
    const begun = made.length === 0 ? 0 : COSTS.beginDay + COSTS.beginProduct * made.length;
    found.push({ counts, cost: begun + COSTS.handsMinute * hands + COSTS.lostKg * (kg - used) });
  };
  choose([]);
  return found;
}

/** Half of a goal counts in full, up to four fifths three quarters, the rest half. */
function gainOf({ goals }: SeasonProblem, recipe: SeasonRecipe, jars: number): number {
  const goal = goals.find((each) => goalKey(each) === goalKey(recipe));
  if (!goal) return 0;
  const [half, fifths] = [Math.round(goal.want / 2), Math.round(goal.want * 0.8)];
  const parts = [Math.min(jars, half), Math.min(jars, fifths) - Math.min(jars, half), jars - Math.min(jars, fifths)];
  return pointsPerJar(goal) * ((parts[0] ?? 0) + 0.75 * (parts[1] ?? 0) + 0.5 * (parts[2] ?? 0));
}
