import { type Draws, drawsFrom } from '../math/draws';
import { type Range } from '../math/range';
import { bestBy, type BestMonths } from './keepsUntil';
import { drawUse, type UseModel } from './useModel';

const DAY_MS = 24 * 60 * 60_000;
const TRIES = 300;

/** Nobody plans further: what lasts longer is told to last. */
const HORIZON_MONTHS = 36;

export interface RunOut {
  /** When the last jar is taken, epoch milliseconds; `Infinity` beyond three years. */
  readonly at: Range;
  /** Jars that will be missing until the next crop; 0 where it lasts. */
  readonly short: Range;
  /** Jars that will still be there when they are past their best. */
  readonly tooMany: Range;
}

/** A stretch of one calendar month. */
interface Stretch {
  readonly month: number;
  readonly from: number;
  readonly days: number;
}

/**
 * When a product runs out, how many jars are short until the next crop, and how many will not be eaten in time: simulated
 * with the use that is likely, so that all three come as ranges.
 *
 * @param jars there now, without what is opened or set aside
 * @param nextCropAt when the next ones can be made, where it is known
 * @param bestUntil best-by of the newest of them
 * @param seed the same seed gives the same answer
 */
export function runOut(
  model: UseModel,
  jars: number,
  { now, nextCropAt, bestUntil }: { now: number; nextCropAt?: number; bestUntil: number },
  seed = 1,
): RunOut {
  const seeds = drawsFrom(seed);
  const stretches = stretchesFrom(now, [nextCropAt, bestUntil]);
  const tries = Array.from({ length: TRIES }, () => {
    // Each try has its own chance: how far one is followed must not change the next, or a jar more could seem to last less.
    const draws = ownDraws(seeds);
    const place = draws.unit();
    const use = drawUse(model, draws);
    let used = 0;
    let at = Infinity;
    let [toCrop, toBest] = [0, 0];
    for (const { month, from, days } of stretches) {
      const here = use(month, days);
      if (at === Infinity && used + here >= jars && here > 0) {
        // The last jar goes at its place among those of the stretch.
        at = from + ((jars - used) / here) * days * DAY_MS * (0.5 + place / 2);
      }
      used += here;
      if (nextCropAt !== undefined && from < nextCropAt) toCrop += here;
      if (from < bestUntil) toBest += here;
      const told = at < Infinity && from > (nextCropAt ?? 0) && from > bestUntil;
      if (told) break;
    }
    return { at: jars === 0 ? now : at, short: Math.max(0, toCrop - jars), tooMany: Math.max(0, jars - toBest) };
  });
  return {
    at: rangeOf(tries.map((each) => each.at)),
    short: nextCropAt === undefined ? { p10: 0, p50: 0, p90: 0 } : rangeOf(tries.map((each) => each.short)),
    tooMany: rangeOf(tries.map((each) => each.tooMany)),
  };
}

/** The first draws of a generator still show its seed. */
const WARM_UP = 8;

function ownDraws(seeds: Draws): Draws {
  const draws = drawsFrom(Math.floor(seeds.unit() * 2 ** 31));
  for (let i = 0; i < WARM_UP; i++) draws.unit();
  return draws;
}

/** Jars that are used from `from` to `to`. */
export function usedWithin(model: UseModel, from: number, to: number, seed = 1): Range {
  const draws = drawsFrom(seed);
  const used = usedFrom(from, to);
  return rangeOf(Array.from({ length: TRIES }, () => used(model, draws)));
}

/** One draw of the jars that are used from `from` to `to`: of one household that could be, as far as is known. */
export function usedFrom(from: number, to: number): (model: UseModel, draws: Draws) => number {
  const stretches = stretchesFrom(from, [to]).filter((stretch) => stretch.from < to);
  return (model, draws) => {
    const use = drawUse(model, draws);
    return stretches.reduce((sum, { month, days }) => sum + use(month, days), 0);
  };
}

/**
 * Jars to put up for the next season: what is used between this crop and the next in eight of ten years, and never more
 * than will likely be eaten while it is at its best.
 */
export function proposeGoal(model: UseModel, cropAt: number, bestMonths: BestMonths, seed = 1): number {
  const year = usedWithin(model, cropAt, bestBy(cropAt), seed);
  const inItsBest = usedWithin(model, cropAt, bestBy(cropAt, bestMonths), seed);
  return Math.round(Math.min((year.p50 + year.p90) / 2, inItsBest.p50));
}

/** Months from `from` on, parted where something asked for happens. */
function stretchesFrom(from: number, marks: readonly (number | undefined)[]): Stretch[] {
  const date = new Date(from);
  const [year, month] = [date.getUTCFullYear(), date.getUTCMonth()];
  const edges = Array.from({ length: HORIZON_MONTHS + 2 }, (_, i) => Date.UTC(year, month + i));
  const inside = marks.flatMap((mark) => (mark !== undefined && mark < (edges.at(-1) ?? 0) ? [mark] : []));
  const all = [...new Set([from, ...inside, ...edges])].filter((edge) => edge >= from).sort((a, b) => a - b);
  return all.slice(0, -1).map((edge, i) => ({
    month: new Date(edge).getUTCMonth(),
    from: edge,
    days: ((all[i + 1] ?? edge) - edge) / DAY_MS,
  }));
}

function rangeOf(values: number[]): Range {
  values.sort((a, b) => a - b);
  const at = (part: number) => values[Math.min(values.length - 1, Math.floor(part * values.length))] ?? 0;
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}
