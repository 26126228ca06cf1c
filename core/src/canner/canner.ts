import { type JarSize } from '../handbook/jars';
import { type Method, type Way } from '../process/method';

/** What a vessel is. A low-temperature bath is a boiling-water pot with a thermometer. */
export const CANNER_METHODS = ['boiling-water', 'steam', 'pressure-dial', 'pressure-weighted'] as const;
export type CannerMethod = (typeof CANNER_METHODS)[number];

/** A canner of the household. Inside measures in inches, as they are read off a ruler and printed in tables. */
export interface Canner {
  readonly id: string;
  readonly name: string;
  readonly method: CannerMethod;
  /** A pressure canner that also serves as a pot, with its weight off and its lid laid on. */
  readonly alsoBoilingWater: boolean;
  readonly insideDiameterIn: number;
  readonly insideHeightIn: number;
  readonly rackHeightIn: number;
  /** What its rack is said to take; 0 where it takes none. With two layers, in both together. */
  readonly declaredQuarts: number;
  readonly declaredPints: number;
  readonly declaredHalfPints: number;
  readonly layers: 1 | 2;
  /** Heat that reaches the pot on its burner, in watts. */
  readonly burnerWatts: number;
  /** Heats itself and takes no burner. */
  readonly electric: boolean;
  /** It times itself once it is started. */
  readonly timesItself: boolean;
  /** Its lid locks while it heats: nobody sees the boil. */
  readonly lidLocks: boolean;
  /** Jars the household has stood in it itself: they rule over what is declared. */
  readonly testFits: readonly TestFit[];
}

export interface TestFit {
  readonly jar: JarSize;
  readonly jars: number;
}

/** A jar the household has measured itself, outside and at the widest. */
export interface OwnJar {
  readonly size: JarSize;
  readonly diameterIn: number;
  readonly heightIn: number;
}

/** Heat that reaches a pot from a common large burner. Common practice. */
export const USUAL_BURNER_WATTS = 1_800;

/** Whether nobody can say when it boils: the lid is locked, and it does not time itself. No clock may start on it. */
export function boilsUnseen({ lidLocks, timesItself }: Pick<Canner, 'lidLocks' | 'timesItself'>): boolean {
  return lidLocks === true && !timesItself;
}

/** The ways of processing a canner serves; none where its boil cannot be seen. */
export function methodsOf({ method, alsoBoilingWater, ...lid }: Canner): Method[] {
  if (boilsUnseen(lid)) return [];
  const asPot: Method[] = ['boiling-water', 'low-temperature-bath'];
  if (method === 'boiling-water') return asPot;
  return alsoBoilingWater && isPressure(method) ? [method, ...asPot] : [method];
}

export function isPressure(method: Way): boolean {
  return method === 'pressure-dial' || method === 'pressure-weighted';
}
