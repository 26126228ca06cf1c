import { type DayEvent, standing } from './dayEvent';

/**
 * What was taken off the pot of a batch in all, and off the pots that were poured into it, in millilitres; undefined where
 * nobody measured it.
 */
export function takenOffMl(batchId: string, dayEvents: readonly DayEvent[]): number | undefined {
  const events = standing(dayEvents);
  const pots = new Set([batchId]);
  // A pot may have been joined before it was joined itself.
  for (const event of [...events].reverse())
    if (event.type === 'pots-joined' && pots.has(event.batchId)) pots.add(event.withId);
  const told = events.flatMap((event) => (event.type === 'output-measured' && pots.has(event.batchId) ? [event] : []));
  // Measured anew, the last measure of a kind counts.
  const last = new Map(told.map((event) => [`${event.batchId} ${event.kind}`, event.volumeMl]));
  return last.size === 0 ? undefined : [...last.values()].reduce((sum, volumeMl) => sum + volumeMl, 0);
}
