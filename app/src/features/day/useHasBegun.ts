import { type Batch } from '@hoddle/core/day/batch';
import { standing } from '@hoddle/core/kitchen/dayEvent';
import { beganAt } from '@hoddle/core/kitchen/movedOn';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

/** Whether something of a batch has begun: then it stays where it is. */
export function useHasBegun(): (batch: Batch) => boolean {
  const { dayEvents, events } = useHousehold();
  const told = useMemo(() => standing(dayEvents), [dayEvents]);
  return (batch) => beganAt(batch, told, events) !== undefined;
}
