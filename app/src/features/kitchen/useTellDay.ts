import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow } from '@/store/useHousehold';

type Told<Event> = Event extends DayEvent ? Omit<Event, 'id' | 'day' | 'at'> : never;

/** What is told of a day, beside its id and its time. */
export type DayTold = Told<DayEvent>;

/** Tells what happened on a day: once, with its own time. */
export function useTellDay(dayId: string): (told: DayTold) => void {
  const enter = useHouseholdStore((store) => store.enter);
  return (told) => {
    const event = { id: uuidV7(), day: dayId, at: householdNow(), ...told } as DayEvent;
    enter({ kind: 'day-event', event });
  };
}
