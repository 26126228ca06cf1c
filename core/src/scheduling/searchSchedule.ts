import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { balanced } from './balanced';
import { chosen } from './chosen';
import { decisionsNear } from './decisions';
import { Branching } from './branching';
import { type Incumbent } from './incumbent';
import { freedTasks, keptBut } from './neighbourhood';
import { blocksOf, serialScheduleGeneration } from './serialScheduleGeneration';
import { type CompiledProblem } from './compiledProblem';
import { compileProblem } from './compileProblem';
import { rootBound } from './rootBound';
import { type ScheduleModel, scheduleModel } from './scheduleModel';
import { type Placed, type RuleNotMet, type ScheduleProblem } from './scheduleProblem';

/** More tasks than this are laid down in order again and again; the learning search would drown in them. */
const MOST_LEARNED = 1_200;

/** Conflicts between two restarts, times the Luby sequence. Luby, Sinclair and Zuckerman 1993. */
const RESTART_UNIT = 100;

/** Times that unit at the most: whoever waits is told something between two runs. */
const LONGEST_RUN = 6;

/** What a run of the learning search is for. */
type Turn = 'plan' | 'neighbourhood' | 'bound';

/** The runs that follow each other, for what the search aims at. */
const TURNS: Readonly<Record<SearchAim, readonly Turn[]>> = {
  plan: ['bound', 'neighbourhood', 'plan'],
  bound: ['bound', 'bound', 'plan'],
};

/** Schedules laid down before the learning begins: cheap, and a good start. */
const SHAKES = 24;

/** Part of the priority numbers that chance moves when a schedule is laid down anew. */
const SHAKE = 0.35;

/** A schedule that the learning search found is laid down anew so often without success before it is left. */
const POLISH = 3;

/** How seldom the energy of resources is looked at below the root: a bound hangs on it more than a schedule does. */
const PATIENCE = { forBound: 3, forPlan: 12 };

/** Conflicts that a large neighbourhood gets before another is tried. */
const NEIGHBOURHOOD_CONFLICTS = 150;

/** Part of the tasks that a neighbourhood sets free. */
const FREED = { first: 0.2, least: 0.08, most: 0.6 };

/** A neighbourhood must be better by a part of the gap, by chance up to this one. */
const STEP = 0.4;

/** Conflicts in which decisions that fit together are found for a first schedule. */
const DECISION_CONFLICTS = 200;

/** Part of the way from the bound to the best schedule that a try for a higher bound takes, and how that changes. */
const REACH = { first: 0.25, most: 0.5, longer: 1.5, shorter: 0.65 };

export interface SearchState {
  /** The best schedule so far: what is there, and when. */
  readonly tasks?: readonly Placed[];
  /** How its decisions were made, by name. */
  readonly decisions?: ReadonlyMap<string, boolean>;
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

export interface SearchOptions {
  readonly seed?: number;
  /** What most of the work goes into: better schedules and a higher bound by turns, or the bound. */
  readonly aim?: SearchAim;
}

export type SearchAim = 'plan' | 'bound';

/**
 * A search for the schedule that ends first. It can be stopped after any step; the same problem, seed and steps give the
 * same schedules. Method: docs/day-search.md.
 *
 * @returns the search, or the first rule that cannot be met at all
 * @throws RangeError as {@link compileProblem}
 */
export function startSearch(
  problem: ScheduleProblem,
  { seed = 1, aim = 'plan' }: SearchOptions = {},
): ScheduleSearch | RuleNotMet {
  const read = compileProblem(problem);
  if ('kind' in read) return read;
  const run = new Run(read, seed, aim);
  return {
    kind: 'search',
    step: (nodes) => run.step(nodes),
    get state() {
      return run.state;
    },
  };
}

/** Problems with their decisions made that are kept. */
const MOST_LAYOUTS = 200;

interface Layout {
  readonly problem: CompiledProblem;
  readonly blocks: readonly (readonly number[])[];
}

class Run {
  private best: Incumbent | undefined;
  private placed: Pick<SearchState, 'tasks' | 'decisions'> = {};
  private bestEnd = Infinity;
  private bound: number;
  private done = false;
  private impossible = false;
  private nodes = 0;
  private model: ScheduleModel | undefined;
  private readonly random;
  private readonly priority: Float64Array;
  private readonly layouts = new Map<string, Layout>();
  private restarts = 0;
  private lucky = false;
  private shaken = 0;
  private freed = FREED.first;
  /** Tasks that are set free once more. */
  private again: Uint8Array | undefined;
  private reach = REACH.first;
  /** Decisions that are tried next, before a schedule says better. */
  private wished: readonly boolean[];
  private branching: Branching | undefined;

  constructor(
    private readonly problem: CompiledProblem,
    seed: number,
    private readonly aim: SearchAim,
  ) {
    this.random = xoroshiro128plus(seed);
    this.bound = rootBound(problem);
    // What has most behind it goes first.
    this.priority = Float64Array.from(problem.latest);
    this.wished = balanced(problem);
    this.decideAndLayDown(this.priority);
  }

  get state(): SearchState {
    const { scale } = this.problem;
    return {
      ...this.placed,
      ...(this.best && { makespan: this.bestEnd / scale }),
      lowerBound: this.bound / scale,
      proven: this.done && this.best !== undefined,
      impossible: this.impossible,
      nodes: this.nodes,
    };
  }

  step(nodes: number): SearchState {
    const until = this.nodes + nodes;
    while (!this.done && this.nodes < until) {
      if (this.problem.minutes.length > MOST_LEARNED || this.shaken < SHAKES) this.shake();
      else this.learn();
    }
    return this.state;
  }

  private take(starts: ArrayLike<number>, decisions: readonly boolean[]): void {
    const { problem } = this.layoutOf(decisions);
    const { minutes, tail } = problem;
    const isThere = this.problem.presence.map((own) => own === 0 || decisions[Math.abs(own) - 1] === own > 0);
    let end = 0;
    for (let i = 0; i < minutes.length; i++) {
      if (isThere[i] && tail[i] > -Infinity) end = Math.max(end, starts[i] + minutes[i]);
    }
    if (end >= this.bestEnd) return;
    const { ids, scale, literals, conjunctions } = this.problem;
    this.best = { starts: Array.from(starts), decisions };
    // Put into words here, once: the state is looked at far more often than a better schedule comes.
    const tasks = ids.flatMap((id, i): Placed[] => {
      const start = starts[i];
      return isThere[i] ? [{ id, start: start / scale, end: (start + minutes[i]) / scale }] : [];
    });
    const told = literals.flatMap((name, k) => (conjunctions.has(k) ? [] : [[name, decisions[k] ?? false] as const]));
    this.placed = { tasks, decisions: new Map(told) };
    this.bestEnd = end;
    this.wished = decisions;
    this.branching?.follow(this.best, this.wished);
    this.finish();
  }

  private finish(): void {
    if (this.bestEnd <= this.bound) {
      this.bound = this.bestEnd;
      this.done = true;
    }
  }

  /** The problem with decisions made, and its blocks: kept, since the same come again and again. */
  private layoutOf(decisions: readonly boolean[]): Layout {
    const key = decisions.map(Number).join('');
    const known = this.layouts.get(key);
    if (known) return known;
    const problem = this.problem.literals.length === 0 ? this.problem : chosen(this.problem, decisions);
    const own = { problem, blocks: blocksOf(problem) };
    if (this.layouts.size >= MOST_LAYOUTS) this.layouts.clear();
    this.layouts.set(key, own);
    return own;
  }

  private layDown(priority: Float64Array, decisions: readonly boolean[]): void {
    this.nodes++;
    const { problem, blocks } = this.layoutOf(decisions);
    const starts = serialScheduleGeneration(problem, priority, blocks);
    if (starts) this.take(starts, decisions);
  }

  private decideAndLayDown(priority: Float64Array): void {
    const decisions = this.decide(this.wished);
    if (decisions) this.layDown(priority, decisions);
    else this.nodes++;
  }

  /** Decisions that fit together, as near to those wished as goes; undefined where none were found. */
  private decide(wished: readonly boolean[], first: readonly number[] = []): readonly boolean[] | undefined {
    const { literals } = this.problem;
    if (literals.length === 0) return [];
    const near = decisionsNear(wished, this.problem.clauses, first);
    if (near) return near;
    this.model ??= this.begin();
    const { search, literal } = this.model;
    const { at } = search.bounds;
    const outcome = search.run(() => {
      for (const told of [...first, ...literals.map((_, k) => (wished[k] ? k + 1 : -(k + 1)))]) {
        const v = literal(Math.abs(told) - 1);
        if (at[2 * v] !== -at[2 * v + 1]) return told > 0 ? [2 * v, 1] : [2 * v + 1, 0];
      }
      return undefined;
    }, DECISION_CONFLICTS);
    if (outcome === 'impossible') this.close();
    return outcome === 'found' ? literals.map((_, k) => at[2 * literal(k)] === 1) : undefined;
  }

  /**
   * Lays the tasks down in about the order of the best schedule: by turns all of them a little shaken, or one block put in
   * elsewhere; now and then with other decisions.
   */
  private shake(): void {
    this.shaken++;
    const around = this.best?.starts ?? this.priority;
    const span = Number.isFinite(this.bestEnd) ? this.bestEnd : this.problem.horizon;
    let decisions: readonly boolean[] | undefined = this.best?.decisions;
    if (this.problem.literals.length > 0 && (!decisions || this.shaken % 3 === 0)) {
      const changed = this.changed();
      decisions = this.decide(changed.wished, changed.first);
      if (!decisions) {
        this.nodes++;
        return;
      }
    }
    const own = decisions ?? [];
    const { blocks } = this.layoutOf(own);
    if (this.shaken % 2 === 0 || blocks.length < 3) {
      const strength = SHAKE * span * uniformFloat64(this.random) ** 3;
      return this.layDown(
        Float64Array.from(around, (at) => at + strength * (uniformFloat64(this.random) - 0.5)),
        own,
      );
    }
    const moved = Float64Array.from(around);
    const block = blocks[Math.floor(uniformFloat64(this.random) * blocks.length)];
    const first = Math.min(...block.map((task) => around[task]));
    const by = uniformFloat64(this.random) * span - first;
    for (const task of block) moved[task] += by;
    this.layDown(moved, own);
  }

  /** The best decisions with one or two turned to another mode: what is wished, and what is decided before all else. */
  private changed(): { wished: readonly boolean[]; first: readonly number[] } {
    const wished = [...this.wished];
    const first: number[] = [];
    const { modes } = this.problem;
    const free = modes.filter((own) => own.length > 1);
    for (let n = 1 + Math.floor(2 * uniformFloat64(this.random)); n > 0 && free.length > 0; n--) {
      const own = free[Math.floor(uniformFloat64(this.random) * free.length)];
      const to = own[Math.floor(uniformFloat64(this.random) * own.length)];
      for (const { when } of own) wished[Math.abs(when) - 1] = when > 0 === (when === to.when);
      first.push(to.when);
    }
    return { wished, first };
  }

  /** Lays a found schedule down anew, as early as its order allows, and shakes it as long as that helps. */
  private polish(): void {
    if (this.best) this.layDown(Float64Array.from(this.best.starts), this.best.decisions);
    for (let left = POLISH; left > 0 && !this.done; left--) {
      const before = this.bestEnd;
      this.shake();
      if (this.bestEnd < before) left = POLISH;
    }
  }

  /** One run of the learning search between restarts: for a better schedule, in a large neighbourhood, or for a higher bound. */
  private learn(): void {
    this.model ??= this.begin();
    const { search, end } = this.model;
    const before = search.conflicts;
    if (this.bestEnd < Infinity && !search.require(2 * end + 1, 1 - this.bestEnd)) return this.close();
    // What has just found something is asked again.
    if (!this.lucky) this.restarts++;
    const turn = TURNS[this.aim][this.restarts % 3];
    const gap = this.bestEnd - 1 - this.bound;
    const forBound = turn === 'bound' && this.best !== undefined && gap > 0;
    const around = turn === 'neighbourhood' ? this.best : undefined;
    const { hottest, sidesFirst, soonest } = this.branching as Branching;
    const isOdd = Math.floor(this.restarts / 3) % 2 === 1;
    const choose = forBound && isOdd ? sidesFirst : around || forBound || isOdd ? hottest : soonest;
    // So far on the way from the bound to the best; further after each success, less far after each try that stays open.
    const target = this.bound + Math.floor(gap * this.reach);
    const limit = around
      ? NEIGHBOURHOOD_CONFLICTS
      : RESTART_UNIT * Math.min(LONGEST_RUN, luby(1 + Math.floor(this.restarts / 3)));
    const assumed = forBound ? [2 * end + 1, -target] : [];
    if (around) {
      const least = 1 + Math.floor(STEP * gap * uniformFloat64(this.random) ** 2);
      const { blocks } = this.layoutOf(around.decisions);
      this.again ??= freedTasks(around, { end: this.bestEnd, part: this.freed, blocks }, this.random);
      assumed.push(...keptBut(this.again, around, this.problem, this.model), 2 * end + 1, least - this.bestEnd);
    }
    search.patience = forBound ? PATIENCE.forBound : PATIENCE.forPlan;
    const outcome = search.run(choose, limit, assumed);
    this.nodes += 1 + search.conflicts - before;
    this.lucky = outcome === (forBound ? 'impossible' : 'found');
    if (outcome === 'found') {
      const { at } = search.bounds;
      const { literal } = this.model;
      const starts = this.problem.minutes.map((_, i) => at[2 * i]);
      this.take(
        starts,
        this.problem.literals.map((_, k) => at[2 * literal(k)] === 1),
      );
      this.polish();
    } else if (outcome === 'impossible' && !around && (!forBound || !search.require(2 * end, target + 1))) {
      return this.close();
    }
    // Where something was found there may be more; what is searched through was too small, what stays open too large.
    if (around && outcome !== 'found') {
      this.again = undefined;
      const next = this.freed * (outcome === 'impossible' ? 1.25 : 0.9);
      this.freed = Math.min(FREED.most, Math.max(FREED.least, next));
    }
    if (forBound) {
      const next = this.reach * (outcome === 'impossible' ? REACH.longer : REACH.shorter);
      this.reach = Math.min(REACH.most, next);
    }
    this.raiseBound();
  }

  /** Chance settles which of the untried pairs is looked at first. */
  private begin(): ScheduleModel {
    const model = scheduleModel(this.problem, this.bound, Math.min(this.problem.horizon, this.bestEnd));
    const { activity } = model.search;
    for (let v = 0; v < activity.length; v++) activity[v] = uniformFloat64(this.random);
    this.branching = new Branching(this.problem, model);
    this.branching.follow(this.best, this.wished);
    this.model = model;
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
    this.bound = Math.max(this.bound, Math.min(search.bounds.at[2 * end], this.bestEnd));
    this.finish();
  }
}

/** 1, 1, 2, 1, 1, 2, 4, ... */
function luby(i: number): number {
  let k = 1;
  while (2 ** k - 1 < i) k++;
  return 2 ** k - 1 === i ? 2 ** (k - 1) : luby(i - 2 ** (k - 1) + 1);
}
