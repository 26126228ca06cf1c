import { endOfDay, type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { needsHands } from '@hoddle/core/day/restOfDay';
import { dayAim } from '@hoddle/core/kitchen/dayClose';
import { type DayOrder } from '@hoddle/core/kitchen/dayEvent';
import { type Day, hasPlan } from '@hoddle/core/kitchen/dayInHand';
import { useTellDay } from './useTellDay';

const MINUTE_MS = 60_000;

/** Begins a day in the order of its plan, which both screens go by from then on; nothing where it has begun already. */
export function useStartDay(day: Day | undefined): () => void {
  const tell = useTellDay(day?.id ?? '');
  return () => {
    if (!day || !hasPlan(day) || day.state.order) return;
    const handsMin = day.tasks
      .filter(({ task }) => needsHands(task))
      .reduce((sum, { startMin, endMin }) => sum + endMin - startMin, 0);
    tell({
      type: 'day-started',
      order: orderOf(day.tasks, day),
      aim: dayAim(day.batches, handsMin, Math.round(day.likelyAt)),
    });
  };
}

/** A plan as it is told: when each step is to begin, and in which canner each load goes. */
export function orderOf(
  tasks: readonly ScheduledTask[],
  { startAt, cannerOf }: Pick<Day, 'startAt' | 'cannerOf'>,
): DayOrder {
  const at = (minute: number) => Math.round(startAt + minute * MINUTE_MS);
  return {
    startAt: Object.fromEntries(tasks.map(({ task, startMin }) => [task.id, at(startMin)])),
    cannerOf,
    endAt: at(endOfDay(tasks)),
  };
}
