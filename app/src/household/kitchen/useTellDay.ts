import { type DayEvent, type DayTold } from '@hoddle/core/kitchen/dayEvent';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow } from '@/store/useHousehold';

/** Tells what happened on a day, or on another of those that are planned with it: once, with its own time. */
export function useTellDay(dayId: string): (told: DayTold, date?: string) => void {
  const enter = useHouseholdStore((store) => store.enter);
  return (told, date = dayId) => {
    const event = { id: uuidV7(), day: date, at: householdNow(), ...told } as DayEvent;
    void enter({ kind: 'day-event', event });
  };
}
