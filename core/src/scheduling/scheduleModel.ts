import { conflictsOf } from './conflicts';
import { Energy } from './energy';
import { LearningSearch } from './learningSearch';
import { symmetryBreaking } from './symmetryBreaking';
import { type CompiledProblem, type CompiledResource } from './compiledProblem';
import { reachable } from './reachable';
import { supplyOf, supplyUntil } from './supply';
import { type Holding, Timetable } from './timetable';
import { type Train } from './trains';
import { unionOf } from './unionOf';

/** So many pairs of tasks are decided one by one; beyond that a resource is watched by its time-table alone. */
const MOST_PAIRS = 30_000;
/** Part of a resource that its users have work for until the lower bound: where it is less, energy tells nothing. */
const SCARCE = 0.4;
/** Resources with more users than this are watched without the bounds of energy. */
const MOST_ENERGY = 150;

/** Two tasks, or the first of two trains, that cannot have a resource at once, or only in some stretch of time. */
export interface Pair {
  readonly first: number;
  readonly second: number;
  /** Variables that are 1 when the first goes before the second, and the other way round; one and the same for a plain pair. */
  readonly before: number;
  readonly after: number;
}

/** On which side of a closed time a task lies: its variable is 1 where the task starts at `from` or later. */
export interface Side {
  readonly task: number;
  readonly from: number;
  readonly variable: number;
}

/** A problem as the learning search sees it: one variable a task (its start), one for the end of all, then the Booleans. */
export interface ScheduleModel {
  readonly search: LearningSearch;
  readonly tasks: number;
  /** Variable of the end of all. */
  readonly end: number;
  /** Variable of decision k of the problem. */
  readonly literal: (k: number) => number;
  readonly pairs: readonly Pair[];
  readonly sides: readonly Side[];
  readonly variables: number;
}

/** A literal: its variable of bounds, and what that is to reach. */
type Told = readonly [boundVar: number, bound: number];

/** The constraints of a problem, over variables that are made as they are needed. */
class Builder {
  readonly least: number[] = [];
  readonly most: number[] = [];
  readonly rules: ((search: LearningSearch) => void)[] = [];

  variable(least: number, most: number): number {
    this.least.push(least);
    return this.most.push(most) - 1;
  }

  link(from: number, to: number, gap: number, when?: Told): void {
    this.rules.push((search) => search.addDifference(from, to, gap, when?.[0], when?.[1]));
  }

  clause(...literals: readonly Told[]): void {
    this.rules.push((search) => search.addClause(literals.flat()));
  }
}

const opposite = ([boundVar, bound]: Told): Told => [boundVar ^ 1, 1 - bound];
const isOne = (variable: number): Told => [2 * variable, 1];

/**
 * The model of a problem whose end lies between a lower bound and some later time: what is closed or gone after that is left out.
 *
 * @param upperBound no schedule that ends later is asked for
 */
export function scheduleModel(asked: CompiledProblem, lowerBound: number, upperBound: number): ScheduleModel {
  const problem = until(asked, upperBound);
  const { minutes, earliest, latest, tail, horizon, presence, modes } = problem;
  const tasks = minutes.length;
  const build = new Builder();
  for (const [i, at] of earliest.entries()) build.variable(at, latest[i]);
  const end = build.variable(lowerBound, horizon);
  const zero = build.variable(0, 0);
  const literals = problem.literals.map(() => build.variable(0, 1));
  const told = (literal: number): Told | undefined => {
    if (literal === 0) return undefined;
    const variable = literals[Math.abs(literal) - 1];
    return literal > 0 ? [2 * variable, 1] : [2 * variable + 1, 0];
  };
  for (const clause of problem.clauses) build.clause(...clause.map((literal) => told(literal) as Told));
  const both = conjunctions(build);
  const sides: Side[] = [];
  const touches = touching(build, minutes, zero);

  for (const { from, to, when, least, most } of problem.lags) {
    const condition = told(when);
    build.link(from, to, minutes[from] + least, condition);
    const longer = (modes[from] ?? []).filter((mode) => mode.minutes > minutes[from]);
    for (const mode of longer) build.link(from, to, mode.minutes + least, both(condition, told(mode.when)));
    if (most === Infinity) continue;
    const longest = Math.max(minutes[from], ...longer.map((mode) => mode.minutes));
    build.link(to, from, -longest - most, condition);
    if (longer.length === 0) continue;
    for (const mode of modes[from] ?? []) build.link(to, from, -mode.minutes - most, both(condition, told(mode.when)));
  }
  for (const [i, own] of problem.holes.entries()) {
    build.rules.push((search) => search.addForbiddenStarts(i, own));
    for (const [first, last] of own) {
      // What must be decided of a night or a meal is before or after it, and not to the minute.
      if (first <= earliest[i] || last >= latest[i]) continue;
      const variable = build.variable(0, 1);
      build.link(zero, i, last + 1, isOne(variable));
      build.link(i, zero, 1 - first, opposite(isOne(variable)));
      sides.push({ task: i, from: last + 1, variable });
    }
    const after = tail[i];
    if (after > -Infinity) {
      build.link(i, end, minutes[i] + after, told(presence[i]));
      for (const mode of modes[i] ?? []) {
        if (mode.minutes > minutes[i]) build.link(i, end, mode.minutes + after, told(mode.when));
      }
    }
    const due = problem.dues[i];
    if (due === Infinity) continue;
    build.link(i, zero, minutes[i] - due, told(presence[i]));
    for (const mode of modes[i] ?? []) build.link(i, zero, mode.minutes - due, told(mode.when));
  }

  const reach = reachable(problem);
  const pairs: Pair[] = [];
  const known = new Map<string, Pair>();
  const energies: Energy[] = [];
  const resources = [...problem.resources, ...unionOf(problem)];
  for (const resource of [...resources].sort((a, b) => a.users.length - b.users.length)) {
    const supply = supplyOf(resource);
    const { all, conflicts } = conflictsOf(problem, resource, supply, reach);
    const isFew = pairs.length + conflicts.length <= MOST_PAIRS;
    for (const { a, b, stretches, when } of isFew ? conflicts : []) {
      const key = `${a.tasks.join()} ${b.tasks.join()}`;
      let pair = known.get(key);
      const isOpen = stretches.length > 0 || when.some((each) => each !== 0);
      if (!pair) {
        const before = build.variable(0, 1);
        // A plain pair needs no second variable: what is not before is after.
        const after = isOpen ? build.variable(0, 1) : before;
        pair = { first: a.tasks[0], second: b.tasks[0], before, after };
        known.set(key, pair);
        pairs.push(pair);
        order(build, problem, a, b, isOne(before), both, told);
        order(build, problem, b, a, isOpen ? isOne(after) : opposite(isOne(before)), both, told);
        if (isOpen) build.clause(opposite(isOne(before)), opposite(isOne(after)));
      }
      if (!isOpen) {
        if (pair.before !== pair.after) build.clause(isOne(pair.before), isOne(pair.after));
        continue;
      }
      if (pair.before === pair.after) continue;
      const absent = when.flatMap((each) => (each === 0 ? [] : [opposite(told(each) as Told)]));
      if (stretches.length === 0) build.clause(isOne(pair.before), isOne(pair.after), ...absent);
      for (const {
        tasks: [task],
      } of stretches.length > 0 ? [a, b] : []) {
        build.clause(isOne(pair.before), isOne(pair.after), touches(task, stretches), ...absent);
      }
    }
    const holdings = holdingsOf(build, resource, told);
    const varies = resource.taken.length > 0 || holdings.closed.length > 0;
    if (!all || !isFew || varies) {
      build.rules.push((search) =>
        search.addPropagator(new Timetable(resource.capacity, [...holdings.users, ...holdings.closed])),
      );
    }
    if (holdings.users.length <= MOST_ENERGY && isScarce(resource, supplyUntil(lowerBound, supply))) {
      energies.push(new Energy(holdings.users, supply));
    }
  }
  for (const firsts of symmetryBreaking(problem)) {
    for (let k = 1; k < firsts.length; k++) build.link(firsts[k - 1], firsts[k], 0);
  }
  const search = new LearningSearch(build.least, build.most);
  for (const rule of build.rules) rule(search);
  // The dearest last: they are asked when all others have nothing more to say.
  for (const energy of energies) search.addPropagator(energy);
  return {
    ...{ search, tasks, end, pairs, sides, variables: build.least.length },
    literal: (k) => literals[k],
  };
}

/**
 * A problem as far as some time. One that does not count may lie later. An optional task that is not there may lie anywhere, and so at
 * its earliest start: as long as that is in time, no later one is asked for.
 */
function until(problem: CompiledProblem, end: number): CompiledProblem {
  const { minutes, tail, presence, earliest, latest, holes, resources } = problem;
  const inTime = (i: number) => end - tail[i] - minutes[i];
  const isWithin = (i: number) => tail[i] > -Infinity && (presence[i] === 0 || inTime(i) >= earliest[i]);
  const last = minutes.reduce((most, own, i) => (tail[i] > -Infinity ? most : Math.max(most, latest[i] + own)), end);
  const before = ([from]: readonly [number, number]) => from < last;
  return {
    ...problem,
    horizon: end,
    latest: latest.map((at, i) => (isWithin(i) ? Math.min(at, inTime(i)) : at)),
    holes: holes.map((own, i) => (isWithin(i) ? own.filter(([from]) => from < end) : own)),
    resources: resources.map((resource) => ({
      ...resource,
      closed: resource.closed.filter(before),
      taken: resource.taken.filter(({ from }) => from < last),
    })),
  };
}

/** Whether there is so much to do on a resource that its work may bind: near half of what there is of it in its hours, or more. */
function isScarce({ users }: CompiledResource, available: number): boolean {
  const tasks = new Map<number, number>();
  for (const { task, amount, minutes } of users) tasks.set(task, Math.max(tasks.get(task) ?? 0, amount * minutes));
  const work = [...tasks.values()].reduce((sum, each) => sum + each, 0);
  return tasks.size > 2 && work > SCARCE * available;
}

/** A literal for two that are told at once; it holds where both do. */
function conjunctions(build: Builder) {
  const known = new Map<string, Told>();
  return (a: Told | undefined, b: Told | undefined): Told | undefined => {
    if (!a || !b || (a[0] === b[0] && a[1] === b[1])) return a ?? b;
    const key = [a, b]
      .map((each) => each.join())
      .sort()
      .join(' ');
    const own = known.get(key) ?? isOne(build.variable(0, 1));
    if (!known.has(key)) {
      known.set(key, own);
      build.clause(own, opposite(a), opposite(b));
      build.clause(opposite(own), a);
      build.clause(opposite(own), b);
    }
    return own;
  };
}

/** Train a is over before train b begins, as soon as a literal holds. */
function order(
  build: Builder,
  { minutes, modes, presence }: CompiledProblem,
  a: Train,
  b: Train,
  when: Told,
  both: ReturnType<typeof conjunctions>,
  told: (literal: number) => Told | undefined,
): void {
  // From the last that is always there on, to the first that is: what is optional may be missing.
  const isSure = (task: number) => presence[task] === 0;
  const lastSure = a.tasks.findLastIndex(isSure);
  const firstSure = b.tasks.findIndex(isSure);
  const lasts = a.tasks.slice(Math.max(0, lastSure));
  const firsts = firstSure < 0 ? b.tasks : b.tasks.slice(0, firstSure + 1);
  for (const last of lasts) {
    for (const first of firsts) {
      const least = minutes[last];
      const there = both(told(presence[last]), told(presence[first]));
      build.link(last, first, least, both(when, there));
      for (const mode of modes[last] ?? []) {
        if (mode.minutes > least) build.link(last, first, mode.minutes, both(both(when, there), told(mode.when)));
      }
    }
  }
}

/** Literals that a task runs within some stretches for a while, as far as their first and last moment tell. */
function touching(build: Builder, minutes: readonly number[], zero: number) {
  const known = new Map<string, Told>();
  return (task: number, stretches: readonly { from: number; to: number }[]): Told => {
    const from = Math.min(...stretches.map((each) => each.from));
    const to = Math.max(...stretches.map((each) => each.to));
    const key = [task, from, to].join();
    const own = known.get(key) ?? isOne(build.variable(0, 1));
    if (!known.has(key)) {
      known.set(key, own);
      build.link(zero, task, from - minutes[task] + 1, own);
      if (to < Infinity) build.link(task, zero, 1 - to, own);
    }
    return own;
  };
}

/** Who holds a resource, and what is gone of it like something that cannot be moved. */
function holdingsOf(
  build: Builder,
  { users, taken, closed, capacity }: CompiledResource,
  told: (literal: number) => Told | undefined,
): { users: Holding[]; closed: Holding[] } {
  const always = { boundVar: -1, bound: 0 };
  const own = users.map(({ task, minutes, amount, when }): Holding => {
    const literal = told(when);
    return { start: task, minutes, amount, ...(literal ? { boundVar: literal[0], bound: literal[1] } : always) };
  });
  // Closed times are kept by the starts themselves, but for what takes longer in one of its modes.
  const shut = users.some(({ when }) => when !== 0) ? closed : [];
  const blocks = [...taken, ...shut.map(([from, to]) => ({ from, to, amount: capacity }))];
  return {
    users: own,
    closed: blocks.map(({ from, to, amount }) => ({
      start: build.variable(from, from),
      minutes: to - from,
      amount,
      ...always,
    })),
  };
}
