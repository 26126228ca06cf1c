import { STERILE_JARS } from '../day/sterileJars';
import { CLEAN_JARS_FROM_MINUTES } from '../process/sterilizeJars';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { loadState } from './loadState';
import { type OpenStep, openBefore } from './openBefore';
import { type RunningDay } from './progressOf';
import { HEAT_HOLDS_MIN } from './testedPart';

const MINUTE_MS = 60_000;

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
  // The table may ask for sterile jars by now; a load that runs as long as clean ones take never needed them.
  const isNeeded = ({ task: { entry } }: OpenStep) =>
    entry !== STERILE_JARS || load.order.processMinutes < CLEAN_JARS_FROM_MINUTES;
  return openBefore(task, { ...running, day, loads }, startedAt).filter(
    (open) => open.part !== undefined && isNeeded(open),
  );
}

/** Whether it can still be said that a step was done before jars went in: what is hot or sour only within the hour. */
export function canBeToldStill({ part }: OpenStep, startedAt: number, now: number): boolean {
  return part !== 'heat' || now - startedAt <= HEAT_HOLDS_MIN * MINUTE_MS;
}
