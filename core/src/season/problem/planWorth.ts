import { jarsByRecipe, type SeasonPlan } from './seasonPlan';
import { goalKey, type SeasonProblem, type SeasonRecipe } from './seasonProblem';
import { COSTS, goalWorth } from './seasonWorth';

/** What a plan is worth in points: jars that were wanted, less work, what is lost and what is bought. */
export function planWorth(problem: SeasonProblem, { days, rests }: Pick<SeasonPlan, 'days' | 'rests'>): number {
  const recipes = new Map(problem.recipes.map((recipe) => [recipe.id, recipe]));
  const frozenBefore = new Set(problem.arrivals.filter(({ frozen }) => frozen).map(({ id }) => id));
  const before = new Set(problem.before.map(({ day, recipe }) => `${day} ${recipe}`));
  let costs = days.length * COSTS.beginDay;
  for (const { day, batches, takings } of days) {
    for (const batch of batches) {
      const recipe = recipes.get(batch.recipe);
      if (!recipe) continue;
      costs += COSTS.beginProduct + COSTS.handsMinute * handsMinutes(recipe, batch.jars);
      if (before.has(`${day} ${recipe.id}`)) costs -= COSTS.changed;
      const pin = problem.pins.find((each) => each.day === day && each.recipe === recipe.id);
      if (pin) costs -= COSTS.pinned * Math.min(batch.jars, pin.jars);
    }
    for (const { arrival, from, massKg } of takings) {
      if (from === 'freezer' && !frozenBefore.has(arrival)) costs += COSTS.frozenKg * massKg;
    }
  }
  for (const { frozenKg, leftKg } of rests) costs += COSTS.frozenKg * frozenKg + COSTS.lostKg * leftKg;
  const made = jarsByRecipe({ days });
  for (const { key, have } of problem.stock) {
    const used = [...made].reduce((sum, [id, jars]) => sum + (recipes.get(id)?.stock.includes(key) ? jars : 0), 0);
    costs += COSTS.bought * Math.max(0, used - Math.max(0, have));
  }
  return goalsWorth(problem, made) - costs;
}

/** What the jars alone are worth to the goals. */
export function goalsWorth(problem: SeasonProblem, made: ReadonlyMap<string, number>): number {
  return problem.goals.reduce((sum, goal) => {
    const own = problem.recipes.filter((recipe) => goalKey(recipe) === goalKey(goal));
    return (
      sum +
      goalWorth(
        goal,
        own.reduce((jars, { id }) => jars + (made.get(id) ?? 0), 0),
      )
    );
  }, 0);
}

/** Minutes of hands for so many jars of a recipe on one day. */
export function handsMinutes({ hands, perLoad }: SeasonRecipe, jars: number): number {
  return jars === 0 ? 0 : hands.begin + hands.load * Math.ceil(jars / perLoad) + hands.jar * jars;
}
