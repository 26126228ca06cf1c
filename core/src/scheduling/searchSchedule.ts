import { compileProblem } from './compileProblem';
import { type RuleNotMet, type ScheduleProblem } from './scheduleProblem';
import { ScheduleSearchRun } from './scheduleSearchRun';
import { type SearchAim, type SearchState } from './searchState';

export interface ScheduleSearch {
  readonly kind: 'search';
  /** Spends about so many nodes more. Does nothing once it is proven. */
  step(nodes: number): SearchState;
  readonly state: SearchState;
}

export interface SearchOptions {
  readonly seed?: number;
  readonly aim?: SearchAim;
}

/**
 * A search for the schedule that ends first. It can be stopped after any step; the same problem, seed and steps give the
 * same schedules. Method: docs/day-search.md.
 *
 * @returns the search, or the first rule that cannot be met at all
 * @throws RangeError as {@link compileProblem}
 */
export function startSearch(
  problem: ScheduleProblem,
  { seed = 1, aim = 'plan' }: SearchOptions = {},
): ScheduleSearch | RuleNotMet {
  const read = compileProblem(problem);
  if ('kind' in read) return read;
  const run = new ScheduleSearchRun(read, seed, aim);
  return {
    kind: 'search',
    step: (nodes) => run.step(nodes),
    get state() {
      return run.state;
    },
  };
}
