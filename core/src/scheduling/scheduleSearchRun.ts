import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { balanced } from './balanced';
import { Branching } from './branching';
import { type CompiledProblem } from './compiledProblem';
import { decisionsNear } from './decisions';
import { endOf, type Incumbent, named } from './incumbent';
import { Layouts } from './layouts';
import { type Choose, type Outcome } from './learningSearch';
import { luby } from './luby';
import { freedTasks, keptBut } from './neighbourhood';
import { blockMoved, modesTurned, shaken } from './perturbation';
import { rootBound } from './rootBound';
import { type ScheduleModel, scheduleModel } from './scheduleModel';
import { type SearchAim, type SearchState } from './searchState';
import { serialScheduleGeneration } from './serialScheduleGeneration';
import { StepSizes } from './stepSizes';

/** More tasks than this are laid down in order again and again; the learning search would drown in them. */
const MOST_LEARNED = 1_200;

/** Conflicts between two restarts, times the Luby sequence. */
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

/** A schedule that the learning search found is laid down anew so often without success before it is left. */
const POLISH = 3;

/** How seldom the energy of resources is looked at below the root: a bound hangs on it more than a schedule does. */
const PATIENCE = { forBound: 3, forPlan: 12 };

/** Conflicts that a large neighbourhood gets before another is tried. */
const NEIGHBOURHOOD_CONFLICTS = 150;

/** A neighbourhood must be better by a part of the gap, by chance up to this one. */
const STEP = 0.4;

/** Conflicts in which decisions that fit together are found for a first schedule. */
const DECISION_CONFLICTS = 200;

/** A run of the learning search: what it is for, around which schedule, and up to which end a bound is tried. */
interface Attempt {
  readonly forBound: boolean;
  readonly around?: Incumbent;
  readonly target: number;
}

/** One search for a schedule, as far as it has come. */
export class ScheduleSearchRun {
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
  private readonly layouts: Layouts;
  private readonly sizes = new StepSizes();
  private restarts = 0;
  private lucky = false;
  private shakes = 0;
  /** Tasks that are set free once more. */
  private again: Uint8Array | undefined;
  /** Decisions that are tried next, before a schedule says better. */
  private wished: readonly boolean[];
  private branching: Branching | undefined;

  constructor(
    private readonly problem: CompiledProblem,
    seed: number,
    private readonly aim: SearchAim,
  ) {
    this.random = xoroshiro128plus(seed);
    this.layouts = new Layouts(problem);
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
      if (this.problem.minutes.length > MOST_LEARNED || this.shakes < SHAKES) this.shake();
      else this.learn();
    }
    return this.state;
  }

  private take(starts: ArrayLike<number>, decisions: readonly boolean[]): void {
    const { problem } = this.layouts.of(decisions);
    const end = endOf(this.problem, problem, { starts, decisions });
    if (end >= this.bestEnd) return;
    this.best = { starts: Array.from(starts), decisions };
    // Put into words here, once: the state is looked at far more often than a better schedule comes.
    this.placed = named(this.problem, problem, this.best);
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

  private layDown(priority: Float64Array, decisions: readonly boolean[]): void {
    this.nodes++;
    const { problem, blocks } = this.layouts.of(decisions);
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
    return outcome === 'found' ? this.decided(this.model) : undefined;
  }

  private decided({ search, literal }: ScheduleModel): readonly boolean[] {
    return this.problem.literals.map((_, k) => search.bounds.at[2 * literal(k)] === 1);
  }

  /**
   * Lays the tasks down in about the order of the best schedule: by turns all of them a little shaken, or one block put in
   * elsewhere; now and then with other decisions.
   */
  private shake(): void {
    this.shakes++;
    const around = this.best?.starts ?? this.priority;
    const span = Number.isFinite(this.bestEnd) ? this.bestEnd : this.problem.horizon;
    let decisions: readonly boolean[] | undefined = this.best?.decisions;
    if (this.problem.literals.length > 0 && (!decisions || this.shakes % 3 === 0)) {
      const turned = modesTurned(this.problem, this.wished, this.random);
      decisions = this.decide(turned.wished, turned.first);
      if (!decisions) {
        this.nodes++;
        return;
      }
    }
    const own = decisions ?? [];
    const { blocks } = this.layouts.of(own);
    const isWhole = this.shakes % 2 === 0 || blocks.length < 3;
    const priority = isWhole ? shaken(around, span, this.random) : blockMoved(around, blocks, span, this.random);
    this.layDown(priority, own);
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
    const model = (this.model ??= this.begin());
    const { search, end } = model;
    const before = search.conflicts;
    if (this.bestEnd < Infinity && !search.require(2 * end + 1, 1 - this.bestEnd)) return this.close();
    // What has just found something is asked again.
    if (!this.lucky) this.restarts++;
    const attempt = this.nextAttempt();
    const { forBound, around, target } = attempt;
    const limit = around
      ? NEIGHBOURHOOD_CONFLICTS
      : RESTART_UNIT * Math.min(LONGEST_RUN, luby(1 + Math.floor(this.restarts / 3)));
    const choose = this.choiceFor(attempt);
    const assumed = forBound ? [2 * end + 1, -target] : around ? this.assumedAround(around, model) : [];
    search.patience = forBound ? PATIENCE.forBound : PATIENCE.forPlan;
    const outcome = search.run(choose, limit, assumed);
    this.nodes += 1 + search.conflicts - before;
    this.lucky = outcome === (forBound ? 'impossible' : 'found');
    this.conclude(attempt, outcome, model);
  }

  private nextAttempt(): Attempt {
    const turn = TURNS[this.aim][this.restarts % 3];
    const gap = this.bestEnd - 1 - this.bound;
    const forBound = turn === 'bound' && this.best !== undefined && gap > 0;
    const around = turn === 'neighbourhood' ? this.best : undefined;
    return { forBound, ...(around && { around }), target: this.bound + Math.floor(gap * this.sizes.reach) };
  }

  private choiceFor({ forBound, around }: Attempt): Choose {
    const { hottest, sidesFirst, soonest } = this.branching as Branching;
    const isOdd = Math.floor(this.restarts / 3) % 2 === 1;
    if (forBound && isOdd) return sidesFirst;
    return around || forBound || isOdd ? hottest : soonest;
  }

  /** All of a schedule but the tasks set free, and an end that is better by a part of the gap. */
  private assumedAround(around: Incumbent, model: ScheduleModel): number[] {
    const gap = this.bestEnd - 1 - this.bound;
    const least = 1 + Math.floor(STEP * gap * uniformFloat64(this.random) ** 2);
    const { blocks } = this.layouts.of(around.decisions);
    this.again ??= freedTasks(around, { end: this.bestEnd, part: this.sizes.freed, blocks }, this.random);
    return [...keptBut(this.again, around, this.problem, model), 2 * model.end + 1, least - this.bestEnd];
  }

  /** What a run has shown: a better schedule, a higher bound, or that nothing better is left. */
  private conclude({ forBound, around, target }: Attempt, outcome: Outcome, model: ScheduleModel): void {
    const { search, end } = model;
    if (outcome === 'found') {
      const { at } = search.bounds;
      const starts = this.problem.minutes.map((_, i) => at[2 * i]);
      this.take(starts, this.decided(model));
      this.polish();
    } else if (outcome === 'impossible' && !around && (!forBound || !search.require(2 * end, target + 1))) {
      return this.close();
    }
    // Where something was found there may be more.
    if (around && outcome !== 'found') this.again = undefined;
    if (around) this.sizes.afterNeighbourhood(outcome);
    if (forBound) this.sizes.afterBound(outcome);
    search.undoTo(0);
    this.bound = Math.max(this.bound, Math.min(search.bounds.at[2 * end], this.bestEnd));
    this.finish();
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
}
