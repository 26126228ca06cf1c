import { type DayTask } from '../day/dayProblem';
import { needsHands } from '../day/restOfDay';
import { type Draws } from '../math/draws';
import { P90_SIGMAS } from '../math/range';
import { type DayLuck } from './dayWorld';

/** Part of a task's deviation that the whole day shares: a slow morning is a slow afternoon. Common practice. */
const SHARED_PACE = 0.5;

/** Cooks are a quarter slower or faster than the handbook's, besides what its ranges say. Common practice. On the log scale. */
const COOK_SIGMA = 0.22;

/** Now and then a step takes far longer: own deviations are Student's, with so many degrees of freedom. Common practice. */
const DEGREES = 4;
/** Beyond so much of its usual deviation something else would be done. */
const FURTHEST = 4;

/** A step that nobody thought of for a while. Common practice. */
const FORGETS = 0.04;
const FORGOTTEN_MIN = 15;

/**
 * How a day goes by chance: minutes drawn from each task's range, which is taken for its middle 8 in 10, some of the deviation
 * shared by the day and by the cook; now and then a step lies for a while before anybody thinks of it. Tested times and the rest do
 * not vary, since their ranges do not.
 */
export function drawLuck(tasks: readonly DayTask[], draws: Draws): DayLuck {
  const pace = draws.normal();
  const cook = Math.exp(COOK_SIGMA * draws.normal());
  const minutes: number[] = [];
  const forgotten: number[] = [];
  for (const task of tasks) {
    const { p10, p50, p90 } = task.minutes;
    const isFixed = p90 <= p10;
    const drawn = isFixed ? p50 : p50 * Math.exp(spreadOf(task.minutes) * deviationOf(pace, draws));
    const isHands = needsHands(task) && task.kind !== 'errand';
    minutes.push(isHands ? drawn * cook : drawn);
    forgotten.push(isHands && draws.unit() < FORGETS ? FORGOTTEN_MIN : 0);
  }
  return { minutes, forgotten };
}

function deviationOf(pace: number, draws: Draws): number {
  // A normal over the root of a chi-square by its degrees.
  const own = draws.normal() / Math.sqrt(draws.gamma(DEGREES / 2, DEGREES / 2));
  const deviation = SHARED_PACE * pace + Math.sqrt(1 - SHARED_PACE ** 2) * own;
  return Math.max(-FURTHEST, Math.min(FURTHEST, deviation));
}

/** On the log scale, so that a step is as likely twice as long as half as long. */
function spreadOf({ p10, p90 }: DayTask['minutes']): number {
  return Math.log(Math.max(1, p90 / Math.max(0.5, p10))) / 2 / P90_SIGMAS;
}
