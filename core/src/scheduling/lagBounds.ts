import { type Lag } from './scheduleProblem';

/** Where an interval lies, in minutes; its end may be told apart from its length. */
export interface Interval {
  readonly startMin: number;
  readonly endMin: number;
}

/** The starts that a lag leaves to one of its two tasks, the other lying where it lies. */
export interface StartBounds {
  readonly earliestMin: number;
  readonly latestMin: number;
}

/** The starts that a lag leaves to the task it leads to, so many minutes long. */
export function startAfter(
  { minLag = 0, maxLag = Infinity, between = 'end-start' }: Lag,
  before: Interval,
  minutes: number,
): StartBounds {
  const from = between === 'start-start' ? before.startMin : before.endMin;
  const length = between === 'end-end' ? minutes : 0;
  return { earliestMin: from + minLag - length, latestMin: from + maxLag - length };
}

/** The starts that a lag leaves to the task it leads from, so many minutes long. */
export function startBefore(
  { minLag = 0, maxLag = Infinity, between = 'end-start' }: Lag,
  following: Interval,
  minutes: number,
): StartBounds {
  const to = between === 'end-end' ? following.endMin : following.startMin;
  const length = between === 'start-start' ? 0 : minutes;
  return { earliestMin: to - maxLag - length, latestMin: to - minLag - length };
}
