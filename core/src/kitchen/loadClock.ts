import { type LoadOrder, type LoadState, processEndsAt } from './loadState';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/** Jars stand undisturbed for 12 to 24 hours before their lids are pressed. Handbook rule 9. */
export const COOL_FROM_MS = 12 * HOUR_MS;

/** An unsealed jar found within this time of processing may be kept; later it is discarded. Handbook rule 9. */
export const KEEP_UNSEALED_MS = 24 * HOUR_MS;

/** What the clock of a load shows at one moment. */
export type LoadClock =
  | { kind: 'planned' }
  | { kind: 'heating'; sinceMs: number; timesLost: number }
  | { kind: 'boiling'; leftMs: number; endsAt: number; timeIsUp: boolean }
  | { kind: 'resting'; leftMs: number; endsAt: number; timeIsUp: boolean; mayLiftOut: boolean }
  | { kind: 'cooling'; sinceMs: number; checkFrom: number; checkDue: boolean }
  | { kind: 'checked' };

/**
 * Reads a load's clock. Nothing runs between two readings: a phone that slept, was closed or lost the network reads the
 * same time as one that did not.
 *
 * @param now epoch milliseconds, on the same clock as the events
 */
export function loadClock(order: LoadOrder, state: LoadState, now: number): LoadClock {
  switch (state.phase) {
    case 'planned':
    case 'checked':
      return { kind: state.phase };
    case 'heating':
      return { kind: 'heating', sinceMs: Math.max(0, now - (state.startedAt ?? now)), timesLost: state.timesLost };
    case 'boiling':
      return {
        kind: 'boiling',
        ...untilEnd(processEndsAt(order, state) ?? now, now, order.processMinutes * MINUTE_MS),
      };
    case 'resting': {
      const offAt = state.heatOffAt ?? now;
      const restMs = order.restMinutes * MINUTE_MS;
      const mayLiftOut = now >= offAt + order.leastRestMinutes * MINUTE_MS;
      return { kind: 'resting', ...untilEnd(offAt + restMs, now, restMs), mayLiftOut };
    }
    case 'cooling': {
      const outAt = state.outAt ?? now;
      const checkFrom = outAt + COOL_FROM_MS;
      return { kind: 'cooling', sinceMs: Math.max(0, now - outAt), checkFrom, checkDue: now >= checkFrom };
    }
  }
}

/** Never more than the whole is left to show: a tap can be a moment younger than the clock that is drawn. */
function untilEnd(endsAt: number, now: number, wholeMs: number): { leftMs: number; endsAt: number; timeIsUp: boolean } {
  return { leftMs: Math.min(wholeMs, Math.max(0, endsAt - now)), endsAt, timeIsUp: now >= endsAt };
}
