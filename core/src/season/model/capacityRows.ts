import { canningMinutes, usableHands } from '../problem/dayHours';
import { coldOn } from '../problem/keepingWindow';
import { type SeasonProblem, type SeasonRecipe } from '../problem/seasonProblem';
import { type LinearTerm } from './linearModel';
import { once, type SeasonDraft, times } from './seasonColumns';

/** The freezer and the refrigerator hold only so much. */
export function writeRoom({ writer, problem, days, takings, thawed, remainders }: SeasonDraft): void {
  const frozen = remainders.flatMap(({ arrival, frozen: column }) =>
    column === undefined ? [] : [{ arrival, bags: [column, arrival.bagsPerKg ?? 0] as LinearTerm }],
  );
  const outBy = (at: number) =>
    thawed
      .filter((each) => each.day.at < at)
      .map(({ column, crop }): LinearTerm => [column, -bagsPerKg(problem, crop)]);
  for (const { day } of days) {
    const inBy = frozen.filter(({ arrival }) => arrival.readyAt <= day.at).map(({ bags }) => bags);
    if (inBy.length > 0) writer.row(-Infinity, [...inBy, ...outBy(day.at)], problem.freezerBags);
    const cold = takings.filter((each) => coldOn(each.arrival, day, each.day));
    writer.row(-Infinity, once(cold), problem.refrigeratorKg);
  }
  // What comes after the last day is frozen too.
  const end = days.at(-1)?.day.at ?? -Infinity;
  if (!frozen.some(({ arrival }) => arrival.readyAt > end)) return;
  writer.row(-Infinity, [...frozen.map(({ bags }) => bags), ...outBy(Infinity)], problem.freezerBags);
}

function bagsPerKg({ arrivals }: SeasonProblem, crop: string): number {
  return arrivals.find((each) => each.crop === crop && each.bagsPerKg !== undefined)?.bagsPerKg ?? 0;
}

/** Hands, canners and burners of each day. */
export function writeHours(draft: SeasonDraft): void {
  const { writer, problem, days } = draft;
  const canners = (recipe: SeasonRecipe) => recipe.vessels.map(({ canner }) => canner).sort();
  const canned = problem.recipes.filter(({ into }) => into === undefined);
  const sets = [...new Set(canned.map((recipe) => canners(recipe).join('|')))].map((set) => set.split('|'));
  for (const { day, column: given } of days) {
    const own = draft.onDay(day);
    if (own.length === 0) continue;
    const within = (minutes: readonly LinearTerm[], most: number) =>
      writer.row(-Infinity, [...minutes, [given, -most]], 0);
    const hands = own.flatMap(({ recipe, begun, loads, jars }): LinearTerm[] => [
      [begun, recipe.hands.begin],
      [loads, recipe.hands.load],
      times(jars, recipe.hands.jar),
    ]);
    within(hands, usableHands(day));
    const recipes = own.map(({ recipe }) => recipe);
    const canning = canningMinutes(problem, day, recipes);
    for (const set of sets) {
      const inside = own.filter(({ recipe }) => !recipe.into && canners(recipe).every((id) => set.includes(id)));
      const minutes = inside.map(({ recipe, loads }): LinearTerm => [loads, recipe.cannerMinutes]);
      within(minutes, Math.min(set.length, problem.cannerBurners) * canning);
    }
    const burning = own.map(({ recipe, loads }): LinearTerm => [loads, recipe.cannerMinutes + recipe.burnerMinutes]);
    within(burning, problem.burners * day.windowMinutes);
  }
}
