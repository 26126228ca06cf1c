import { JARS, type JarSize } from '../handbook/jars';
import { CANNER_STEPS } from '../handbook/steps';
import { isCold, type Way } from '../process/method';
import { isPressure } from './canner';

/** The pressure falls by itself: heavy-walled canners take so long, thin ones less. USDA guide 1, from memory. */
const PRESSURE_DOWN = { pints: 30, quarts: 45 } as const;
/** How far apart canners are in it. Common practice. */
const PRESSURE_SPREAD_MIN = 20;
/** At 0 psi the weight comes off, and the lid stays on for so long. USDA guide 1, from memory. */
const WEIGHT_OFF_MIN = 10;

/** What is kept cold cools so long on the counter before it goes into the refrigerator. Common practice. */
export const COOL_MINUTES = [20, 30] as const;

/**
 * Minutes from heat off until the jars may come out, as a low and a high end: the five minutes of an open pot or a steam
 * canner, or the time in which pressure falls by itself and the weight has been off.
 */
export function restMinutes(method: Way, jar: JarSize): readonly [low: number, high: number] {
  if (isCold(method)) return COOL_MINUTES;
  if (!isPressure(method)) return CANNER_STEPS.rest;
  const down = JARS[jar].nominalFlOz > JARS.pint.nominalFlOz ? PRESSURE_DOWN.quarts : PRESSURE_DOWN.pints;
  return [down + WEIGHT_OFF_MIN, down + WEIGHT_OFF_MIN + PRESSURE_SPREAD_MIN];
}

/** The least of it that no canner goes under: a thin pressure canner is at 0 psi sooner than a heavy one. */
export function leastRestMinutes(method: Way): number {
  if (isCold(method)) return COOL_MINUTES[0];
  return isPressure(method) ? WEIGHT_OFF_MIN : CANNER_STEPS.rest[0];
}
