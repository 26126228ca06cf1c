import { type DayTask } from '../day/dayProblem';
import { needsHands } from '../day/restOfDay';
import { type StepEnd, type StepState } from './dayState';
import { clockEndsAt, stepClock } from './stepClock';
import { HEAT_HOLDS_MIN, testedPart } from './testedPart';

const MINUTE_MS = 60_000;

/**
 * When the wait of a step is up; undefined for work of hands, and for what a look at the pot ends.
 *
 * @param beganAt epoch milliseconds
 */
export function waitEndsAt(task: DayTask, state: StepState | undefined, beganAt: number): number | undefined {
  const clock = stepClock(task);
  return needsHands(task) || clock.asks !== undefined ? undefined : clockEndsAt(clock, state, beganAt);
}

/**
 * The end of a step that counts: work is over when it is told so, a wait when its time is up, or when the cook was asked and the
 * recipe does not need it. What was done before it was told counts too; boiled, reheated or soured longer than an hour before
 * that it never does.
 *
 * @param beganAt of a wait, undefined where nobody told that it was begun
 * @param within ends that may count: not before its own work was begun, not after it was begun once more
 */
export function endThatCounts(
  task: DayTask,
  state: StepState,
  beganAt: number | undefined,
  { from = -Infinity, to = Infinity }: { readonly from?: number; readonly to?: number } = {},
): StepEnd | undefined {
  const part = testedPart(task);
  const endsAt = beganAt === undefined ? undefined : waitEndsAt(task, state, beganAt);
  return state.ends?.find((end) => {
    if (end.at < from || end.at > to) return false;
    if (end.toldAt !== undefined) return part !== 'heat' || end.toldAt - end.at <= HEAT_HOLDS_MIN * MINUTE_MS;
    if (endsAt === undefined || end.at >= endsAt) return true;
    return end.sure === true && part === undefined;
  });
}
