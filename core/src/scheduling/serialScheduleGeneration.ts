import { openFrom } from './forbiddenStarts';
import { type CompiledLag, type CompiledProblem } from './compiledProblem';
import { orderOf } from './precedenceGraph';

/** How often a block is begun anew because what follows in it could not follow soon enough. */
const MOST_TRIES = 300;

/**
 * A schedule made by laying the tasks down one by one, each as early as lags, closed times and what already lies there
 * allow: a serial schedule generation scheme. Tasks that a longest lag ties together are laid down as one block; where
 * one of them comes too late, an earlier one is moved later and the block is begun anew.
 * Source: Kolisch 1996; the moving later as in Franck, Neumann and Schwindt 2001.
 *
 * @param priority the lower the sooner, among the blocks whose predecessors lie
 * @param blocks as {@link blocksOf} has them, where that is known already
 * @returns starts by task; undefined when a due time is missed or a block finds no place
 */
export function serialScheduleGeneration(
  problem: CompiledProblem,
  priority: ArrayLike<number>,
  blocks: readonly (readonly number[])[] = blocksOf(problem),
): number[] | undefined {
  const board = new PartialSchedule(problem);
  const blockOf = new Map(blocks.flatMap((tasks, b) => tasks.map((task) => [task, b] as const)));
  const waiting = new Array<number>(blocks.length).fill(0);
  const next = blocks.map((): number[] => []);
  for (const { from, to } of problem.lags) {
    const [a, b] = [blockOf.get(from) as number, blockOf.get(to) as number];
    if (a === b) continue;
    waiting[b]++;
    next[a]?.push(b);
  }
  const ready = new ReadyHeap(blocks.map((tasks) => Math.min(...tasks.map((task) => priority[task]))));
  waiting.forEach((n, b) => n === 0 && ready.push(b));
  for (let b = ready.pop(); b !== undefined; b = ready.pop()) {
    if (!board.layBlock(blocks[b])) return undefined;
    for (const other of next[b]) if (--waiting[other] === 0) ready.push(other);
  }
  return board.starts;
}

/** Tasks tied together by longest lags, each block in an order in which it can be laid down. */
export function blocksOf({ minutes, lags }: CompiledProblem): number[][] {
  const order = chainByChain(minutes.length, lags);
  const part = minutes.map((_, i) => i);
  const find = (i: number): number => {
    while (part[i] !== i) i = part[i] = part[part[i]];
    return i;
  };
  for (const { from, to, most } of lags) if (most < Infinity) part[find(from)] = find(to);
  const blocks = grouped(order, find);
  const indexOf = new Map(blocks.flatMap((tasks, b) => tasks.map((task) => [task, b] as const)));
  const between = lags.flatMap((lag): CompiledLag[] => {
    const [from, to] = [indexOf.get(lag.from) as number, indexOf.get(lag.to) as number];
    return from === to ? [] : [{ ...lag, from, to }];
  });
  // Blocks that wait for each other are laid down as one; that is rare, so all of them are.
  return orderOf(blocks.length, between) ? blocks : [order];
}

/**
 * Tasks with what they wait for first, a chain followed to its end before the next is begun: what must follow soon is laid
 * down close by.
 */
function chainByChain(count: number, lags: readonly CompiledLag[]): number[] {
  const waiting = new Array<number>(count).fill(0);
  const next = Array.from({ length: count }, (): number[] => []);
  for (const { from, to } of lags) {
    waiting[to]++;
    next[from]?.push(to);
  }
  const ready = waiting.flatMap((n, i) => (n === 0 ? [i] : [])).reverse();
  const order: number[] = [];
  for (let task = ready.pop(); task !== undefined; task = ready.pop()) {
    order.push(task);
    ready.push(...next[task].filter((to) => --waiting[to] === 0).reverse());
  }
  return order;
}

function grouped(order: readonly number[], keyOf: (task: number) => number): number[][] {
  const groups = new Map<number, number[]>();
  for (const task of order) {
    const key = keyOf(task);
    const known = groups.get(key);
    if (known) known.push(task);
    else groups.set(key, [task]);
  }
  return [...groups.values()];
}

interface Need {
  readonly profile: Profile;
  readonly amount: number;
}

/** Where tasks lie so far. */
class PartialSchedule {
  readonly starts: number[];
  private readonly needs: Need[][];
  private readonly before: CompiledLag[][];
  private readonly earliest: number[];

  constructor(private readonly problem: CompiledProblem) {
    const count = problem.minutes.length;
    this.starts = new Array<number>(count).fill(-1);
    this.earliest = [...problem.earliest];
    this.needs = Array.from({ length: count }, () => []);
    for (const { capacity, users, taken } of problem.resources) {
      const profile = new Profile(capacity);
      for (const { from, to, amount } of taken) profile.hold(from, to, amount);
      for (const { task, amount } of users) this.needs[task]?.push({ profile, amount });
    }
    this.before = Array.from({ length: count }, () => []);
    for (const lag of problem.lags) this.before[lag.to]?.push(lag);
  }

  /** False when the block finds no place. */
  layBlock(tasks: readonly number[]): boolean {
    const { latest } = this.problem;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const broken = tasks.findIndex((task) => !this.lay(task));
      if (broken < 0) return true;
      const task = tasks[broken];
      const at = this.earliestFree(task);
      if (at > latest[task]) return false;
      this.putOff(task, at);
      for (const laid of tasks.slice(0, broken)) this.lift(laid);
    }
    return false;
  }

  /** What a task must follow soon may not lie earlier than that, nor what goes before it in turn. */
  private putOff(task: number, at: number): void {
    for (const { from, most } of this.before[task]) {
      const notBefore = at - most - this.problem.minutes[from];
      if (notBefore <= this.earliest[from]) continue;
      this.earliest[from] = notBefore;
      this.putOff(from, notBefore);
    }
  }

  /** Lays a task down as early as can be; false when that is too late for it. */
  private lay(task: number): boolean {
    const at = this.earliestFree(task);
    const { minutes, latest } = this.problem;
    if (at > latest[task]) return false;
    for (const { from, most } of this.before[task]) {
      if (at > this.starts[from] + minutes[from] + most) return false;
    }
    this.starts[task] = at;
    this.hold(task, at, 1);
    return true;
  }

  private lift(task: number): void {
    this.hold(task, this.starts[task], -1);
    this.starts[task] = -1;
  }

  private hold(task: number, at: number, sign: 1 | -1): void {
    const end = at + this.problem.minutes[task];
    for (const { profile, amount } of this.needs[task]) profile.hold(at, end, sign * amount);
  }

  private earliestFree(task: number): number {
    const { minutes, holes } = this.problem;
    const length = minutes[task];
    let at = this.earliest[task];
    for (const { from, least } of this.before[task]) {
      at = Math.max(at, this.starts[from] + minutes[from] + least);
    }
    for (let moved = true; moved;) {
      let free = openFrom(at, holes[task]);
      for (const { profile, amount } of this.needs[task]) free = profile.freeFrom(free, length, amount);
      moved = free > at;
      at = free;
    }
    return at;
  }
}

/** How much of a resource is held when: the times at which it changes, and what is held from each on. */
class Profile {
  private readonly times: number[] = [0];
  private readonly held: number[] = [0];

  constructor(private readonly capacity: number) {}

  /** The first start from a time on at which so much is free for so long. */
  freeFrom(start: number, length: number, amount: number): number {
    const room = this.capacity - amount;
    let at = start;
    for (let k = this.indexAt(start); k < this.times.length; k++) {
      if (this.times[k] >= at + length) break;
      if (this.held[k] > room) at = Math.max(at, this.times[k + 1] ?? at);
    }
    return at;
  }

  hold(from: number, to: number, amount: number): void {
    const first = this.cut(from);
    const end = this.cut(to);
    for (let k = first; k < end; k++) this.held[k] += amount;
  }

  /** Index of the change at a time, made if there is none. */
  private cut(time: number): number {
    const k = this.indexAt(time);
    if (this.times[k] === time) return k;
    this.times.splice(k + 1, 0, time);
    this.held.splice(k + 1, 0, this.held[k]);
    return k + 1;
  }

  /** Index of the last change at or before a time. */
  private indexAt(time: number): number {
    let low = 0;
    let high = this.times.length - 1;
    while (low < high) {
      const mid = (low + high + 1) >> 1;
      if (this.times[mid] <= time) low = mid;
      else high = mid - 1;
    }
    return low;
  }
}

/** The block of lowest priority number comes first; equal ones by index. */
class ReadyHeap {
  private readonly heap: number[] = [];

  constructor(private readonly priority: readonly number[]) {}

  push(task: number): void {
    const { heap } = this;
    let k = heap.push(task) - 1;
    while (k > 0) {
      const up = (k - 1) >> 1;
      if (!this.sooner(k, up)) return;
      this.swap(k, up);
      k = up;
    }
  }

  pop(): number | undefined {
    const { heap } = this;
    const top = heap[0];
    const end = heap.pop();
    if (heap.length === 0 || end === undefined) return top;
    heap[0] = end;
    for (let k = 0; ;) {
      const left = 2 * k + 1;
      if (left >= heap.length) return top;
      const least = left + 1 < heap.length && this.sooner(left + 1, left) ? left + 1 : left;
      if (!this.sooner(least, k)) return top;
      this.swap(least, k);
      k = least;
    }
  }

  private sooner(a: number, b: number): boolean {
    const [x, y] = [this.heap[a], this.heap[b]];
    const difference = this.priority[x] - this.priority[y];
    return difference === 0 ? x < y : difference < 0;
  }

  private swap(a: number, b: number): void {
    [this.heap[a], this.heap[b]] = [this.heap[b], this.heap[a]];
  }
}
