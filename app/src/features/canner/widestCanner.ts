import { type Household } from '@hoddle/contract/household';
import { type Canner, methodsOf } from '@hoddle/core/canner/canner';
import { type Capacity, capacityOf } from '@hoddle/core/canner/capacity';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type Method } from '@hoddle/core/process/method';

interface Vessel {
  readonly canner?: Canner;
  readonly capacity?: Capacity;
}

/** The canner for a way of processing that takes the most of a jar: the fewest loads. Loads may still share it. */
export function widestCanner({ canners, ownJars }: Household, jar: JarSize, method: Method): Vessel {
  const able = canners.filter((canner) => methodsOf(canner).includes(method));
  const all = able.map((canner): Vessel => ({ canner, capacity: capacityOf(canner, jar, { method, ownJars }) }));
  const jarsOf = ({ capacity }: Vessel) => (capacity?.kind === 'holds' ? capacity.jars : 0);
  return all.reduce<Vessel>((best, other) => (jarsOf(other) > jarsOf(best) ? other : best), all[0] ?? {});
}
