import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { loadState } from './loadState';
import { type OpenStep, openBefore } from './openBefore';
import { type RunningDay } from './progressOf';

/**
 * What the tested process of a load is built on and was not told as done when its jars went in, or was ended before its time:
 * what a phone without signal told hours later cannot be stopped, only marked.
 *
 * @param running the day as it stands
 * @param dayEvents of that day, all of them
 */
export function passedOver(loadId: string, running: RunningDay, dayEvents: readonly DayEvent[]): OpenStep[] {
  const load = running.loads.get(loadId);
  const task = running.tasks.find(({ id }) => id === `load ${loadId}`);
  const startedAt = load?.state.startedAt;
  if (!load || !task || startedAt === undefined) return [];
  // As it stood when the jars went in, with what was told later of before.
  const happenedAt = (event: DayEvent) => (event.type === 'done-before' ? event.endedAt : event.at);
  const day = dayState(dayEvents.filter((event) => event.type === 'taken-back' || happenedAt(event) <= startedAt));
  const loads = new Map(
    [...running.loads].map(([id, other]) => {
      const isLater = (other.state.startedAt ?? Infinity) >= startedAt;
      return [id, isLater ? { ...other, state: loadState(other.order, []) } : other] as const;
    }),
  );
  return openBefore(task, { ...running, day, loads }, startedAt).filter(({ part }) => part !== undefined);
}
