import { startAfter, startBefore } from '../scheduling/lagBounds';
import { type DayProblem, type ScheduledTask } from './dayProblem';
import { isPortionLag } from './portions';

/** What a step waits for: the last thing that had to happen before it. */
export type Why =
  | { readonly kind: 'first' }
  | { readonly kind: 'after'; readonly task: ScheduledTask; readonly waitMin: number }
  /** As soon as its first portion is there; or so that its last one goes through it without a wait after it has come. */
  | { readonly kind: 'portions'; readonly task: ScheduledTask; readonly part: 'first' | 'last' }
  | { readonly kind: 'resource'; readonly resource: string; readonly task: ScheduledTask }
  | { readonly kind: 'hours'; readonly resource: string }
  | { readonly kind: 'soonEnough'; readonly task: ScheduledTask; readonly maxLagMin: number }
  | { readonly kind: 'late'; readonly task: ScheduledTask }
  /** Its own day begins then, or it is wished so. */
  | { readonly kind: 'asked' }
  | { readonly kind: 'free' };

const SAME_MIN = 1e-6;

/** Why a step stands where it stands in a plan. What another follows at once, as work its wait, has the reason of that. */
export function whyThen(problem: DayProblem, plan: readonly ScheduledTask[], own: ScheduledTask): Why {
  return whyOf(problem, plan, own, []);
}

/** @param tied steps that go before it without a pause: they are no reason for it */
function whyOf(
  problem: DayProblem,
  plan: readonly ScheduledTask[],
  own: ScheduledTask,
  tied: readonly ScheduledTask[],
): Why {
  const { resources } = problem;
  const byId = new Map(plan.map((entry) => [entry.task.id, entry]));
  const next = (id: string) => plan.find(({ task }) => task.after.some((lag) => lag.task === id));
  if (own.task.late) {
    const following = next(own.task.id);
    if (following) return { kind: 'late', task: following };
  }
  const length = own.endMin - own.startMin;
  for (const lag of own.task.after) {
    const before = byId.get(lag.task);
    if (!before || tied.includes(before)) continue;
    if (Math.abs(startAfter(lag, before, length).earliestMin - own.startMin) >= SAME_MIN) continue;
    if (!isPortionLag(lag)) return { kind: 'after', task: before, waitMin: lag.minLag ?? 0 };
    return { kind: 'portions', task: before, part: lag.between === 'start-start' ? 'first' : 'last' };
  }
  if (own.startMin < SAME_MIN) return { kind: 'first' };
  const others = plan.filter((entry) => !tied.includes(entry));
  for (const { id, closed = [], taken = [] } of resources) {
    if (!own.task.needs[id]) continue;
    const freed = others.find(
      ({ task, endMin }) =>
        task !== own.task && (task.needs[id] ?? 0) > 0 && Math.abs(endMin - own.startMin) < SAME_MIN,
    );
    if (freed) return { kind: 'resource', resource: id, task: freed };
    const opens = [...closed.map(([, to]) => to), ...taken.map(({ to }) => to)];
    if (opens.some((to) => Math.abs(to - own.startMin) < SAME_MIN)) return { kind: 'hours', resource: id };
  }
  for (const following of plan) {
    for (const lag of following.task.after) {
      if (lag.task !== own.task.id || lag.maxLag === undefined) continue;
      if (startBefore(lag, following, length).earliestMin < own.startMin - SAME_MIN) continue;
      if (lag.maxLag === 0 && !isPortionLag(lag)) return whyOf(problem, plan, following, [...tied, own]);
      const pauseMin = following.startMin - own.endMin;
      return { kind: 'soonEnough', task: following, maxLagMin: isPortionLag(lag) ? pauseMin : lag.maxLag };
    }
  }
  const { releaseMin } = own.task;
  if (releaseMin !== undefined && Math.abs(releaseMin - own.startMin) < SAME_MIN) return { kind: 'asked' };
  return { kind: 'free' };
}
