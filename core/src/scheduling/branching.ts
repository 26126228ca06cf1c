import { type CompiledProblem } from './compiledProblem';
import { type Incumbent } from './incumbent';
import { type Choose } from './learningSearch';
import { type ScheduleModel } from './scheduleModel';

/** What the learning search decides next: what could start first, at once, or what was in the way most lately. */
export class Branching {
  /** Which way pairs and decisions are tried first, by variable. */
  private readonly phases: Int8Array;
  private best: Incumbent | undefined;

  constructor(
    private readonly problem: CompiledProblem,
    private readonly model: ScheduleModel,
  ) {
    this.phases = new Int8Array(model.variables);
    model.search.hottest.watch([
      ...model.pairs.flatMap(({ before, after }) => [before, after]),
      ...model.sides.map(({ variable }) => variable),
      ...problem.literals.map((_, k) => model.literal(k)),
    ]);
  }

  /** From now on each pair and decision is tried first as in the best schedule, or else as it is wished. */
  follow(best: Incumbent | undefined, wished: readonly boolean[]): void {
    this.best = best;
    const { pairs, sides, literal } = this.model;
    const order = best?.starts ?? this.problem.latest;
    for (const { first, second, before, after } of pairs) {
      const isFirst = order[first] <= order[second];
      if (after !== before) this.phases[after] = isFirst ? 0 : 1;
      this.phases[before] = isFirst ? 1 : 0;
    }
    for (const { task, from, variable } of sides) this.phases[variable] = order[task] >= from ? 1 : 0;
    const decisions = best?.decisions ?? wished;
    for (let k = 0; k < this.problem.literals.length; k++) this.phases[literal(k)] = decisions[k] ? 1 : 0;
  }

  /** What could start first, at once. */
  readonly soonest: Choose = () => {
    const { search, tasks, literal } = this.model;
    const { at } = search.bounds;
    let first = -1;
    for (let i = 0; i < tasks; i++) {
      if (at[2 * i] === -at[2 * i + 1]) continue;
      if (first < 0 || this.sooner(i, first, at)) first = i;
    }
    if (first < 0) return this.leftOver();
    for (const { when } of this.problem.modes[first] ?? []) {
      const v = literal(Math.abs(when) - 1);
      if (at[2 * v] !== -at[2 * v + 1]) return this.phases[v] === 1 ? [2 * v, 1] : [2 * v + 1, 0];
    }
    return [2 * first + 1, -at[2 * first]];
  };

  /** What was in the way most lately: pairs and decisions, then starts. */
  readonly hottest: Choose = () => {
    const { search, tasks } = this.model;
    const { at } = search.bounds;
    const { activity } = search;
    const boolean = search.hottest.top((v) => at[2 * v] !== -at[2 * v + 1]);
    if (boolean !== undefined) return this.phases[boolean] === 1 ? [2 * boolean, 1] : [2 * boolean + 1, 0];
    let hottest = -1;
    for (let v = 0; v < tasks; v++) {
      if (at[2 * v] === -at[2 * v + 1]) continue;
      if (hottest < 0 || activity[v] > activity[hottest]) hottest = v;
    }
    if (hottest < 0) return this.leftOver();
    const least = at[2 * hottest];
    const most = -at[2 * hottest + 1];
    const wished = this.best?.starts[hottest] ?? least;
    if (wished < least || wished >= most) return wished >= most ? [2 * hottest, most] : [2 * hottest + 1, -least];
    return [2 * hottest + 1, -wished];
  };

  /** Before or after each closed time, what was in the way most lately first; then as {@link hottest}: a bound hangs on how much goes before it. */
  readonly sidesFirst: Choose = () => {
    const { search, sides } = this.model;
    const { at } = search.bounds;
    const { activity } = search;
    let first = -1;
    for (const { variable: v } of sides) {
      if (at[2 * v] === -at[2 * v + 1]) continue;
      if (first < 0 || activity[v] > activity[first]) first = v;
    }
    if (first < 0) return this.hottest();
    return this.phases[first] === 1 ? [2 * first, 1] : [2 * first + 1, 0];
  };

  /** When every start stands, what is still open is told false: nothing hangs on it. */
  private leftOver(): ReturnType<Choose> {
    const { search, variables, end } = this.model;
    const { at } = search.bounds;
    for (let v = end + 1; v < variables; v++) {
      if (at[2 * v] !== -at[2 * v + 1]) return [2 * v + 1, -at[2 * v]];
    }
    return undefined;
  }

  private sooner(i: number, j: number, at: Int32Array): boolean {
    const difference = at[2 * i] - at[2 * j];
    return difference < 0 || (difference === 0 && at[2 * i + 1] > at[2 * j + 1]);
  }
}
