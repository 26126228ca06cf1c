import { type DayTask } from '../day/dayProblem';
import { isPortionLag } from '../day/portions';
import { type DayProgress } from '../day/restOfDay';

/** The step that hands its food on to another in portions, as long as it runs. */
export function feeding(
  { after }: Pick<DayTask, 'after'>,
  tasks: readonly DayTask[],
  { of }: Pick<DayProgress, 'of'>,
): DayTask | undefined {
  const before = after.find((lag) => isPortionLag(lag) && of.get(lag.task)?.kind === 'running');
  return before && tasks.find(({ id }) => id === before.task);
}
