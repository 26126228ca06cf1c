import { HIGHEST_ALTITUDE_FT } from '../measure/altitude';

export interface AltitudeBand {
  readonly index: 0 | 1 | 2 | 3;
  readonly aboveFt: number;
  /** Highest altitude in the band; Infinity for the last. */
  readonly upToFt: number;
  readonly words: string;
}

/** Source: USDA Complete Guide to Home Canning, 2015, boiling-water tables; handbook rule 1. */
export const ALTITUDE_BANDS: readonly [AltitudeBand, AltitudeBand, AltitudeBand, AltitudeBand] = [
  { index: 0, aboveFt: -Infinity, upToFt: 1_000, words: 'to 1,000 ft' },
  { index: 1, aboveFt: 1_000, upToFt: 3_000, words: '1,001 to 3,000 ft' },
  { index: 2, aboveFt: 3_000, upToFt: 6_000, words: '3,001 to 6,000 ft' },
  { index: 3, aboveFt: 6_000, upToFt: Infinity, words: 'above 6,000 ft' },
];

/**
 * The band of a kitchen. Anything above an edge, by however little, is in the next band.
 *
 * @throws RangeError below 0 or above 12,000 ft: the caller asks the household again, it never guesses
 */
export function altitudeBand(altitudeFt: number): AltitudeBand {
  if (!(altitudeFt >= 0 && altitudeFt <= HIGHEST_ALTITUDE_FT)) {
    throw new RangeError(`altitudeFt must be 0 to ${HIGHEST_ALTITUDE_FT}, got ${altitudeFt}`);
  }
  return ALTITUDE_BANDS.find((band) => altitudeFt <= band.upToFt) ?? ALTITUDE_BANDS[3];
}
