import { type ScheduledTask } from '../day/dayProblem';
import { type Cook } from '../day/kitchenSetup';
import { type DayProgress, needsHands } from '../day/restOfDay';
import { type StepState } from './dayState';

/** What one pair of hands does: the step it is at, and the one after it. Minutes from the start of the plan. */
export interface HandsNow {
  readonly cook: string;
  readonly now?: { readonly entry: ScheduledTask; readonly running: boolean };
  readonly then?: ScheduledTask;
}

/** A step is begun now when its time is not further off than this. */
const SOON_MIN = 2;

/**
 * What each pair of hands does now and next: steps that run stay with whoever began them, and the steps to come are given
 * out in the order of their times, each to the hands that are free first.
 *
 * @param cooks those who are there now
 * @param tasks the day as it is laid out
 * @param steps what was told of them: who began which
 */
export function whatNow(
  cooks: readonly Cook[],
  tasks: readonly ScheduledTask[],
  { of, nowMin }: DayProgress,
  steps: ReadonlyMap<string, Pick<StepState, 'cook'>> = new Map(),
): HandsNow[] {
  const hands = cooks.map(({ name }) => ({ cook: name, steps: [] as ScheduledTask[], freeMin: nowMin }));
  const ofHands = tasks.filter(({ task }) => needsHands(task) && of.get(task.id)?.kind !== 'done');
  const isRunning = ({ task }: ScheduledTask) => of.get(task.id)?.kind === 'running';
  // Nobody begins two at once: a second one was handed over.
  const beganIt = ({ task }: ScheduledTask) =>
    hands.find(({ cook, steps: own }) => cook === steps.get(task.id)?.cook && own.length === 0);
  const give = (entry: ScheduledTask, hand: (typeof hands)[number] | undefined) => {
    hand?.steps.push(entry);
    if (hand) hand.freeMin = entry.endMin;
  };
  const running = ofHands.filter(isRunning);
  const known = running.filter((entry) => {
    const hand = beganIt(entry);
    give(entry, hand);
    return hand !== undefined;
  });
  const inOrder = [
    ...running.filter((entry) => !known.includes(entry)),
    ...ofHands.filter((entry) => !isRunning(entry)),
  ];
  for (const entry of inOrder) {
    const { cook } = entry.task;
    const first = hands
      // An errand is its own cook's.
      .filter((each) => cook === undefined || each.cook === cook)
      .reduce<(typeof hands)[number] | undefined>(
        (best, each) => (best && best.freeMin <= each.freeMin ? best : each),
        undefined,
      );
    give(entry, first);
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
