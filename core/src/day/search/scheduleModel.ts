import { LearningSearch } from './learningSearch';
import { lookalikes } from './lookalikes';
import { type ReadProblem, type ReadResource } from './readProblem';
import { Timetable } from './timetable';

/** So many pairs of tasks are decided one by one; beyond that a resource is watched by its time-table alone. */
const MOST_PAIRS = 30_000;

/** A problem as the learning search sees it: one variable a task (its start), one for the end of all, one a pair. */
export interface ScheduleModel {
  readonly search: LearningSearch;
  readonly tasks: number;
  /** Variable of the end of all. */
  readonly end: number;
  /** Variable `end + 1 + k` is 1 when the first task of pair k goes before the second. */
  readonly pairs: readonly (readonly [first: number, second: number])[];
}

/** @param extra further precedences to hold, as pairs of tasks: used where part of a schedule is kept */
export function scheduleModel(
  problem: ReadProblem,
  lowerBound: number,
  extra: readonly (readonly [from: number, to: number])[] = [],
): ScheduleModel {
  const { minutes, earliest, latest, tail, horizon } = problem;
  const tasks = minutes.length;
  const end = tasks;
  const reach = reachable(problem, extra);
  const { pairs, timetables } = conflictsOf(problem, reach);
  const away = timetables.flatMap(({ taken }) => taken.map(({ from }) => from));
  const least = [...earliest, lowerBound, ...pairs.map(() => 0), ...away];
  const most = [...latest, horizon, ...pairs.map(() => 1), ...away];
  let fixed = end + 1 + pairs.length;
  const search = new LearningSearch(least, most);
  for (const { from, to, least: gap, most: longest } of problem.lags) {
    const length = minutes[from] as number;
    search.addLink(from, to, length + gap);
    if (longest < Infinity) search.addLink(to, from, -length - longest);
  }
  for (const [from, to] of extra) search.addLink(from, to, minutes[from] as number);
  for (const [i, own] of problem.holes.entries()) {
    for (const [first, last] of own) search.addHole(i, first, last);
    search.addLink(i, end, (minutes[i] as number) + (tail[i] as number));
  }
  for (const [k, [a, b]] of pairs.entries()) {
    const first = 2 * (end + 1 + k);
    search.addLink(a, b, minutes[a] as number, first, 1);
    search.addLink(b, a, minutes[b] as number, first + 1, 0);
  }
  if (extra.length === 0) {
    for (const firsts of lookalikes(problem)) {
      for (let k = 1; k < firsts.length; k++) search.addLink(firsts[k - 1] as number, firsts[k] as number, 0);
    }
  }
  for (const { capacity, users, taken } of timetables) {
    const holdings = users.map(({ task, amount }) => ({ start: task, minutes: minutes[task] as number, amount }));
    // What is gone for a while is held like a task that cannot be moved.
    const gone = taken.map(({ from, to, amount }) => ({ start: fixed++, minutes: to - from, amount }));
    search.addPropagator(new Timetable(capacity, [...holdings, ...gone]));
  }
  return { search, tasks, end, pairs };
}

/** Pairs of tasks that can never run side by side and are not in order anyway; resources that still need a time-table. */
function conflictsOf(problem: ReadProblem, reach: Reach) {
  const pairs: (readonly [number, number])[] = [];
  const timetables: ReadResource[] = [];
  const known = new Set<number>();
  const count = problem.minutes.length;
  for (const resource of [...problem.resources].sort((a, b) => a.users.length - b.users.length)) {
    const { users, capacity } = resource;
    let own: [number, number][] | undefined = [];
    let all = true;
    for (let x = 0; own && x < users.length; x++) {
      for (let y = x + 1; y < users.length; y++) {
        const a = users[x] as ReadResource['users'][number];
        const b = users[y] as ReadResource['users'][number];
        if (reach(a.task, b.task) || reach(b.task, a.task)) continue;
        if (a.amount + b.amount <= capacity) {
          all = false;
          continue;
        }
        own.push([a.task, b.task]);
      }
      if (pairs.length + own.length > MOST_PAIRS) own = undefined;
    }
    if (!own || !all || resource.taken.length > 0) timetables.push(resource);
    for (const [a, b] of own ?? []) {
      if (known.has(a * count + b)) continue;
      known.add(a * count + b);
      pairs.push([a, b]);
    }
  }
  return { pairs, timetables };
}

type Reach = (from: number, to: number) => boolean;

/** Whether one task always ends before another starts, by lags and extra precedences. */
function reachable({ minutes, lags }: ReadProblem, extra: readonly (readonly [number, number])[]): Reach {
  const count = minutes.length;
  const words = (count + 31) >> 5;
  const after = Array.from({ length: count }, (): number[] => []);
  for (const { from, to } of lags) after[from]?.push(to);
  for (const [from, to] of extra) after[from]?.push(to);
  const rows = new Array<Uint32Array | undefined>(count);
  const visit = (start: number) => {
    // Depth first without recursion: a chain may be as long as there are tasks.
    const stack = [start];
    while (stack.length > 0) {
      const i = stack.at(-1) as number;
      const open = (after[i] as number[]).find((to) => !rows[to]);
      if (open !== undefined) {
        stack.push(open);
        continue;
      }
      const row = new Uint32Array(words);
      for (const to of after[i] as number[]) {
        (row[to >> 5] as number) |= 1 << (to & 31);
        (rows[to] as Uint32Array).forEach((word, w) => ((row[w] as number) |= word));
      }
      rows[i] = row;
      stack.pop();
    }
  };
  for (let i = 0; i < count; i++) if (!rows[i]) visit(i);
  return (from, to) => (((rows[from] as Uint32Array)[to >> 5] as number) & (1 << (to & 31))) !== 0;
}
