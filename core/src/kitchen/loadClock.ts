import { isPressure } from '../canner/canner';
import { type LoadOrder, type LoadState, processEndsAt, VENT_MS } from './loadState';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/** Jars stand undisturbed for 12 to 24 hours before their lids are pressed. Handbook rule 9. */
export const COOL_FROM_MS = 12 * HOUR_MS;

/** An unsealed jar found within this time of processing may be kept; later it is discarded. Handbook rule 9. */
export const KEEP_UNSEALED_MS = 24 * HOUR_MS;

/** A clock that runs down, with the whole it began with. */
interface Countdown {
  readonly leftMs: number;
  readonly endsAt: number;
  readonly wholeMs: number;
  readonly timeIsUp: boolean;
}

/** What the clock of a load shows at one moment. */
export type LoadClock =
  | { readonly kind: 'planned' }
  | { readonly kind: 'heating'; readonly sinceMs: number; readonly timesLost: number }
  | ({ readonly kind: 'venting' } & Countdown)
  | ({ readonly kind: 'boiling' } & Countdown)
  /** Pressure falls by itself; how long that usually takes is shown, when it is over the gauge says. */
  | ({ readonly kind: 'falling' } & Countdown)
  | ({ readonly kind: 'resting'; readonly mayLiftOut: boolean } & Countdown)
  | { readonly kind: 'cooling'; readonly sinceMs: number; readonly checkFrom: number; readonly checkDue: boolean }
  | { readonly kind: 'checked' };

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
    case 'heating': {
      const since = state.lostAt ?? state.startedAt ?? now;
      return { kind: 'heating', sinceMs: Math.max(0, now - since), timesLost: state.timesLost };
    }
    case 'venting':
      return { kind: 'venting', ...untilEnd((state.ventAt ?? now) + VENT_MS, now, VENT_MS) };
    case 'boiling': {
      const wholeMs = (state.machineMinutes ?? order.processMinutes) * MINUTE_MS;
      return { kind: 'boiling', ...untilEnd(processEndsAt(order, state) ?? now, now, wholeMs) };
    }
    case 'resting':
      return restClock(order, state, now);
    case 'cooling': {
      const outAt = state.outAt ?? now;
      const checkFrom = outAt + COOL_FROM_MS;
      return { kind: 'cooling', sinceMs: Math.max(0, now - outAt), checkFrom, checkDue: now >= checkFrom };
    }
  }
}

function restClock(order: LoadOrder, { heatOffAt, zeroAt }: LoadState, now: number): LoadClock {
  const leastMs = order.leastRestMinutes * MINUTE_MS;
  const restMs = order.restMinutes * MINUTE_MS;
  const offAt = heatOffAt ?? now;
  if (isPressure(order.method)) {
    if (zeroAt === undefined) return { kind: 'falling', ...untilEnd(offAt + restMs - leastMs, now, restMs - leastMs) };
    return { kind: 'resting', ...untilEnd(zeroAt + leastMs, now, leastMs), mayLiftOut: now >= zeroAt + leastMs };
  }
  return { kind: 'resting', ...untilEnd(offAt + restMs, now, restMs), mayLiftOut: now >= offAt + leastMs };
}

/** Never more than the whole is left to show: a tap can be a moment younger than the clock that is drawn. */
function untilEnd(endsAt: number, now: number, wholeMs: number): Countdown {
  return { leftMs: Math.min(wholeMs, Math.max(0, endsAt - now)), endsAt, wholeMs, timeIsUp: now >= endsAt };
}
