import { type Bounds, DECIDED } from './bounds';
import { type Reasons } from './reasons';

const NOTHING = -2_147_483_648;

/** What a conflict teaches. */
export interface Learned {
  /** Pairs of bound variable and bound: the first is new, the second is of the level gone back to. */
  readonly literals: readonly number[];
  /** The level at which the first literal follows from the others. */
  readonly backTo: number;
  /** Over how many levels its literals were decided. */
  readonly lbd: number;
}

/**
 * Works a conflict back along the trail to the first unique implication point of its newest level, and leaves out what follows
 * from the rest. Marques-Silva and Sakallah 1999; clauses made less by what is implied, Sörensson and Biere 2009.
 */
export class ConflictAnalysis {
  private readonly need: Int32Array;
  private readonly needPlace: Int32Array;

  constructor(
    private readonly bounds: Bounds,
    private readonly reasons: Reasons,
    /** Told of each variable that a conflict runs through. */
    private readonly bumpActivity: (variable: number) => void,
  ) {
    this.need = new Int32Array(bounds.at.length).fill(NOTHING);
    this.needPlace = new Int32Array(bounds.at.length).fill(-1);
  }

  /** The newest level that facts, all of them true, were decided at. */
  newestLevel(conflict: readonly number[]): number {
    let newest = 0;
    for (let i = 0; i < conflict.length; i += 2) {
      const place = this.bounds.placeOf(conflict[i], conflict[i + 1]);
      newest = Math.max(newest, this.bounds.levelOf(place));
    }
    return newest;
  }

  /** @param newest the level of the newest fact of the conflict, which must be the one the search stands at */
  learn(conflict: readonly number[], newest: number): Learned {
    const { bounds, need, needPlace } = this;
    const levelStart = bounds.levels[newest - 1];
    const rootLength = bounds.rootLength;
    const touched: number[] = [];
    let open = 0;
    const add = (boundVar: number, bound: number) => {
      const old = need[boundVar];
      if (old >= bound) return;
      const place = bounds.placeOf(boundVar, bound);
      if (place < rootLength) return;
      if (place >= levelStart && (old === NOTHING || needPlace[boundVar] < levelStart)) open++;
      if (old === NOTHING) touched.push(boundVar);
      need[boundVar] = bound;
      needPlace[boundVar] = place;
      this.bumpActivity(boundVar >> 1);
    };
    for (let i = 0; i < conflict.length; i += 2) add(conflict[i], conflict[i + 1]);
    let t = bounds.length - 1;
    let boundVar = 0;
    for (; ; t--) {
      boundVar = bounds.boundVar[t];
      if (need[boundVar] === NOTHING || needPlace[boundVar] !== t) continue;
      if (open === 1) break;
      const bound = need[boundVar];
      need[boundVar] = NOTHING;
      open--;
      this.reasons.of(t, boundVar, bound, add);
    }
    const learned = this.clauseOf(boundVar, touched);
    for (const other of touched) need[other] = NOTHING;
    return learned;
  }

  /** The opposite of all that is needed, without what follows from the rest of it. */
  private clauseOf(first: number, touched: readonly number[]): Learned {
    const { bounds, need, needPlace } = this;
    const rootLength = bounds.rootLength;
    const literals: number[] = [first ^ 1, 1 - need[first]];
    const seen = new Set(touched);
    seen.delete(first);
    let backTo = 0;
    const levels = new Set<number>();
    for (const other of seen) {
      const bound = need[other];
      if (bound === NOTHING || this.isRedundant(other, bound, rootLength)) continue;
      const level = bounds.levelOf(needPlace[other]);
      levels.add(level);
      literals.push(other ^ 1, 1 - bound);
      if (level <= backTo) continue;
      backTo = level;
      // The literal of the highest level is watched beside the first.
      const end = literals.length - 2;
      [literals[2], literals[end]] = [literals[end], literals[2]];
      [literals[3], literals[end + 1]] = [literals[end + 1], literals[3]];
    }
    return { literals, backTo, lbd: levels.size + 1 };
  }

  /** Whether a needed fact follows from the other needed ones, so that the clause can do without it. */
  private isRedundant(boundVar: number, bound: number, rootLength: number): boolean {
    const t = this.needPlace[boundVar];
    if (this.bounds.reasonKind[t] === DECIDED) return false;
    let all = true;
    this.reasons.of(t, boundVar, bound, (other, otherBound) => {
      // Only from what came before it on the trail: else two facts could vouch for each other and both be left out.
      if (!all || (this.need[other] >= otherBound && this.needPlace[other] < t)) return;
      if (this.bounds.placeOf(other, otherBound) >= rootLength) all = false;
    });
    return all;
  }
}
