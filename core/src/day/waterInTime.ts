import { type DayProblem, type ScheduledTask } from './dayProblem';

/** Water stands hot so long before its jars, and no longer; never across a night. Common practice. */
export const HOT_BEFORE_MIN = 40;

/** Which load goes into each canner first, by canner id, where its water would be hot too long before it. */
export function hotTooLong(plan: readonly ScheduledTask[]): ReadonlyMap<string, string> {
  const early = new Map<string, string>();
  for (const { task: water, endMin } of plan) {
    if (water.kind !== 'preheat' || water.cannerId === undefined) continue;
    const first = firstInto(water.cannerId, plan);
    if (first && first.startMin - endMin > HOT_BEFORE_MIN) early.set(water.cannerId, first.task.id);
  }
  return early;
}

/** What needs the water of a canner first: jars, or cold water for raw ones. */
function firstInto(cannerId: string, plan: readonly ScheduledTask[]): ScheduledTask | undefined {
  return plan.reduce<ScheduledTask | undefined>((first, entry) => {
    const { kind, cannerId: own } = entry.task;
    if (own !== cannerId || (kind !== 'load' && kind !== 'cool-water')) return first;
    return first && first.startMin <= entry.startMin ? first : entry;
  }, undefined);
}

/** The same day with the water of these canners heated for the task named: hot in time for it, and not long before. */
export function heatedFor(problem: DayProblem, firsts: ReadonlyMap<string, string>): DayProblem {
  const canners = new Map([...firsts].map(([cannerId, taskId]) => [taskId, `preheat ${cannerId}`]));
  const tasks = problem.tasks.map((task) => {
    const water = canners.get(task.id);
    if (water === undefined) return task;
    const others = task.after.filter((lag) => lag.task !== water);
    return { ...task, after: [...others, { task: water, maxLag: HOT_BEFORE_MIN }] };
  });
  return { ...problem, tasks };
}
