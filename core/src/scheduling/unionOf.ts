import { type CompiledProblem, type CompiledResource, type CompiledUser } from './compiledProblem';

/**
 * Resources that stand for each other in the modes of tasks, taken together as one: a task holds some of them whichever mode is
 * chosen, so that together they are never overdrawn. It follows from the others; it is told because it is seen long before the
 * modes are settled. Alternatives as in Laborie and Rogerie 2008, relaxed to a cumulative resource.
 */
export function unionOf({
  resources,
  modes,
  minutes,
  presence,
}: Pick<CompiledProblem, 'resources' | 'modes' | 'minutes' | 'presence'>): CompiledResource[] {
  const part = resources.map((_, r) => r);
  const find = (r: number): number => {
    while (part[r] !== r) r = part[r] = part[part[r]];
    return r;
  };
  const needs = needsByMode(resources, modes);
  for (const byMode of needs) {
    // Only what some mode does without is an alternative; what all of them hold stands for itself.
    const chosen = [...new Set(byMode.flatMap((own) => [...own.keys()]))].filter(
      (r) => !byMode.every((own) => own.get(r) === byMode[0]?.get(r)),
    );
    for (const r of chosen.slice(1)) part[find(r)] = find(chosen[0]);
  }
  const groups = new Map<number, number[]>();
  for (const r of resources.keys()) groups.set(find(r), [...(groups.get(find(r)) ?? []), r]);
  return [...groups.values()]
    .filter((group) => group.length > 1)
    .map((group): CompiledResource => {
      const own = group.map((r) => resources[r]);
      const ids = new Set(group);
      const users = needs.flatMap((byMode, task): CompiledUser[] => {
        const amounts =
          byMode.length > 0
            ? byMode.map((mode) => [...mode].reduce((sum, [r, amount]) => sum + (ids.has(r) ? amount : 0), 0))
            : [
                own
                  .flatMap(({ users: all }) => all)
                  .reduce((sum, user) => sum + (user.task === task ? user.amount : 0), 0),
              ];
        const amount = Math.min(...amounts);
        const length = minutes[task];
        return amount > 0 && length > 0 ? [{ task, amount, minutes: length, when: presence[task] }] : [];
      });
      return {
        id: own.map(({ id }) => id).join(' or '),
        capacity: own.reduce((sum, { capacity }) => sum + capacity, 0),
        closed: [],
        taken: [],
        users,
      };
    });
}

/** What each mode of each task holds, by resource; nothing for tasks without modes. */
function needsByMode(resources: readonly CompiledResource[], modes: CompiledProblem['modes']): Map<number, number>[][] {
  const needs = modes.map((own) => own.map(() => new Map<number, number>()));
  for (const [r, { users }] of resources.entries()) {
    for (const { task, amount, when } of users) {
      const m = modes[task]?.findIndex((mode) => mode.when === when) ?? -1;
      if (m >= 0) needs[task]?.[m]?.set(r, amount);
    }
  }
  return needs;
}
