import { HIGHEST_ALTITUDE_FT } from '../measure/altitude';

export interface AltitudeBand {
  readonly index: number;
  readonly aboveFt: number;
  /** Highest altitude in the band; Infinity for the last. */
  readonly upToFt: number;
  readonly words: string;
}

/** Bands from their upper edges, as the tables head their columns. */
function bandsTo(...edges: number[]): AltitudeBand[] {
  return edges.map((upToFt, index) => {
    const aboveFt = edges[index - 1] ?? -Infinity;
    const words =
      index === 0
        ? `to ${feet(upToFt)} ft`
        : upToFt === Infinity
          ? `above ${feet(aboveFt)} ft`
          : `${feet(aboveFt + 1)} to ${feet(upToFt)} ft`;
    return { index, aboveFt, upToFt, words };
  });
}

function feet(altitudeFt: number): string {
  return altitudeFt.toLocaleString('en-US');
}

/** Source: USDA Complete Guide to Home Canning, 2015, boiling-water tables; handbook rule 1. */
export const ALTITUDE_BANDS: readonly AltitudeBand[] = bandsTo(1_000, 3_000, 6_000, Infinity);

/** Source: the same, tables for dial-gauge canners. Above 8,000 ft nothing is published; handbook rule 11. */
export const DIAL_BANDS: readonly AltitudeBand[] = bandsTo(2_000, 4_000, 6_000, 8_000, Infinity);

/** Source: the same, tables for weighted-gauge canners. */
export const WEIGHTED_BANDS: readonly AltitudeBand[] = bandsTo(1_000, Infinity);

/** A bath held by thermometer is the same everywhere. */
export const ONE_BAND: readonly AltitudeBand[] = [
  { index: 0, aboveFt: -Infinity, upToFt: Infinity, words: 'at any altitude' },
];

/**
 * The band of a kitchen. Anything above an edge, by however little, is in the next band.
 *
 * @throws RangeError below 0 or above 12,000 ft: the caller asks the household again, it never guesses
 */
export function altitudeBand(altitudeFt: number, bands: readonly AltitudeBand[] = ALTITUDE_BANDS): AltitudeBand {
  if (!(altitudeFt >= 0 && altitudeFt <= HIGHEST_ALTITUDE_FT)) {
    throw new RangeError(`altitudeFt must be 0 to ${HIGHEST_ALTITUDE_FT}, got ${altitudeFt}`);
  }
  const band = bands.find(({ upToFt }) => altitudeFt <= upToFt);
  if (!band) throw new RangeError('the bands do not reach to the top');
  return band;
}
