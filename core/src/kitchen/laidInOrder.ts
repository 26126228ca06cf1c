import { type ScheduledTask } from '../day/dayProblem';
import { type DayQuestion, problemOf } from '../day/questionOfDay';
import { type DayOrder } from './dayEvent';

const MINUTE_MS = 60_000;

/**
 * The steps of a day at the times of the order that its kitchen has taken, as long as they likely take; what came up since has no
 * time in it and is left out.
 *
 * @param startAt where minute 0 of the day is, epoch milliseconds
 */
export function laidInOrder(
  question: DayQuestion,
  { startAt: at, cannerOf }: DayOrder,
  startAt: number,
): ScheduledTask[] {
  const { tasks } = problemOf(question, new Map(Object.entries(cannerOf ?? {})));
  return tasks
    .flatMap((task) => {
      const begins = at[task.id];
      if (begins === undefined) return [];
      const startMin = (begins - startAt) / MINUTE_MS;
      return [{ task, startMin, endMin: startMin + task.minutes.p50 }];
    })
    .sort((a, b) => a.startMin - b.startMin);
}
