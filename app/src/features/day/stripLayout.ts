import { BURNERS, type DayTask, HANDS, type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { type StripScale } from './stripScale';

const WORDS_APART_PX = 17;

export interface StepLine {
  readonly entry: ScheduledTask;
  readonly works: boolean;
  readonly y: number;
  readonly height: number;
  /** Where its words stand: beside the bar, nudged down where the step before is too close. */
  readonly wordsY: number;
}

/** What hands do and what simmers or stands meanwhile, each with room for its words. */
export function stepLines(tasks: readonly ScheduledTask[], { yOf }: Pick<StripScale, 'yOf'>): StepLine[] {
  const shown = tasks.filter(
    ({ task }) =>
      // What is done besides has blocks of its own.
      (task.kind !== 'errand' && (task.needs[HANDS] ?? 0) > 0) || (task.kind === 'prepare' && isWaitAlone(task, tasks)),
  );
  let free = -Infinity;
  return shown.map((entry) => {
    const y = yOf(entry.startMin);
    const height = yOf(entry.endMin) - y;
    const wordsY = Math.max(free, y + Math.max(0, Math.min(height, 40) / 2 - 9));
    free = wordsY + WORDS_APART_PX;
    return { entry, works: (entry.task.needs[HANDS] ?? 0) > 0, y, height, wordsY };
  });
}

/** A wait with a hands-on part of its own is already named there. */
function isWaitAlone(task: DayTask, tasks: readonly ScheduledTask[]): boolean {
  return !tasks.some(({ task: other }) => other !== task && other.loadId === task.loadId && other.words === task.words);
}

/** Pots on the stove apart from the canner, each in the first free lane. */
export function stoveLanes(tasks: readonly ScheduledTask[]): { entry: ScheduledTask; lane: number }[] {
  const ends: number[] = [];
  const pots = tasks.filter(
    ({ task }) => (task.needs[BURNERS] ?? 0) > 0 && !Object.keys(task.needs).some((id) => id.startsWith('canner ')),
  );
  return pots.map((entry) => {
    const found = ends.findIndex((end) => end <= entry.startMin + 1e-6);
    const lane = found < 0 ? ends.length : found;
    ends[lane] = entry.endMin;
    return { entry, lane };
  });
}
