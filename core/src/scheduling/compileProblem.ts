import { checkNumbers, LARGEST } from './checkProblem';
import {
  type CompiledLag,
  type ReadMode,
  type CompiledProblem,
  type CompiledResource,
  type CompiledUser,
} from './compiledProblem';
import { closedTimesOf, holesOf, merged } from './forbiddenStarts';
import { literalsOf } from './literals';
import { notMet, quote } from './notMet';
import { circleOf, orderOf, tailsOf } from './precedenceGraph';
import { scaleOf } from './scale';
import { type Lag, type RuleNotMet, type ScheduleProblem, type SearchTask } from './scheduleProblem';
import { spread } from './windows';

/**
 * Puts a problem into whole numbers and draws the first conclusions from its lags and closed times.
 *
 * @returns the first rule that cannot be met whatever else holds: too little of a resource, a task longer than any open
 *   time, lags that contradict each other, a due time that is too soon
 * @throws RangeError for ids that are unknown or used twice, tasks that wait for each other in a circle, and numbers that
 *   are not 0 or more
 */
export function compileProblem(problem: ScheduleProblem): CompiledProblem | RuleNotMet {
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
    task.modes ? Math.min(...modes[i].map((mode) => mode.minutes)) : whole(task.minutes),
  );

  const users = problem.resources.map((): CompiledUser[] => []);
  for (const [i, task] of tasks.entries()) {
    const ways = task.modes?.map((mode, m) => ({
      needs: added(task.needs, mode.needs),
      minutes: modes[i]?.[m]?.minutes ?? 0,
      when: modes[i]?.[m]?.when ?? 0,
    })) ?? [{ needs: task.needs, minutes: minutes[i], when: presence[i] }];
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
  const resources = problem.resources.map(({ id, capacity, closed = [], taken = [] }, r): CompiledResource => ({
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

  const lags: CompiledLag[] = [];
  for (const [to, task] of tasks.entries()) {
    for (const lag of task.after ?? []) {
      const { task: id, minLag = 0, maxLag = Infinity } = lag;
      const from = indexOf.get(id);
      if (from === undefined) throw new RangeError(`task ${quote(task.id)} comes after ${quote(id)}, which is no task`);
      const there = literals.both(presence[from], presence[to]);
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
  const holes = closedOf.map((closed, i) => holesOf(closed, minutes[i]));
  const release = tasks.map((task) => whole(task.release ?? 0));
  const lastClosed = Math.max(
    0,
    ...resources.flatMap(({ closed, taken }) => [...closed.map(([, to]) => to), ...taken.map(({ to }) => to)]),
    ...release,
  );
  const longestLag = new Array<number>(tasks.length).fill(0);
  for (const { to, least } of lags) longestLag[to] = Math.max(longestLag[to], least);
  const longest = minutes.map((own, i) => Math.max(own, ...modes[i].map((mode) => mode.minutes)));
  const horizon = lastClosed + sum(longest) + sum(longestLag);
  if (horizon > LARGEST) throw new RangeError('the tasks take longer than can be counted');

  const tail = tailsOf(order, always, minutes, (i) => tasks[i]?.uncounted !== true);
  const latest = tasks.map((task, i) => {
    const byEnd = horizon - Math.max(0, tail[i]);
    const due = task.due === undefined || task.presence !== undefined ? Infinity : Math.floor(task.due * scale);
    return Math.min(byEnd, due) - minutes[i];
  });
  const earliest = [...release];
  const ids = tasks.map(({ id }) => id);
  const contradiction = spread({ ids, minutes, longest, lags: always, holes, earliest, latest, tasks });
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

/** What turns a lag between two starts or two ends into one from an end to a start. */
function offsetOf(
  { between = 'end-start' }: Lag,
  from: number,
  to: number,
  { minutes, modes }: Pick<CompiledProblem, 'minutes' | 'modes'>,
): number {
  if (between === 'end-start') return 0;
  const task = between === 'start-start' ? from : to;
  if ((modes[task]?.length ?? 0) > 0)
    throw new RangeError(
      `a lag between two ${between === 'end-end' ? 'ends' : 'starts'} cannot hang on a task with modes`,
    );
  return -minutes[task];
}

/** What a task holds alike in each of its modes it simply holds. */
function inAnyMode(
  users: readonly CompiledUser[],
  modes: CompiledProblem['modes'],
  presence: readonly number[],
): CompiledUser[] {
  const byTask = new Map<number, CompiledUser[]>();
  for (const user of users) byTask.set(user.task, [...(byTask.get(user.task) ?? []), user]);
  return [...byTask].flatMap(([task, own]) => {
    const [first] = own;
    const isAlike = own.every(({ amount, minutes }) => amount === first?.amount && minutes === first.minutes);
    const isAll = own.length === modes[task]?.length;
    return first && isAlike && isAll ? [{ ...first, when: presence[task] }] : own;
  });
}

function added(a: SearchTask['needs'], b: SearchTask['needs']): Record<string, number> {
  const all = { ...a };
  for (const [id, amount] of Object.entries(b)) all[id] = (all[id] ?? 0) + amount;
  return all;
}

function indexes(ids: readonly string[], what: string): Map<string, number> {
  const known = new Map<string, number>();
  for (const [i, id] of ids.entries()) {
    if (known.has(id)) throw new RangeError(`two ${what}s are called ${quote(id)}`);
    known.set(id, i);
  }
  return known;
}

function sum(values: readonly number[]): number {
  return values.reduce((all, value) => all + value, 0);
}
