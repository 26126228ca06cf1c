import { columnsOf } from '../model/kernelOf';
import { partOf, withPart } from '../model/modelPart';
import { readPlan } from '../model/readPlan';
import { seasonModel } from '../model/seasonModel';
import { type SeasonPlan } from '../problem/seasonPlan';
import { type SeasonProblem } from '../problem/seasonProblem';
import { type Solver } from '../model/solver';

/** So few products on days are soon solved, but nothing that is pinned may be lost to a busy machine. */
const SECONDS = 2;
const GAP = 1e-3;

/** A product on a day. */
interface Placed {
  readonly day: string;
  readonly recipe: string;
}

/**
 * The best plan that makes nothing but these products on these days, and what they are made from where that falls off
 * another product of the day. Produce that waits in the refrigerator or the freezer is used as the whole plan may use it.
 *
 * @returns undefined where the solver had not found one in its time
 */
export function planOfThese(problem: SeasonProblem, these: readonly Placed[], solve: Solver): SeasonPlan | undefined {
  const columns = seasonModel(problem);
  const { batches } = columns;
  const asked = batches.filter(({ day, recipe }) =>
    these.some((each) => each.day === day.id && each.recipe === recipe.id),
  );
  const own = batches.filter(
    (batch) =>
      asked.includes(batch) ||
      asked.some(({ day, recipe: { takes } }) => takes && day === batch.day && takes.kind === batch.recipe.gives?.kind),
  );
  const nothing = new Float64Array(columns.model.columns.length);
  const part = partOf(columns.model, nothing, columnsOf(columns, own));
  const answer = solve(part.model, { seconds: SECONDS, gap: GAP });
  if (answer.kind !== 'solved') return undefined;
  return readPlan(problem, columns, withPart(nothing, part, answer.values));
}
