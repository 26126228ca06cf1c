import { type CompiledProblem } from './compiledProblem';

/**
 * Parts of a problem that stand for each other: joined by lags within, hanging on the same other tasks in the same way, and
 * the same task for task, with the same alternatives. Whole parts can change places in any schedule, so their first tasks may be
 * put in order without losing one. What looks alike is held to the proof: changing the two places must leave every lag, need and
 * clause as it is. Symmetry breaking by a lexicographic order of exchangeable parts (Crawford, Ginsberg, Luks and Roy 1996).
 *
 * @returns for each group the first tasks of its parts, in the order they are to start
 */
export function symmetryBreaking(problem: CompiledProblem): number[][] {
  const { minutes, lags } = problem;
  const told = tellings(problem);
  // A task like no other belongs to no part: the parts hang on it.
  const common = told.map((telling) => told.filter((other) => other === telling).length > 1);
  const part = minutes.map((_, i) => i);
  const find = (i: number): number => {
    while (part[i] !== i) i = part[i] = part[part[i]];
    return i;
  };
  for (const { from, to } of lags) if (common[from] && common[to]) part[find(from)] = find(to);
  const members = new Map<number, number[]>();
  for (const i of minutes.keys()) {
    if (!common[i]) continue;
    const root = find(i);
    members.set(root, [...(members.get(root) ?? []), i]);
  }
  const groups = new Map<string, number[][]>();
  for (const own of members.values()) {
    const key = own.map((i) => told[i]).join('|');
    groups.set(key, [...(groups.get(key) ?? []), own]);
  }
  const swaps = new Swaps(problem);
  return [...groups.values()].flatMap((parts) => {
    // Neighbours in a run can change places, and so can all of them.
    const runs: number[][][] = [];
    for (const own of parts) {
      const run = runs.find((each) => swaps.leaveAll(each.at(-1) as number[], own));
      if (run) run.push(own);
      else runs.push([own]);
    }
    return runs.filter((run) => run.length > 1).map((run) => run.map(([first]) => first));
  });
}

/** Whether two parts can change places. */
class Swaps {
  private readonly clauses: ReadonlySet<string>;
  private readonly lags: ReadonlySet<string>;
  private readonly users: ReadonlySet<string>;

  constructor(private readonly problem: CompiledProblem) {
    const same = { task: (i: number) => i, literal: (l: number) => l };
    this.clauses = new Set(problem.clauses.map((clause) => clauseKey(clause, same.literal)));
    this.lags = new Set(problem.lags.map((lag) => lagKey(lag, same)));
    this.users = new Set(usersOf(problem).map((user) => userKey(user, same)));
  }

  leaveAll(a: readonly number[], b: readonly number[]): boolean {
    const swap = this.swapOf(a, b);
    if (!swap) return false;
    const { clauses, lags } = this.problem;
    return (
      lags.every((lag) => this.lags.has(lagKey(lag, swap))) &&
      usersOf(this.problem).every((user) => this.users.has(userKey(user, swap))) &&
      clauses.every((clause) => this.clauses.has(clauseKey(clause, swap.literal)))
    );
  }

  /** Where tasks and literals go when two parts change places; undefined where that is not clear. */
  private swapOf(a: readonly number[], b: readonly number[]): Swap | undefined {
    const { presence, modes, lags, conjunctions } = this.problem;
    const tasks = new Map<number, number>();
    for (const [k, i] of a.entries()) tasks.set(i, b[k]).set(b[k], i);
    const task = (i: number) => tasks.get(i) ?? i;
    const known = new Map<number, number>();
    let isClear = true;
    const pair = (from: number, to: number) => {
      if ((from === 0) !== (to === 0) || from < 0 !== to < 0) isClear = false;
      const [x, y] = [Math.abs(from), Math.abs(to)];
      for (const [one, other] of [
        [x, y],
        [y, x],
      ] as const) {
        if ((known.get(one) ?? other) !== other) isClear = false;
        known.set(one, other);
      }
    };
    for (const i of tasks.keys()) {
      pair(presence[i], presence[task(i)]);
      const [own, others] = [modes[i] ?? [], modes[task(i)] ?? []];
      if (own.length !== others.length) return undefined;
      for (const [m, { when, minutes }] of own.entries()) {
        if (others[m]?.minutes !== minutes) return undefined;
        pair(when, others[m].when);
      }
    }
    const between = (from: number, to: number) => lags.filter((lag) => lag.from === from && lag.to === to);
    for (const lag of lags) {
      if (!tasks.has(lag.from) && !tasks.has(lag.to)) continue;
      const own = between(lag.from, lag.to);
      const others = between(task(lag.from), task(lag.to));
      if (own.length !== others.length) return undefined;
      for (const [k, each] of own.entries()) pair(each.when, others[k]?.when ?? 0);
    }
    if (!isClear) return undefined;
    const byParts = new Map([...conjunctions].map(([k, [x, y]]) => [conjunctionKey(x, y), k + 1]));
    const literal = (l: number): number => {
      if (l === 0) return 0;
      const sign = l < 0 ? -1 : 1;
      const own = Math.abs(l);
      const to = known.get(own);
      if (to !== undefined) return sign * to;
      const parts = conjunctions.get(own - 1);
      return sign * (parts ? (byParts.get(conjunctionKey(literal(parts[0]), literal(parts[1]))) ?? own) : own);
    };
    return { task, literal };
  }
}

interface Swap {
  readonly task: (i: number) => number;
  readonly literal: (l: number) => number;
}

function conjunctionKey(a: number, b: number): string {
  return a < b ? `${a}&${b}` : `${b}&${a}`;
}

function clauseKey(clause: readonly number[], literal: Swap['literal']): string {
  return clause
    .map(literal)
    .sort((a, b) => a - b)
    .join();
}

function lagKey({ from, to, when, least, most }: CompiledProblem['lags'][number], { task, literal }: Swap): string {
  return [task(from), task(to), literal(when), least, most].join();
}

type User = CompiledProblem['resources'][number]['users'][number] & { readonly resource: number };

function usersOf({ resources }: CompiledProblem): User[] {
  return resources.flatMap(({ users }, resource) => users.map((user) => ({ ...user, resource })));
}

function userKey({ resource, task: own, amount, minutes, when }: User, { task, literal }: Swap): string {
  return [resource, task(own), amount, minutes, literal(when)].join();
}

/** Everything about a task but its lags and the names of its literals. */
function tellings({ minutes, modes, presence, resources, earliest, latest, dues, tail }: CompiledProblem): string[] {
  const needs = minutes.map((): string[] => []);
  for (const [r, { users }] of resources.entries()) {
    for (const { task, amount, minutes: own } of users) needs[task]?.push(`${r}x${amount}for${own}`);
  }
  return minutes.map((length, i) =>
    [
      ...[length, earliest[i], latest[i], dues[i], presence[i] === 0, tail[i] > -Infinity, needs[i]?.join()],
      ...(modes[i] ?? []).map((mode) => mode.minutes),
    ].join(';'),
  );
}
