import { type DayTask } from '../day/dayProblem';
import { needsHands, type DayProgress } from '../day/restOfDay';

/** What a step has to wait for still. */
export interface ComesBefore {
  readonly task: DayTask;
  /** It runs by itself, a soak, a drip, and its time is not up; else nobody told that it was begun. */
  readonly stands: boolean;
  /** Its heat, time or acid is part of what was tested: it is neither cut short nor passed over. */
  readonly isTested: boolean;
}

/**
 * Steps that the tested process is built on: food goes into hot jars hot, acid into each of them. Handbook rules 2 and 3; the
 * cards' own steps.
 */
const TESTED =
  /^(?:boil-(?!brine|to-set|30-peel)|full-boil|combine-boil|crush-heat|cook-soft|simmer|reheat|heat-(?!up)|acid|hot-brine|sterile)/;

/**
 * The forerunner of a step that is not over: one that the tested process is built on before all others, a soak whose time is
 * part of the recipe, or a step that nobody told of, with what goes in there. What hands are at is over when the next step
 * begins, and canners have their own keys.
 *
 * @param tasks of the whole day, by whatever order
 * @param isUp whether the time of a wait is up, so that it is over by itself
 */
export function comesBefore(
  { after }: DayTask,
  tasks: readonly DayTask[],
  { of }: Pick<DayProgress, 'of'>,
  isUp: (task: DayTask) => boolean = () => false,
): ComesBefore | undefined {
  const open = after.flatMap((lag): ComesBefore[] => {
    const task = tasks.find(({ id }) => id === lag.task);
    const stands = of.get(lag.task);
    if (!task || task.cannerId !== undefined || stands?.kind === 'done') return [];
    if (stands && (needsHands(task) || isUp(task))) return [];
    return [{ task, stands: stands !== undefined, isTested: TESTED.test(task.entry ?? task.step ?? '') }];
  });
  return open.find(({ isTested }) => isTested) ?? open[0];
}
