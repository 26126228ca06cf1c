import { type DayTask } from '../day/dayProblem';
import { type DayGround, type Link, type Room } from './dayGround';

/** How one day goes, as chance has it: minutes of each step, and how long one lies before anybody thinks of it. */
export interface DayLuck {
  readonly minutes: readonly number[];
  readonly forgotten: readonly number[];
}

/**
 * One day as it is lived: what has begun and what is over at a minute, and what can begin. Whoever runs it decides what does begin:
 * a simulated cook in the plan's order, or a learner who taps.
 */
export class DayWorld {
  now = 0;
  readonly began: number[];
  readonly ended: number[];
  /** The step whose end let this one begin, -1 for none. */
  readonly cause: number[];
  /** What it waits for is over, and it has not begun: by the plan's order. */
  private readonly open: number[] = [];
  private readonly waits: number[];
  private readonly from: number[];
  private readonly readyAt: number[];
  private readonly endsAt: number[];
  private readonly held: number[];
  private readonly insides = new Map<string, string>();
  private readonly underway: number[] = [];
  private lastEnded = -1;
  private left: number;

  constructor(
    readonly ground: DayGround,
    private readonly luck: DayLuck,
  ) {
    const count = ground.tasks.length;
    this.began = new Array<number>(count).fill(Infinity);
    this.ended = new Array<number>(count).fill(Infinity);
    this.endsAt = new Array<number>(count).fill(Infinity);
    this.readyAt = new Array<number>(count).fill(Infinity);
    this.cause = new Array<number>(count).fill(-1);
    this.held = new Array<number>(ground.rooms.length).fill(0);
    this.waits = [...ground.waitsFor];
    this.from = [...ground.from];
    this.left = count;
    this.waits.forEach((waits, task) => waits === 0 && this.opened(task));
  }

  get isOver(): boolean {
    return this.left === 0;
  }

  /** What runs now. */
  get running(): readonly number[] {
    return this.underway;
  }

  /** When a step that runs is over, as chance has it; whoever is fed by another works on until the last of it has gone through. */
  overAt(task: number): number {
    let end = this.endsAt[task] as number;
    for (const { task: before, minLag } of this.ground.fedBy[task] as readonly Link[]) {
      const fed = (this.ended[before] as number) + minLag;
      if (fed > end) end = fed;
    }
    return end;
  }

  /** Whether a step can begin now: all that it waits for is over, and what it needs is free. */
  canBegin(task: number): boolean {
    return this.began[task] === Infinity && this.waits[task] === 0 && this.wait(task) <= this.now;
  }

  /** Steps that can begin now, the first by the plan first. @returns undefined where nothing can */
  nextToBegin(): number | undefined {
    for (const task of this.open) if (this.wait(task) <= this.now) return task;
    return undefined;
  }

  begin(task: number): void {
    const { tasks, needs, afterStart } = this.ground;
    const { kind, cannerId, loadId } = tasks[task] as DayTask;
    if (kind === 'load' && cannerId !== undefined && loadId !== undefined) this.insides.set(cannerId, loadId);
    if (kind === 'unload' && cannerId !== undefined) this.insides.delete(cannerId);
    this.open.splice(this.open.indexOf(task), 1);
    // It was ready for a while: what ended just now gave it room.
    if ((this.readyAt[task] as number) < this.now && this.lastEnded >= 0) this.cause[task] = this.lastEnded;
    this.began[task] = this.now;
    this.endsAt[task] = this.now + this.withBreaks(task);
    this.hold(needs[task], 1);
    this.underway.push(task);
    this.tell(task, afterStart[task]);
  }

  /** Ends what is over by now. */
  settle(): void {
    for (let i = this.underway.length - 1; i >= 0; i--) {
      const task = this.underway[i] as number;
      if (this.overAt(task) <= this.now) this.end(task);
    }
  }

  /** Ends a step, now or when it was over. */
  end(task: number): void {
    const { needs, afterEnd } = this.ground;
    this.ended[task] = Math.min(this.now, Math.max(this.began[task] as number, this.overAt(task)));
    this.underway.splice(this.underway.indexOf(task), 1);
    this.lastEnded = task;
    this.left -= 1;
    this.hold(needs[task], -1);
    this.tell(task, afterEnd[task]);
  }

  /** A step that runs takes so much longer. */
  delay(task: number, minutes: number): void {
    this.endsAt[task] = (this.endsAt[task] as number) + minutes;
  }

  /** The next minute at which something may be another; Infinity where nothing ever is. */
  next(): number {
    let next = Infinity;
    for (const task of this.underway) next = Math.min(next, this.overAt(task));
    for (const task of this.open) {
      const wait = this.wait(task);
      if (wait > this.now && wait < next) next = wait;
    }
    return next;
  }

  /** Something that others wait for has come. */
  private tell(task: number, others: readonly Link[] | undefined): void {
    for (const { task: other, minLag } of others ?? []) {
      const at = this.now + minLag;
      if (at >= (this.from[other] as number)) [this.from[other], this.cause[other]] = [at, task];
      if ((this.waits[other] = (this.waits[other] as number) - 1) === 0) this.opened(other);
    }
  }

  private opened(task: number): void {
    const { rank } = this.ground;
    let i = this.open.length;
    while (i > 0 && (rank[this.open[i - 1] as number] as number) > (rank[task] as number)) i--;
    this.open.splice(i, 0, task);
  }

  private hold(needs: readonly (readonly [number, number])[] = [], sign: 1 | -1): void {
    for (const [room, amount] of needs) this.held[room] = (this.held[room] as number) + sign * amount;
  }

  /** From when on an open step can begin as far as is known now: Infinity until something else ends. */
  private wait(task: number): number {
    const { tasks, needs, rooms, isTied } = this.ground;
    const at = this.from[task] as number;
    if (at > this.now) return at;
    const ready = Math.min(this.readyAt[task] as number, this.now);
    this.readyAt[task] = ready;
    const forgotten = ready + (this.luck.forgotten[task] as number);
    if (forgotten > this.now) return forgotten;
    const { cannerId, loadId } = tasks[task] as DayTask;
    const holder = cannerId === undefined ? undefined : this.insides.get(cannerId);
    if (holder !== undefined && holder !== loadId) return Infinity;
    if (isTied[task]) return this.now;
    let free = this.now;
    for (const [room, amount] of needs[task] as readonly (readonly [number, number])[]) {
      free = Math.max(free, this.freeFrom(rooms[room] as Room, this.held[room] as number, amount));
    }
    return free;
  }

  private freeFrom({ capacity, closed, taken, isPeople }: Room, held: number, amount: number): number {
    if (isPeople) for (const [from, to] of closed) if (this.now >= from && this.now < to) return to;
    let away = 0;
    let back = Infinity;
    for (const part of taken) {
      if (this.now < part.from || this.now >= part.to) continue;
      away += part.amount;
      back = Math.min(back, part.to);
    }
    if (held + away + amount <= capacity) return this.now;
    return held + amount <= capacity ? back : Infinity;
  }

  /** Minutes a step takes with breaks in it: hands come back to it. */
  private withBreaks(task: number): number {
    const minutes = this.luck.minutes[task] as number;
    if (!this.ground.isHands[task]) return minutes;
    let end = this.now + minutes;
    for (const [from, to] of this.ground.breaks) if (from > this.now && from < end) end += to - from;
    return end - this.now;
  }
}
