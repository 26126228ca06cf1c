import { type DayEvent } from './dayEvent';

/** Dates whose day was closed: they are no plan with those that were not. */
export function closedDates(dayEvents: readonly DayEvent[]): ReadonlySet<string> {
  return new Set(dayEvents.flatMap(({ type, day }) => (type === 'day-closed' ? [day] : [])));
}
