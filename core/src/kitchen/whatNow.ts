import { type ScheduledTask } from '../day/dayProblem';
import { type Cook } from '../day/kitchenSetup';
import { type DayProgress, needsHands } from '../day/restOfDay';

/** What one pair of hands does: the step it is at, and the one after it. Minutes from the start of the plan. */
export interface HandsNow {
  readonly cook: string;
  readonly now?: { readonly entry: ScheduledTask; readonly running: boolean };
  readonly then?: ScheduledTask;
}

/** A step is begun now when its time is not further off than this. */
const SOON_MIN = 2;

/**
 * What each pair of hands does now and next: steps that run stay with whoever is at them, and the steps to come are given
 * out in the order of their times, each to the hands that are free first.
 *
 * @param cooks those who are there now
 * @param tasks the day as it is laid out
 */
export function whatNow(
  cooks: readonly Cook[],
  tasks: readonly ScheduledTask[],
  { of, nowMin }: DayProgress,
): HandsNow[] {
  const hands = cooks.map(({ name }) => ({ cook: name, steps: [] as ScheduledTask[], freeMin: nowMin }));
  const ofHands = tasks.filter(({ task }) => needsHands(task) && of.get(task.id)?.kind !== 'done');
  const isRunning = ({ task }: ScheduledTask) => of.get(task.id)?.kind === 'running';
  const inOrder = [...ofHands.filter(isRunning), ...ofHands.filter((entry) => !isRunning(entry))];
  for (const entry of inOrder) {
    const { cook } = entry.task;
    const first = hands
      // An errand is its own cook's.
      .filter((each) => cook === undefined || each.cook === cook)
      .reduce<(typeof hands)[number] | undefined>(
        (best, each) => (best && best.freeMin <= each.freeMin ? best : each),
        undefined,
      );
    first?.steps.push(entry);
    if (first) first.freeMin = entry.endMin;
  }
  return hands.map(({ cook, steps: [first, second] }) => ({
    cook,
    ...(first && { now: { entry: first, running: isRunning(first) } }),
    ...(second && { then: second }),
  }));
}

/** Whether a step is to be begun at once. */
export function isDue({ startMin }: ScheduledTask, { nowMin }: DayProgress): boolean {
  return startMin <= nowMin + SOON_MIN;
}

/** What somebody must do next, whoever it is: the steps of hands, and what ends by the clock. */
export function nextThings(
  tasks: readonly ScheduledTask[],
  { of }: DayProgress,
  beside: readonly string[],
): ScheduledTask[] {
  return tasks
    .filter(({ task }) => of.get(task.id) === undefined && !beside.includes(task.id))
    .filter(
      ({ task }) => needsHands(task) || task.kind === 'preheat' || task.kind === 'rest' || task.cannerId === undefined,
    )
    .slice(0, 3);
}
