import { type Batch } from '@hoddle/core/day/batch';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { moveTold } from '@hoddle/core/kitchen/moveTold';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

/** Puts batches off, or brings them forward, so that the first of them begins at a moment. @param day the plan in the kitchen */
export function useMove(day: Day | undefined): (batches: readonly Batch[], at: number) => void {
  const enter = useHouseholdStore((store) => store.enter);
  const { timeZone } = useHousehold().household.kitchen;
  return (batches, to) => {
    const from = day && { id: day.id, batches: day.batches, wishes: day.state.wishes };
    for (const told of moveTold(batches, to, from, timeZone)) {
      void enter({ kind: 'day-event', event: { ...told, id: uuidV7(), at: householdNow() } as DayEvent });
    }
  };
}
