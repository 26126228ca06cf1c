import { closedTimesOf, holesOf, merged, openFrom } from './holes';
import { literalsOf } from './literals';
import { type Lag, type RuleNotMet, type ScheduleProblem, type SearchTask } from './scheduleProblem';

/** A problem in whole numbers: tasks and resources by index, times in `1 / scale` minutes. */
export interface ReadProblem {
  readonly scale: number;
  readonly ids: readonly string[];
  /** Of a task with modes: the least of them. */
  readonly minutes: readonly number[];
  /** Literal under which each task is there, as {@link Literals} numbers them; 0 for one that always is. */
  readonly presence: readonly number[];
  /** The ways to do each task; none for one that is done in one way alone. */
  readonly modes: readonly (readonly ReadMode[])[];
  /** Names of the Boolean decisions; what was added to tell two of them at once has none of the problem's. */
  readonly literals: readonly string[];
  /** The two that an added decision tells at once, by its number less 1. */
  readonly conjunctions: ReadonlyMap<number, readonly [number, number]>;
  readonly clauses: readonly (readonly number[])[];
  readonly resources: readonly ReadResource[];
  readonly lags: readonly ReadLag[];
  /** Starts at which a task would run across a closed time of what it needs: first and last, in order. */
  readonly holes: readonly (readonly (readonly [first: number, last: number])[])[];
  /** Earliest and latest start by release, due time, closed times and lags alone. */
  readonly earliest: readonly number[];
  readonly latest: readonly number[];
  /** Due times of tasks that are optional or have modes; Infinity for all others, whose latest start says it. */
  readonly dues: readonly number[];
  /** Least time from a task's end to the end of all. */
  readonly tail: readonly number[];
  /** A schedule that breaks no rule need not be longer. */
  readonly horizon: number;
}

export interface ReadResource {
  readonly id: string;
  readonly capacity: number;
  readonly closed: readonly (readonly [from: number, to: number])[];
  readonly taken: readonly { readonly from: number; readonly to: number; readonly amount: number }[];
  readonly users: readonly ReadUser[];
}

export interface ReadMode {
  readonly when: number;
  readonly minutes: number;
}

/** A task that holds some of a resource, for so long, where a literal holds (0: always). */
export interface ReadUser {
  readonly task: number;
  readonly amount: number;
  readonly minutes: number;
  readonly when: number;
}

/**
 * start of `to` >= end of `from` + least, and <= end of `from` + most, where the literal `when` holds (0: always). The end is
 * meant with the minutes of the mode that is chosen.
 */
export interface ReadLag {
  readonly when: number;
  readonly from: number;
  readonly to: number;
  readonly least: number;
  readonly most: number;
}

/** Parts of a minute that times may be given in. */
const SCALES = [1, 2, 4, 10, 20, 60, 100, 1_000];

/** As far as a bound may go. */
const LARGEST = 1_000_000_000;

/**
 * Puts a problem into whole numbers and draws the first conclusions from its lags and closed times.
 *
 * @returns the first rule that cannot be met whatever else holds: too little of a resource, a task longer than any open
 *   time, lags that contradict each other, a due time that is too soon
 * @throws RangeError for ids that are unknown or used twice, tasks that wait for each other in a circle, and numbers that
 *   are not 0 or more
 */
export function readProblem(problem: ScheduleProblem): ReadProblem | RuleNotMet {
  checkNumbers(problem);
  const { tasks } = problem;
  const indexOf = indexes(
    tasks.map(({ id }) => id),
    'task',
  );
  const resourceIndex = indexes(
    problem.resources.map(({ id }) => id),
    'resource',
  );
  const scale = scaleOf(problem);
  const whole = (minutes: number) => Math.round(minutes * scale);
  const literals = literalsOf(problem);
  const presence = tasks.map((task) => literals.of(task.presence));
  const modes = tasks.map((task) =>
    (task.modes ?? []).map((mode): ReadMode => ({ when: literals.of(mode.when), minutes: whole(mode.minutes) })),
  );
  const minutes = tasks.map((task, i) =>
    task.modes ? Math.min(...(modes[i] as ReadMode[]).map((mode) => mode.minutes)) : whole(task.minutes),
  );

  const users = problem.resources.map((): ReadUser[] => []);
  for (const [i, task] of tasks.entries()) {
    const ways = task.modes?.map((mode, m) => ({
      needs: added(task.needs, mode.needs),
      minutes: modes[i]?.[m]?.minutes ?? 0,
      when: modes[i]?.[m]?.when ?? 0,
    })) ?? [{ needs: task.needs, minutes: minutes[i] as number, when: presence[i] as number }];
    for (const way of ways) {
      for (const [id, amount] of Object.entries(way.needs)) {
        const r = resourceIndex.get(id);
        if (r === undefined) throw new RangeError(`task ${quote(task.id)} needs ${quote(id)}, which is no resource`);
        const capacity = problem.resources[r]?.capacity ?? 0;
        if (amount > capacity) {
          if (way.when === 0) {
            return notMet(`${quote(task.id)} needs ${amount} of ${quote(id)}, and there are ${capacity}.`, [task.id]);
          }
          literals.clauses.push([-way.when]);
        } else if (amount > 0 && way.minutes > 0) {
          users[r]?.push({ task: i, amount, minutes: way.minutes, when: way.when });
        }
      }
    }
  }
  for (const [r, own] of users.entries()) users[r] = inAnyMode(own, modes, presence);
  const resources = problem.resources.map(({ id, capacity, closed = [], taken = [] }, r): ReadResource => ({
    id,
    capacity,
    closed: merged(closed.map(([from, to]) => [Math.floor(from * scale), Math.ceil(to * scale)] as const)),
    taken: taken.map(({ from, to, amount }) => ({
      from: Math.floor(from * scale),
      to: Math.ceil(to * scale),
      amount,
    })),
    users: users[r] ?? [],
  }));

  const lags: ReadLag[] = [];
  for (const [to, task] of tasks.entries()) {
    for (const lag of task.after ?? []) {
      const { task: id, minLag = 0, maxLag = Infinity } = lag;
      const from = indexOf.get(id);
      if (from === undefined) throw new RangeError(`task ${quote(task.id)} comes after ${quote(id)}, which is no task`);
      const there = literals.both(presence[from] as number, presence[to] as number);
      const when = literals.both(there, literals.of(lag.when));
      if (minLag > maxLag && when !== 0) {
        literals.clauses.push([-when]);
        continue;
      }
      if (minLag > maxLag) {
        return notMet(
          `${quote(task.id)} cannot start at least ${minLag} and at most ${maxLag} min after ${quote(id)}.`,
          [id, task.id],
        );
      }
      const offset = offsetOf(lag, from, to, { minutes, modes });
      lags.push({
        ...{ from, to, when, least: whole(minLag) + offset },
        most: Number.isFinite(maxLag) ? whole(maxLag) + offset : Infinity,
      });
    }
  }
  // Under decisions tasks may wait for each other either way round.
  const always = lags.filter(({ when }) => when === 0);
  const order = orderOf(tasks.length, always);
  if (!order)
    throw new RangeError(`tasks wait for each other in a circle: ${circleOf(tasks, always).map(quote).join(', ')}`);

  const closedOf = closedTimesOf(tasks.length, resources, (task, id) => (tasks[task]?.needs[id] ?? 0) > 0);
  const holes = closedOf.map((closed, i) => holesOf(closed, minutes[i] as number));
  const release = tasks.map((task) => whole(task.release ?? 0));
  const lastClosed = Math.max(
    0,
    ...resources.flatMap(({ closed, taken }) => [...closed.map(([, to]) => to), ...taken.map(({ to }) => to)]),
    ...release,
  );
  const longestLag = new Array<number>(tasks.length).fill(0);
  for (const { to, least } of lags) longestLag[to] = Math.max(longestLag[to] as number, least);
  const longest = minutes.map((own, i) => Math.max(own, ...(modes[i] as ReadMode[]).map((mode) => mode.minutes)));
  const horizon = lastClosed + sum(longest) + sum(longestLag);
  if (horizon > LARGEST) throw new RangeError('the tasks take longer than can be counted');

  const tail = tailsOf(order, always, minutes);
  const latest = tasks.map((task, i) => {
    const byEnd = horizon - (tail[i] as number);
    const due = task.due === undefined || task.presence !== undefined ? Infinity : Math.floor(task.due * scale);
    return Math.min(byEnd, due) - (minutes[i] as number);
  });
  const earliest = [...release];
  const ids = tasks.map(({ id }) => id);
  const contradiction = spread({ ids, minutes, lags: always, holes, earliest, latest, tasks });
  if (contradiction) return contradiction;
  const dues = tasks.map(({ due, presence: optional, modes: own }) =>
    due === undefined || (optional === undefined && own === undefined) ? Infinity : Math.floor(due * scale),
  );
  return {
    ...{
      scale,
      ids,
      minutes,
      presence,
      modes,
      literals: literals.names,
      clauses: literals.clauses,
      conjunctions: literals.conjoined,
    },
    ...{ resources, lags, holes, earliest, latest, dues, tail, horizon },
  };
}

/** Earliest starts pushed on by lags and closed times until nothing moves; then the same for the latest ones. */
function spread(drawn: {
  ids: readonly string[];
  minutes: readonly number[];
  lags: readonly ReadLag[];
  holes: ReadProblem['holes'];
  earliest: number[];
  latest: number[];
  tasks: readonly SearchTask[];
}): RuleNotMet | undefined {
  const { ids, minutes, lags, holes, earliest, latest, tasks } = drawn;
  const late = (i: number) => {
    const task = tasks[i] as SearchTask;
    if (task.due !== undefined) {
      return notMet(`${quote(task.id)} cannot be over by ${task.due} min: what comes before it takes longer.`, [
        task.id,
      ]);
    }
    return notMet(`${quote(task.id)} has no time: its longest lags and closed times leave none.`, [task.id]);
  };
  for (let round = 0; ; round++) {
    let moved = -1;
    let jumped = false;
    const move = (i: number, at: number) => {
      if ((earliest[i] as number) >= at) return;
      earliest[i] = at;
      moved = i;
    };
    for (const { from, to, least, most } of lags) {
      move(to, (earliest[from] as number) + (minutes[from] as number) + least);
      if (most < Infinity) move(from, (earliest[to] as number) - most - (minutes[from] as number));
    }
    for (const [i, own] of holes.entries()) {
      const open = openFrom(earliest[i] as number, own);
      jumped ||= open > (earliest[i] as number);
      move(i, open);
    }
    const stuck = ids.findIndex((_, i) => (earliest[i] as number) > (latest[i] as number));
    if (stuck >= 0) return late(stuck);
    if (moved < 0) break;
    // As many rounds as tasks are enough after each jump over a closed time, unless lags push each other round and round.
    if (jumped) round = 0;
    if (round > ids.length) {
      return notMet(`The least and longest lags around ${quote(ids[moved] as string)} contradict each other.`, [
        ids[moved] as string,
      ]);
    }
  }
  for (let moved = true; moved;) {
    moved = false;
    const move = (i: number, at: number) => {
      if ((latest[i] as number) <= at) return;
      latest[i] = at;
      moved = true;
    };
    for (const { from, to, least, most } of lags) {
      move(from, (latest[to] as number) - least - (minutes[from] as number));
      if (most < Infinity) move(to, (latest[from] as number) + (minutes[from] as number) + most);
    }
    for (const [i, own] of holes.entries()) {
      for (let k = own.length - 1; k >= 0; k--) {
        const [first, last] = own[k] as readonly [number, number];
        if ((latest[i] as number) >= first && (latest[i] as number) <= last) move(i, first - 1);
      }
    }
    const stuck = ids.findIndex((_, i) => (earliest[i] as number) > (latest[i] as number));
    if (stuck >= 0) return late(stuck);
  }
  return undefined;
}

/** What turns a lag between two starts or two ends into one from an end to a start. */
function offsetOf(
  { between = 'end-start' }: Lag,
  from: number,
  to: number,
  { minutes, modes }: Pick<ReadProblem, 'minutes' | 'modes'>,
): number {
  if (between === 'end-start') return 0;
  const task = between === 'start-start' ? from : to;
  if ((modes[task]?.length ?? 0) > 0)
    throw new RangeError(
      `a lag between two ${between === 'end-end' ? 'ends' : 'starts'} cannot hang on a task with modes`,
    );
  return -(minutes[task] as number);
}

/** What a task holds alike in each of its modes it simply holds. */
function inAnyMode(users: readonly ReadUser[], modes: ReadProblem['modes'], presence: readonly number[]): ReadUser[] {
  const byTask = new Map<number, ReadUser[]>();
  for (const user of users) byTask.set(user.task, [...(byTask.get(user.task) ?? []), user]);
  return [...byTask].flatMap(([task, own]) => {
    const [first] = own;
    const isAlike = own.every(({ amount, minutes }) => amount === first?.amount && minutes === first.minutes);
    const isAll = own.length === modes[task]?.length;
    return first && isAlike && isAll ? [{ ...first, when: presence[task] as number }] : own;
  });
}

function added(a: SearchTask['needs'], b: SearchTask['needs']): Record<string, number> {
  const all = { ...a };
  for (const [id, amount] of Object.entries(b)) all[id] = (all[id] ?? 0) + amount;
  return all;
}

/** Tasks with what they wait for first; undefined when some wait in a circle. */
export function orderOf(count: number, lags: readonly ReadLag[]): number[] | undefined {
  const waiting = new Array<number>(count).fill(0);
  const next = Array.from({ length: count }, (): number[] => []);
  for (const { from, to } of lags) {
    (waiting[to] as number)++;
    next[from]?.push(to);
  }
  const order = waiting.flatMap((n, i) => (n === 0 ? [i] : []));
  for (let k = 0; k < order.length; k++) {
    for (const to of next[order[k] as number] as number[]) if (--(waiting[to] as number) === 0) order.push(to);
  }
  return order.length === count ? order : undefined;
}

function circleOf(tasks: readonly SearchTask[], lags: readonly ReadLag[]): string[] {
  const before = new Map<number, number[]>();
  for (const { from, to } of lags) before.set(to, [...(before.get(to) ?? []), from]);
  const inCircle = new Set(tasks.keys());
  for (let shrunk = true; shrunk;) {
    shrunk = false;
    for (const i of inCircle) {
      if ((before.get(i) ?? []).some((from) => inCircle.has(from))) continue;
      inCircle.delete(i);
      shrunk = true;
    }
  }
  const path: number[] = [];
  for (let i = [...inCircle][0] ?? 0; !path.includes(i);) {
    path.unshift(i);
    i = (before.get(i) ?? []).find((from) => inCircle.has(from)) ?? i;
  }
  return path.map((i) => tasks[i]?.id ?? '');
}

function tailsOf(order: readonly number[], lags: readonly ReadLag[], minutes: readonly number[]): number[] {
  const tail = minutes.map(() => 0);
  const after = minutes.map((): ReadLag[] => []);
  for (const lag of lags) after[lag.from]?.push(lag);
  for (const i of [...order].reverse()) {
    for (const { to, least } of after[i] as ReadLag[]) {
      tail[i] = Math.max(tail[i] as number, least + (minutes[to] as number) + (tail[to] as number));
    }
  }
  return tail;
}

function scaleOf({ resources, tasks }: ScheduleProblem): number {
  const times = [
    ...tasks.flatMap(({ minutes, release = 0, after = [], modes = [] }) => [
      ...(modes.length > 0 ? modes.map((mode) => mode.minutes) : [minutes]),
      release,
      ...after.flatMap(({ minLag = 0, maxLag = 0 }) => [minLag, Number.isFinite(maxLag) ? maxLag : 0]),
    ]),
    ...tasks.flatMap(({ due }) => (due === undefined ? [] : [due])),
    ...resources.flatMap(({ closed = [], taken = [] }) => [
      ...closed.flat(),
      ...taken.flatMap(({ from, to }) => [from, to]),
    ]),
  ];
  const scale = SCALES.find((each) => times.every((time) => Math.abs(time * each - Math.round(time * each)) < 1e-9));
  if (scale === undefined) throw new RangeError('times must be whole minutes or thousandths of them');
  return scale;
}

function checkNumbers({ resources, tasks }: ScheduleProblem): void {
  const check = (value: number, what: string) => {
    if (!(value >= 0) || value > LARGEST) throw new RangeError(`${what} must be 0 or more, got ${value}`);
  };
  for (const { id, capacity, closed = [], taken = [] } of resources) {
    for (const { from, to, amount } of taken) {
      for (const each of [from, to, amount]) check(each, `what is taken of ${quote(id)}`);
      if (to < from) throw new RangeError(`what is taken of ${quote(id)} ends before it begins: ${from} to ${to}`);
    }
    check(capacity, `capacity of ${quote(id)}`);
    for (const [from, to] of closed) {
      check(from, `closed time of ${quote(id)}`);
      check(to, `closed time of ${quote(id)}`);
      if (to < from) throw new RangeError(`a closed time of ${quote(id)} ends before it begins: ${from} to ${to}`);
    }
  }
  for (const { id, minutes, needs, after = [], release = 0, due = 0, modes = [] } of tasks) {
    check(minutes, `minutes of ${quote(id)}`);
    for (const mode of modes) {
      check(mode.minutes, `minutes of ${quote(id)}`);
      for (const [resource, amount] of Object.entries(mode.needs)) {
        check(amount, `need of ${quote(resource)} in ${quote(id)}`);
        if (!Number.isInteger(amount)) throw new RangeError(`need of ${quote(resource)} in ${quote(id)} must be whole`);
      }
    }
    check(release, `release of ${quote(id)}`);
    check(due, `due of ${quote(id)}`);
    for (const [resource, amount] of Object.entries(needs)) {
      check(amount, `need of ${quote(resource)} in ${quote(id)}`);
      if (!Number.isInteger(amount)) throw new RangeError(`need of ${quote(resource)} in ${quote(id)} must be whole`);
    }
    for (const { minLag = 0, maxLag = 0, between = 'end-start' } of after) {
      const sizeOf = (lag: number) => (between === 'end-start' ? lag : Math.abs(lag));
      check(sizeOf(minLag), `minLag of ${quote(id)}`);
      if (maxLag !== Infinity) check(sizeOf(maxLag), `maxLag of ${quote(id)}`);
    }
  }
}

function indexes(ids: readonly string[], what: string): Map<string, number> {
  const known = new Map<string, number>();
  for (const [i, id] of ids.entries()) {
    if (known.has(id)) throw new RangeError(`two ${what}s are called ${quote(id)}`);
    known.set(id, i);
  }
  return known;
}

function notMet(sentence: string, tasks: readonly string[]): RuleNotMet {
  return { kind: 'ruleNotMet', sentence, tasks };
}

function quote(id: string): string {
  return JSON.stringify(id);
}

function sum(values: readonly number[]): number {
  return values.reduce((all, value) => all + value, 0);
}
