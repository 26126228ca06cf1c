import { type LearningSearch, type Propagator } from './learningSearch';

/** A task that holds some of a resource: its start variable, how long, how much, and the literal under which it does. */
export interface Holding {
  readonly start: number;
  readonly minutes: number;
  readonly amount: number;
  /** Bound variable and bound of the literal; boundVar -1 where it always holds. */
  readonly boundVar: number;
  readonly bound: number;
}

/**
 * Never more of a resource held than there is, by its time-table: where a task must be running whatever happens, what it
 * holds is gone for the others; what is optional counts once it is there. Source: Le Pape 1994; reasons as in Schutt, Feydy, Stuckey and Wallace 2011, taken over
 * the stretch that is pushed across.
 */
export class Timetable implements Propagator {
  readonly boundVars: number[];
  private readonly from: Int32Array;
  private readonly to: Int32Array;
  private readonly held: Int32Array;
  private stretches = 0;
  private readonly events: Float64Array;

  constructor(
    private readonly capacity: number,
    private readonly tasks: readonly Holding[],
  ) {
    this.boundVars = [
      ...new Set(
        tasks.flatMap(({ start, boundVar }) => [2 * start, 2 * start + 1, ...(boundVar < 0 ? [] : [boundVar])]),
      ),
    ];
    this.from = new Int32Array(2 * tasks.length);
    this.to = new Int32Array(2 * tasks.length);
    this.held = new Int32Array(2 * tasks.length);
    this.events = new Float64Array(2 * tasks.length);
  }

  propagate(search: LearningSearch): boolean {
    if (!this.draw(search)) return false;
    if (this.stretches === 0) return true;
    for (const task of this.tasks) {
      const { at } = search.bounds;
      if (task.boundVar >= 0 && at[task.boundVar] < task.bound) {
        if (!this.leaveOut(search, task)) return false;
        continue;
      }
      const least = at[2 * task.start];
      const most = -at[2 * task.start + 1];
      if (least === most) continue;
      if (!this.pushLater(search, task) || !this.pushEarlier(search, task)) return false;
    }
    return true;
  }

  /** The profile of what is held for sure; false when that alone is too much. */
  private draw(search: LearningSearch): boolean {
    const { at } = search.bounds;
    const { events, tasks } = this;
    let count = 0;
    for (let k = 0; k < tasks.length; k++) {
      const { start, minutes, boundVar, bound } = tasks[k];
      if (boundVar >= 0 && at[boundVar] < bound) continue;
      const from = -at[2 * start + 1];
      const to = at[2 * start] + minutes;
      if (from >= to) continue;
      // Time first, then which task and whether it begins or ends, in one number.
      events[count++] = from * EVENTS + 2 * k;
      events[count++] = to * EVENTS + 2 * k + 1;
    }
    this.stretches = 0;
    if (count === 0) return true;
    const sorted = events.subarray(0, count).sort();
    let height = 0;
    let previous = 0;
    for (let e = 0; e < count;) {
      const time = Math.floor(sorted[e] / EVENTS);
      if (height > 0 && time > previous) {
        const s = this.stretches++;
        this.from[s] = previous;
        this.to[s] = time;
        this.held[s] = height;
        if (height > this.capacity) {
          return search.fail(this.holders(search, previous, previous + 1, this.capacity + 1));
        }
      }
      for (; e < count && Math.floor(sorted[e] / EVENTS) === time; e++) {
        const code = sorted[e] - time * EVENTS;
        const { amount } = tasks[code >> 1];
        height += (code & 1) === 0 ? amount : -amount;
      }
      previous = time;
    }
    return true;
  }

  private pushLater(search: LearningSearch, task: Holding): boolean {
    const { at } = search.bounds;
    const { minutes, amount, start } = task;
    const room = this.capacity - amount;
    const ownFrom = -at[2 * start + 1];
    let least = at[2 * start];
    const ownTo = least + minutes;
    for (let s = this.firstAfter(least); s < this.stretches; s++) {
      const from = this.from[s];
      if (from >= least + minutes) break;
      if (this.held[s] <= room || (from >= ownFrom && this.to[s] <= ownTo)) continue;
      const to = this.to[s];
      const facing = Math.min(to - 1, least + minutes - 1);
      const facts = this.holders(search, facing, to, room + 1, task);
      facts.push(2 * start, facing - minutes + 1);
      if (task.boundVar >= 0) facts.push(task.boundVar, task.bound);
      if (!search.enqueue(2 * start, to, facts)) return false;
      least = at[2 * start];
    }
    return true;
  }

  private pushEarlier(search: LearningSearch, task: Holding): boolean {
    const { at } = search.bounds;
    const { minutes, amount, start } = task;
    const room = this.capacity - amount;
    const ownTo = at[2 * start] + minutes;
    let most = -at[2 * start + 1];
    const ownFrom = most;
    for (let s = this.stretches - 1; s >= 0; s--) {
      const to = this.to[s];
      if (to <= most) break;
      const from = this.from[s];
      if (from >= most + minutes) continue;
      if (this.held[s] <= room || (from >= ownFrom && to <= ownTo)) continue;
      const facing = Math.max(from + 1, most + 1);
      const facts = this.holders(search, from, facing, room + 1, task);
      facts.push(2 * start + 1, 1 - facing);
      if (task.boundVar >= 0) facts.push(task.boundVar, task.bound);
      if (!search.enqueue(2 * start + 1, minutes - from, facts)) return false;
      most = -at[2 * start + 1];
    }
    return true;
  }

  /** What is open whether it runs here at all does not, where it would have to run across too much. */
  private leaveOut(search: LearningSearch, task: Holding): boolean {
    const { at } = search.bounds;
    const { start, minutes, amount, boundVar, bound } = task;
    const from = -at[2 * start + 1];
    const to = at[2 * start] + minutes;
    if (from >= to || search.bounds.fails(boundVar, bound)) return true;
    const room = this.capacity - amount;
    for (let s = this.firstAfter(from); s < this.stretches; s++) {
      const begin = Math.max(from, this.from[s]);
      if (begin >= to) break;
      if (this.held[s] <= room) continue;
      const facts = this.holders(search, begin, begin + 1, room + 1, task);
      facts.push(2 * start, begin + 1 - minutes, 2 * start + 1, -begin);
      return search.enqueue(boundVar ^ 1, 1 - bound, facts);
    }
    return true;
  }

  /** First stretch that ends after a time. */
  private firstAfter(time: number): number {
    let low = 0;
    let high = this.stretches;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.to[mid] > time) high = mid;
      else low = mid + 1;
    }
    return low;
  }

  /** Facts that other tasks run all through a stretch and together hold so much; no more of them than are needed. */
  private holders(search: LearningSearch, from: number, to: number, enough: number, without?: Holding): number[] {
    const { at } = search.bounds;
    const facts: number[] = [];
    let sum = 0;
    for (let k = 0; k < this.tasks.length && sum < enough; k++) {
      const task = this.tasks[k];
      const { start, minutes, amount, boundVar, bound } = task;
      if (boundVar >= 0 && at[boundVar] < bound) continue;
      if (task === without || -at[2 * start + 1] > from || at[2 * start] + minutes < to) continue;
      facts.push(2 * start, to - minutes, 2 * start + 1, -from);
      if (boundVar >= 0) facts.push(boundVar, bound);
      sum += amount;
    }
    return facts;
  }
}

/** More than twice the tasks any resource has. */
const EVENTS = 16_384;
