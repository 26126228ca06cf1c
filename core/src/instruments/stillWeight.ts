/** What lies still for so long is weighed; the taken weight is there within two seconds. */
const STILL_MS = 1_500;
const FEWEST = 5;
/** Readings further apart than this tell too little of what moves between them. */
const LONGEST_GAP_MS = 600;
/** Of what lies still the last digit plays, and no more. */
const PLAY_STEPS = 2.5;
const MOVED_STEPS = 0.8;

interface Weighed {
  readonly at: number;
  readonly grams: number;
}

/**
 * Watches a scale and takes a weight when it is still: all readings of nearly two seconds within the play of the last digit,
 * and no drift through them (the slope of the least-squares line), so that neither a swinging basket nor a slow trickle is
 * taken on its way. The middle of the readings is taken, which a single bad one does not move.
 */
export class StillWeight {
  private recent: Weighed[] = [];

  /** @param stepGrams the smallest step the scale tells */
  constructor(private readonly stepGrams: number) {
    if (!(stepGrams > 0)) throw new RangeError(`a scale tells steps above 0 g, got ${stepGrams}`);
  }

  /**
   * @param at epoch milliseconds
   * @returns the weight in grams when it is still, else nothing
   */
  take(at: number, grams: number): number | undefined {
    const last = this.recent.at(-1);
    if (last && at < last.at) return undefined;
    if (last && at - last.at > LONGEST_GAP_MS) this.recent = [];
    this.recent.push({ at, grams });
    while (this.recent[1] && at - this.recent[1].at >= STILL_MS) this.recent.shift();
    const first = this.recent[0] as Weighed;
    if (at - first.at < STILL_MS || this.recent.length < FEWEST) return undefined;
    const sorted = this.recent.map((each) => each.grams).sort((a, b) => a - b);
    const played = (sorted.at(-1) as number) - (sorted[0] as number);
    if (played > PLAY_STEPS * this.stepGrams) return undefined;
    if (Math.abs(driftOf(this.recent)) > MOVED_STEPS * this.stepGrams) return undefined;
    return sorted[Math.floor(sorted.length / 2)];
  }
}

/** How far the readings move from the first to the last, by the least-squares line through them, grams. */
function driftOf(readings: readonly Weighed[]): number {
  const [first, last] = [readings[0] as Weighed, readings.at(-1) as Weighed];
  const mean = readings.reduce((sum, { grams }) => sum + grams, 0) / readings.length;
  const middle = readings.reduce((sum, { at }) => sum + at - first.at, 0) / readings.length;
  let [tt, tg] = [0, 0];
  for (const { at, grams } of readings) {
    const t = at - first.at - middle;
    tt += t * t;
    tg += t * (grams - mean);
  }
  return (tg / tt) * (last.at - first.at);
}
