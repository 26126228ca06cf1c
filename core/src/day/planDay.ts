import { ableCanners } from './ableCanners';
import { type Assignment } from './dayKitchen';
import { type DayModel, dayModel } from './dayModel';
import { endOfDay, type ScheduledTask } from './dayProblem';
import { inNumberOrder } from './inNumberOrder';
import { inWords } from './inWords';
import { type RuleNotMet } from '../scheduling/scheduleProblem';
import { type ScheduleSearch, startSearch } from '../scheduling/searchSchedule';
import { type SearchAim } from '../scheduling/searchState';
import { unmetRule } from '../scheduling/unmetRule';
import { type DayQuestion, problemOf } from './questionOfDay';
import { compactSchedule } from './compactSchedule';

export interface DayPlan {
  readonly tasks: readonly ScheduledTask[];
  readonly makespanMin: number;
  /** No plan that breaks no rule is over before this, whichever canner takes which load. */
  readonly lowerBoundMin: number;
  /** No plan that breaks no rule is over earlier. */
  readonly proven: boolean;
  readonly cannerOf: Assignment;
  /** Water is hot in time and no longer than it should be; false only where no plan keeps that. */
  readonly isWaterInTime: boolean;
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

/** Nodes in which a plan that saves so much produce must be found, or it is taken for one that is not there. */
const SAVING_NODES = 400;

/**
 * What is easily in time, or plainly not, is known after so many. Else another search looks as well, turn by turn: most of the nodes
 * are its own, since a plan that is there is what is waited for.
 */
const ALONE_NODES = 120;
const TURN_NODES = 100;
/** Nodes of it to each of the first. */
const SCOUT_PART = 4;

/**
 * Looks for the plan of a day that is over first and breaks no rule. Before that, produce is saved: all of it, or the most
 * urgent first and then each of the others that can be saved besides.
 *
 * @param aim "bound" for a second search beside the first, whose bound holds for its plan where both save the same produce and
 *   keep the same rule for water; its own plans are not meant to be shown
 */
export function planDay(question: DayQuestion, aim: SearchAim = 'plan'): DayPlanner | DayRefusal {
  const urgent = [...(question.useBy ?? [])].sort(([, a], [, b]) => a - b).map(([batchId]) => batchId);
  const searches: DayPlanner[] = [];
  const saving = (saved: readonly string[]) => {
    const useBy = new Map([...(question.useBy ?? [])].filter(([batchId]) => saved.includes(batchId)));
    const unsaved = urgent.filter((batchId) => !saved.includes(batchId));
    const search = planWith({ ...question, useBy }, unsaved, aim);
    if (search.kind === 'planner') searches.push(search);
    return search;
  };
  const least = saving([]);
  if (least.kind === 'refusal' || urgent.length === 0) return least;
  let tried: ReturnType<typeof saving> = saving(urgent);
  /** What is saved for sure, and by which search; undefined until it is known that not all can be. */
  let kept: { saved: readonly string[]; by: DayPlanner; next: number } | undefined;
  let isSettled = false;
  const tryNext = () => {
    kept ??= { saved: [], by: least, next: 0 };
    const next = urgent[kept.next];
    // All together was tried first.
    const isAll = kept.saved.length === urgent.length - 1;
    isSettled = next === undefined || isAll;
    tried = next === undefined || isAll ? kept.by : saving([...kept.saved, next]);
  };
  const settle = () => {
    while (!isSettled) {
      const state = tried.kind === 'planner' ? tried.state : undefined;
      if (tried.kind === 'planner' && state?.plan) {
        if (!kept) isSettled = true;
        else {
          kept = { saved: [...kept.saved, urgent[kept.next] as string], by: tried, next: kept.next + 1 };
          tryNext();
        }
      } else if (state && !state.done && state.nodes < SAVING_NODES) break;
      else {
        if (kept) kept = { ...kept, next: kept.next + 1 };
        tryNext();
      }
    }
    const nodes = searches.reduce((sum, search) => sum + search.state.nodes, 0);
    return { ...(tried as DayPlanner).state, nodes };
  };
  return {
    kind: 'planner',
    step: (nodes) => {
      let state = settle();
      const until = state.nodes + nodes;
      while (!state.done && state.nodes < until) {
        (tried as DayPlanner).step(until - state.nodes);
        state = settle();
      }
      return state;
    },
    get state() {
      return settle();
    },
  };
}

/**
 * Looks for the plan of a day that is over first, with water that is hot in time; one with water that stands hot too long only
 * where no other keeps the rules.
 */
function planWith(question: DayQuestion, unsaved: readonly string[], aim: SearchAim): DayPlanner | DayRefusal {
  const able = ableCanners(question);
  if ([...able.values()].some((ids) => ids.length === 0)) return { kind: 'refusal', cause: 'no-canner' };
  const begin = (isTied: boolean) => {
    const model = dayModel(question, able, { isTied });
    return { model, search: startSearch(model.problem, { seed: question.seed, aim }) };
  };
  const loose = () => {
    const { model, search } = begin(false);
    return search.kind === 'search' ? { model, search, isTied: false } : undefined;
  };
  const { model, search } = begin(true);
  const own = search.kind === 'search' ? { model, search, isTied: true } : loose();
  if (!own) {
    const unmet = search as RuleNotMet;
    return { kind: 'refusal', cause: 'rules', unmet: inWords(unmet, model.told, question.canners) };
  }
  const run = new Run(question, unsaved, { first: own, looseOf: loose, scoutOf: () => scoutOf(question, able, aim) });
  return {
    kind: 'planner',
    step: (nodes) => run.step(nodes),
    get state() {
      return run.state;
    },
  };
}

/**
 * Where all is to be over by a time: the same day without that. Whatever it finds that is over in time is a plan of the day as asked,
 * and as a search that has plans to better it finds one sooner.
 */
function scoutOf(question: DayQuestion, able: ReturnType<typeof ableCanners>, aim: SearchAim): Searched | undefined {
  if (question.overByMin === undefined || aim === 'bound') return undefined;
  const model = dayModel({ ...question, overByMin: undefined }, able, { isTied: true });
  const search = startSearch(model.problem, { seed: question.seed, aim });
  return search.kind === 'search' ? { model, search, isTied: true } : undefined;
}

/** Why a day that the search proved impossible cannot be done: {@link unmetRule} in words. */
export function whyNot(question: DayQuestion, onTry?: () => void): RuleNotMet {
  const { problem, told } = dayModel(question, ableCanners(question), { isTied: false });
  return inWords(unmetRule(problem, onTry), told, question.canners);
}

interface Searched {
  readonly model: DayModel;
  readonly isTied: boolean;
  readonly search: ScheduleSearch;
}

class Run {
  private shown: { makespan: number; searched: Searched; plan: Pick<DayPlan, 'tasks' | 'cannerOf'> } | undefined;

  constructor(
    private readonly question: DayQuestion,
    private readonly unsaved: readonly string[],
    private readonly searches: {
      readonly first: Searched;
      /** The same day without what ties water to its jars, where there is such a search. */
      looseOf(): Searched | undefined;
      /** The same day without a time by which all is over, where one is asked for. */
      scoutOf(): Searched | undefined;
    },
  ) {}

  private loose: Searched | undefined;
  private scout: Searched | undefined;
  private isScouted = false;

  /** The one that is asked now: what was found in time by whoever knew of no time; another once nothing keeps all rules of the first. */
  private get own(): Searched {
    const { first, looseOf } = this.searches;
    const { scout } = this;
    if (scout && (scout.search.state.makespan ?? Infinity) <= (this.question.overByMin ?? Infinity)) return scout;
    if (!first.search.state.impossible) return first;
    this.loose ??= looseOf();
    return this.loose ?? first;
  }

  private get nodes(): number {
    return [this.searches.first, this.scout, this.loose].reduce(
      (sum, each) => sum + (each?.search.state.nodes ?? 0),
      0,
    );
  }

  get state(): DaySearchState {
    const { search } = this.own;
    const { makespan, lowerBound, proven } = search.state;
    const { nodes } = this;
    const done = isOver(search);
    if (makespan === undefined) return { done, nodes };
    const shown = this.shownFor(this.own, makespan);
    const plan = {
      ...shown,
      // An errand that found a better time may have made room.
      makespanMin: Math.min(makespan, endOfDay(shown.tasks)),
      ...{ lowerBoundMin: lowerBound, proven, unsaved: this.unsaved },
      isWaterInTime: this.own.isTied,
    };
    return { plan, done, nodes };
  }

  step(nodes: number): DaySearchState {
    const until = this.nodes + nodes;
    while (!isOver(this.own.search) && this.nodes < until) {
      const { search, most } = this.next();
      search.step(Math.min(until - this.nodes, most));
    }
    return this.state;
  }

  /** Whose turn it is, and for how many nodes. */
  private next(): { search: ScheduleSearch; most: number } {
    const { search } = this.own;
    const { nodes, makespan } = search.state;
    if (makespan !== undefined || search === this.scout?.search) return { search, most: Infinity };
    if (nodes < ALONE_NODES) return { search, most: ALONE_NODES - nodes };
    if (!this.isScouted) this.scout = this.searches.scoutOf();
    this.isScouted = true;
    const scout = this.scout?.search;
    if (!scout || isOver(scout)) return { search, most: Infinity };
    const due = SCOUT_PART * (nodes - ALONE_NODES + TURN_NODES) - scout.state.nodes;
    return due > 0 ? { search: scout, most: due } : { search, most: TURN_NODES };
  }

  /** The schedule with its loads in the order of their numbers, as far as they stand for each other. */
  private shownFor(searched: Searched, makespan: number): Pick<DayPlan, 'tasks' | 'cannerOf'> {
    if (this.shown?.searched === searched && this.shown.makespan === makespan) return this.shown.plan;
    const { tasks = [], decisions = new Map<string, boolean>() } = searched.search.state;
    const found = { placed: [...tasks], cannerOf: searched.model.cannerOf(decisions) };
    // What has begun keeps its name: loads are only told apart before that.
    const { placed, cannerOf } = this.question.progress
      ? found
      : inNumberOrder(this.question, found.cannerOf, found.placed);
    const problem = problemOf(this.question, cannerOf);
    const at = new Map(placed.map((entry) => [entry.id, entry]));
    const laid = problem.tasks.map((task): ScheduledTask => {
      const own = at.get(task.id);
      if (!own) throw new RangeError(`the search left out ${JSON.stringify(task.id)}`);
      return { task, startMin: own.start, endMin: own.end };
    });
    const plan = { tasks: compactSchedule(problem, laid), cannerOf };
    this.shown = { searched, makespan, plan };
    return plan;
  }
}

function isOver({ state: { proven, impossible } }: ScheduleSearch): boolean {
  return proven || impossible;
}
