import { type Alarm, alarmsOf } from '@hoddle/core/kitchen/alarms';
import { type LaidOut } from '@hoddle/core/kitchen/layOut';
import memoizeOne from 'memoize-one';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { useInstrumentStore } from '@/store/instrumentStore';
import { useNow } from '@/store/useHousehold';

/** When each step comes as the day is laid out now. */
const startsOf = memoizeOne(
  ({ tasks }: LaidOut) => new Map(tasks.map(({ task, startMin }) => [task.id, startMin] as const)),
);

/** All calls of the running day that have come due; none while no day runs. */
export function useAlarms(): {
  readonly day: Day | undefined;
  readonly alarms: readonly Alarm[];
  readonly now: number;
} {
  const day = useDay();
  const now = useNow(1_000);
  const { calls } = useInstrumentStore();
  if (!day?.live || day.state.closedAt !== undefined) return { day, alarms: [], now };
  const { running, progress, laid } = day.live;
  return { day, alarms: alarmsOf(running, progress, now, laid && startsOf(laid), calls), now };
}
