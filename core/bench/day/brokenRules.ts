import { type Placed, type ScheduleProblem } from '../../src/day/search/scheduleProblem';

/** Times closer than this are the same. */
const SAME = 1e-6;

/** Every rule a schedule breaks, looked at one by one straight from the problem. Empty when there is none. */
export function brokenRules({ resources, tasks }: ScheduleProblem, placed: readonly Placed[]): string[] {
  const broken: string[] = [];
  const at = new Map(placed.map((entry) => [entry.id, entry]));
  if (placed.length !== tasks.length) broken.push(`${placed.length} of ${tasks.length} tasks`);
  for (const { id, minutes, needs, after = [], release = 0, due = Infinity } of tasks) {
    const own = at.get(id);
    if (!own) {
      broken.push(`${id} is missing`);
      continue;
    }
    if (Math.abs(own.end - own.start - minutes) > SAME) broken.push(`${id} has another length`);
    if (own.start < release - SAME) broken.push(`${id} starts before ${release}`);
    if (own.end > due + SAME) broken.push(`${id} ends after ${due}`);
    for (const { task, minLag = 0, maxLag = Infinity } of after) {
      const lag = own.start - (at.get(task)?.end ?? NaN);
      if (!(lag >= minLag - SAME && lag <= maxLag + SAME)) broken.push(`${id} starts ${lag} min after ${task}`);
    }
    for (const { id: resource, closed = [] } of resources) {
      if (!((needs[resource] ?? 0) > 0) || minutes === 0) continue;
      for (const [from, to] of closed) {
        if (own.start < to - SAME && own.end > from + SAME && to > from)
          broken.push(`${id} runs while ${resource} is closed`);
      }
    }
  }
  for (const { id, capacity, taken = [] } of resources) {
    for (const start of [...placed.map((entry) => entry.start), ...taken.map(({ from }) => from)]) {
      const held = tasks.reduce((sum, { id: task, needs }) => {
        const own = at.get(task);
        const runs = own !== undefined && own.start <= start + SAME && own.end > start + SAME;
        return sum + (runs ? (needs[id] ?? 0) : 0);
      }, 0);
      const gone = taken.reduce(
        (sum, { from, to, amount }) => sum + (from <= start + SAME && to > start + SAME ? amount : 0),
        0,
      );
      if (held > 0 && held + gone > capacity) broken.push(`${held + gone} of ${id} at ${start}`);
    }
  }
  return broken;
}
