import { type LearningSearch, type Propagator } from './learningSearch';
import { type Holding } from './timetable';

/** How much of a resource there is from a time on; pieces in order, the last goes on for ever. */
export interface Piece {
  readonly from: number;
  readonly room: number;
}

/**
 * Never more work in a stretch of time than there is of the resource, whose amount varies with the hours: between the least start
 * of one task and the latest end of another, the work of all that must lie within, and of what must run there whatever
 * happens, is held against what there is. What does not fit is a dead end; what would not fit if it began now begins later.
 *
 * Source: energetic reasoning over task intervals (Baptiste, Le Pape and Nuijten 2001), with the time-table's parts counted
 * (Vilím 2011); reasons as in Schutt, Feydy and Stuckey 2013. Varying amounts by their integral over time.
 */
export class Energy implements Propagator {
  readonly boundVars: number[];
  private readonly least: Float64Array;
  private readonly most: Float64Array;
  private readonly ends: Float64Array;
  private readonly suppliedTo: Float64Array;
  private readonly byEnd: Int32Array;
  private readonly byStart: Int32Array;
  private readonly present: Uint8Array;
  private readonly touching: Int32Array;
  /** The most work that one task is: with more room than that nothing is moved. */
  private readonly largest: number;
  private asked = 0;

  constructor(
    private readonly tasks: readonly Holding[],
    private readonly supply: readonly Piece[],
  ) {
    this.boundVars = [
      ...new Set(
        tasks.flatMap(({ start, boundVar }) => [2 * start, 2 * start + 1, ...(boundVar < 0 ? [] : [boundVar])]),
      ),
    ];
    const count = tasks.length;
    this.least = new Float64Array(count);
    this.most = new Float64Array(count);
    this.ends = new Float64Array(count);
    this.suppliedTo = new Float64Array(count);
    this.byEnd = Int32Array.from(tasks.keys());
    this.byStart = Int32Array.from(tasks.keys());
    this.present = new Uint8Array(count);
    this.touching = new Int32Array(count);
    this.largest = Math.max(0, ...tasks.map(({ amount, minutes }) => amount * minutes));
  }

  propagate(search: LearningSearch): boolean {
    // Dearer than all else: below the root it is asked now and then. The time-table alone keeps a schedule within its resources.
    if (search.bounds.level > 0 && ++this.asked % search.patience !== 0) return true;
    const { at } = search.bounds;
    const { tasks, least, most, ends, byEnd, byStart } = this;
    for (let k = 0; k < tasks.length; k++) {
      const { start, minutes, boundVar, bound } = tasks[k];
      this.present[k] = boundVar < 0 || at[boundVar] >= bound ? 1 : 0;
      least[k] = at[2 * start];
      most[k] = -at[2 * start + 1];
      ends[k] = most[k] + minutes;
      this.suppliedTo[k] = this.until(ends[k]);
    }
    inOrder(byEnd, ends);
    inOrder(byStart, least);
    let before = NaN;
    for (let s = byStart.length - 1; s >= 0; s--) {
      const first = byStart[s];
      const begin = least[first];
      if (this.present[first] === 0 || begin === before) continue;
      before = begin;
      if (!this.within(search, begin)) return false;
    }
    return true;
  }

  /** All stretches that begin at a time. */
  private within(search: LearningSearch, begin: number): boolean {
    const { tasks, least, ends, byEnd, suppliedTo } = this;
    const before = this.until(begin);
    let work = 0;
    for (let e = 0; e < byEnd.length; e++) {
      const k = byEnd[e];
      if (this.present[k] === 0 || least[k] < begin) continue;
      const { amount, minutes } = tasks[k];
      work += amount * minutes;
      const end = ends[k];
      const left = suppliedTo[k] - before - work;
      if (left < 0) return this.refuted(search, begin, end);
      if (left < this.largest && !this.crossing(search, begin, end, left)) return false;
    }
    return true;
  }

  /** What lies partly within takes what it must of the room that is left, and is moved out where it would take more. */
  private crossing(search: LearningSearch, begin: number, end: number, left: number): boolean {
    const { tasks, least, most, ends, touching } = this;
    let parts = 0;
    let count = 0;
    for (let k = 0; k < tasks.length; k++) {
      // What cannot touch the stretch, or lies within it.
      const last = ends[k];
      const first = least[k];
      if (this.present[k] === 0 || last <= begin || first >= end || (first >= begin && last <= end)) continue;
      parts += this.partOf(k, begin, end);
      touching[count++] = k;
    }
    const room = left - parts;
    if (room < 0) return this.refuted(search, begin, end);
    if (room >= this.largest) return true;
    for (let c = 0; c < count; c++) {
      const k = touching[c];
      const { start, minutes, amount } = tasks[k];
      const own = room + this.partOf(k, begin, end);
      const from = least[k];
      // So many minutes of it fit into the stretch, and no more.
      const fit = Math.floor(own / amount);
      const atLeast = Math.min(from + minutes, end) - Math.max(from, begin);
      if (fit < atLeast && end - fit > from) {
        const facts = this.reasons(begin, end, amount * (fit + 1) - own - 1, k);
        facts.push(2 * start, begin - minutes + fit + 1);
        if (!search.enqueue(2 * start, end - fit, facts)) return false;
        return true;
      }
      const last = most[k];
      const atMost = Math.min(last + minutes, end) - Math.max(last, begin);
      if (fit < atMost && begin + fit - minutes < last) {
        const facts = this.reasons(begin, end, amount * (fit + 1) - own - 1, k);
        facts.push(2 * start + 1, -(end - fit - 1));
        if (!search.enqueue(2 * start + 1, -(begin + fit - minutes), facts)) return false;
        return true;
      }
    }
    return true;
  }

  private refuted(search: LearningSearch, begin: number, end: number): false {
    let all = 0;
    for (let k = 0; k < this.tasks.length; k++) if (this.present[k] === 1) all += this.partOf(k, begin, end);
    return search.fail(this.reasons(begin, end, all - this.supplied(begin, end) - 1));
  }

  /** Work of a task in a stretch wherever it lies. */
  private partOf(k: number, begin: number, end: number): number {
    const { minutes, amount } = this.tasks[k];
    const early = this.least[k] + minutes - begin;
    const late = end - this.most[k];
    const part = Math.min(early, late, minutes, end - begin);
    return part <= 0 ? 0 : part * amount;
  }

  /** Facts that so much must be done in a stretch; what the dead end can spare is left out. */
  private reasons(begin: number, end: number, spare: number, without = -1): number[] {
    const facts: number[] = [];
    let over = spare;
    for (let k = 0; k < this.tasks.length; k++) {
      if (this.present[k] === 0 || k === without) continue;
      const part = this.partOf(k, begin, end);
      if (part === 0) continue;
      const { start, minutes, amount, boundVar, bound } = this.tasks[k];
      if (part <= over) {
        over -= part;
        continue;
      }
      // As little of it as is needed: its bounds may be looser by that much.
      let needed = part / amount;
      const loose = Math.min(needed - 1, Math.floor(over / amount));
      needed -= loose;
      over -= loose * amount;
      facts.push(2 * start, begin - minutes + needed, 2 * start + 1, -(end - needed));
      if (boundVar >= 0) facts.push(boundVar, bound);
    }
    const me = without < 0 ? undefined : this.tasks[without];
    if (me && me.boundVar >= 0) facts.push(me.boundVar, me.bound);
    return facts;
  }

  /** The integral of what there is from one time to another. */
  private supplied(from: number, to: number): number {
    return this.until(to) - this.until(from);
  }

  private until(time: number): number {
    let sum = 0;
    for (let p = 0; p < this.supply.length; p++) {
      const { from, room } = this.supply[p];
      if (from >= time) break;
      const to = Math.min(time, this.supply[p + 1]?.from ?? Infinity);
      sum += room * (to - from);
    }
    return sum;
  }
}

/** Sorts indices by their worth; they are nearly in order from the last time. */
function inOrder(indices: Int32Array, worth: Float64Array): void {
  for (let i = 1; i < indices.length; i++) {
    const own = indices[i];
    const value = worth[own];
    let k = i - 1;
    for (; k >= 0 && worth[indices[k]] > value; k--) indices[k + 1] = indices[k];
    indices[k + 1] = own;
  }
}
