import { startAfter } from '../scheduling/lagBounds';
import { type DayProblem, type DayTask, HANDS, WATCH } from './dayProblem';
import { type SearchResource } from '../scheduling/scheduleProblem';

/** Where a task stands, in minutes from the start of the plan; a task without an entry has not begun. */
export type Progress =
  | { readonly kind: 'done'; readonly startMin: number; readonly endMin: number }
  /** `endMin`: when it is likely over. */
  | { readonly kind: 'running'; readonly startMin: number; readonly endMin: number };

export interface DayProgress {
  /** Whole minutes. */
  readonly nowMin: number;
  /** By task id. */
  readonly of: ReadonlyMap<string, Progress>;
  /** Canners that loads stand in or stood in, by load id: that does not change any more. */
  readonly cannerOf: ReadonlyMap<string, string>;
  /** Canners that are out of use for what has not gone in yet. */
  readonly cannersOut: readonly string[];
}

/** The stages of a load that nothing comes between: these pauses are never let go. */
const IN_CANNER: readonly DayTask['kind'][] = ['heat-up', 'process', 'rest'];

/**
 * What is left of a day, with its minute 0 at now: what is done is gone, what runs holds its place until it is likely
 * over, all else comes later. Pauses that began with something done or running end when they would have; `letGo` drops
 * those that are too long already, so that the rest can be laid out all the same.
 */
export function restOfDay({ resources, tasks }: DayProblem, progress: DayProgress, letGo = false): DayProblem {
  const { nowMin, of } = progress;
  const running = tasks.filter(({ id }) => of.get(id)?.kind === 'running');
  const endOf = (id: string) => {
    const own = of.get(id);
    const end = (own?.endMin ?? nowMin) - nowMin;
    return own?.kind === 'running' ? Math.max(1, Math.ceil(end)) : end;
  };
  const spanOf = (id: string) => ({ startMin: (of.get(id)?.startMin ?? nowMin) - nowMin, endMin: endOf(id) });
  const rest = tasks.flatMap((task): DayTask[] => {
    if (of.has(task.id)) return [];
    // Nobody told of it, and its time is past: it was done, or left.
    if (task.kind === 'errand' && (task.dueMin ?? Infinity) <= nowMin) return [];
    const { dueMin, ...own } = task;
    const begun = task.after.filter((lag) => of.has(lag.task));
    const within = begun.map((lag) => startAfter(lag, spanOf(lag.task), task.minutes.p50));
    const starts = within.map(({ earliestMin }) => earliestMin);
    const pauses = within.map(({ latestMin }) => latestMin + task.minutes.p50);
    const asked = dueMin === undefined ? [] : [dueMin - nowMin];
    const dues = letGo && !IN_CANNER.includes(task.kind) ? [] : [...pauses, ...asked];
    const due = Math.floor(Math.min(...dues));
    return [
      {
        ...own,
        after: task.after.filter((lag) => !of.has(lag.task)),
        releaseMin: Math.max(0, (task.releaseMin ?? 0) - nowMin, Math.ceil(Math.max(0, ...starts))),
        ...(Number.isFinite(due) && due >= task.minutes.p50 && { dueMin: due }),
      },
    ];
  });
  const later = resources.map((resource) => fromNow(resource, nowMin));
  return { resources: withHeld(later, running, endOf), tasks: rest };
}

/** The hours of a resource with minute 0 at now. */
function fromNow(resource: SearchResource, nowMin: number): SearchResource {
  const { closed, taken } = resource;
  const shifted = (from: number, to: number) => [Math.max(0, from - nowMin), to - nowMin] as const;
  return {
    ...resource,
    ...(closed && { closed: closed.map(([from, to]) => shifted(from, to)).filter(([, to]) => to > 0) }),
    ...(taken && {
      taken: taken
        .map(({ amount, ...span }) => {
          const [from, to] = shifted(span.from, span.to);
          return { from, to, amount };
        })
        .filter(({ to }) => to > 0),
    }),
  };
}

/**
 * Resources with what running tasks hold of them, as far as the plan's kitchen has it: whoever works through a break is not
 * counted, nor a fifth pot on four burners.
 */
function withHeld(
  resources: readonly SearchResource[],
  running: readonly DayTask[],
  endOf: (id: string) => number,
): SearchResource[] {
  return resources.map((resource) => {
    const { id, capacity, closed = [], taken = [] } = resource;
    const held: { from: number; to: number; amount: number }[] = [];
    for (const task of running) {
      // Whoever is out leaves nobody to watch; what is on the fire takes nothing from anybody.
      if (id === WATCH && task.kind !== 'errand') continue;
      const amount = task.needs[id] ?? 0;
      const to = endOf(task.id);
      const shut = closed.some(([from, until]) => from < to && until > 0);
      const gone = [...taken, ...held].filter(({ from }) => from < to).reduce((sum, part) => sum + part.amount, 0);
      if (amount > 0 && !shut && amount + gone <= capacity) held.push({ from: 0, to, amount });
    }
    return held.length === 0 ? resource : { ...resource, taken: [...taken, ...held] };
  });
}

/** Whether a task keeps somebody's hands busy. */
export function needsHands({ needs }: Pick<DayTask, 'needs'>): boolean {
  return (needs[HANDS] ?? 0) > 0;
}
