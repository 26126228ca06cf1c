import { type CompiledProblem } from './compiledProblem';
import { type Placed } from './scheduleProblem';

/** The best schedule so far: when each task starts, and how each decision is made. */
export interface Incumbent {
  readonly starts: readonly number[];
  readonly decisions: readonly boolean[];
}

/** When the last task that counts is over. @param chosen the problem with these decisions made @returns in its own steps of time */
export function endOf(
  { presence }: CompiledProblem,
  { minutes, tail }: CompiledProblem,
  { starts, decisions }: { readonly starts: ArrayLike<number>; readonly decisions: readonly boolean[] },
): number {
  let end = 0;
  for (let i = 0; i < minutes.length; i++) {
    if (isThere(presence[i], decisions) && tail[i] > -Infinity) end = Math.max(end, starts[i] + minutes[i]);
  }
  return end;
}

/** A schedule by the names of its tasks and decisions. */
export function named(
  { ids, scale, literals, conjunctions, presence }: CompiledProblem,
  { minutes }: CompiledProblem,
  { starts, decisions }: Incumbent,
): { readonly tasks: readonly Placed[]; readonly decisions: ReadonlyMap<string, boolean> } {
  const tasks = ids.flatMap((id, i): Placed[] => {
    const start = starts[i];
    return isThere(presence[i], decisions) ? [{ id, start: start / scale, end: (start + minutes[i]) / scale }] : [];
  });
  const told = literals.flatMap((name, k) => (conjunctions.has(k) ? [] : [[name, decisions[k] ?? false] as const]));
  return { tasks, decisions: new Map(told) };
}

function isThere(presence: number, decisions: readonly boolean[]): boolean {
  return presence === 0 || decisions[Math.abs(presence) - 1] === presence > 0;
}
