import { type DayEvent, type Measured, standing } from './dayEvent';

/**
 * What was measured of a batch, each load's last measure once. Another card is measured anew: what was measured for the one
 * before it is none of its own.
 */
export function measuredNow(batchId: string, dayEvents: readonly DayEvent[]): Measured[] {
  const own = standing(dayEvents).filter((event) => 'batchId' in event && event.batchId === batchId);
  const since = own.slice(own.findLastIndex(({ type }) => type === 'recipe-changed') + 1);
  const last = new Map<string | undefined, Measured>();
  for (const event of since) {
    if (event.type === 'measured') last.set(event.loadIds?.[0], event);
  }
  return [...last.values()];
}
