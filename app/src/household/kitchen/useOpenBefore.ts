import { type OpenStep, openBefore } from '@hoddle/core/kitchen/openBefore';
import { runningDay } from '@hoddle/core/kitchen/runningDay';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold } from '@/store/useHousehold';

/** What a step of the day waits for still, whether the day has begun or not. @param now epoch milliseconds */
export function useOpenBefore(day: Day | undefined, taskId: string, now: number): readonly OpenStep[] {
  const { events, dayEvents } = useHousehold();
  if (!day) return [];
  const own = dayEvents.filter((event) => day.dates.includes(event.day));
  const running = day.live?.running ?? runningDay(day.batches, day.question, events, own, day.startAt);
  const task = running.tasks.find(({ id }) => id === taskId);
  return task ? openBefore(task, running, now) : [];
}
