import { type Bounds, BY_CLAUSE, BY_DIFFERENCE, BY_FACTS } from './bounds';
import { type ClauseDatabase } from './clauseDatabase';
import { type DifferenceConstraints } from './differenceConstraints';

/**
 * Facts that propagators gave as reasons, one list after the other in one array: its length, then pairs of bound variable and
 * bound. What is behind the root needs none any more.
 */
class FactStore {
  private facts = new Int32Array(4096);
  private length = 0;

  clear(): void {
    this.length = 0;
  }

  /** @returns where the list begins */
  note(facts: readonly number[]): number {
    const start = this.length;
    const end = start + 1 + facts.length;
    if (end > this.facts.length) {
      const wider = new Int32Array(Math.max(end, 2 * this.facts.length));
      wider.set(this.facts);
      this.facts = wider;
    }
    this.facts[start] = facts.length;
    for (let i = 0; i < facts.length; i++) this.facts[start + 1 + i] = facts[i];
    this.length = end;
    return start;
  }

  each(start: number, to: (boundVar: number, bound: number) => void): void {
    const end = start + this.facts[start];
    for (let i = start + 1; i <= end; i += 2) to(this.facts[i], this.facts[i + 1]);
  }
}

/** Says for every bound on the trail which other bounds made it rise; worked out when it is asked for. */
export class Reasons {
  readonly facts = new FactStore();

  constructor(
    private readonly bounds: Bounds,
    private readonly clauses: ClauseDatabase,
    private readonly differences: () => DifferenceConstraints,
  ) {}

  /** The facts that made entry t of the trail reach a bound, each told to `to`. */
  of(t: number, boundVar: number, bound: number, to: (boundVar: number, bound: number) => void): void {
    const { bounds } = this;
    const reason = bounds.reason[t];
    switch (bounds.reasonKind[t]) {
      case BY_DIFFERENCE: {
        const { from, gap, ifVar, ifBound } = this.differences();
        to(from[reason], bound - gap[reason]);
        if (ifVar[reason] >= 0) to(ifVar[reason], ifBound[reason]);
        return;
      }
      case BY_FACTS:
        this.facts.each(reason, to);
        return;
      case BY_CLAUSE: {
        const clause = this.clauses.reason(reason);
        const { literals } = clause;
        this.clauses.use(clause);
        for (let i = 0; i < literals.length; i += 2) {
          if (literals[i] === boundVar && literals[i + 1] >= bound) continue;
          to(literals[i] ^ 1, 1 - literals[i + 1]);
        }
        return;
      }
      default:
        throw new Error('a decision has no reason');
    }
  }
}
