import { type CompiledProblem } from './compiledProblem';

/**
 * Decisions to begin with: each task with alternatives takes the one whose resources have least to do so far. They need not fit
 * together; the search takes what it can of them.
 */
export function balanced({ literals, modes, resources }: CompiledProblem): boolean[] {
  const wished = literals.map(() => false);
  const load = resources.map(() => 0);
  const isTaken = literals.map(() => false);
  for (const own of modes) {
    const open = own.filter(({ when }) => when > 0);
    if (open.length === 0 || open.some(({ when }) => isTaken[when - 1] && wished[when - 1])) {
      for (const mode of open) if (wished[mode.when - 1]) add(mode.when);
      continue;
    }
    const worst = open.map(({ when }) =>
      Math.max(
        0,
        ...resources.map(
          ({ users, capacity }, r) =>
            worked(users, when) / Math.max(1, capacity) +
            (worked(users, when) > 0 ? load[r] / Math.max(1, capacity) : 0),
        ),
      ),
    );
    const best = open[worst.indexOf(Math.min(...worst))];
    for (const { when } of open) isTaken[when - 1] = true;
    if (!best) continue;
    wished[best.when - 1] = true;
    add(best.when);
  }
  return wished;

  function add(when: number): void {
    for (const [r, { users }] of resources.entries()) load[r] += worked(users, when);
  }
}

function worked(users: CompiledProblem['resources'][number]['users'], when: number): number {
  return users.reduce((sum, user) => sum + (user.when === when ? user.amount * user.minutes : 0), 0);
}
