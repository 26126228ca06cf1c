import { type HeatCurve } from './heatCurve';

/** Seconds that a warmth must lie outside its bounds before anybody is called, so that a splash calls nobody. */
const OUTSIDE_SECONDS = 20;
const CLEAR_ERRORS = 4;

export interface Bounds {
  readonly lowF?: number;
  readonly highF?: number;
}

/**
 * Whether what is held between two temperatures (a low-temperature bath at 180 to 185 F, a refrigerator at 40 F or less) has
 * left them, on average of the last seconds and by more than chance.
 *
 * @returns nothing while it is within, or too little was read
 */
export function heldHeat(curve: HeatCurve, { lowF = -Infinity, highF = Infinity }: Bounds): 'low' | 'high' | undefined {
  const now = (curve.newest ?? 0) + 1;
  const line = curve.line(now - OUTSIDE_SECONDS, now);
  if (!line) return undefined;
  const clear = CLEAR_ERRORS * line.meanError;
  if (line.meanF + clear < lowF) return 'low';
  return line.meanF - clear > highF ? 'high' : undefined;
}
