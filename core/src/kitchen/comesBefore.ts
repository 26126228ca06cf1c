import { type DayTask } from '../day/dayProblem';
import { needsHands, type DayProgress } from '../day/restOfDay';

/** What a step has to wait for still. */
export interface ComesBefore {
  readonly task: DayTask;
  /** It runs by itself, a soak, a drip, and its time is not up; else nobody told that it was begun. */
  readonly stands: boolean;
}

/**
 * The first forerunner of a step that is not over: a soak whose time is part of the recipe, or a step that nobody told of,
 * with what goes in there. What hands are at is over when the next step begins, and canners have their own keys.
 *
 * @param tasks of the whole day, by whatever order
 */
export function comesBefore(
  { after }: DayTask,
  tasks: readonly DayTask[],
  { of }: Pick<DayProgress, 'of'>,
): ComesBefore | undefined {
  for (const lag of after) {
    const task = tasks.find(({ id }) => id === lag.task);
    const stands = of.get(lag.task);
    if (!task || task.cannerId !== undefined || stands?.kind === 'done') continue;
    if (!stands || !needsHands(task)) return { task, stands: stands !== undefined };
  }
  return undefined;
}
