import { type Chain, type DayProblem, type DaySchedule, type DayTask, type ScheduledTask } from './dayProblem';

/** Two times closer than this are the same: it is far below a second. */
const SAME_MIN = 1e-6;

/**
 * A plain forward schedule: each chain, in the order given, at the earliest time that its predecessors and every resource
 * allow. Chains marked `late` are then moved as late as what follows them allows. It breaks no rule, but no shorter day
 * is looked for.
 *
 * @param minutesOf how long a task takes this time, asked once a task; by default its likely minutes
 * @throws RangeError when a chain waits for a task that no earlier chain has, or a task needs more than there is
 */
export function forwardSchedule(
  problem: DayProblem,
  minutesOf: (task: DayTask) => number = (task) => task.minutes.p50,
): DaySchedule {
  const minutes = new Map(problem.chains.flatMap(({ tasks }) => tasks).map((task) => [task, minutesOf(task)]));
  const known = (task: DayTask) => minutes.get(task) ?? 0;
  const placed: ScheduledTask[] = [];
  for (const chain of problem.chains) {
    placed.push(...placeAt(chain, earliestStart(problem, chain, placed, known), known));
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
  const holders = holdersOf(placed);
  const frees = shape.flatMap(({ task, startMin }) => {
    const blocking = Object.keys(task.needs).flatMap((id) => holders.get(id) ?? []);
    return blocking.map((entry) => entry.endMin - startMin).filter((at) => at > readyMin);
  });
  const inOrder = [readyMin, ...new Set(frees)].sort((a, b) => a - b);
  const found = inOrder.find((at) => fits(problem, placeAt(chain, at, minutesOf), holders));
  if (found === undefined) throw new RangeError(`no time for ${chain.tasks[0]?.id}: it needs more than there is`);
  return found;
}

function endOf(id: string, placed: readonly ScheduledTask[]): number {
  const entry = placed.find(({ task }) => task.id === id);
  if (!entry) throw new RangeError(`task ${JSON.stringify(id)} is waited for before it is placed`);
  return entry.endMin;
}

/** Whether a chain could stand there. Its own tasks follow each other, so that only what is placed already counts. */
function fits(problem: DayProblem, wanted: readonly ScheduledTask[], holders: Holders): boolean {
  return wanted.every((entry) =>
    Object.entries(entry.task.needs).every(([id, amount]) => {
      const capacity = problem.resources.find((resource) => resource.id === id)?.capacity ?? 0;
      const others = (holders.get(id) ?? []).filter((other) => overlaps(other, entry));
      return amount + mostHeld(id, others) <= capacity;
    }),
  );
}

/** The placed tasks by what they hold. */
type Holders = ReadonlyMap<string, readonly ScheduledTask[]>;

function holdersOf(placed: readonly ScheduledTask[]): Holders {
  const holders = new Map<string, ScheduledTask[]>();
  for (const entry of placed) {
    for (const id of Object.keys(entry.task.needs)) {
      const known = holders.get(id);
      if (known) known.push(entry);
      else holders.set(id, [entry]);
    }
  }
  return holders;
}

/** The most of a resource that tasks hold at one moment; looked at where each of them starts. */
function mostHeld(id: string, entries: readonly ScheduledTask[]): number {
  return entries.reduce((most, { startMin }) => {
    const now = entries.filter((entry) => entry.startMin <= startMin + SAME_MIN && entry.endMin > startMin + SAME_MIN);
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
  if (!fits(problem, moved, holdersOf(others))) return;
  placed.splice(0, placed.length, ...others, ...moved);
}
