import { COSTS } from '../problem/seasonWorth';
import { type SeasonDay, type SeasonRecipe } from '../problem/seasonProblem';
import { type LinearTerm } from './linearModel';
import { mostJars } from './mostJars';
import { once, type SeasonDraft } from './seasonColumns';

/** Days given to preserving, and no more of them in a week than the household wants. */
export function writeDays({ problem, writer, days }: SeasonDraft): void {
  for (const day of problem.days) days.push({ day, column: writer.column(-COSTS.beginDay, 1, true) });
  for (const week of new Set(problem.days.map((day) => day.week))) {
    const own = days.filter(({ day }) => day.week === week);
    if (own.length > problem.mostDaysAWeek) writer.row(0, once(own), problem.mostDaysAWeek);
  }
}

/** Every product on every day that could make a jar of it: begun or not, its loads, its jars. */
export function writeBatches(draft: SeasonDraft): void {
  for (const given of draft.days) {
    for (const recipe of draft.problem.recipes) writeBatch(draft, given, recipe);
  }
}

function writeBatch(
  draft: SeasonDraft,
  { day, column: given }: { readonly day: SeasonDay; readonly column: number },
  recipe: SeasonRecipe,
): void {
  const { writer, problem } = draft;
  const isThis = (each: { readonly day: string; readonly recipe: string }) =>
    each.day === day.id && each.recipe === recipe.id;
  const pin = problem.pins.find(isThis);
  const most = pin?.jars ?? mostJars(problem, recipe, day);
  if (most < 1) return;
  const wasPlanned = problem.before.some(isThis);
  const { hands, perLoad, wholePots } = recipe;
  // A pin is kept as far as it goes: one that rain made impossible must not make the whole season so.
  const perJar = (pin ? COSTS.pinned : 0) - COSTS.handsMinute * hands.jar;
  const begins = (wasPlanned ? COSTS.changed : 0) - COSTS.beginProduct - COSTS.handsMinute * hands.begin;
  const perPot = (wholePots ? perJar * perLoad : 0) - COSTS.handsMinute * hands.load;
  const mostLoads = Math.ceil(most / perLoad);
  const begun = writer.column(begins + (mostLoads === 1 ? perPot : 0), 1, true);
  const loads = mostLoads === 1 ? begun : writer.column(perPot, mostLoads, true);
  const atMost = (of: LinearTerm, by: LinearTerm) => writer.row(-Infinity, [of, by], 0);
  atMost([begun, 1], [given, -1]);
  if (mostLoads > 1) atMost([loads, 1], [begun, -mostLoads]);
  const jars: LinearTerm = wholePots ? [loads, perLoad] : [writer.column(perJar, most, true), 1];
  if (!wholePots) {
    atMost(jars, [begun, -most]);
    if (mostLoads > 1) atMost(jars, [loads, -perLoad]);
  }
  draft.addBatch({ day, recipe, begun, loads, mostLoads, most, jars });
}
