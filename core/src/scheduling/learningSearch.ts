import { ActivityHeap } from './activityHeap';
import { Bounds, BY_CLAUSE, BY_DIFFERENCE, BY_FACTS, DECIDED } from './bounds';
import { ClauseDatabase } from './clauseDatabase';
import { ConflictAnalysis } from './conflictAnalysis';
import { type DifferenceConstraints, differencesInRows } from './differenceConstraints';
import { Reasons } from './reasons';

const RESCALE_AT = 1e100;
const ACTIVITY_DECAY = 0.95;

/** A rule that looks at many variables at once; it raises bounds and says why. */
export interface Propagator {
  /** The bound variables it wants to hear of. */
  readonly boundVars: readonly number[];
  /** False when the rule is broken: then `search.fail` was called. */
  propagate(search: LearningSearch): boolean;
}

export type Outcome = 'found' | 'impossible' | 'undecided';

/** Which variable is narrowed next: the literal to try, as bound variable and bound; undefined when all is decided. */
export type Choose = () => readonly [boundVar: number, bound: number] | undefined;

/**
 * Search over whole-number bounds that learns from each dead end a clause that keeps it from any like it: conflict-driven
 * clause learning with bounds as literals and reasons made when asked for.
 *
 * Sources: Marques-Silva and Sakallah 1999 (learning, first unique implication point); Ohrimenko, Stuckey and Codish 2009
 * (lazy clause generation); Schutt, Feydy, Stuckey and Wallace 2011 (for scheduling). Written up in docs/day-search.md.
 */
export class LearningSearch {
  readonly bounds: Bounds;
  readonly activity: Float64Array;
  /** Variables that are decided in the order of their activity. */
  readonly hottest: ActivityHeap;
  conflicts = 0;
  /** Below the root the dearest rules are asked every so many times they could be. */
  patience = 1;
  /** Rows of five, as they are told: from, to, gap, ifVar, ifBound. */
  private readonly addedDifferences: number[] = [];
  private differences: DifferenceConstraints | undefined;
  /** Those that wait for a condition, by the condition's bound variable. */
  private conditionalDifferences: readonly Int32Array[] = [];
  /** Pairs (from, to): a bound in from <= at < to is raised to `to`. */
  private readonly forbidden: (number[] | undefined)[];
  private readonly clauses: ClauseDatabase;
  private readonly reasons: Reasons;
  private readonly analysis: ConflictAnalysis;
  private readonly propagators: Propagator[] = [];
  private readonly listeners: number[][];
  private readonly awake: number[] = [];
  private head = 0;
  private broken = false;
  private conflict: number[] = [];

  /** @param mostLearned learned clauses kept before the less used half is dropped */
  constructor(least: readonly number[], most: readonly number[], mostLearned?: number) {
    this.bounds = new Bounds(least, most);
    const boundVars = 2 * least.length;
    this.activity = new Float64Array(least.length);
    this.hottest = new ActivityHeap(this.activity);
    this.bounds.heap = this.hottest;
    this.forbidden = Array.from({ length: boundVars }, () => undefined);
    this.listeners = Array.from({ length: boundVars }, () => []);
    this.clauses = new ClauseDatabase(this.bounds, mostLearned);
    this.reasons = new Reasons(this.bounds, this.clauses, () => (this.differences ??= this.inRows()));
    this.analysis = new ConflictAnalysis(this.bounds, this.reasons, (variable) => this.bumpActivity(variable));
  }

  /** Rule: to >= from + gap between two variables, always or as soon as (ifVar >= ifBound). */
  addDifference(fromVar: number, toVar: number, gap: number, ifVar = -1, ifBound = 0): void {
    this.addedDifferences.push(2 * fromVar, 2 * toVar, gap, ifVar, ifBound);
    this.addedDifferences.push(2 * toVar + 1, 2 * fromVar + 1, gap, ifVar, ifBound);
    this.differences = undefined;
  }

  /** Rule: the variable is at none of the values from `first` to `last` of each hole; in order, apart from each other. Told once. */
  addForbiddenStarts(variable: number, holes: readonly (readonly [first: number, last: number])[]): void {
    if (holes.length === 0) return;
    this.forbidden[2 * variable] = holes.flatMap(([first, last]) => [first, last + 1]);
    this.forbidden[2 * variable + 1] = [...holes].reverse().flatMap(([first, last]) => [-last, -first + 1]);
  }

  addPropagator(propagator: Propagator): void {
    const p = this.propagators.length;
    this.propagators.push(propagator);
    this.awake.push(1);
    for (const boundVar of propagator.boundVars) this.listeners[boundVar]?.push(p);
  }

  /** Makes a bound part of the question. False when that leaves nothing. Goes back to level 0. */
  require(boundVar: number, bound: number): boolean {
    this.undoTo(0);
    if (this.broken) return false;
    if (this.bounds.fails(boundVar, bound)) this.broken = true;
    else if (!this.bounds.holds(boundVar, bound)) this.bounds.raise(boundVar, bound, DECIDED, 0);
    return this.settle();
  }

  /** Draws the conclusions at level 0. False when nothing is left. */
  settle(): boolean {
    this.undoTo(0);
    if (!this.broken && !this.propagate()) this.broken = true;
    if (this.broken) return false;
    this.bounds.settleRoot();
    this.head = 0;
    return true;
  }

  /**
   * Looks for values until all are decided, nothing is left, or so many conflicts are behind it.
   *
   * @param assumed literals (pairs of bound variable and bound) to be taken for true in this run; "impossible" then means under them
   */
  run(choose: Choose, conflictLimit: number, assumed: readonly number[] = []): Outcome {
    if (!this.settle()) return 'impossible';
    const stopAt = this.conflicts + conflictLimit;
    const { bounds } = this;
    let told = 0;
    for (;;) {
      if (!this.propagate()) {
        told = 0;
        this.conflicts++;
        if (!this.learn()) {
          this.broken = true;
          return 'impossible';
        }
        this.clauses.bump /= ACTIVITY_DECAY;
        if (this.clauses.isFull) {
          this.undoTo(0);
          this.clauses.reduce();
        }
        if (this.conflicts >= stopAt) {
          this.undoTo(0);
          return 'undecided';
        }
        continue;
      }
      // Assumptions are the first things decided; what contradicts one follows from those before it.
      let next: readonly [number, number] | undefined;
      for (; told < assumed.length && !next; told += 2) {
        const [boundVar, bound] = [assumed[told], assumed[told + 1]];
        if (bounds.holds(boundVar, bound)) continue;
        if (bounds.fails(boundVar, bound)) return 'impossible';
        next = [boundVar, bound];
      }
      next ??= choose();
      if (!next) return 'found';
      this.decide(next[0], next[1]);
    }
  }

  undoTo(level: number): void {
    this.bounds.undoTo(level);
    this.head = Math.min(this.head, this.bounds.length);
    if (level === 0) this.reasons.facts.clear();
    this.awake.fill(1);
  }

  /** A propagator's conclusion: the facts (pairs of bound variable and bound, all true now) give (boundVar >= bound). */
  enqueue(boundVar: number, bound: number, facts: readonly number[]): boolean {
    if (this.bounds.holds(boundVar, bound)) return true;
    if (this.bounds.fails(boundVar, bound)) {
      this.conflict = [...facts, boundVar ^ 1, 1 - bound];
      return false;
    }
    this.bounds.raise(boundVar, bound, BY_FACTS, this.reasons.facts.note(facts));
    return true;
  }

  /** A propagator's dead end: these facts are true now and cannot be true together. */
  fail(facts: readonly number[]): false {
    this.conflict = [...facts];
    return false;
  }

  /** Rule: at least one of the literals (pairs of bound variable and bound) holds. Told at level 0. */
  addClause(literals: readonly number[]): void {
    const open: number[] = [];
    for (let i = 0; i < literals.length; i += 2) {
      const [boundVar, bound] = [literals[i], literals[i + 1]];
      if (this.bounds.holds(boundVar, bound)) return;
      if (!this.bounds.fails(boundVar, bound)) open.push(boundVar, bound);
    }
    if (open.length === 0) this.broken = true;
    else if (open.length === 2) this.bounds.raise(open[0], open[1], DECIDED, 0);
    else this.clauses.add(open);
  }

  /** Learned clauses that are kept: each follows from the rules alone. */
  get learnedClauses(): readonly Int32Array[] {
    return this.clauses.learnedClauses.map(({ literals }) => literals);
  }

  /** Learns from the conflict, and goes back to where that first says something. False when it holds at level 0. */
  private learn(): boolean {
    const newest = this.analysis.newestLevel(this.conflict);
    if (newest === 0) return false;
    this.undoTo(newest);
    const { literals, backTo, lbd } = this.analysis.learn(this.conflict, newest);
    this.undoTo(backTo);
    const [boundVar = 0, bound = 0] = literals;
    if (literals.length === 2) this.bounds.raise(boundVar, bound, DECIDED, 0);
    else this.bounds.raise(boundVar, bound, BY_CLAUSE, this.clauses.learn(literals, lbd));
    return true;
  }

  private decide(boundVar: number, bound: number): void {
    this.bounds.levels.push(this.bounds.length);
    this.bounds.raise(boundVar, bound, DECIDED, 0);
  }

  /** Reasons are rows: whatever hung on the old ones is at the root by now. */
  private inRows(): DifferenceConstraints {
    const { differences, waiting } = differencesInRows(this.addedDifferences, this.listeners.length);
    this.conditionalDifferences = waiting;
    return differences;
  }

  private propagate(): boolean {
    const { bounds } = this;
    this.differences ??= this.inRows();
    for (;;) {
      while (this.head < bounds.length) {
        const t = this.head++;
        const boundVar = bounds.boundVar[t];
        // A later entry of the same bound variable says all that this one does.
        if (bounds.value[t] !== bounds.at[boundVar]) continue;
        if (!this.notify(boundVar)) return false;
      }
      const p = this.awake.indexOf(1);
      if (p < 0) return true;
      this.awake[p] = 0;
      if (!this.propagators[p].propagate(this)) return false;
    }
  }

  private notify(boundVar: number): boolean {
    const { bounds } = this;
    for (const p of this.listeners[boundVar]) this.awake[p] = 1;
    const holes = this.forbidden[boundVar];
    if (holes) {
      // In order, and apart from each other: the last that begins by now.
      const now = bounds.at[boundVar];
      let low = 0;
      let high = holes.length >> 1;
      while (low < high) {
        const mid = (low + high) >> 1;
        if (holes[2 * mid] <= now) low = mid + 1;
        else high = mid;
      }
      const from = holes[2 * low - 2];
      const to = holes[2 * low - 1];
      if (from !== undefined && to !== undefined && now < to && !this.enqueue(boundVar, to, [boundVar, from]))
        return false;
    }
    const differences = this.differences as DifferenceConstraints;
    const { to, gap, first } = differences;
    const { at } = bounds;
    const end = first[boundVar + 1];
    for (let row = first[boundVar]; row < end; row++) {
      const bound = at[boundVar] + gap[row];
      if (at[to[row]] < bound && !this.propagateDifference(differences, row)) return false;
    }
    const waiting = this.conditionalDifferences[boundVar];
    const now = at[boundVar];
    for (let k = 0; k < waiting.length; k++) {
      const row = waiting[k];
      if (differences.ifBound[row] <= now && !this.propagateDifference(differences, row)) return false;
    }
    const clause = this.clauses.propagate(boundVar);
    if (!clause) return true;
    this.clauses.use(clause);
    return this.fail(opposites(clause.literals));
  }

  private propagateDifference(differences: DifferenceConstraints, row: number): boolean {
    const from = differences.from[row];
    const to = differences.to[row];
    const gap = differences.gap[row];
    const ifVar = differences.ifVar[row];
    const ifBound = differences.ifBound[row];
    const { at } = this.bounds;
    const bound = at[from] + gap;
    if (at[to] >= bound) return true;
    if (ifVar >= 0 && at[ifVar] < ifBound) {
      // The condition is open: it fails where the link could not be kept.
      if (bound <= -at[to ^ 1]) return true;
      if (this.bounds.fails(ifVar, ifBound)) return true;
      const most = -at[to ^ 1];
      return this.enqueue(ifVar ^ 1, 1 - ifBound, [from, most - gap + 1, to ^ 1, -most]);
    }
    if (bound > -at[to ^ 1]) {
      const least = 1 - at[to ^ 1];
      this.conflict = [from, least - gap, to ^ 1, 1 - least];
      if (ifVar >= 0) this.conflict.push(ifVar, ifBound);
      return false;
    }
    this.bounds.raise(to, bound, BY_DIFFERENCE, row);
    return true;
  }

  private bumpActivity(variable: number): void {
    const next = (this.activity[variable] += this.clauses.bump);
    this.hottest.risen(variable);
    if (next < RESCALE_AT) return;
    for (let v = 0; v < this.activity.length; v++) this.activity[v] *= 1 / RESCALE_AT;
    this.clauses.rescale(1 / RESCALE_AT);
  }
}

function opposites(literals: Int32Array): number[] {
  const facts: number[] = [];
  for (let i = 0; i < literals.length; i += 2) facts.push(literals[i] ^ 1, 1 - literals[i + 1]);
  return facts;
}
