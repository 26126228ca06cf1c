/** A resource with the times at which it, or a part of it, is not there, and who uses it. */
interface Used {
  readonly id: string;
  readonly capacity: number;
  readonly closed: readonly (readonly [from: number, to: number])[];
  readonly taken: readonly { readonly from: number; readonly to: number; readonly amount: number }[];
  readonly users: readonly { readonly task: number; readonly amount: number; readonly when: number }[];
}

/** The first start from a time on that runs across no closed time. */
export function openFrom(start: number, holes: readonly (readonly [number, number])[]): number {
  let at = start;
  for (const [first, last] of holes) if (at >= first && at <= last) at = last + 1;
  return at;
}

/**
 * Closed times of what each task needs, by task.
 *
 * @param isAlways whether a task needs a resource in any case, where it is used under a literal: else its times do not count
 */
export function closedTimesOf(
  count: number,
  resources: readonly Used[],
  isAlways: (task: number, resource: string) => boolean = () => false,
): [number, number][][] {
  const closed = Array.from({ length: count }, (): (readonly [number, number])[] => []);
  for (const resource of resources) {
    for (const { task, amount, when } of resource.users) {
      if (when !== 0 && !isAlways(task, resource.id)) continue;
      const room = (part: { amount: number }) => resource.capacity - part.amount >= amount;
      const full = resource.taken.filter((part) => !room(part)).map(({ from, to }) => [from, to] as const);
      closed[task]?.push(...resource.closed, ...full);
    }
  }
  return closed.map(merged);
}

/** Starts at which a task of so many minutes would run across a closed time: first and last, in order, apart. */
export function holesOf(closed: readonly (readonly [number, number])[], minutes: number): [number, number][] {
  const holes: [number, number][] = [];
  for (const [from, to] of closed) {
    const first = Math.max(0, from - minutes + 1);
    const last = to - 1;
    const before = holes.at(-1);
    if (before && first <= before[1] + 1) before[1] = Math.max(before[1], last);
    else holes.push([first, last]);
  }
  return holes;
}

/** Stretches of time in order, those that touch as one. */
export function merged(times: readonly (readonly [number, number])[]): [number, number][] {
  const out: [number, number][] = [];
  for (const [from, to] of [...times].sort((a, b) => a[0] - b[0])) {
    if (to <= from) continue;
    const before = out.at(-1);
    if (before && from <= before[1]) before[1] = Math.max(before[1], to);
    else out.push([from, to]);
  }
  return out;
}
