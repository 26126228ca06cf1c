import { type ReadProblem } from './readProblem';

/**
 * Parts of a problem that stand for each other: joined by lags within, hanging on the same other tasks in the same way, and
 * the same task for task. Whole parts can change places in any schedule, so their first tasks may be put in order without
 * losing one.
 *
 * @returns for each group the first tasks of its parts, in the order they are to start
 */
export function lookalikes(problem: ReadProblem): number[][] {
  const { minutes, lags } = problem;
  const told = tellings(problem);
  // A task like no other belongs to no part: the parts hang on it.
  const common = told.map((telling) => told.filter((other) => other === telling).length > 1);
  const part = minutes.map((_, i) => i);
  const find = (i: number): number => {
    while (part[i] !== i) i = part[i] = part[part[i] as number] as number;
    return i;
  };
  for (const { from, to } of lags) if (common[from] && common[to]) part[find(from)] = find(to);
  const members = new Map<number, number[]>();
  for (const i of minutes.keys()) {
    if (!common[i]) continue;
    const root = find(i);
    members.set(root, [...(members.get(root) ?? []), i]);
  }
  const place = new Map<number, number>();
  for (const own of members.values()) own.forEach((i, k) => place.set(i, k));
  const nameOf = (i: number) => (common[i] ? `${place.get(i)}` : `task ${i}`);
  const links = minutes.map((): string[] => []);
  for (const { from, to, least, most } of lags) {
    links[to]?.push(`after ${nameOf(from)} ${least} ${most}`);
    if (!common[to]) links[from]?.push(`before ${nameOf(to)} ${least} ${most}`);
  }
  const groups = new Map<string, number[]>();
  for (const own of members.values()) {
    const key = own.map((i) => `${told[i]};${links[i]?.sort().join()}`).join('|');
    groups.set(key, [...(groups.get(key) ?? []), own[0] as number]);
  }
  return [...groups.values()].filter((firsts) => firsts.length > 1);
}

/** Everything about a task but its lags. */
function tellings({ minutes, resources, earliest, latest }: ReadProblem): string[] {
  const needs = minutes.map((): string[] => []);
  for (const [r, { users }] of resources.entries()) {
    for (const { task, amount } of users) needs[task]?.push(`${r}x${amount}`);
  }
  return minutes.map((length, i) => [length, earliest[i], latest[i], needs[i]?.join()].join(';'));
}
