/** International foot, exact. NIST Handbook 44, Appendix C. */
export const METRES_PER_FT = 0.3048;

/** The highest kitchen answered for; the handbook's last band is open upwards, a typing slip is not. */
export const HIGHEST_ALTITUDE_FT = 12_000;

/**
 * Altitude in whole feet for an entry in metres, rounded up, so that a place just over the edge of a band is never
 * given the lower band's shorter time: 305 m is 1,001 ft.
 *
 * Source: handbook rule 1.
 */
export function altitudeFtFromMetres(metres: number): number {
  return Math.ceil(metres / METRES_PER_FT);
}

/** The same in metres, rounded down so that its feet, rounded up, are still answered for. */
export const HIGHEST_ALTITUDE_M = Math.floor(HIGHEST_ALTITUDE_FT * METRES_PER_FT);
