import { WORTH_MIN } from './orderChange';
import { type DayState } from './dayState';

const MINUTE_MS = 60_000;
/** A change of mind costs more than a few minutes: so much sooner the day must be over. Common practice. */
const GAIN_MIN = 10;
/** And after an order was begun, taken or refused the kitchen is left in peace for so long. */
const QUIET_MIN = 20;

/** Two ends of the same day, minutes from its start. */
export interface Ends {
  /** In the order the kitchen goes by; undefined where it cannot be kept any more. */
  readonly keptMin?: number;
  readonly bestMin: number;
  /** Food waits longer than it should in the order the kitchen goes by. */
  readonly isFoodWaiting: boolean;
}

/**
 * Whether another order is worth a word: where the order cannot be kept always; where food waits too long, as soon as it is
 * sooner over; else for ten minutes and more, and not again for twenty minutes, nor for what was refused.
 *
 * @param startAt where minute 0 is, epoch milliseconds
 */
export function isWorthOffering(
  { keptMin, bestMin, isFoodWaiting }: Ends,
  { kept, orderAt = -Infinity }: Pick<DayState, 'kept' | 'orderAt'>,
  { startAt, now }: { readonly startAt: number; readonly now: number },
): boolean {
  if (keptMin === undefined) return true;
  const gainMin = isFoodWaiting ? WORTH_MIN : GAIN_MIN;
  if (bestMin > keptMin - gainMin) return false;
  const isRefused = kept !== undefined && startAt + bestMin * MINUTE_MS > kept.endAt - gainMin * MINUTE_MS;
  if (isRefused) return false;
  return isFoodWaiting || now - Math.max(orderAt, kept?.at ?? -Infinity) >= QUIET_MIN * MINUTE_MS;
}
