import { type Assignment, type Assignments, assignments } from './assignments';
import { type DayProblem, type DayTask, isCannerResource, type ScheduledTask, scheduleProblemOf } from './dayProblem';
import { inNumberOrder } from './inNumberOrder';
import { inWords } from './inWords';
import { readProblem } from './search/readProblem';
import { rootBound } from './search/rootBound';
import { type RuleNotMet } from './search/scheduleProblem';
import { type ScheduleSearch, startSearch } from './search/searchSchedule';
import { unmetRule } from './search/unmetRule';
import { type DayQuestion, problemOf } from './questionOfDay';
import { settled } from './settled';
import { heatedFor, hotTooLong } from './waterInTime';

export interface DayPlan {
  readonly tasks: readonly ScheduledTask[];
  readonly makespanMin: number;
  /** No plan that breaks no rule is over before this, whichever canner takes which load. */
  readonly lowerBoundMin: number;
  /** No plan that breaks no rule is over earlier. */
  readonly proven: boolean;
  readonly cannerOf: Assignment;
  /** Batches whose produce spoils before the plan takes it in hand: no plan saves it besides what is more urgent. */
  readonly unsaved: readonly string[];
}

export interface DaySearchState {
  readonly plan?: DayPlan;
  /** Nothing is left to look for: the plan is the best, or there is none. */
  readonly done: boolean;
  readonly nodes: number;
}

export interface DayPlanner {
  readonly kind: 'planner';
  /** Spends about so many nodes more. */
  step(nodes: number): DaySearchState;
  readonly state: DaySearchState;
}

/** A day that cannot be done as it is asked for: why, in a sentence. */
export type DayRefusal =
  | { readonly kind: 'refusal'; readonly cause: 'no-canner' }
  | { readonly kind: 'refusal'; readonly cause: 'rules'; readonly unmet: RuleNotMet };

function waysOf({ batches, canners, ownJars, progress }: DayQuestion): Assignments {
  const usable = canners.filter(({ id }) => !progress?.cannersOut.includes(id));
  return assignments(batches, usable, ownJars, progress?.cannerOf);
}

/** Nodes that one way to share the loads gets before the next is looked at. */
const TURN = 60;

/** Nodes in which a plan that saves so much produce must be found. */
const SAVING_NODES = 400;

/**
 * Looks for the plan of a day that is over first and breaks no rule. Before that, produce is saved: the most urgent first,
 * as much as goes.
 */
export function planDay(question: DayQuestion): DayPlanner | DayRefusal {
  const urgent = [...(question.useBy ?? [])].sort(([, a], [, b]) => a - b);
  const saving = (saved: number) => {
    const unsaved = urgent.slice(saved).map(([batchId]) => batchId);
    return planWith({ ...question, useBy: new Map(urgent.slice(0, saved)) }, unsaved);
  };
  const least = saving(0);
  if (least.kind === 'refusal' || urgent.length === 0) return least;
  // How many of the most urgent batches are to be saved: one less, once no plan for them was found.
  let saved = urgent.length;
  let tried = saving(saved);
  let spent = 0;
  const settle = () => {
    while (tried.kind === 'refusal' || (!tried.state.plan && (tried.state.done || tried.state.nodes >= SAVING_NODES))) {
      if (saved === 0) break;
      spent += tried.kind === 'refusal' ? 0 : tried.state.nodes;
      saved--;
      tried = saved === 0 ? least : saving(saved);
    }
    const { state } = tried as DayPlanner;
    return { ...state, nodes: spent + state.nodes };
  };
  return {
    kind: 'planner',
    step: (nodes) => {
      settle();
      (tried as DayPlanner).step(nodes);
      return settle();
    },
    get state() {
      return settle();
    },
  };
}

/**
 * Looks for the plan of a day that is over first: every way to share the loads among the canners is searched side by
 * side, the most promising first, and left aside once it can no longer win.
 */
function planWith(question: DayQuestion, unsaved: readonly string[]): DayPlanner | DayRefusal {
  const { ways, complete } = waysOf(question);
  if (ways.length === 0) return { kind: 'refusal', cause: 'no-canner' };
  const open: Way[] = [];
  let unmet: RuleNotMet | undefined;
  for (const cannerOf of ways) {
    const problem = problemOf(question, cannerOf);
    const search = startSearch(scheduleProblemOf(problem), { seed: question.seed });
    if (search.kind === 'ruleNotMet') unmet ??= inWords(search, problem, question.canners);
    else open.push({ cannerOf, problem, search, heatedFor: new Map() });
  }
  if (open.length === 0 && unmet) return { kind: 'refusal', cause: 'rules', unmet };
  const run = new Run(question, unsaved, open, complete ? undefined : boundOfAny(question, open));
  return {
    kind: 'planner',
    step: (nodes) => run.step(nodes),
    get state() {
      return run.state;
    },
  };
}

/** Why a day that the search proved impossible cannot be done: {@link unmetRule} in words. */
export function whyNot(question: DayQuestion, onTry?: () => void): RuleNotMet {
  const problem = problemOf(question, waysOf(question).ways[0]);
  return inWords(unmetRule(scheduleProblemOf(problem), onTry), problem, question.canners);
}

/** No day is over before this, whichever canner takes which load: canners left out, and heated in no time. */
function boundOfAny(question: DayQuestion, ways: readonly Way[]): number {
  const problem = ways[0]?.problem ?? problemOf(question);
  const relaxed = problem.tasks.map((task) => ({
    ...task,
    needs: Object.fromEntries(Object.entries(task.needs).filter(([id]) => !isCannerResource(id))),
  }));
  const heating = ['preheat', 'heat-up'];
  const minutesOf = ({ kind, minutes }: DayTask) => (heating.includes(kind) ? 0 : minutes.p50);
  const read = readProblem(scheduleProblemOf({ ...problem, tasks: relaxed }, minutesOf));
  return 'kind' in read ? 0 : rootBound(read) / read.scale;
}

interface Way {
  readonly cannerOf: Assignment;
  /** Which task each canner's water is heated for, where that is asked for. */
  readonly heatedFor: ReadonlyMap<string, string>;
  readonly problem: DayProblem;
  readonly search: ScheduleSearch;
}

class Run {
  private nodes = 0;
  private readonly ways: Way[];
  private readonly looked = new Map<Way, { readonly makespan: number; readonly early: ReadonlyMap<string, string> }>();
  private shown: { way: Way; makespan: number; tasks: readonly ScheduledTask[]; cannerOf: Assignment } | undefined;

  constructor(
    private readonly question: DayQuestion,
    private readonly unsaved: readonly string[],
    ways: readonly Way[],
    /** Where ways were left out: a bound that holds for them too. */
    private readonly boundOfRest?: number,
  ) {
    this.ways = [...ways];
  }

  get state(): DaySearchState {
    const way = this.best();
    const done = this.next() === undefined;
    if (!way) return { done, nodes: this.nodes };
    const makespanMin = way.search.state.makespan as number;
    const bounds = this.ways
      .filter(({ search }) => !search.state.impossible)
      .map(({ search }) => search.state.lowerBound);
    const lowerBoundMin = Math.min(makespanMin, this.boundOfRest ?? Infinity, ...bounds);
    const { tasks, cannerOf } = this.shownFor(way, makespanMin);
    const plan = {
      tasks,
      makespanMin,
      lowerBoundMin,
      proven: lowerBoundMin >= makespanMin,
      cannerOf,
      unsaved: this.unsaved,
    };
    return { plan, done, nodes: this.nodes };
  }

  step(nodes: number): DaySearchState {
    const until = this.nodes + nodes;
    for (let way = this.next(); way && this.nodes < until; way = this.next()) {
      const before = way.search.state.nodes;
      const { nodes: after } = way.search.step(Math.min(TURN, until - this.nodes));
      this.nodes += Math.max(1, after - before);
    }
    return this.state;
  }

  /** The way that is over first, with water that is hot in time; one with water that stands hot too long only where there is no other. */
  private best(): Way | undefined {
    const planned = this.ways.filter(({ search }) => search.state.makespan !== undefined);
    const inTime = planned.filter((way) => this.waterOf(way).size === 0);
    return least(inTime.length > 0 ? inTime : planned, ({ search }) => search.state.makespan as number);
  }

  /** The canners whose water a way heats too early. Each way that does is searched once more with its water tied to its jars. */
  private waterOf(way: Way): ReadonlyMap<string, string> {
    const makespan = way.search.state.makespan as number;
    const known = this.looked.get(way);
    if (known?.makespan === makespan) return known.early;
    const early = hotTooLong(this.placed(way));
    this.looked.set(way, { makespan, early });
    const asked = new Map([...way.heatedFor, ...early]);
    const isKnown = this.ways.some(
      ({ cannerOf, heatedFor: other }) =>
        cannerOf === way.cannerOf &&
        other.size === asked.size &&
        [...asked].every(([id, task]) => other.get(id) === task),
    );
    if (early.size > 0 && !isKnown) {
      const problem = heatedFor(way.problem, asked);
      const search = startSearch(scheduleProblemOf(problem), { seed: this.question.seed });
      if (search.kind !== 'ruleNotMet') this.ways.push({ ...way, heatedFor: asked, problem, search });
    }
    return early;
  }

  private placed(way: Way): ScheduledTask[] {
    const byId = new Map(way.problem.tasks.map((task) => [task.id, task]));
    const placed = (way.search.state.tasks ?? []).flatMap(({ id, start, end }): ScheduledTask[] => {
      const task = byId.get(id);
      return task ? [{ task, startMin: start, endMin: end }] : [];
    });
    return settled(way.problem, placed);
  }

  /** The way that could still win, the lowest bound first, and among equals the least searched. */
  private next(): Way | undefined {
    const best = this.best();
    const isInTime = best !== undefined && this.waterOf(best).size === 0;
    const end = isInTime ? (best.search.state.makespan as number) : Infinity;
    const open = this.ways.filter(
      ({ search: { state } }) => !state.proven && !state.impossible && state.lowerBound < end,
    );
    // Until there is a plan with water in time, ways whose water is early stand back for those it is tied in.
    const first = isInTime
      ? open
      : open.filter((way) => way.search.state.makespan === undefined || this.waterOf(way).size === 0);
    return least(first.length > 0 ? first : open, ({ search: { state } }) => state.lowerBound + state.nodes * 1e-6);
  }

  /** The schedule with its loads in the order of their numbers, as far as they stand for each other. */
  private shownFor(way: Way, makespan: number): Pick<DayPlan, 'tasks' | 'cannerOf'> {
    if (this.shown?.way === way && this.shown.makespan === makespan) return this.shown;
    const laid = this.placed(way);
    // What has begun keeps its name: loads are only told apart before that.
    const { tasks, cannerOf } = this.question.progress
      ? { tasks: laid, cannerOf: way.cannerOf }
      : inNumberOrder(this.question, way.cannerOf, laid);
    this.shown = { way, makespan, tasks, cannerOf };
    return this.shown;
  }
}

function least<Item>(items: readonly Item[], worth: (item: Item) => number): Item | undefined {
  return items.reduce<Item | undefined>(
    (best, item) => (best === undefined || worth(item) < worth(best) ? item : best),
    undefined,
  );
}
