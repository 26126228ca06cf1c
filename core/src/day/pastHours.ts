import { type Cook, DAY_MIN } from './kitchenSetup';

/**
 * Minutes by which a finish lies past the hours of the last cook of that day; 0 within them.
 *
 * @param minuteOfDay of the finish; after midnight and before anybody is up it belongs to the day before
 */
export function pastHoursMin(cooks: readonly Pick<Cook, 'fromMin' | 'toMin'>[], minuteOfDay: number): number {
  if (cooks.length === 0) return 0;
  const closes = Math.max(...cooks.map(({ toMin }) => toMin));
  const opens = Math.min(...cooks.map(({ fromMin }) => fromMin));
  if (minuteOfDay < opens) return Math.max(0, minuteOfDay + DAY_MIN - closes);
  return Math.max(0, minuteOfDay - closes);
}
