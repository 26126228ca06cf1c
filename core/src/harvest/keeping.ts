import { produceRow } from '../handbook/produce';
import { type Pick, type Place } from './pick';

const DAY_MS = 24 * 60 * 60_000;

/** Days that ripe, sound but soft produce still keeps. Common practice: cook it today or tomorrow. */
const SOFT_KEEPS_DAYS: Readonly<Record<Place, number>> = { counter: 1, cool: 1, refrigerator: 2 };

/**
 * When produce of a pick is no longer fit for jars, in epoch milliseconds, and the days it keeps from picking.
 * Soft produce never outlasts sound produce of its crop.
 */
export function keepsUntil(pick: Pick, ripeness: 'sound' | 'soft'): { days: number; until: number } {
  const { keepsDays } = produceRow(pick.crop);
  // Where a place is not for the crop (onions in the refrigerator), it keeps no longer than on the counter.
  const soundDays = keepsDays[pick.place] ?? keepsDays.counter;
  const days = ripeness === 'sound' ? soundDays : Math.min(soundDays, SOFT_KEEPS_DAYS[pick.place]);
  return { days, until: pick.pickedAt + days * DAY_MS };
}
