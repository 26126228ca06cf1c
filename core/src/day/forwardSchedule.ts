import { type Chain, type DayProblem, type DaySchedule, type DayTask, type ScheduledTask } from './dayProblem';

/** Two times closer than this are the same: it is far below a second. */
const SAME_MIN = 1e-6;

/**
 * A plain forward schedule: each chain, in the order given, at the earliest time that its predecessors and every resource
 * allow. Chains marked `late` are then moved as late as what follows them allows. It breaks no rule, but no shorter day
 * is looked for.
 *
 * @param minutesOf how long a task takes this time; by default its likely minutes
 * @throws RangeError when a chain waits for a task that no earlier chain has, or a task needs more than there is
 */
export function forwardSchedule(
  problem: DayProblem,
  minutesOf: (task: DayTask) => number = (task) => task.minutes.p50,
): DaySchedule {
  const placed: ScheduledTask[] = [];
  for (const chain of problem.chains) {
    placed.push(...placeAt(chain, earliestStart(problem, chain, placed, minutesOf), minutesOf));
  }
  for (const chain of problem.chains.filter((candidate) => candidate.late)) postpone(problem, chain, placed);
  const tasks = placed.sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  return { tasks, makespanMin: Math.max(0, ...tasks.map((entry) => entry.endMin)) };
}

function placeAt(chain: Chain, startMin: number, minutesOf: (task: DayTask) => number): ScheduledTask[] {
  let at = startMin;
  return chain.tasks.map((task) => {
    const entry = { task, startMin: at, endMin: at + minutesOf(task) };
    at = entry.endMin;
    return entry;
  });
}

/** The earliest start is when the predecessors end, or when some placed task frees what a task of the chain needs. */
function earliestStart(
  problem: DayProblem,
  chain: Chain,
  placed: readonly ScheduledTask[],
  minutesOf: (task: DayTask) => number,
): number {
  const readyMin = Math.max(0, ...chain.after.map((id) => endOf(id, placed)));
  const shape = placeAt(chain, 0, minutesOf);
  const candidates = shape.flatMap(({ startMin }) => placed.map((entry) => entry.endMin - startMin));
  const inOrder = [readyMin, ...candidates.filter((at) => at > readyMin)].sort((a, b) => a - b);
  const found = inOrder.find((at) => fits(problem, placeAt(chain, at, minutesOf), placed));
  if (found === undefined) throw new RangeError(`no time for ${chain.tasks[0]?.id}: it needs more than there is`);
  return found;
}

function endOf(id: string, placed: readonly ScheduledTask[]): number {
  const entry = placed.find(({ task }) => task.id === id);
  if (!entry) throw new RangeError(`task ${JSON.stringify(id)} is waited for before it is placed`);
  return entry.endMin;
}

function fits(problem: DayProblem, wanted: readonly ScheduledTask[], placed: readonly ScheduledTask[]): boolean {
  return wanted.every((entry) =>
    Object.entries(entry.task.needs).every(([id, amount]) => {
      const capacity = problem.resources.find((resource) => resource.id === id)?.capacity ?? 0;
      const others = [...placed, ...wanted.filter((other) => other !== entry)].filter((other) =>
        overlaps(other, entry),
      );
      return amount + mostHeld(id, others) <= capacity;
    }),
  );
}

/** The most of a resource that tasks hold at one moment; looked at where each of them starts. */
function mostHeld(id: string, entries: readonly ScheduledTask[]): number {
  const holding = entries.filter((entry) => (entry.task.needs[id] ?? 0) > 0);
  return holding.reduce((most, { startMin }) => {
    const now = holding.filter((entry) => entry.startMin <= startMin + SAME_MIN && entry.endMin > startMin + SAME_MIN);
    return Math.max(
      most,
      now.reduce((sum, entry) => sum + (entry.task.needs[id] ?? 0), 0),
    );
  }, 0);
}

function overlaps(a: ScheduledTask, b: ScheduledTask): boolean {
  return a.startMin < b.endMin - SAME_MIN && b.startMin < a.endMin - SAME_MIN;
}

/** Moves a placed chain as late as its successors allow, if its resources are free then; else it stays. */
function postpone(problem: DayProblem, chain: Chain, placed: ScheduledTask[]): void {
  const ids = new Set(chain.tasks.map((task) => task.id));
  const mine = placed.filter((entry) => ids.has(entry.task.id));
  const waiting = problem.chains.filter((other) => other.after.some((id) => ids.has(id)));
  const starts = waiting.flatMap((other) =>
    placed.filter((entry) => entry.task === other.tasks[0]).map((entry) => entry.startMin),
  );
  const endMin = Math.max(...mine.map((entry) => entry.endMin));
  const byMin = Math.min(...starts) - endMin;
  if (!Number.isFinite(byMin) || byMin <= 0) return;
  const moved = mine.map((entry) => ({ ...entry, startMin: entry.startMin + byMin, endMin: entry.endMin + byMin }));
  const others = placed.filter((entry) => !ids.has(entry.task.id));
  if (!fits(problem, moved, others)) return;
  placed.splice(0, placed.length, ...others, ...moved);
}
