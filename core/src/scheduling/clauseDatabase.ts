import { type Bounds, BY_CLAUSE } from './bounds';

/** At least one of its literals holds: pairs of bound variable and bound. The first two are watched. */
export interface Clause {
  readonly literals: Int32Array;
  /** Levels that its literals were decided at when it was learned: the fewer, the better. 0 for a clause of the problem. */
  readonly lbd: number;
  activity: number;
  dropped: boolean;
}

/** What the clauses say of a bound that rose: a clause whose literals all fail, or nothing. */
type Conflict = Clause | undefined;

interface WatchList {
  clauses: Clause[];
  bounds: number[];
}

/** Learned clauses kept before the less used half is dropped, and by how much that number grows each time. */
const FIRST_KEPT = 4_000;
const KEPT_GROWTH = 1.1;
/** Clauses over so few levels are never dropped. Audemard and Simon 2009. */
const GLUE = 3;

/**
 * The clauses of a search, each watched at two of its literals (Moskewicz and others 2001), and those that were learned with how
 * much each was used lately.
 */
export class ClauseDatabase {
  /** By how much what is used now is raised; it grows, so that what is long ago counts little. */
  bump = 1;
  private readonly watching: WatchList[];
  private learned: Clause[] = [];
  private kept: number;
  /** Clauses that are somebody's reason, by number. */
  private readonly reasons: Clause[] = [];
  private readonly reasonIndex = new Map<Clause, number>();

  constructor(
    private readonly bounds: Bounds,
    mostKept = FIRST_KEPT,
  ) {
    this.watching = Array.from(bounds.at, () => ({ clauses: [], bounds: [] }));
    this.kept = mostKept;
  }

  /** All that were learned and are still kept. */
  get learnedClauses(): readonly Clause[] {
    return this.learned;
  }

  get isFull(): boolean {
    return this.learned.length > this.kept;
  }

  reason(index: number): Clause {
    return this.reasons[index];
  }

  indexOf(clause: Clause): number {
    const known = this.reasonIndex.get(clause);
    if (known !== undefined) return known;
    const index = this.reasons.push(clause) - 1;
    this.reasonIndex.set(clause, index);
    return index;
  }

  use(clause: Clause): void {
    clause.activity = this.bump;
  }

  rescale(by: number): void {
    for (const clause of this.learned) clause.activity *= by;
    this.bump *= by;
  }

  /** A clause of the problem: two literals at least, none of them decided. */
  add(literals: readonly number[]): void {
    this.watch({ literals: Int32Array.from(literals), lbd: 0, activity: 0, dropped: false });
  }

  /** A clause that was learned: its first literal follows now, its second failed last. @returns its number as a reason */
  learn(literals: readonly number[], lbd: number): number {
    const clause: Clause = { literals: Int32Array.from(literals), lbd, activity: this.bump, dropped: false };
    this.learned.push(clause);
    this.watch(clause);
    return this.indexOf(clause);
  }

  /** Visits the clauses that watch the opposite of a bound that rose. */
  propagate(boundVar: number): Conflict {
    const { bounds } = this;
    const { at } = bounds;
    const list = this.watching[boundVar];
    const now = at[boundVar];
    const { clauses, bounds: triggers } = list;
    const count = clauses.length;
    // Most are not reached yet: those in front stay where they are.
    let keep = 0;
    while (keep < count && triggers[keep] > now) keep++;
    if (keep === count) return undefined;
    for (let k = keep; k < count; k++) {
      const clause = clauses[k];
      const trigger = triggers[k];
      if (trigger > now) {
        clauses[keep] = clause;
        triggers[keep++] = trigger;
        continue;
      }
      if (clause.dropped) continue;
      const { literals } = clause;
      const falseVar = boundVar ^ 1;
      if (literals[0] === falseVar && literals[1] === 1 - trigger) {
        literals[0] = literals[2];
        literals[1] = literals[3];
        literals[2] = falseVar;
        literals[3] = 1 - trigger;
      }
      const firstVar = literals[0];
      const firstBound = literals[1];
      if (at[firstVar] >= firstBound) {
        clauses[keep] = clause;
        triggers[keep++] = trigger;
        continue;
      }
      if (this.watchesAnother(clause, falseVar, trigger)) continue;
      clauses[keep] = clause;
      triggers[keep++] = trigger;
      if (at[firstVar ^ 1] > -firstBound) {
        // Those behind it move up into the gaps of what watches elsewhere now.
        if (keep <= k) {
          for (let later = k + 1; later < clauses.length; later++) {
            clauses[keep] = clauses[later];
            triggers[keep++] = triggers[later];
          }
          clauses.length = keep;
          triggers.length = keep;
        }
        return clause;
      }
      bounds.raise(firstVar, firstBound, BY_CLAUSE, this.indexOf(clause));
    }
    if (keep < count) {
      clauses.length = keep;
      triggers.length = keep;
    }
    return undefined;
  }

  /** Drops the half of the learned clauses that was used least lately. At level 0 alone: no reason hangs on them there. */
  reduce(): void {
    this.reasons.length = 0;
    this.reasonIndex.clear();
    const candidates = this.learned.filter(({ lbd }) => lbd > GLUE).sort((a, b) => a.activity - b.activity);
    for (const clause of candidates.slice(0, candidates.length >> 1)) clause.dropped = true;
    this.learned = this.learned.filter(({ dropped }) => !dropped);
    for (const list of this.watching) {
      const live = list.clauses.map((clause, i) => ({ clause, bound: list.bounds[i] }));
      const kept = live.filter(({ clause }) => !clause.dropped);
      list.clauses = kept.map(({ clause }) => clause);
      list.bounds = kept.map(({ bound }) => bound);
    }
    this.kept *= KEPT_GROWTH;
  }

  /** Moves the second watch of a clause to a literal that may still hold. */
  private watchesAnother(clause: Clause, falseVar: number, trigger: number): boolean {
    const { literals } = clause;
    const { at } = this.bounds;
    for (let i = 4; i < literals.length; i += 2) {
      const otherVar = literals[i];
      const otherBound = literals[i + 1];
      if (at[otherVar ^ 1] > -otherBound) continue;
      literals[2] = otherVar;
      literals[3] = otherBound;
      literals[i] = falseVar;
      literals[i + 1] = 1 - trigger;
      const other = this.watching[otherVar ^ 1];
      other.clauses.push(clause);
      other.bounds.push(1 - otherBound);
      return true;
    }
    return false;
  }

  private watch(clause: Clause): void {
    for (const i of [0, 2]) {
      const list = this.watching[clause.literals[i] ^ 1];
      list.clauses.push(clause);
      list.bounds.push(1 - clause.literals[i + 1]);
    }
  }
}
