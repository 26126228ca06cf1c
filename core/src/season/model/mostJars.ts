import { NIGHT_MIN } from '../problem/dayHours';
import { keptFor } from '../problem/keepingWindow';
import { goalKey, type SeasonDay, type SeasonProblem, type SeasonRecipe } from '../problem/seasonProblem';

/** Jars of a recipe that a day could make at most: by its goal, its produce, its hands, its canners, its jars and lids. */
export function mostJars(problem: SeasonProblem, recipe: SeasonRecipe, day: SeasonDay): number {
  const goal = problem.goals.find((each) => goalKey(each) === goalKey(recipe));
  if (!goal) return 0;
  const short = Math.max(0, goal.want - goal.have);
  const byGoal = recipe.wholePots ? Math.ceil(short / recipe.perLoad) * recipe.perLoad : short;
  const byCrop = recipe.crops.map(({ crop, kgPerJar }) => inReachKg(problem, recipe, crop, day) / kgPerJar);
  const canning = day.windowMinutes - problem.firstHeatMinutes;
  const atOnce = Math.min(recipe.vessels.length, problem.cannerBurners);
  const night = recipe.overnight ? NIGHT_MIN : 0;
  // The loads after the first ones follow each other in their canners.
  const spare = day.windowMinutes + night - recipe.leastMinutes;
  if (spare < 0) return 0;
  const loads = Math.min(
    recipe.mostLoadsADay,
    recipe.into === undefined ? Math.floor((atOnce * canning) / recipe.cannerMinutes) : Infinity,
    1 + Math.floor(spare / Math.max(1, recipe.nextMinutes)),
  );
  const { begin, load, jar } = recipe.hands;
  const byHands = (day.handsMinutes - begin) / (jar + load / recipe.perLoad);
  const byStock = problem.stock
    .filter(({ key, toBeHad }) => recipe.stock.includes(key) && !toBeHad)
    .map(({ have }) => have);
  const most = Math.floor(Math.min(byGoal, loads * recipe.perLoad, byHands, ...byCrop, ...byStock) + 1e-9);
  return recipe.wholePots ? Math.floor(most / recipe.perLoad) * recipe.perLoad : most;
}

/** Produce of a crop that a recipe could have on a day. */
function inReachKg({ arrivals }: SeasonProblem, recipe: SeasonRecipe, crop: string, day: SeasonDay): number {
  return arrivals.reduce((sum, arrival) => {
    const fits = arrival.crop === crop && (recipe.softToo || !arrival.soft) && (recipe.frozenToo || !arrival.frozen);
    if (!fits) return sum;
    const thawed = recipe.frozenToo && day.quiet && arrival.bagsPerKg !== undefined && arrival.readyAt <= day.at;
    return thawed || keptFor(arrival, day) !== undefined ? sum + arrival.massKg : sum;
  }, 0);
}

/** Jars that may be made beyond a goal: the rest of a pot, or what the household pinned. */
export function mostOver({ recipes, pins }: Pick<SeasonProblem, 'recipes' | 'pins'>, key: string): number {
  const own = recipes.filter((recipe) => goalKey(recipe) === key);
  if (own.some(({ id }) => pins.some(({ recipe }) => recipe === id))) return Infinity;
  return Math.max(0, ...own.map(({ wholePots, perLoad }) => (wholePots ? perLoad - 1 : 0)));
}
