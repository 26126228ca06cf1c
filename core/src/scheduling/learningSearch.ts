import { ActivityHeap } from './activityHeap';
import { Bounds } from './bounds';
import { type Links, linksInRows } from './differenceConstraints';

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

/** At least one of its literals holds: pairs of side and bound. The first two are watched. */
interface Clause {
  readonly literals: Int32Array;
  readonly levels: number;
  activity: number;
  dropped: boolean;
}

/** A rule that looks at many variables at once; it raises bounds and says why. */
export interface Propagator {
  /** The sides it wants to hear of. */
  readonly sides: readonly number[];
  /** False when the rule is broken: then `search.refute` was called. */
  propagate(search: LearningSearch): boolean;
}

export type Outcome = 'found' | 'impossible' | 'undecided';

/** Which variable is narrowed next: the literal to try, as side and bound; undefined when all is decided. */
export type Choose = () => readonly [side: number, bound: number] | undefined;

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
  /** Rows of five, as they are told: from, to, gap, ifSide, ifBound. */
  private readonly told: number[] = [];
  private links: Links | undefined;
  /** Links that wait for a condition, by the condition's side. */
  private linksIf: readonly Int32Array[] = [];
  /** Pairs (from, to): a bound in from <= at < to is raised to `to`. */
  private readonly holes: (number[] | undefined)[];
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
    const sides = 2 * least.length;
    this.activity = new Float64Array(least.length);
    this.hottest = new ActivityHeap(this.activity);
    this.bounds.heap = this.hottest;
    this.holes = Array.from({ length: sides }, () => undefined);
    this.watching = Array.from({ length: sides }, () => ({ clauses: [], bounds: [] }));
    this.listeners = Array.from({ length: sides }, () => []);
    this.need = new Int32Array(sides).fill(NOTHING);
    this.needPlace = new Int32Array(sides).fill(-1);
  }

  /** Rule: to >= from + gap between two variables, always or as soon as (ifSide >= ifBound). */
  addLink(fromVar: number, toVar: number, gap: number, ifSide = -1, ifBound = 0): void {
    this.told.push(2 * fromVar, 2 * toVar, gap, ifSide, ifBound);
    this.told.push(2 * toVar + 1, 2 * fromVar + 1, gap, ifSide, ifBound);
    this.links = undefined;
  }

  /** Rule: the variable is at none of the values from `first` to `last` of each hole; in order, apart from each other. Told once. */
  addHoles(variable: number, holes: readonly (readonly [first: number, last: number])[]): void {
    if (holes.length === 0) return;
    this.holes[2 * variable] = holes.flatMap(([first, last]) => [first, last + 1]);
    this.holes[2 * variable + 1] = [...holes].reverse().flatMap(([first, last]) => [-last, -first + 1]);
  }

  addPropagator(propagator: Propagator): void {
    const p = this.propagators.length;
    this.propagators.push(propagator);
    this.awake.push(1);
    for (const side of propagator.sides) this.listeners[side]?.push(p);
  }

  /** Makes a bound part of the question. False when that leaves nothing. Goes back to level 0. */
  require(side: number, bound: number): boolean {
    this.undoTo(0);
    if (this.broken) return false;
    if (this.bounds.fails(side, bound)) this.broken = true;
    else if (!this.bounds.holds(side, bound)) this.bounds.raise(side, bound, DECIDED, 0);
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
   * @param assumed literals (pairs of side and bound) to be taken for true in this run; "impossible" then means under them
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
        if (this.learned.length > this.kept) this.dropHalf();
        if (this.conflicts >= stopAt) {
          this.undoTo(0);
          return 'undecided';
        }
        continue;
      }
      // Assumptions are the first things decided; what contradicts one follows from those before it.
      let next: readonly [number, number] | undefined;
      for (; told < assumed.length && !next; told += 2) {
        const [side, bound] = [assumed[told] as number, assumed[told + 1] as number];
        if (bounds.holds(side, bound)) continue;
        if (bounds.fails(side, bound)) return 'impossible';
        next = [side, bound];
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

  /** A propagator's conclusion: the facts (pairs of side and bound, all true now) give (side >= bound). */
  conclude(side: number, bound: number, facts: readonly number[]): boolean {
    if (this.bounds.holds(side, bound)) return true;
    if (this.bounds.fails(side, bound)) {
      this.conflict = [...facts, side ^ 1, 1 - bound];
      return false;
    }
    this.bounds.raise(side, bound, BY_FACTS, this.note(facts));
    return true;
  }

  /** A propagator's dead end: these facts are true now and cannot be true together. */
  refute(facts: readonly number[]): false {
    this.conflict = [...facts];
    return false;
  }

  /** Rule: at least one of the literals (pairs of side and bound) holds. Told at level 0. */
  addClause(literals: readonly number[]): void {
    const open: number[] = [];
    for (let i = 0; i < literals.length; i += 2) {
      const [side, bound] = [literals[i] as number, literals[i + 1] as number];
      if (this.bounds.holds(side, bound)) return;
      if (!this.bounds.fails(side, bound)) open.push(side, bound);
    }
    if (open.length === 0) this.broken = true;
    else if (open.length === 2) this.bounds.raise(open[0] as number, open[1] as number, DECIDED, 0);
    else this.watch({ literals: Int32Array.from(open), levels: 0, activity: 0, dropped: false });
  }

  private decide(side: number, bound: number): void {
    this.bounds.levels.push(this.bounds.length);
    this.bounds.raise(side, bound, DECIDED, 0);
  }

  /** Reasons are rows: whatever hung on the old ones is at the root by now. */
  private inRows(): Links {
    const { links, waiting } = linksInRows(this.told, this.listeners.length);
    this.linksIf = waiting;
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
    this.links ??= this.inRows();
    for (;;) {
      while (this.head < bounds.length) {
        const t = this.head++;
        const side = bounds.side[t] as number;
        // A later entry of the same side says all that this one does.
        if (bounds.value[t] !== bounds.at[side]) continue;
        if (!this.tell(side)) return false;
      }
      const p = this.awake.indexOf(1);
      if (p < 0) return true;
      this.awake[p] = 0;
      if (!(this.propagators[p] as Propagator).propagate(this)) return false;
    }
  }

  private tell(side: number): boolean {
    const { bounds } = this;
    for (const p of this.listeners[side] as number[]) this.awake[p] = 1;
    const holes = this.holes[side];
    if (holes) {
      // In order, and apart from each other: the last that begins by now.
      const now = bounds.at[side] as number;
      let low = 0;
      let high = holes.length >> 1;
      while (low < high) {
        const mid = (low + high) >> 1;
        if ((holes[2 * mid] as number) <= now) low = mid + 1;
        else high = mid;
      }
      const from = holes[2 * low - 2];
      const to = holes[2 * low - 1];
      if (from !== undefined && to !== undefined && now < to && !this.conclude(side, to, [side, from])) return false;
    }
    const links = this.links as Links;
    const { to, gap, first } = links;
    const { at } = bounds;
    const end = first[side + 1] as number;
    for (let row = first[side] as number; row < end; row++) {
      const bound = (at[side] as number) + (gap[row] as number);
      if ((at[to[row] as number] as number) < bound && !this.follow(links, row)) return false;
    }
    const waiting = this.linksIf[side] as Int32Array;
    const now = at[side] as number;
    for (let k = 0; k < waiting.length; k++) {
      const row = waiting[k] as number;
      if ((links.ifBound[row] as number) <= now && !this.follow(links, row)) return false;
    }
    return this.tellClauses(side);
  }

  private follow(links: Links, row: number): boolean {
    const from = links.from[row] as number;
    const to = links.to[row] as number;
    const gap = links.gap[row] as number;
    const ifSide = links.ifSide[row] as number;
    const ifBound = links.ifBound[row] as number;
    const { at } = this.bounds;
    const bound = (at[from] as number) + gap;
    if ((at[to] as number) >= bound) return true;
    if (ifSide >= 0 && (at[ifSide] as number) < ifBound) {
      // The condition is open: it fails where the link could not be kept.
      if (bound <= -(at[to ^ 1] as number)) return true;
      if (this.bounds.fails(ifSide, ifBound)) return true;
      const most = -(at[to ^ 1] as number);
      return this.conclude(ifSide ^ 1, 1 - ifBound, [from, most - gap + 1, to ^ 1, -most]);
    }
    if (bound > -(at[to ^ 1] as number)) {
      const least = 1 - (at[to ^ 1] as number);
      this.conflict = [from, least - gap, to ^ 1, 1 - least];
      if (ifSide >= 0) this.conflict.push(ifSide, ifBound);
      return false;
    }
    this.bounds.raise(to, bound, BY_LINK, row);
    return true;
  }

  private tellClauses(side: number): boolean {
    const { bounds } = this;
    const { at } = bounds;
    const list = this.watching[side] as { clauses: Clause[]; bounds: number[] };
    const now = at[side] as number;
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
      const falseSide = side ^ 1;
      if (literals[0] === falseSide && literals[1] === 1 - trigger) {
        literals[0] = literals[2] as number;
        literals[1] = literals[3] as number;
        literals[2] = falseSide;
        literals[3] = 1 - trigger;
      }
      const firstSide = literals[0] as number;
      const firstBound = literals[1] as number;
      if ((at[firstSide] as number) >= firstBound) {
        clauses[keep] = clause;
        triggers[keep++] = trigger;
        continue;
      }
      let moved = false;
      for (let i = 4; i < literals.length; i += 2) {
        const otherSide = literals[i] as number;
        const otherBound = literals[i + 1] as number;
        if ((at[otherSide ^ 1] as number) > -otherBound) continue;
        literals[2] = otherSide;
        literals[3] = otherBound;
        literals[i] = falseSide;
        literals[i + 1] = 1 - trigger;
        const other = this.watching[otherSide ^ 1] as { clauses: Clause[]; bounds: number[] };
        other.clauses.push(clause);
        other.bounds.push(1 - otherBound);
        moved = true;
        break;
      }
      if (moved) continue;
      clauses[keep] = clause;
      triggers[keep++] = trigger;
      if ((at[firstSide ^ 1] as number) > -firstBound) {
        if (keep < k + 1) {
          for (let rest = k + 1; rest < clauses.length; rest++) {
            clauses[keep] = clauses[rest] as Clause;
            triggers[keep++] = triggers[rest] as number;
          }
          clauses.length = keep;
          triggers.length = keep;
        }
        this.conflict = opposites(literals, 0);
        this.use(clause);
        return false;
      }
      bounds.raise(firstSide, firstBound, BY_CLAUSE, this.indexOf(clause));
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
      const side = clause.literals[i] as number;
      const list = this.watching[side ^ 1] as { clauses: Clause[]; bounds: number[] };
      list.clauses.push(clause);
      list.bounds.push(1 - (clause.literals[i + 1] as number));
    }
  }

  /** The facts that made entry t of the trail reach a bound. */
  private factsFor(t: number, side: number, bound: number, to: (side: number, bound: number) => void): void {
    const { bounds } = this;
    const reason = bounds.reason[t] as number;
    switch (bounds.reasonKind[t]) {
      case BY_LINK: {
        const { from, gap, ifSide, ifBound } = this.links as Links;
        to(from[reason] as number, bound - (gap[reason] as number));
        if ((ifSide[reason] as number) >= 0) to(ifSide[reason] as number, ifBound[reason] as number);
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
        this.use(this.reasons[reason] as Clause);
        for (let i = 0; i < literals.length; i += 2) {
          if (literals[i] === side && (literals[i + 1] as number) >= bound) continue;
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
    const add = (side: number, bound: number) => {
      const old = need[side] as number;
      if (old >= bound) return;
      const place = bounds.placeOf(side, bound);
      if (place < rootLength) return;
      if (place >= levelStart && (old === NOTHING || (needPlace[side] as number) < levelStart)) open++;
      if (old === NOTHING) touched.push(side);
      need[side] = bound;
      needPlace[side] = place;
      this.heat(side >> 1);
    };
    for (let i = 0; i < this.conflict.length; i += 2) {
      add(this.conflict[i] as number, this.conflict[i + 1] as number);
    }
    let t = bounds.length - 1;
    let side = 0;
    for (; ; t--) {
      side = bounds.side[t] as number;
      if (need[side] === NOTHING || needPlace[side] !== t) continue;
      if (open === 1) break;
      const bound = need[side] as number;
      need[side] = NOTHING;
      open--;
      this.factsFor(t, side, bound, add);
    }
    const literals: number[] = [side ^ 1, 1 - (need[side] as number)];
    const seen = new Set(touched);
    seen.delete(side);
    let back = 0;
    const levels = new Set<number>();
    for (const other of seen) {
      const bound = need[other] as number;
      if (bound === NOTHING || this.follows(other, bound, rootLength)) continue;
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
  private follows(side: number, bound: number, rootLength: number): boolean {
    const t = this.needPlace[side] as number;
    if (this.bounds.reasonKind[t] === DECIDED) return false;
    let all = true;
    this.factsFor(t, side, bound, (other, otherBound) => {
      // Only from what came before it on the trail: else two facts could vouch for each other and both be left out.
      if (!all || ((this.need[other] as number) >= otherBound && (this.needPlace[other] as number) < t)) return;
      if (this.bounds.placeOf(other, otherBound) >= rootLength) all = false;
    });
    return all;
  }

  private keepLearned(literals: readonly number[], levels: number): void {
    const side = literals[0] as number;
    const bound = literals[1] as number;
    if (literals.length === 2) {
      this.bounds.raise(side, bound, DECIDED, 0);
      return;
    }
    const clause: Clause = { literals: Int32Array.from(literals), levels, activity: this.bump, dropped: false };
    this.learned.push(clause);
    this.watch(clause);
    this.bounds.raise(side, bound, BY_CLAUSE, this.indexOf(clause));
  }

  private use(clause: Clause): void {
    clause.activity = this.bump;
  }

  private heat(variable: number): void {
    const next = ((this.activity[variable] as number) += this.bump);
    this.hottest.risen(variable);
    if (next < RESCALE_AT) return;
    for (let v = 0; v < this.activity.length; v++) (this.activity[v] as number) *= 1 / RESCALE_AT;
    for (const clause of this.learned) clause.activity /= RESCALE_AT;
    this.bump /= RESCALE_AT;
  }

  /** Drops the half of the learned clauses that was used least lately. */
  private dropHalf(): void {
    this.undoTo(0);
    this.reasons.length = 0;
    this.reasonIndex.clear();
    const candidates = this.learned.filter(({ levels }) => levels > GLUE).sort((a, b) => a.activity - b.activity);
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
