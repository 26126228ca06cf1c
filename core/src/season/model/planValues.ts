import { type SeasonModel } from './seasonModel';
import { type SeasonPlan } from '../problem/seasonPlan';
import { type SeasonProblem } from '../problem/seasonProblem';
import { worthPieces } from '../problem/seasonWorth';
import { goalKey } from '../problem/seasonProblem';

/**
 * A plan as the values of a model's columns, for a solver to begin with: the other way round of reading it back. A batch
 * that the model has no column for is left out.
 */
export function planValues(problem: SeasonProblem, columns: SeasonModel, plan: SeasonPlan): Float64Array {
  const values = new Float64Array(columns.model.columns.length);
  const made = new Map<string, number>();
  const used = new Map<string, number>();
  const add = (map: Map<string, number>, key: string, by: number) => map.set(key, (map.get(key) ?? 0) + by);
  for (const { day, batches } of plan.days) {
    const given = columns.days.find((each) => each.day.id === day);
    if (given) values[given.column] = 1;
    for (const { recipe, jars, loads } of batches) {
      const batch = columns.batches.find((each) => each.day.id === day && each.recipe.id === recipe);
      if (!batch) continue;
      values[batch.loads] = loads;
      values[batch.begun] = 1;
      if (!batch.recipe.wholePots) values[batch.jars[0]] = jars;
      add(made, goalKey(batch.recipe), jars);
      for (const key of batch.recipe.stock) add(used, key, jars);
    }
  }
  const taken = plan.days.flatMap(({ day, takings }) => takings.map((taking) => ({ ...taking, day })));
  for (const { day, arrival, column } of columns.takings) {
    const own = taken.find((each) => each.day === day.id && each.arrival === arrival.id && each.from !== 'freezer');
    values[column] = own?.massKg ?? 0;
  }
  const cropOf = new Map(problem.arrivals.map(({ id, crop }) => [id, crop as string]));
  for (const { day, crop, column } of columns.thawed) {
    values[column] = taken
      .filter((each) => each.day === day.id && each.from === 'freezer' && cropOf.get(each.arrival) === crop)
      .reduce((sum, { massKg }) => sum + massKg, 0);
  }
  for (const { arrival, frozen, left } of columns.remainders) {
    const rest = plan.rests.find((each) => each.arrival === arrival.id);
    values[left] = rest?.leftKg ?? 0;
    const out = taken.filter((each) => each.arrival === arrival.id && each.from === 'freezer');
    if (frozen !== undefined) values[frozen] = out.reduce((sum, { massKg }) => sum + massKg, rest?.frozenKg ?? 0);
  }
  for (const { key, pieces } of columns.goals) {
    const goal = problem.goals.find((each) => goalKey(each) === key);
    let left = made.get(key) ?? 0;
    (goal ? worthPieces(goal) : []).forEach(({ jars }, i) => {
      const counted = Math.min(left, jars);
      left -= counted;
      const column = pieces[i];
      if (column !== undefined) values[column] = counted;
    });
  }
  for (const { batch, count, column } of columns.reached) {
    values[column] = (values[batch.loads] ?? 0) >= count ? 1 : 0;
  }
  for (const { key, column } of columns.bought) {
    const have = problem.stock.find((each) => each.key === key)?.have ?? 0;
    values[column] = Math.max(0, (used.get(key) ?? 0) - Math.max(0, have));
  }
  return values;
}
