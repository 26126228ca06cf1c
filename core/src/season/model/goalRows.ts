import { goalKey } from '../problem/seasonProblem';
import { COSTS, worthPieces } from '../problem/seasonWorth';
import { type LinearTerm } from './linearModel';
import { mostOver } from './mostJars';
import { type BatchColumns, type SeasonDraft, times } from './seasonColumns';

/** The pieces a goal's jars are worth, the worthiest first. */
export interface GoalColumns {
  readonly key: string;
  readonly pieces: readonly number[];
}

/** Jars made are the pieces of their goal, the worthiest first by themselves. */
export function writeGoals(draft: SeasonDraft): readonly GoalColumns[] {
  const { writer, problem, batches } = draft;
  return problem.goals.map((goal) => {
    const key = goalKey(goal);
    const pieces = worthPieces(goal).map(({ jars, points }) => writer.column(points, jars));
    const own = batches.filter(({ recipe }) => goalKey(recipe) === key);
    const made = own.map(({ jars }) => times(jars, -1));
    // No more than wanted but for the rest of a pot, unless the household itself pinned more.
    const over = mostOver(problem, key);
    const counted = pieces.map((column): LinearTerm => [column, 1]);
    writer.row(over === 0 ? 0 : -Infinity, [...counted, ...made], 0);
    const most = Math.max(0, goal.want - goal.have) + over;
    if (over > 0 && over < Infinity) writer.row(-most, made, Infinity);
    if (over === 0) writeWholeLoads(draft, own, most);
    return { key, pieces };
  });
}

/**
 * So many jars take whole loads and whole beginnings: with what is left below the goal, the rounded number. It follows
 * from the rest for whole numbers and cuts off parts of loads. Mixed-integer rounding, Nemhauser and Wolsey 1990.
 */
function writeWholeLoads({ writer }: SeasonDraft, own: readonly BatchColumns[], most: number): void {
  if (own.length === 0 || most === 0) return;
  const cut = (size: number, columnOf: (batch: BatchColumns) => number) => {
    const count = Math.ceil(most / size - 1e-9);
    const remainder = most - size * (count - 1);
    if (count < 1 || remainder >= size) return;
    const whole = own.map((batch): LinearTerm => [columnOf(batch), remainder]);
    writer.row(remainder * count - most, [...whole, ...own.map(({ jars }) => times(jars, -1))], Infinity);
  };
  cut(Math.max(...own.map(({ recipe }) => recipe.perLoad)), ({ loads }) => loads);
  cut(Math.max(...own.map((batch) => batch.most)), ({ begun }) => begun);
}

/** Jars, lids and what else is counted: those there are, and those to be bought. */
export function writeStock({ writer, problem, batches }: SeasonDraft): readonly { key: string; column: number }[] {
  return problem.stock.flatMap(({ key, have, toBeHad }) => {
    const using = batches.filter(({ recipe }) => recipe.stock.includes(key));
    if (using.length === 0) return [];
    const column = writer.column(-COSTS.bought, toBeHad ? Infinity : 0);
    writer.row(-Infinity, [...using.map(({ jars }) => jars), [column, -1]], Math.max(0, have));
    return [{ key, column }];
  });
}

/** Peels, cores and thin juice are used on the day they fall off. */
export function writeByProducts(draft: SeasonDraft): void {
  for (const { day } of draft.days) {
    const own = draft.onDay(day);
    for (const kind of ['thin juice', 'peels and cores'] as const) {
      const taking = own.filter(({ recipe }) => recipe.takes?.kind === kind);
      if (taking.length === 0) continue;
      const giving = own.filter(({ recipe }) => recipe.gives?.kind === kind);
      const given = giving.map(({ recipe, jars }) => times(jars, recipe.gives?.perJar ?? 0));
      const taken = taking.map(({ recipe, jars }) => times(jars, -(recipe.takes?.perJar ?? 0)));
      draft.writer.row(0, [...given, ...taken], Infinity);
    }
  }
}
