import { groupBy } from '../handbook/groupBy';
import { type Assignment } from './assignments';
import { type Batch } from './batch';
import { type DayKitchen } from './dayKitchen';
import { dayOf } from './dayOf';
import { type ScheduledTask } from './dayProblem';

/**
 * Loads of one batch with as many jars of one size stand for each other, so the search may have put number 3 first. Here they change
 * names, and canners with them, until they go into the canners in the order of their numbers.
 */
export function inNumberOrder(
  question: Omit<DayKitchen, 'cannerOf'> & { readonly batches: readonly Batch[] },
  cannerOf: Assignment,
  tasks: readonly ScheduledTask[],
): { tasks: ScheduledTask[]; cannerOf: Assignment } {
  const startOf = new Map(
    tasks.flatMap(({ task, startMin }) => (task.kind === 'load' ? [[task.loadId ?? '', startMin] as const] : [])),
  );
  const hosts = new Set(question.batches.flatMap(({ loads }) => loads.map(({ withLoadId }) => withLoadId)));
  const nameOf = new Map<string, string>();
  for (const { loads: all } of question.batches) {
    // One that shares its canner stands for no other.
    const loads = all.filter(({ id, withLoadId }) => withLoadId === undefined && !hosts.has(id));
    for (const alike of groupBy(loads, ({ jars, size }) => `${jars} ${size?.jar}`).values()) {
      const ids = alike.map(({ id }) => id);
      const inTime = [...ids].sort((a, b) => (startOf.get(a) ?? 0) - (startOf.get(b) ?? 0));
      inTime.forEach((id, k) => nameOf.set(id, ids[k] as string));
    }
  }
  const renamed = new Map([...cannerOf].map(([id, canner]) => [nameOf.get(id) ?? id, canner]));
  const { tasks: renewed } = dayOf(question.batches, { ...question, cannerOf: renamed });
  const byId = new Map(renewed.map((task) => [task.id, task]));
  return {
    cannerOf: renamed,
    tasks: tasks.map((entry) => {
      const { id, loadId } = entry.task;
      const name = loadId === undefined ? undefined : nameOf.get(loadId);
      if (loadId === undefined || name === undefined) return entry;
      return { ...entry, task: byId.get(id.slice(0, -loadId.length) + name) ?? entry.task };
    }),
  };
}
