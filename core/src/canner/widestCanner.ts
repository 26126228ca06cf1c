import { type JarSize } from '../handbook/jars';
import { type Method } from '../process/method';
import { type Canner, methodsOf, type OwnJar } from './canner';
import { type Capacity, capacityOf } from './capacity';
import { waterLitres } from './waterLitres';

/** The depth of the water hardly depends on the process: canners are compared at a common one. */
const USUAL_MINUTES = 30;

/** What a kitchen processes in. */
export interface Vessels {
  readonly canners: readonly Canner[];
  readonly ownJars: readonly OwnJar[];
}

interface Vessel {
  readonly canner?: Canner;
  readonly capacity?: Capacity;
}

/**
 * The canner for a way of processing that takes the most of a jar: the fewest loads; of two that take as many, the one that
 * is occupied for less, since its water is hot sooner. Loads may still go into others.
 */
export function widestCanner({ canners, ownJars }: Vessels, jar: JarSize, method: Method): Vessel {
  const able = canners.filter((canner) => methodsOf(canner).includes(method));
  const all = able.map((canner): Vessel => ({ canner, capacity: capacityOf(canner, jar, { method, ownJars }) }));
  const jarsOf = ({ capacity }: Vessel) => (capacity?.kind === 'holds' ? capacity.jars : 0);
  const toHeat = ({ canner, capacity }: Vessel) => {
    if (!canner || capacity?.kind !== 'holds') return Infinity;
    const water = waterLitres(canner, { jar, jars: capacity.jars, processMinutes: USUAL_MINUTES, method });
    return (water ?? Infinity) / canner.burnerWatts;
  };
  const isBetter = (a: Vessel, b: Vessel) =>
    jarsOf(a) > jarsOf(b) || (jarsOf(a) === jarsOf(b) && toHeat(a) < toHeat(b));
  return all.reduce<Vessel>((best, other) => (isBetter(other, best) ? other : best), all[0] ?? {});
}

/** The canner for a second product while one is taken: another one that holds the jars, so that both run at once; else any. */
export function cannerBeside(vessels: Vessels, takenId: string | undefined, jar: JarSize, method: Method): Vessel {
  const others = { ...vessels, canners: vessels.canners.filter(({ id }) => id !== takenId) };
  const own = widestCanner(others, jar, method);
  return own.capacity?.kind === 'holds' ? own : widestCanner(vessels, jar, method);
}
