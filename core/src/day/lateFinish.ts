import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { P90_SIGMAS } from '../measure/range';
import { type DayProblem, type DayTask } from './dayProblem';
import { forwardSchedule } from './forwardSchedule';

/** Part of a task's deviation that the whole day shares: a slow morning is a slow afternoon. Common practice. */
const SHARED_PACE = 0.7;

/**
 * Minutes after its start by which the day is over in nine of ten tries: the plan is run with durations drawn from each
 * task's range, which is taken for its middle 8 in 10. Tested times and the rest do not vary.
 *
 * @param seed the same seed gives the same answer
 */
export function lateFinishMin(problem: DayProblem, seed: number, tries = 100): number {
  const random = xoroshiro128plus(seed);
  const normal = () => {
    // Box and Muller 1958; 1 - u keeps the logarithm finite.
    const radius = Math.sqrt(-2 * Math.log(1 - uniformFloat64(random)));
    return radius * Math.cos(2 * Math.PI * uniformFloat64(random));
  };
  const finishes = Array.from({ length: tries }, () => {
    const pace = normal();
    const drawn = (task: DayTask) => {
      const own = normal();
      const deviation = SHARED_PACE * pace + Math.sqrt(1 - SHARED_PACE ** 2) * own;
      const { p10, p50, p90 } = task.minutes;
      const minutes = p50 + ((p90 - p10) / 2 / P90_SIGMAS) * deviation;
      return Math.max(minutes, p10 / 2);
    };
    return forwardSchedule(problem, drawn).makespanMin;
  });
  finishes.sort((a, b) => a - b);
  return finishes[Math.ceil(0.9 * tries) - 1] ?? 0;
}
