import { startAfter, startBefore } from '../scheduling/lagBounds';
import { type DayProblem, type ScheduledTask } from './dayProblem';

/**
 * A schedule as a cook would have it, with the same end: every step as early as the others allow, and what may wait (tasks
 * marked `late`: heating the water) as late as what follows it allows. No rule is broken by it.
 */
export function compactSchedule(problem: DayProblem, schedule: readonly ScheduledTask[]): ScheduledTask[] {
  const tasks = [...schedule].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  for (const [k, own] of tasks.entries()) {
    if (!own.task.late) tasks[k] = firstFree(problem, own, tasks, earliestFor(own, tasks), own.startMin);
  }
  for (const [k, own] of tasks.entries()) {
    if (own.task.late) tasks[k] = firstFree(problem, own, tasks, latestFor(own, tasks), own.startMin);
  }
  return tasks.sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
}

/**
 * The free start nearest to the wished one, on the way from there to where the task stands now. A start that is not free
 * is not free until something ends (or, looking back, before something begins): only those moments are looked at.
 */
function firstFree(
  { resources }: DayProblem,
  own: ScheduledTask,
  tasks: readonly ScheduledTask[],
  wished: number,
  now: number,
): ScheduledTask {
  if (!Number.isFinite(wished) || Math.abs(now - wished) < 1) return own;
  const needed = resources.filter(({ id }) => (own.task.needs[id] ?? 0) > 0);
  const others = tasks.filter((entry) => entry !== own && needed.some(({ id }) => (entry.task.needs[id] ?? 0) > 0));
  const length = own.endMin - own.startMin;
  const spans = [
    ...others.map(({ startMin, endMin }) => [startMin, endMin] as const),
    ...needed.flatMap(({ closed = [], taken = [] }) => [
      ...closed,
      ...taken.map(({ from, to }) => [from, to] as const),
    ]),
  ];
  const earlier = wished < now;
  const moments = spans
    .map(([from, to]) => (earlier ? to : from - length))
    .filter((at) => (earlier ? at > wished && at < now : at < wished && at > now));
  const inOrder = [wished, ...moments.sort((a, b) => (earlier ? a - b : b - a))];
  for (const startMin of inOrder) {
    const moved = { task: own.task, startMin, endMin: startMin + length };
    if (isFree(needed, moved, others)) return moved;
  }
  return own;
}

/** After all it waits for, and not so early that what follows comes too late for it. */
function earliestFor(own: ScheduledTask, tasks: readonly ScheduledTask[]): number {
  const length = own.endMin - own.startMin;
  const before = own.task.after.map((lag) => {
    const entry = tasks.find(({ task }) => task.id === lag.task);
    return entry ? startAfter(lag, entry, length).earliestMin : 0;
  });
  const after = lagsTo(own, tasks).map(({ lag, entry }) => startBefore(lag, entry, length).earliestMin);
  return Math.min(own.startMin, Math.max(own.task.releaseMin ?? 0, ...before, ...after));
}

/** Before all that waits for it. */
function latestFor(own: ScheduledTask, tasks: readonly ScheduledTask[]): number {
  const length = own.endMin - own.startMin;
  return Math.min(...lagsTo(own, tasks).map(({ lag, entry }) => startBefore(lag, entry, length).latestMin));
}

function lagsTo(own: ScheduledTask, tasks: readonly ScheduledTask[]) {
  return tasks.flatMap((entry) =>
    entry.task.after.filter((lag) => lag.task === own.task.id).map((lag) => ({ lag, entry })),
  );
}

function isFree(resources: DayProblem['resources'], wanted: ScheduledTask, others: readonly ScheduledTask[]): boolean {
  return resources.every(({ id, capacity, closed = [], taken = [] }) => {
    const amount = wanted.task.needs[id] ?? 0;
    if (amount === 0) return true;
    if (closed.some(([from, to]) => from < wanted.endMin && to > wanted.startMin)) return false;
    const holders = [
      ...others.map(({ task, startMin, endMin }) => ({ from: startMin, to: endMin, amount: task.needs[id] ?? 0 })),
      ...taken,
    ].filter(({ from, to, amount: held }) => held > 0 && from < wanted.endMin && to > wanted.startMin);
    const moments = [wanted.startMin, ...holders.map(({ from }) => Math.max(from, wanted.startMin))];
    return moments.every((at) => {
      const held = holders.reduce((sum, { from, to, amount: own }) => sum + (from <= at && at < to ? own : 0), 0);
      return held + amount <= capacity;
    });
  });
}
