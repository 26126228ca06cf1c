import { type DayProblem, type DayTask, HANDS, isCannerResource, type ScheduledTask } from './dayProblem';
import { isPortionLag } from './portions';
import { whyThen } from './whyThen';

/** Steps one after the other that make a day as long as it is. */
export interface CriticalChain {
  /** The first one first. */
  readonly steps: readonly ScheduledTask[];
  /**
   * Minutes in it of work for hands, in each canner by its id, and of waits and closed hours. Together they are the whole day: of
   * two steps of which one feeds the other in portions each counts until, or from, where they hang together.
   */
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
  let untilMin = at?.endMin ?? 0;
  while (at && !steps.includes(at)) {
    steps.unshift(at);
    const before = stepBefore(problem, plan, at);
    // Fed in portions: where its last one comes, or its first one began it.
    const fromMin: number = before?.link === 'last' ? before.step.endMin : at.startMin;
    const minutes = untilMin - fromMin;
    const canner = cannerOf(at.task);
    if (canner !== undefined) inCanner.set(canner, (inCanner.get(canner) ?? 0) + minutes);
    else if (at.task.needs[HANDS]) handsMin += minutes;
    else waitMin += minutes;
    untilMin = before?.link === 'first' ? fromMin : (before?.step.endMin ?? 0);
    // What lies between is a pause, or hours in which nobody is there.
    waitMin += fromMin - untilMin;
    at = before?.step;
  }
  return { steps, handsMin, inCanner, waitMin };
}

function cannerOf({ needs, cannerId }: DayTask): string | undefined {
  return cannerId !== undefined && Object.keys(needs).some(isCannerResource) ? cannerId : undefined;
}

/** A step with what made another wait for it: its end, or a portion that it handed on. */
interface StepBefore {
  readonly step: ScheduledTask;
  readonly link: 'end' | 'first' | 'last';
}

/** What a step waited for, else the step that ended last before it. */
function stepBefore(problem: DayProblem, plan: readonly ScheduledTask[], own: ScheduledTask): StepBefore | undefined {
  const why = whyThen(problem, plan, own);
  if (why.kind === 'portions') return { step: why.task, link: why.part };
  if ((why.kind === 'after' || why.kind === 'resource') && why.task.endMin <= own.startMin + 1e-6)
    return { step: why.task, link: 'end' };
  const earlier = plan.filter(
    ({ task, endMin }) => task !== own.task && endMin <= own.startMin + 1e-6 && shares(task, own.task),
  );
  const last = earlier.reduce<ScheduledTask | undefined>(
    (best, each) => (best && best.endMin >= each.endMin ? best : each),
    undefined,
  );
  return last && { step: last, link: 'end' };
}

/** Whether two steps hang together: one waits for the other, or both hold the same. */
function shares(before: DayTask, own: DayTask): boolean {
  const waits = own.after.some((lag) => lag.task === before.id && !isPortionLag(lag));
  return waits || Object.keys(own.needs).some((id) => before.needs[id]);
}
