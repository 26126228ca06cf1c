import { type DayProblem, type DayTask, HANDS, isCannerResource, type ScheduledTask } from './dayProblem';
import { whyThen } from './whyThen';

/** Steps one after the other that make a day as long as it is. */
export interface CriticalChain {
  /** The first one first. */
  readonly steps: readonly ScheduledTask[];
  /** Minutes in it of work for hands, in each canner by its id, and of waits and closed hours. Together they are the whole day. */
  readonly handsMin: number;
  readonly inCanner: ReadonlyMap<string, number>;
  readonly waitMin: number;
}

/**
 * From the step that ends last back to the beginning: each step with the one that it waited for, by a precedence or for what the
 * other held. The critical path of a schedule with its resource arcs (Wiest 1964).
 */
export function criticalChain(problem: DayProblem, plan: readonly ScheduledTask[]): CriticalChain {
  const counted = plan.filter(({ task }) => !task.uncounted);
  const steps: ScheduledTask[] = [];
  const inCanner = new Map<string, number>();
  let [handsMin, waitMin] = [0, 0];
  let at = counted.reduce<ScheduledTask | undefined>(
    (last, own) => (last && last.endMin >= own.endMin ? last : own),
    undefined,
  );
  while (at && !steps.includes(at)) {
    steps.unshift(at);
    const minutes = at.endMin - at.startMin;
    const canner = cannerOf(at.task);
    if (canner !== undefined) inCanner.set(canner, (inCanner.get(canner) ?? 0) + minutes);
    else if (at.task.needs[HANDS]) handsMin += minutes;
    else waitMin += minutes;
    const before = stepBefore(problem, plan, at);
    // What lies between is a pause, or hours in which nobody is there.
    waitMin += at.startMin - (before?.endMin ?? 0);
    at = before;
  }
  return { steps, handsMin, inCanner, waitMin };
}

function cannerOf({ needs, cannerId }: DayTask): string | undefined {
  return cannerId !== undefined && Object.keys(needs).some(isCannerResource) ? cannerId : undefined;
}

/** What a step waited for, else the step that ended last before it. */
function stepBefore(
  problem: DayProblem,
  plan: readonly ScheduledTask[],
  own: ScheduledTask,
): ScheduledTask | undefined {
  const why = whyThen(problem, plan, own);
  if ((why.kind === 'after' || why.kind === 'resource') && why.task.endMin <= own.startMin + 1e-6) return why.task;
  const earlier = plan.filter(
    ({ task, endMin }) => task !== own.task && endMin <= own.startMin + 1e-6 && shares(task, own.task),
  );
  return earlier.reduce<ScheduledTask | undefined>(
    (last, each) => (last && last.endMin >= each.endMin ? last : each),
    undefined,
  );
}

/** Whether two steps hang together: one waits for the other, or both hold the same. */
function shares(before: DayTask, own: DayTask): boolean {
  return own.after.some(({ task }) => task === before.id) || Object.keys(own.needs).some((id) => before.needs[id]);
}
