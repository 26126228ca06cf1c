import { type ScheduleReply, type ScheduleRequest } from '@hoddle/contract/schedule';
import { startSearch } from '@hoddle/core/scheduling/searchSchedule';
import { unmetRule } from '@hoddle/core/scheduling/unmetRule';

/** What a search came to: a schedule, a rule that cannot be met, or a request that makes no sense. */
export type ScheduleAnswer =
  | { readonly kind: 'schedule'; readonly reply: ScheduleReply }
  | { readonly kind: 'ruleNotMet'; readonly sentence: string }
  | { readonly kind: 'notFound' }
  | { readonly kind: 'senseless'; readonly sentence: string };

/** Nodes between two looks at the clock: a few milliseconds. */
const NODES_A_LOOK = 50;

/** Searches until it is proven or the time is up. Runs in a worker thread; the clock is the worker's business. */
export function scheduleAnswer({ seed, budgetMs, ...problem }: ScheduleRequest): ScheduleAnswer {
  const until = performance.now() + budgetMs;
  try {
    const search = startSearch(problem, { seed });
    if (search.kind === 'ruleNotMet') return search;
    while (!search.state.proven && !search.state.impossible && performance.now() < until) search.step(NODES_A_LOOK);
    const { tasks, decisions, makespan, lowerBound, proven, impossible } = search.state;
    if (impossible) return unmetRule(problem);
    if (!tasks || makespan === undefined) return { kind: 'notFound' };
    const made = decisions && decisions.size > 0 ? { decisions: Object.fromEntries(decisions) } : {};
    return { kind: 'schedule', reply: { tasks: [...tasks], ...made, makespan, lowerBound, proven } };
  } catch (error) {
    if (error instanceof RangeError) return { kind: 'senseless', sentence: error.message };
    throw error;
  }
}
