import { type Household } from '@hoddle/contract/household';
import { type Canner, methodsOf } from '@hoddle/core/canner/canner';
import { type Capacity, capacityOf } from '@hoddle/core/canner/capacity';
import { type JarSize } from '@hoddle/core/handbook/jars';

interface Vessel {
  readonly canner?: Canner;
  readonly capacity?: Capacity;
}

/** The boiling-water canner that takes the most of a jar: the fewest loads. Loads may still share it with others. */
export function widestCanner({ canners, ownJars }: Household, jar: JarSize): Vessel {
  const able = canners.filter((canner) => methodsOf(canner).includes('boiling-water'));
  const all = able.map((canner): Vessel => {
    return { canner, capacity: capacityOf(canner, jar, { method: 'boiling-water', ownJars }) };
  });
  const jarsOf = ({ capacity }: Vessel) => (capacity?.kind === 'holds' ? capacity.jars : 0);
  return all.reduce<Vessel>((best, other) => (jarsOf(other) > jarsOf(best) ? other : best), all[0] ?? {});
}
