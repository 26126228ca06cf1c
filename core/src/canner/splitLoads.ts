export type LoadStyle = 'full' | 'even';

/**
 * Jars per canner load: as few loads as can be, either all full with the rest in the last, or evened out with the
 * larger loads first.
 *
 * @param jars whole jars, from 1 up
 * @param capacity jars of this size the canner holds, from 1 up
 * @throws RangeError for anything else
 */
export function splitLoads(jars: number, capacity: number, style: LoadStyle): number[] {
  if (!Number.isInteger(jars) || !Number.isInteger(capacity) || jars < 1 || capacity < 1) {
    throw new RangeError(`jars and capacity must be whole and above 0, got ${jars} and ${capacity}`);
  }
  const loads = Math.ceil(jars / capacity);
  if (style === 'full') return Array.from({ length: loads }, (_, i) => Math.min(capacity, jars - i * capacity));
  const least = Math.floor(jars / loads);
  const withOneMore = jars % loads;
  return Array.from({ length: loads }, (_, i) => (i < withOneMore ? least + 1 : least));
}
