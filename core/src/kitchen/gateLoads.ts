import { type PlannedLoad } from '../day/batch';
import { splitLoads } from '../canner/splitLoads';

/**
 * The loads of a batch that have not gone in, for as many jars as what was measured really gives: full loads, those there
 * are first, and new ones where they do not do.
 *
 * @param jars of all loads that have not gone in, 0 or more
 * @param capacity jars that the canner holds
 * @param newId makes an id for each new load
 */
export function gateLoads(
  later: readonly PlannedLoad[],
  jars: number,
  capacity: number,
  lastNumber: number,
  newId: () => string,
): PlannedLoad[] {
  if (jars === 0) return [];
  return splitLoads(jars, Math.max(1, capacity), 'full').map((count, i) => {
    const known = later[i];
    if (known) return { ...known, jars: count };
    const size = later[0]?.size;
    return { id: newId(), number: lastNumber + 1 + i - later.length, jars: count, ...(size && { size }) };
  });
}
