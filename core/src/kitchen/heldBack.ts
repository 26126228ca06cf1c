import { type DayTask } from '../day/dayProblem';
import { needsHands } from '../day/restOfDay';
import { type DayEvent } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';
import { type OpenStep, openBefore } from './openBefore';
import { ownWorkOf, progressOf, type RunningDay } from './progressOf';
import { stepClock } from './stepClock';
import { waitEndsAt } from './stepEnd';
import { HEAT_HOLDS_MIN, type TestedPart, testedPart } from './testedPart';

const MINUTE_MS = 60_000;

/** Why something cannot be told as it is: what comes first, what is left of a wait, or heat that is long gone. */
export type HeldBack =
  | { readonly kind: 'before'; readonly open: readonly [OpenStep, ...OpenStep[]] }
  | { readonly kind: 'left'; readonly task: DayTask; readonly leftMin: number; readonly part?: TestedPart }
  | { readonly kind: 'too-old'; readonly task: DayTask };

/**
 * Whether a tap of now is to be stopped: a step before all that it waits for is over, a wait ended with time left and nobody
 * asked, a load into the canner before it is filled. The same for every screen and for the server.
 *
 * @param running the day without the event
 * @returns undefined where it may be told; events of steps that the day does not have are let be
 */
export function heldBack(event: DayEvent | KitchenEvent, running: RunningDay): HeldBack | undefined {
  const taskOf = (id: string) => running.tasks.find((task) => task.id === id);
  switch (event.type) {
    case 'load-started':
      return before(taskOf(`load ${event.loadId}`), running, event.at);
    case 'kept-cold':
      return before(taskOf(`cool ${event.loadId}`), running, event.at);
    case 'step-started':
    case 'clock-started': {
      const task = taskOf(event.taskId);
      const isAtIt = task && progressOf(running, event.at).of.get(task.id)?.kind === 'running';
      return isAtIt ? undefined : before(task, running, event.at);
    }
    case 'step-done':
      return ended(event, taskOf(event.taskId), running);
    case 'done-before': {
      const task = taskOf(event.taskId);
      const ageMin = (event.at - event.endedAt) / MINUTE_MS;
      const isOld = task && testedPart(task) === 'heat' && ageMin > HEAT_HOLDS_MIN;
      // A wait that was over had its own work done too.
      return isOld ? { kind: 'too-old', task } : before(task, running, event.at, task && ownWorkOf(task));
    }
    default:
      return undefined;
  }
}

function before(task: DayTask | undefined, running: RunningDay, at: number, butFor?: string): HeldBack | undefined {
  const open = task ? openBefore(task, running, at) : [];
  const [first, ...more] = open.filter((each) => each.task.id !== butFor);
  return first && { kind: 'before', open: [first, ...more] };
}

function ended(
  { at, sure }: Extract<DayEvent, { type: 'step-done' }>,
  task: DayTask | undefined,
  running: RunningDay,
): HeldBack | undefined {
  if (!task) return undefined;
  const own = progressOf(running, at).of.get(task.id);
  if (own?.kind === 'done') return undefined;
  const part = testedPart(task);
  const left = (leftMin: number): HeldBack => ({ kind: 'left', task, leftMin, ...(part && { part }) });
  if (!own) {
    const open = before(task, running, at);
    // A wait that nobody told as begun was done before, and says when.
    return open ?? (needsHands(task) ? undefined : left(stepClock(task).minutes ?? 0));
  }
  const endsAt = waitEndsAt(task, running.day.steps.get(task.id), running.startAt + own.startMin * MINUTE_MS);
  if (endsAt === undefined || at >= endsAt || (sure && !part)) return undefined;
  return left((endsAt - at) / MINUTE_MS);
}
