import { ActivityHeap } from './activityHeap';
import { Bounds } from './bounds';
import { type DifferenceConstraints, differencesInRows } from './differenceConstraints';

/** Why a bound rose. */
const DECIDED = 0;
const BY_CLAUSE = 1;
const BY_LINK = 2;
/** By a list of facts that were noted when it rose. */
const BY_FACTS = 3;

const NOTHING = -2_147_483_648;
const RESCALE_AT = 1e100;
const ACTIVITY_DECAY = 0.95;
/** Learned clauses kept before the less used half is dropped, and by how much that number grows each time. */
const FIRST_KEPT = 4_000;
const KEPT_GROWTH = 1.1;
/** Clauses over so few levels are never dropped. Audemard and Simon 2009. */
const GLUE = 3;

/** At least one of its literals holds: pairs of bound variable and bound. The first two are watched. */
interface Clause {
  readonly literals: Int32Array;
  readonly lbd: number;
  activity: number;
  dropped: boolean;
}

/** A rule that looks at many variables at once; it raises bounds and says why. */
export interface Propagator {
  /** The bound variables it wants to hear of. */
  readonly boundVars: readonly number[];
  /** False when the rule is broken: then `search.refute` was called. */
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
  private bump = 1;
  /** Rows of five, as they are told: from, to, gap, ifVar, ifBound. */
  private readonly addedDifferences: number[] = [];
  private differences: DifferenceConstraints | undefined;
  /** Links that wait for a condition, by the condition's bound variable. */
  private conditionalDifferences: readonly Int32Array[] = [];
  /** Pairs (from, to): a bound in from <= at < to is raised to `to`. */
  private readonly forbidden: (number[] | undefined)[];
  private readonly watching: { clauses: Clause[]; bounds: number[] }[];
  private readonly propagators: Propagator[] = [];
  private readonly listeners: number[][];
  private readonly awake: number[] = [];
  private learned: Clause[] = [];
  private kept = FIRST_KEPT;
  private facts = new Int32Array(4096);
  private factsLength = 0;
  private head = 0;
  private broken = false;
  private conflict: number[] = [];
  private readonly need: Int32Array;
  private readonly needPlace: Int32Array;

  constructor(least: readonly number[], most: readonly number[]) {
    this.bounds = new Bounds(least, most);
    const boundVars = 2 * least.length;
    this.activity = new Float64Array(least.length);
    this.hottest = new ActivityHeap(this.activity);
    this.bounds.heap = this.hottest;
    this.forbidden = Array.from({ length: boundVars }, () => undefined);
    this.watching = Array.from({ length: boundVars }, () => ({ clauses: [], bounds: [] }));
    this.listeners = Array.from({ length: boundVars }, () => []);
    this.need = new Int32Array(boundVars).fill(NOTHING);
    this.needPlace = new Int32Array(boundVars).fill(-1);
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
        this.bump /= ACTIVITY_DECAY;
        if (this.learned.length > this.kept) this.reduceClauses();
        if (this.conflicts >= stopAt) {
          this.undoTo(0);
          return 'undecided';
        }
        continue;
      }
      // Assumptions are the first things decided; what contradicts one follows from those before it.
      let next: readonly [number, number] | undefined;
      for (; told < assumed.length && !next; told += 2) {
        const [boundVar, bound] = [assumed[told] as number, assumed[told + 1] as number];
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
    if (level === 0) this.factsLength = 0;
    this.awake.fill(1);
  }

  /** A propagator's conclusion: the facts (pairs of bound variable and bound, all true now) give (boundVar >= bound). */
  enqueue(boundVar: number, bound: number, facts: readonly number[]): boolean {
    if (this.bounds.holds(boundVar, bound)) return true;
    if (this.bounds.fails(boundVar, bound)) {
      this.conflict = [...facts, boundVar ^ 1, 1 - bound];
      return false;
    }
    this.bounds.raise(boundVar, bound, BY_FACTS, this.note(facts));
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
      const [boundVar, bound] = [literals[i] as number, literals[i + 1] as number];
      if (this.bounds.holds(boundVar, bound)) return;
      if (!this.bounds.fails(boundVar, bound)) open.push(boundVar, bound);
    }
    if (open.length === 0) this.broken = true;
    else if (open.length === 2) this.bounds.raise(open[0] as number, open[1] as number, DECIDED, 0);
    else this.watch({ literals: Int32Array.from(open), lbd: 0, activity: 0, dropped: false });
  }

  private decide(boundVar: number, bound: number): void {
    this.bounds.levels.push(this.bounds.length);
    this.bounds.raise(boundVar, bound, DECIDED, 0);
  }

  /** Reasons are rows: whatever hung on the old ones is at the root by now. */
  private inRows(): DifferenceConstraints {
    const { links, waiting } = differencesInRows(this.addedDifferences, this.listeners.length);
    this.conditionalDifferences = waiting;
    return links;
  }

  private note(facts: readonly number[]): number {
    const start = this.factsLength;
    const end = start + 1 + facts.length;
    if (end > this.facts.length) {
      const wider = new Int32Array(Math.max(end, 2 * this.facts.length));
      wider.set(this.facts);
      this.facts = wider;
    }
    this.facts[start] = facts.length;
    for (let i = 0; i < facts.length; i++) this.facts[start + 1 + i] = facts[i] as number;
    this.factsLength = end;
    return start;
  }

  private propagate(): boolean {
    const { bounds } = this;
    this.differences ??= this.inRows();
    for (;;) {
      while (this.head < bounds.length) {
        const t = this.head++;
        const boundVar = bounds.boundVar[t] as number;
        // A later entry of the same bound variable says all that this one does.
        if (bounds.value[t] !== bounds.at[boundVar]) continue;
        if (!this.notify(boundVar)) return false;
      }
      const p = this.awake.indexOf(1);
      if (p < 0) return true;
      this.awake[p] = 0;
      if (!(this.propagators[p] as Propagator).propagate(this)) return false;
    }
  }

  private notify(boundVar: number): boolean {
    const { bounds } = this;
    for (const p of this.listeners[boundVar] as number[]) this.awake[p] = 1;
    const holes = this.forbidden[boundVar];
    if (holes) {
      // In order, and apart from each other: the last that begins by now.
      const now = bounds.at[boundVar] as number;
      let low = 0;
      let high = holes.length >> 1;
      while (low < high) {
        const mid = (low + high) >> 1;
        if ((holes[2 * mid] as number) <= now) low = mid + 1;
        else high = mid;
      }
      const from = holes[2 * low - 2];
      const to = holes[2 * low - 1];
      if (from !== undefined && to !== undefined && now < to && !this.enqueue(boundVar, to, [boundVar, from]))
        return false;
    }
    const links = this.differences as DifferenceConstraints;
    const { to, gap, first } = links;
    const { at } = bounds;
    const end = first[boundVar + 1] as number;
    for (let row = first[boundVar] as number; row < end; row++) {
      const bound = (at[boundVar] as number) + (gap[row] as number);
      if ((at[to[row] as number] as number) < bound && !this.propagateDifference(links, row)) return false;
    }
    const waiting = this.conditionalDifferences[boundVar] as Int32Array;
    const now = at[boundVar] as number;
    for (let k = 0; k < waiting.length; k++) {
      const row = waiting[k] as number;
      if ((links.ifBound[row] as number) <= now && !this.propagateDifference(links, row)) return false;
    }
    return this.notifyClauses(boundVar);
  }

  private propagateDifference(links: DifferenceConstraints, row: number): boolean {
    const from = links.from[row] as number;
    const to = links.to[row] as number;
    const gap = links.gap[row] as number;
    const ifVar = links.ifVar[row] as number;
    const ifBound = links.ifBound[row] as number;
    const { at } = this.bounds;
    const bound = (at[from] as number) + gap;
    if ((at[to] as number) >= bound) return true;
    if (ifVar >= 0 && (at[ifVar] as number) < ifBound) {
      // The condition is open: it fails where the link could not be kept.
      if (bound <= -(at[to ^ 1] as number)) return true;
      if (this.bounds.fails(ifVar, ifBound)) return true;
      const most = -(at[to ^ 1] as number);
      return this.enqueue(ifVar ^ 1, 1 - ifBound, [from, most - gap + 1, to ^ 1, -most]);
    }
    if (bound > -(at[to ^ 1] as number)) {
      const least = 1 - (at[to ^ 1] as number);
      this.conflict = [from, least - gap, to ^ 1, 1 - least];
      if (ifVar >= 0) this.conflict.push(ifVar, ifBound);
      return false;
    }
    this.bounds.raise(to, bound, BY_LINK, row);
    return true;
  }

  private notifyClauses(boundVar: number): boolean {
    const { bounds } = this;
    const { at } = bounds;
    const list = this.watching[boundVar] as { clauses: Clause[]; bounds: number[] };
    const now = at[boundVar] as number;
    const { clauses, bounds: triggers } = list;
    const count = clauses.length;
    // Most are not reached yet: those in front stay where they are.
    let keep = 0;
    while (keep < count && (triggers[keep] as number) > now) keep++;
    if (keep === count) return true;
    for (let k = keep; k < count; k++) {
      const clause = clauses[k] as Clause;
      const trigger = triggers[k] as number;
      if (trigger > now) {
        clauses[keep] = clause;
        triggers[keep++] = trigger;
        continue;
      }
      if (clause.dropped) continue;
      const { literals } = clause;
      const falseVar = boundVar ^ 1;
      if (literals[0] === falseVar && literals[1] === 1 - trigger) {
        literals[0] = literals[2] as number;
        literals[1] = literals[3] as number;
        literals[2] = falseVar;
        literals[3] = 1 - trigger;
      }
      const firstVar = literals[0] as number;
      const firstBound = literals[1] as number;
      if ((at[firstVar] as number) >= firstBound) {
        clauses[keep] = clause;
        triggers[keep++] = trigger;
        continue;
      }
      let moved = false;
      for (let i = 4; i < literals.length; i += 2) {
        const otherVar = literals[i] as number;
        const otherBound = literals[i + 1] as number;
        if ((at[otherVar ^ 1] as number) > -otherBound) continue;
        literals[2] = otherVar;
        literals[3] = otherBound;
        literals[i] = falseVar;
        literals[i + 1] = 1 - trigger;
        const other = this.watching[otherVar ^ 1] as { clauses: Clause[]; bounds: number[] };
        other.clauses.push(clause);
        other.bounds.push(1 - otherBound);
        moved = true;
        break;
      }
      if (moved) continue;
      clauses[keep] = clause;
      triggers[keep++] = trigger;
      if ((at[firstVar ^ 1] as number) > -firstBound) {
        if (keep < k + 1) {
          for (let rest = k + 1; rest < clauses.length; rest++) {
            clauses[keep] = clauses[rest] as Clause;
            triggers[keep++] = triggers[rest] as number;
          }
          clauses.length = keep;
          triggers.length = keep;
        }
        this.conflict = opposites(literals, 0);
        this.bumpClause(clause);
        return false;
      }
      bounds.raise(firstVar, firstBound, BY_CLAUSE, this.indexOf(clause));
    }
    if (keep < count) {
      clauses.length = keep;
      triggers.length = keep;
    }
    return true;
  }

  /** Clauses that are somebody's reason, by number. */
  private readonly reasons: Clause[] = [];
  private readonly reasonIndex = new Map<Clause, number>();

  private indexOf(clause: Clause): number {
    const known = this.reasonIndex.get(clause);
    if (known !== undefined) return known;
    const index = this.reasons.push(clause) - 1;
    this.reasonIndex.set(clause, index);
    return index;
  }

  private watch(clause: Clause): void {
    for (const i of [0, 2]) {
      const boundVar = clause.literals[i] as number;
      const list = this.watching[boundVar ^ 1] as { clauses: Clause[]; bounds: number[] };
      list.clauses.push(clause);
      list.bounds.push(1 - (clause.literals[i + 1] as number));
    }
  }

  /** The facts that made entry t of the trail reach a bound. */
  private reasonOf(t: number, boundVar: number, bound: number, to: (boundVar: number, bound: number) => void): void {
    const { bounds } = this;
    const reason = bounds.reason[t] as number;
    switch (bounds.reasonKind[t]) {
      case BY_LINK: {
        const { from, gap, ifVar, ifBound } = this.differences as DifferenceConstraints;
        to(from[reason] as number, bound - (gap[reason] as number));
        if ((ifVar[reason] as number) >= 0) to(ifVar[reason] as number, ifBound[reason] as number);
        return;
      }
      case BY_FACTS: {
        const length = this.facts[reason] as number;
        for (let i = reason + 1; i <= reason + length; i += 2) {
          to(this.facts[i] as number, this.facts[i + 1] as number);
        }
        return;
      }
      case BY_CLAUSE: {
        const { literals } = this.reasons[reason] as Clause;
        this.bumpClause(this.reasons[reason] as Clause);
        for (let i = 0; i < literals.length; i += 2) {
          if (literals[i] === boundVar && (literals[i + 1] as number) >= bound) continue;
          to((literals[i] as number) ^ 1, 1 - (literals[i + 1] as number));
        }
        return;
      }
      default:
        throw new Error('a decision has no reason');
    }
  }

  /**
   * Learns from the conflict: works back along the trail to the first bound of the newest level through which all of it
   * runs, keeps the opposite as a clause and goes back to where the clause first says something. False when the conflict
   * holds at level 0.
   */
  private learn(): boolean {
    const { bounds, need, needPlace } = this;
    let newest = 0;
    for (let i = 0; i < this.conflict.length; i += 2) {
      const place = bounds.placeOf(this.conflict[i] as number, this.conflict[i + 1] as number);
      newest = Math.max(newest, bounds.levelOf(place));
    }
    if (newest === 0) return false;
    this.undoTo(newest);
    const levelStart = bounds.levels[newest - 1] as number;
    const rootLength = bounds.rootLength;
    const touched: number[] = [];
    let open = 0;
    const add = (boundVar: number, bound: number) => {
      const old = need[boundVar] as number;
      if (old >= bound) return;
      const place = bounds.placeOf(boundVar, bound);
      if (place < rootLength) return;
      if (place >= levelStart && (old === NOTHING || (needPlace[boundVar] as number) < levelStart)) open++;
      if (old === NOTHING) touched.push(boundVar);
      need[boundVar] = bound;
      needPlace[boundVar] = place;
      this.bumpActivity(boundVar >> 1);
    };
    for (let i = 0; i < this.conflict.length; i += 2) {
      add(this.conflict[i] as number, this.conflict[i + 1] as number);
    }
    let t = bounds.length - 1;
    let boundVar = 0;
    for (; ; t--) {
      boundVar = bounds.boundVar[t] as number;
      if (need[boundVar] === NOTHING || needPlace[boundVar] !== t) continue;
      if (open === 1) break;
      const bound = need[boundVar] as number;
      need[boundVar] = NOTHING;
      open--;
      this.reasonOf(t, boundVar, bound, add);
    }
    const literals: number[] = [boundVar ^ 1, 1 - (need[boundVar] as number)];
    const seen = new Set(touched);
    seen.delete(boundVar);
    let back = 0;
    const levels = new Set<number>();
    for (const other of seen) {
      const bound = need[other] as number;
      if (bound === NOTHING || this.isRedundant(other, bound, rootLength)) continue;
      const level = bounds.levelOf(needPlace[other] as number);
      levels.add(level);
      literals.push(other ^ 1, 1 - bound);
      if (level <= back) continue;
      back = level;
      // The literal of the highest level is watched beside the first.
      const end = literals.length - 2;
      [literals[2], literals[end]] = [literals[end] as number, literals[2] as number];
      [literals[3], literals[end + 1]] = [literals[end + 1] as number, literals[3] as number];
    }
    for (const other of touched) need[other] = NOTHING;
    this.undoTo(back);
    this.keepLearned(literals, levels.size + 1);
    return true;
  }

  /** Whether a needed fact follows from the other needed ones, so that the clause can do without it. */
  private isRedundant(boundVar: number, bound: number, rootLength: number): boolean {
    const t = this.needPlace[boundVar] as number;
    if (this.bounds.reasonKind[t] === DECIDED) return false;
    let all = true;
    this.reasonOf(t, boundVar, bound, (other, otherBound) => {
      // Only from what came before it on the trail: else two facts could vouch for each other and both be left out.
      if (!all || ((this.need[other] as number) >= otherBound && (this.needPlace[other] as number) < t)) return;
      if (this.bounds.placeOf(other, otherBound) >= rootLength) all = false;
    });
    return all;
  }

  private keepLearned(literals: readonly number[], levels: number): void {
    const boundVar = literals[0] as number;
    const bound = literals[1] as number;
    if (literals.length === 2) {
      this.bounds.raise(boundVar, bound, DECIDED, 0);
      return;
    }
    const clause: Clause = { literals: Int32Array.from(literals), lbd: levels, activity: this.bump, dropped: false };
    this.learned.push(clause);
    this.watch(clause);
    this.bounds.raise(boundVar, bound, BY_CLAUSE, this.indexOf(clause));
  }

  private bumpClause(clause: Clause): void {
    clause.activity = this.bump;
  }

  private bumpActivity(variable: number): void {
    const next = ((this.activity[variable] as number) += this.bump);
    this.hottest.risen(variable);
    if (next < RESCALE_AT) return;
    for (let v = 0; v < this.activity.length; v++) (this.activity[v] as number) *= 1 / RESCALE_AT;
    for (const clause of this.learned) clause.activity /= RESCALE_AT;
    this.bump /= RESCALE_AT;
  }

  /** Drops the half of the learned clauses that was used least lately. */
  private reduceClauses(): void {
    this.undoTo(0);
    this.reasons.length = 0;
    this.reasonIndex.clear();
    const candidates = this.learned.filter(({ lbd: levels }) => levels > GLUE).sort((a, b) => a.activity - b.activity);
    for (const clause of candidates.slice(0, candidates.length >> 1)) clause.dropped = true;
    this.learned = this.learned.filter(({ dropped }) => !dropped);
    for (const list of this.watching) {
      const live = list.clauses.map((clause, i) => ({ clause, bound: list.bounds[i] as number }));
      const kept = live.filter(({ clause }) => !clause.dropped);
      list.clauses = kept.map(({ clause }) => clause);
      list.bounds = kept.map(({ bound }) => bound);
    }
    this.kept *= KEPT_GROWTH;
  }
}

function opposites(literals: Int32Array, from: number): number[] {
  const facts: number[] = [];
  for (let i = from; i < literals.length; i += 2) {
    facts.push((literals[i] as number) ^ 1, 1 - (literals[i + 1] as number));
  }
  return facts;
}
