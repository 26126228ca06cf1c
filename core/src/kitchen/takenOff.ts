import { type DayEvent, standing } from './dayEvent';

/** What was taken off the pot of a batch in all, in millilitres; undefined where nobody measured it. */
export function takenOffMl(batchId: string, dayEvents: readonly DayEvent[]): number | undefined {
  const told = standing(dayEvents).flatMap((event) =>
    event.type === 'output-measured' && event.batchId === batchId ? [event] : [],
  );
  // Measured anew, the last measure of a kind counts.
  const last = new Map(told.map(({ kind, volumeMl }) => [kind, volumeMl]));
  return last.size === 0 ? undefined : [...last.values()].reduce((sum, volumeMl) => sum + volumeMl, 0);
}
