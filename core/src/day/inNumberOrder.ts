import { groupBy } from '../handbook/groupBy';
import { type Placed } from '../scheduling/scheduleProblem';
import { type Assignment } from './dayKitchen';
import { type DayQuestion } from './questionOfDay';
import { loadsOf } from './wish';

/**
 * Loads of one batch with as many jars of one size stand for each other, so the search may have put number 3 first. Here they
 * change names, and canners with them, until they go into the canners in the order of their numbers.
 */
export function inNumberOrder(
  { batches, wishes = [] }: Pick<DayQuestion, 'batches' | 'wishes'>,
  cannerOf: Assignment,
  placed: readonly Placed[],
): { placed: Placed[]; cannerOf: Assignment } {
  const startOf = new Map(placed.map(({ id, start }) => [id, start]));
  const loadedAt = (loadId: string) => startOf.get(`load ${loadId}`) ?? 0;
  const hosts = new Set(batches.flatMap(({ loads }) => loads.map(({ withLoadId }) => withLoadId)));
  const nameOf = new Map<string, string>();
  const named = new Set(wishes.flatMap(loadsOf));
  for (const { loads: all } of batches) {
    // One that shares its canner stands for no other, nor one that something is wished of.
    const loads = all.filter(({ id, withLoadId }) => withLoadId === undefined && !hosts.has(id) && !named.has(id));
    for (const alike of groupBy(loads, ({ jars, size }) => `${jars} ${size?.jar}`).values()) {
      const ids = alike.map(({ id }) => id);
      const inTime = [...ids].sort((a, b) => loadedAt(a) - loadedAt(b));
      inTime.forEach((id, k) => nameOf.set(id, ids[k] as string));
    }
  }
  return {
    cannerOf: new Map([...cannerOf].map(([id, canner]) => [nameOf.get(id) ?? id, canner])),
    placed: placed.map((entry) => {
      const own = [...nameOf].find(([id]) => entry.id.endsWith(` ${id}`));
      return own ? { ...entry, id: entry.id.slice(0, -own[0].length) + own[1] } : entry;
    }),
  };
}
