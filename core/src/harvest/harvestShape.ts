import { normalBelow } from '../math/normal';
import { type PickingSeason } from './planting';

/** How the harvest of a season has come in by a time: a part from 0 to 1 of the whole. */
export type HarvestShape = (at: number) => number;

/** The first and the last picking that are called so lie this many spreads from the peak: a tenth of the fullest week. */
const EDGE_SPREADS = 2;

/** Even trees that are picked in one go ripen over a few days. */
const LEAST_SPREAD_MS = 2 * 24 * 60 * 60_000;

/**
 * The usual course of a harvest: fullest at the peak, thinning out before and after it, each side at its own pace. Two
 * halves of normal curves of one height (the split normal: K. F. Wallis, "The two-piece normal, binormal, or double
 * Gaussian distribution", Statistical Science 29, 2014, from memory), so that a picking before the first week is unusual
 * and not impossible.
 *
 * @param laterMs later (or earlier, below 0) as a whole
 * @param stretch longer (or shorter), about the peak
 */
export function harvestShape(season: PickingSeason, laterMs = 0, stretch = 1): HarvestShape {
  const peakAt = season.peakAt + laterMs;
  const spreadOf = (sideMs: number) => Math.max(LEAST_SPREAD_MS, sideMs / EDGE_SPREADS) * stretch;
  const [rise, fall] = [spreadOf(season.peakAt - season.startAt), spreadOf(season.endAt - season.peakAt)];
  return (at) => {
    if (at === Infinity) return 1;
    if (at === -Infinity) return 0;
    const part =
      at < peakAt
        ? 2 * rise * normalBelow((at - peakAt) / rise)
        : rise + fall * (2 * normalBelow((at - peakAt) / fall) - 1);
    return part / (rise + fall);
  };
}
