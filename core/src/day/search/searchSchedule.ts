import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Choose } from './learningSearch';
import { blocksOf, placeInOrder } from './placeInOrder';
import { type ReadProblem, readProblem } from './readProblem';
import { rootBound } from './rootBound';
import { type ScheduleModel, scheduleModel } from './scheduleModel';
import { type Placed, type RuleNotMet, type ScheduleProblem } from './scheduleProblem';

/** More tasks than this are laid down in order again and again; the learning search would drown in them. */
const MOST_LEARNED = 1_200;

/** Conflicts between two restarts, times the Luby sequence. Luby, Sinclair and Zuckerman 1993. */
const RESTART_UNIT = 100;

/** Schedules laid down before the learning begins, for each block of tasks: cheap, and a good start. */
const SHAKES_A_BLOCK = 20;
const MOST_SHAKES = 400;

/** Part of the priority numbers that chance moves when a schedule is laid down anew. */
const SHAKE = 0.35;

/** A schedule that the learning search found is laid down anew so often without success before it is left. */
const POLISH = 10;

/** Tries for a higher bound that stay open before a smaller step is tried. */
const MISSES = 8;

export interface SearchState {
  /** The best schedule so far. */
  readonly tasks?: readonly Placed[];
  readonly makespan?: number;
  /** No schedule that breaks no rule ends before this. */
  readonly lowerBound: number;
  /** The schedule is the best there is. */
  readonly proven: boolean;
  /** It is proven that no schedule keeps all rules. */
  readonly impossible: boolean;
  /** Dead ends and schedules laid down: what the search has spent. */
  readonly nodes: number;
}

export interface ScheduleSearch {
  readonly kind: 'search';
  /** Spends about so many nodes more. Does nothing once it is proven. */
  step(nodes: number): SearchState;
  readonly state: SearchState;
}

/**
 * A search for the schedule that ends first. It can be stopped after any step; the same problem, seed and steps give the
 * same schedules. Method: docs/day-search.md.
 *
 * @returns the search, or the first rule that cannot be met at all
 * @throws RangeError as {@link readProblem}
 */
export function startSearch(
  problem: ScheduleProblem,
  { seed = 1 }: { readonly seed?: number } = {},
): ScheduleSearch | RuleNotMet {
  const read = readProblem(problem);
  if ('kind' in read) return read;
  const run = new Run(read, seed);
  return {
    kind: 'search',
    step: (nodes) => run.step(nodes),
    get state() {
      return run.state;
    },
  };
}

class Run {
  private best: readonly number[] | undefined;
  private placed: readonly Placed[] | undefined;
  private bestEnd = Infinity;
  private bound: number;
  private done = false;
  private impossible = false;
  private nodes = 0;
  private model: ScheduleModel | undefined;
  private readonly random;
  private readonly priority: Float64Array;
  private readonly blocks: readonly (readonly number[])[];
  private restarts = 0;
  private shaken = 0;
  private readonly shakes: number;
  private focus = 0;
  /** Tries for a higher bound since the last that succeeded. */
  private missed = 0;

  constructor(
    private readonly problem: ReadProblem,
    seed: number,
  ) {
    this.random = xoroshiro128plus(seed);
    this.bound = rootBound(problem);
    this.blocks = blocksOf(problem);
    this.shakes = Math.min(MOST_SHAKES, SHAKES_A_BLOCK * this.blocks.length);
    // What has most behind it goes first.
    this.priority = Float64Array.from(problem.latest);
    this.layDown(this.priority);
  }

  get state(): SearchState {
    const { scale } = this.problem;
    return {
      ...(this.placed && { tasks: this.placed, makespan: this.bestEnd / scale }),
      lowerBound: this.bound / scale,
      proven: this.done && this.best !== undefined,
      impossible: this.impossible,
      nodes: this.nodes,
    };
  }

  step(nodes: number): SearchState {
    const until = this.nodes + nodes;
    while (!this.done && this.nodes < until) {
      if (this.problem.minutes.length > MOST_LEARNED || this.shaken < this.shakes) this.shake();
      else this.learn();
    }
    return this.state;
  }

  private take(starts: readonly number[]): void {
    const end = Math.max(0, ...starts.map((at, i) => at + (this.problem.minutes[i] as number)));
    if (end >= this.bestEnd) return;
    const { ids, minutes, scale } = this.problem;
    this.best = [...starts];
    // Put into words here, once: the state is looked at far more often than a better schedule comes.
    this.placed = ids.map((id, i): Placed => {
      const start = starts[i] as number;
      return { id, start: start / scale, end: (start + (minutes[i] as number)) / scale };
    });
    this.bestEnd = end;
    this.finish();
  }

  private finish(): void {
    if (this.bestEnd <= this.bound) {
      this.bound = this.bestEnd;
      this.done = true;
    }
  }

  private layDown(priority: Float64Array): void {
    this.nodes++;
    const starts = placeInOrder(this.problem, priority, this.blocks);
    if (starts) this.take(starts);
  }

  /**
   * Lays the tasks down in about the order of the best schedule: by turns all of them a little shaken, or one block put in
   * elsewhere.
   */
  private shake(): void {
    this.shaken++;
    const around = this.best ?? this.priority;
    const span = Number.isFinite(this.bestEnd) ? this.bestEnd : this.problem.horizon;
    if (this.shaken % 2 === 0 || this.blocks.length < 3) {
      const strength = SHAKE * span * uniformFloat64(this.random) ** 3;
      return this.layDown(Float64Array.from(around, (at) => at + strength * (uniformFloat64(this.random) - 0.5)));
    }
    const moved = Float64Array.from(around);
    const block = this.blocks[Math.floor(uniformFloat64(this.random) * this.blocks.length)] as readonly number[];
    const first = Math.min(...block.map((task) => around[task] as number));
    const by = uniformFloat64(this.random) * span - first;
    for (const task of block) (moved[task] as number) += by;
    this.layDown(moved);
  }

  /** Lays a found schedule down anew, as early as its order allows, and shakes it as long as that helps. */
  private polish(): void {
    if (this.best) this.layDown(Float64Array.from(this.best));
    for (let left = POLISH; left > 0 && !this.done; left--) {
      const before = this.bestEnd;
      this.shake();
      if (this.bestEnd < before) left = POLISH;
    }
  }

  /** One run of the learning search between restarts: for a better schedule, or every other time for a higher bound. */
  private learn(): void {
    this.model ??= this.begin();
    const { search, end } = this.model;
    const before = search.conflicts;
    const limit = RESTART_UNIT * luby(++this.restarts);
    if (this.bestEnd < Infinity && !search.require(2 * end + 1, 1 - this.bestEnd)) return this.close();
    const gap = this.bestEnd - 1 - this.bound;
    const forBound = this.restarts % 2 === 0 && this.bestEnd < Infinity && gap > 0;
    this.focus = (this.restarts >> 1) % 2;
    // A quarter of the way from the bound to the best; where that stays open again and again, a quarter of that.
    const target = this.bound + Math.floor(gap / 4 ** (1 + Math.floor(this.missed / MISSES)));
    const outcome = search.run(this.choose, limit, forBound ? [2 * end + 1, -target] : undefined);
    this.nodes += 1 + search.conflicts - before;
    if (outcome === 'found') {
      const { at } = search.bounds;
      this.take(this.problem.minutes.map((_, i) => at[2 * i] as number));
      this.polish();
    } else if (outcome === 'impossible' && (!forBound || !search.require(2 * end, target + 1))) return this.close();
    if (forBound) this.missed = outcome === 'impossible' ? 0 : this.missed + 1;
    if (this.model) this.raiseBound();
  }

  /** Chance settles which of the untried pairs is looked at first. */
  private begin(): ScheduleModel {
    const model = scheduleModel(this.problem, this.bound);
    const { activity } = model.search;
    for (let v = 0; v < activity.length; v++) activity[v] = uniformFloat64(this.random);
    return model;
  }

  /** Nothing better is left. */
  private close(): void {
    this.done = true;
    if (this.best) this.bound = this.bestEnd;
    else this.impossible = true;
  }

  private raiseBound(): void {
    const { search, end } = this.model as ScheduleModel;
    search.undoTo(0);
    this.bound = Math.max(this.bound, Math.min(search.bounds.at[2 * end] as number, this.bestEnd));
    this.finish();
  }

  /** Either what could start first, at once, or what was in the way most lately. */
  private readonly choose: Choose = () => {
    const { search, tasks, pairs } = this.model as ScheduleModel;
    const { at } = search.bounds;
    if (this.focus === 0) {
      let first = -1;
      for (let i = 0; i < tasks; i++) {
        if (at[2 * i] === -(at[2 * i + 1] as number)) continue;
        if (first < 0 || this.sooner(i, first, at)) first = i;
      }
      return first < 0 ? undefined : [2 * first + 1, -(at[2 * first] as number)];
    }
    const { activity } = search;
    let hottest = -1;
    for (let v = tasks + 1; v <= tasks + pairs.length; v++) {
      if (at[2 * v] === -(at[2 * v + 1] as number)) continue;
      if (hottest < 0 || (activity[v] as number) > (activity[hottest] as number)) hottest = v;
    }
    if (hottest >= 0) return this.towardsBest(hottest, at);
    for (let v = 0; v < tasks; v++) {
      if (at[2 * v] === -(at[2 * v + 1] as number)) continue;
      if (hottest < 0 || (activity[v] as number) > (activity[hottest] as number)) hottest = v;
    }
    return hottest < 0 ? undefined : this.towardsBest(hottest, at);
  };

  private sooner(i: number, j: number, at: Int32Array): boolean {
    const difference = (at[2 * i] as number) - (at[2 * j] as number);
    return difference < 0 || (difference === 0 && (at[2 * i + 1] as number) > (at[2 * j + 1] as number));
  }

  private towardsBest(v: number, at: Int32Array): readonly [number, number] {
    const least = at[2 * v] as number;
    const most = -(at[2 * v + 1] as number);
    const { tasks, pairs } = this.model as ScheduleModel;
    if (v > tasks) {
      const [first, second] = pairs[v - tasks - 1] as readonly [number, number];
      const order = this.best ?? this.problem.latest;
      return (order[first] as number) <= (order[second] as number) ? [2 * v, 1] : [2 * v + 1, 0];
    }
    const wished = this.best?.[v] ?? least;
    if (wished < least || wished >= most) return wished >= most ? [2 * v, most] : [2 * v + 1, -least];
    return [2 * v + 1, -wished];
  }
}

/** 1, 1, 2, 1, 1, 2, 4, ... */
function luby(i: number): number {
  let k = 1;
  while (2 ** k - 1 < i) k++;
  return 2 ** k - 1 === i ? 2 ** (k - 1) : luby(i - 2 ** (k - 1) + 1);
}
