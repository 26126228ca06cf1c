import { type Method } from '../process/method';
import { type DayProblem, type DayTask } from './dayProblem';

/** What a cook wishes of the loads of a day, whatever else the plan finds. Minutes of the plan. */
export type Wish =
  /** The jars of this load go in at this minute. */
  | { readonly kind: 'pin'; readonly loadId: string; readonly atMin: number }
  /** Into this canner and no other. */
  | { readonly kind: 'canner'; readonly loadId: string; readonly cannerId: string }
  /** The jars of this batch are processed this way, and go into no canner of another. */
  | { readonly kind: 'way'; readonly batchId: string; readonly method: Method }
  /** It has gone in before the other goes in. */
  | { readonly kind: 'before'; readonly loadId: string; readonly otherId: string }
  /** The two are never in canners at once. */
  | { readonly kind: 'apart'; readonly loadId: string; readonly otherId: string };

/** The stages of a load that hold its canner. */
export const IN_CANNER: readonly DayTask['kind'][] = ['load', 'heat-up', 'process', 'rest', 'unload'];

/** Stands in for a thing of which there is one, and which only one of two loads can have. */
export function apartResource(a: string, b: string): string {
  return `apart ${[a, b].sort().join(' ')}`;
}

/** The loads that a wish is about. */
export function loadsOf(wish: Wish): string[] {
  if (wish.kind === 'way') return [];
  return wish.kind === 'before' || wish.kind === 'apart' ? [wish.loadId, wish.otherId] : [wish.loadId];
}

/** Canners left for a load by what is wished: none where the wished one cannot take it. */
export function wishedCanners(wishes: readonly Wish[], loadId: string, able: readonly string[]): readonly string[] {
  const wished = wishes.flatMap((wish) => (wish.kind === 'canner' && wish.loadId === loadId ? [wish.cannerId] : []));
  return wished.length === 0 ? able : able.filter((id) => wished.includes(id));
}

/** The one way a batch is processed, where that is wished. */
export function wishedWay(wishes: readonly Wish[], batchId: string): Method | undefined {
  const [wish] = wishes.flatMap((each) => (each.kind === 'way' && each.batchId === batchId ? [each.method] : []));
  return wish;
}

/** The day with its wishes as rules: times, orders, and what two loads cannot have at once. */
export function withWishes({ resources, tasks }: DayProblem, wishes: readonly Wish[]): DayProblem {
  if (wishes.length === 0) return { resources, tasks };
  const isThere = new Set(tasks.map(({ id }) => id));
  const both = wishes.filter((wish) => loadsOf(wish).every((id) => isThere.has(loadTask(id))));
  const apart = both.flatMap((wish) =>
    wish.kind === 'apart' && wish.loadId !== wish.otherId ? [apartResource(wish.loadId, wish.otherId)] : [],
  );
  return {
    resources: [...resources, ...[...new Set(apart)].map((id) => ({ id, capacity: 1 }))],
    tasks: tasks.map((task) => both.reduce(wished, task)),
  };
}

function wished(task: DayTask, wish: Wish): DayTask {
  switch (wish.kind) {
    case 'pin': {
      if (task.id !== loadTask(wish.loadId)) return task;
      // Before the day begins nothing goes in: that is refused like any other time that is too soon.
      const dueMin = Math.max(0, Math.min(task.dueMin ?? Infinity, wish.atMin + task.minutes.p50));
      return { ...task, releaseMin: Math.max(task.releaseMin ?? 0, wish.atMin), dueMin };
    }
    case 'before':
      if (task.id !== loadTask(wish.otherId) || wish.loadId === wish.otherId) return task;
      return { ...task, after: [...task.after, { task: loadTask(wish.loadId) }] };
    case 'apart': {
      const isOwn = task.loadId === wish.loadId || task.loadId === wish.otherId;
      if (!isOwn || !IN_CANNER.includes(task.kind) || wish.loadId === wish.otherId) return task;
      return { ...task, needs: { ...task.needs, [apartResource(wish.loadId, wish.otherId)]: 1 } };
    }
    case 'canner':
    case 'way':
      return task;
  }
}

/** The id of the task in which a load goes into its canner. */
export function loadTask(loadId: string): string {
  return `load ${loadId}`;
}
