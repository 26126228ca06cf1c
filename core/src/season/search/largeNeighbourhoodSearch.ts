import { kernelOf, type Likely } from '../model/kernelOf';
import { type LinearModel } from '../model/linearModel';
import { always, type ModelPart, partOf, withPart } from '../model/modelPart';
import { type BatchColumns } from '../model/seasonColumns';
import { type SeasonModel } from '../model/seasonModel';
import { goalKey } from '../problem/seasonProblem';
import { type Solver } from '../model/solver';

/** One part may take this part of the whole time. */
const PART_OF_TIME = 0.03;
const LEAST_SECONDS = 0.3;
/** Sharing out produce is soon done. */
const SHARING_SECONDS = 0.6;
/** Whole numbers in a part at first; it grows while parts are solved soon, and shrinks where they are not. */
const FIRST_SIZE = 100;
const GROWS = 1.25;
const SHRINKS = 0.8;
const LEAST_SIZE = 40;
const MOST_SIZE = 800;
/** Begun, loads and jars, of which some are one. */
const WHOLE_A_BATCH = 2;
/** A part is solved when no better one can be worth this much more. */
const PART_GAP = 5e-4;
/** Rounding of the solver. */
const NEARLY = 1e-6;

/** A solution of a season's model, and what it is worth. */
export interface Improvement {
  readonly values: ArrayLike<number>;
  readonly worth: number;
}

/** How large parts may be, and where the next weeks begin. */
interface Walk {
  size: number;
  week: number;
}

/**
 * Better solutions near the one in hand: some weeks, or some products over the whole season, are planned anew while the
 * rest stays. Many small models where the large one is slow. Method: large neighbourhood search, Shaw 1998, with the solver
 * as the repairer.
 */
export class LargeNeighbourhoodSearch {
  /** Among what is likely, and among all. */
  private readonly narrow: Walk = { size: FIRST_SIZE, week: 0 };
  private readonly wide: Walk = { size: FIRST_SIZE, week: 0 };
  private readonly partSeconds: number;
  private turn = 0;

  /**
   * @param unit draws from 0 to 1
   * @param seconds of the whole planning
   * @param relaxationSupport whether the relaxation makes a batch at all: every second part looks at such alone, and so at more weeks
   */
  constructor(
    private readonly solve: Solver,
    private readonly unit: () => number,
    seconds: number,
    private readonly relaxationSupport: Likely = () => true,
  ) {
    this.partSeconds = Math.max(LEAST_SECONDS, PART_OF_TIME * seconds);
  }

  /** @returns undefined where the part looked at is as good as it can be, or its time was short */
  next(columns: SeasonModel, values: ArrayLike<number>, seconds: number): Improvement | undefined {
    const { model } = columns;
    const turn = this.turn++;
    const walk = turn % 2 === 0 ? this.narrow : this.wide;
    const batches = walk === this.narrow ? kernelOf(columns, this.relaxationSupport, values) : columns.batches;
    const free = turn % 6 < 4 ? nextWeeks(columns, batches, walk) : goalsFree(columns, batches, this.unit, walk.size);
    const part = partOf(model, values, free);
    const answer = this.solve(part.model, {
      ...{ seconds: Math.min(this.partSeconds, seconds), gap: PART_GAP },
      start: part.start,
    });
    const isSolved = answer.kind === 'solved' && answer.bound - answer.worth <= 2 * PART_GAP * Math.abs(answer.worth);
    walk.size = Math.min(MOST_SIZE, Math.max(LEAST_SIZE, walk.size * (isSolved ? GROWS : SHRINKS)));
    return answer.kind === 'solved' ? better(model, values, part, answer.values) : undefined;
  }
}

/** Weeks that follow each other, as many as a part has room for; the next part begins in the middle of this one. */
function nextWeeks(columns: SeasonModel, batches: readonly BatchColumns[], walk: Walk): Set<number> {
  const weeks = [...new Set(batches.map(({ day }) => day.week))];
  const chosen: number[] = [];
  let whole = 0;
  if (walk.week >= weeks.length) walk.week = 0;
  for (let i = walk.week; i < weeks.length && whole < walk.size; i++) {
    const week = weeks[i] ?? 0;
    chosen.push(week);
    whole += WHOLE_A_BATCH * batches.filter(({ day }) => day.week === week).length;
  }
  walk.week += Math.max(1, Math.floor(chosen.length / 2));
  return weeksFree(columns, batches, new Set(chosen));
}

/** The solution with a part of it anew, where it is worth more. */
function better(
  model: LinearModel,
  values: ArrayLike<number>,
  part: ModelPart,
  found: ArrayLike<number>,
): Improvement | undefined {
  const next = withPart(values, part, found);
  const worth = objectiveValue(model, next);
  return worth > objectiveValue(model, values) + NEARLY ? { values: next, worth } : undefined;
}

/**
 * A solution with the same whole numbers, its produce shared out anew: a plan that was made or mended by hand does not keep
 * every row of the model to the gram.
 *
 * @returns undefined where these whole numbers are possible in no way
 */
export function repairContinuous(
  { model }: SeasonModel,
  values: ArrayLike<number>,
  solve: Solver,
): ArrayLike<number> | undefined {
  const free = new Set(model.columns.flatMap(({ integer }, i) => (integer ? [] : [i])));
  const rounded = Float64Array.from(values, (value, i) => (model.columns[i]?.integer ? Math.round(value) : value));
  const part = partOf(model, rounded, free);
  const answer = solve(part.model, { seconds: SHARING_SECONDS, gap: 0 });
  return answer.kind === 'solved' ? withPart(rounded, part, answer.values) : undefined;
}

/** What a solution is worth to a model. */
export function objectiveValue({ columns }: LinearModel, values: ArrayLike<number>): number {
  return columns.reduce((sum, { objective: worth }, i) => sum + worth * (values[i] ?? 0), 0);
}

/** Columns of some weeks. */
function weeksFree(columns: SeasonModel, batches: readonly BatchColumns[], chosen: ReadonlySet<number>): Set<number> {
  const inside = <Item extends { readonly day: { readonly week: number } }>(items: readonly Item[]) =>
    items.filter(({ day }) => chosen.has(day.week));
  return new Set([
    ...always(columns),
    ...inside(columns.days).map(({ column }) => column),
    ...inside(batches).flatMap(({ begun, loads, jars }) => [begun, loads, jars[0]]),
    ...inside(columns.takings).map(({ column }) => column),
    ...inside(columns.thawed).map(({ column }) => column),
  ]);
}

/** Products over the whole season, as many as a part has room for. */
function goalsFree(
  columns: SeasonModel,
  batches: readonly BatchColumns[],
  unit: () => number,
  size: number,
): Set<number> {
  const { days, goals, takings, thawed } = columns;
  const chosen = new Set<string>();
  let whole = 0;
  for (let tries = 0; tries < goals.length && (whole < size || chosen.size < 2); tries++) {
    const key = goals[Math.floor(unit() * goals.length)]?.key ?? '';
    if (chosen.has(key)) continue;
    chosen.add(key);
    whole += WHOLE_A_BATCH * batches.filter(({ recipe }) => goalKey(recipe) === key).length;
  }
  const own = batches.filter(({ recipe }) => chosen.has(goalKey(recipe)));
  const crops = new Set<string>(own.flatMap(({ recipe }) => recipe.crops.map(({ crop }) => crop)));
  return new Set([
    ...always(columns),
    // Days may be given up or taken up for them.
    ...days.map(({ column }) => column),
    ...own.flatMap(({ begun, loads, jars }) => [begun, loads, jars[0]]),
    ...takings.filter(({ arrival }) => crops.has(arrival.crop)).map(({ column }) => column),
    ...thawed.filter(({ crop }) => crops.has(crop)).map(({ column }) => column),
  ]);
}
