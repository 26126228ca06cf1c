export type LoadStyle = 'full' | 'even' | 'beside';

/**
 * Jars per canner load: as few loads as can be, either all full with the rest in the last, or evened out with the
 * larger loads first.
 *
 * @param jars whole jars, from 1 up
 * @param capacity jars of this size the canner holds, from 1 up
 * @throws RangeError for anything else
 */
export function splitLoads(jars: number, capacity: number, style: Exclude<LoadStyle, 'beside'>): number[] {
  if (!Number.isInteger(jars) || !Number.isInteger(capacity) || jars < 1 || capacity < 1) {
    throw new RangeError(`jars and capacity must be whole and above 0, got ${jars} and ${capacity}`);
  }
  const loads = Math.ceil(jars / capacity);
  if (style === 'full') return Array.from({ length: loads }, (_, i) => Math.min(capacity, jars - i * capacity));
  const least = Math.floor(jars / loads);
  const withOneMore = jars % loads;
  return Array.from({ length: loads }, (_, i) => (i < withOneMore ? least + 1 : least));
}

/**
 * Jars in loads that go into several canners side by side: as few loads as fill them one after the other, in turn, and as even as the
 * smaller ones allow.
 *
 * @param capacities jars of this size that each canner holds, at least one, each from 1 up
 * @throws RangeError for anything else
 */
function splitBeside(jars: number, capacities: readonly number[]): number[] {
  const places = [...capacities].sort((a, b) => b - a);
  const [widest = 0] = places;
  if (![jars, ...places].every((count) => Number.isInteger(count) && count >= 1) || widest === 0)
    throw new RangeError(`jars and capacities must be whole and above 0, got ${jars} and ${capacities.join(', ')}`);
  const room: number[] = [];
  for (let left = jars; left > 0; left -= room.at(-1) as number)
    room.push(places[room.length % places.length] as number);
  const loads = room.map(() => 0);
  for (let jar = 0; jar < jars; jar++) {
    const open = loads.flatMap((count, k) => (count < (room[k] as number) ? [k] : []));
    const least = open.reduce((a, b) => ((loads[b] as number) < (loads[a] as number) ? b : a));
    loads[least] = (loads[least] as number) + 1;
  }
  return loads;
}

/**
 * Jars in loads, parted one way or another.
 *
 * @param capacities of the canners that can take them, at least one; side by side all of them count, else the widest
 * @throws RangeError as {@link splitLoads}
 */
export function partLoads(jars: number, capacities: readonly number[], style: LoadStyle): number[] {
  return style === 'beside' ? splitBeside(jars, capacities) : splitLoads(jars, Math.max(...capacities), style);
}
