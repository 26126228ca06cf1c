import { choleskyOf, solveWith } from '../math/cholesky';
import { dot } from '../math/dot';
import { normalBelow } from '../math/normal';
import { harvestShape, type HarvestShape } from './harvestShape';
import { type PlantingPick } from './picksOfPlanting';
import { type PickingSeason, type Planting, usualKg, WEEK_MS } from './planting';

/** One way a season may go: so late and so long, and then of one of several sizes, each with its chance. */
export interface SeasonCourse {
  readonly laterWeeks: number;
  readonly shape: HarvestShape;
  readonly sizes: readonly { readonly totalKg: number; readonly chance: number }[];
}

/** Size of a season before its first pick: log-normal. */
export interface UsualSize {
  readonly logKg: number;
  readonly spread: number;
}

/** The model's fixed spreads, on the log scale where not weeks. Common practice; docs/yields-and-harvest.md says why. */
const SPREAD = {
  /** Between one year and the next of the same planting. */
  yearToYear: 0.35,
  /** Of a usual figure that is only the common one, and of one that the household gave itself. */
  commonFigure: 0.3,
  ownFigure: 0.15,
  laterWeeks: 1.4,
  stretch: 0.2,
  /** Of one picking about what hung: what was left, the scales, a picking between that was not written down. */
  picking: 0.33,
  /** Of what hung about the curve: weather, which lasts. */
  weather: 0.3,
} as const;

const WEATHER_LASTS_MS = WEEK_MS;

/** What ripens longer than this before a picking has fallen or rotted. Common practice. */
export const HANGS_MS = 10 * 24 * 60 * 60_000;

/** One picking in seven or so is not written down, and what hangs longer has partly fallen: the rest speaks for a tenth less. */
const WRITTEN_DOWN = 0.9;

/** A picking of less than this part of an average week is as good as none. */
const NEXT_TO_NOTHING = 0.03;
/** Even far outside its weeks a planting may give this part of an average week. */
const STRAGGLERS = 0.01;

/** The middles of nine equal parts of a standard normal spread. */
const NINTHS = [-1.5932, -0.9674, -0.5895, -0.2822, 0, 0.2822, 0.5895, 0.9674, 1.5932];
const LATER_WEEKS = grid(-5, 5, 21);
const STRETCHES = [0.65, 0.8, 1, 1.25, 1.5];

/** A course less likely than the best by this much on the log scale is left out: one in ten thousand. */
const NEGLIGIBLE = 9.2;

/**
 * Size of a season before its first pick: the usual figure, and the earlier seasons that were picked, each as sure as
 * years differ.
 */
export function usualSize(planting: Planting, earlierKg: readonly number[]): UsualSize {
  const sure = 1 / (planting.usualKg === null ? SPREAD.commonFigure : SPREAD.ownFigure) ** 2;
  const surePerYear = 1 / SPREAD.yearToYear ** 2;
  const seen = earlierKg.filter((kg) => kg > 0).map(Math.log);
  const weight = sure + seen.length * surePerYear;
  const logKg = (sure * Math.log(usualKg(planting)) + surePerYear * seen.reduce((sum, log) => sum + log, 0)) / weight;
  return { logKg, spread: Math.sqrt(SPREAD.yearToYear ** 2 + 1 / weight) };
}

/**
 * Every course a season may take, weighed by how well it agrees with the pickings so far.
 *
 * A picking speaks only for the days since the one before and at most ten, so that a silent week is no sign of anything.
 * Pickings near each other share their weather, so five in one good week do not make a good year.
 *
 * @param pickings in the order of time, one a day at most
 * @param nothingRipeAt when the cook looked and nothing was ripe
 */
export function weighCourses(
  season: PickingSeason,
  usual: UsualSize,
  pickings: readonly PlantingPick[],
  nothingRipeAt: readonly number[],
): SeasonCourse[] {
  const weekKg = Math.exp(usual.logKg) / season.weeks;
  const logUsual = (part: number) => Math.log(Math.exp(usual.logKg) * part + STRAGGLERS * weekKg);
  const told = pickings.map(({ massKg }) => Math.log(massKg));
  const agreement = agreementOf(pickings.map(({ at }) => at));
  const courses: WeighedCourse[] = [];
  for (const stretch of STRETCHES) {
    for (const laterWeeks of LATER_WEEKS) {
      const shape = harvestShape(season, laterWeeks * WEEK_MS, stretch);
      const prior = -((laterWeeks / SPREAD.laterWeeks) ** 2 + (Math.log(stretch) / SPREAD.stretch) ** 2) / 2;
      const hung = hangingAt(shape, pickings);
      const misses = told.map((log, i) => log - logUsual(hung(pickings[i]?.at ?? 0)));
      const size = agreement(misses, usual.spread);
      const looked = nothingRipeAt.map((at) => logUsual(hung(at)));
      const sizes = NINTHS.map((ninth) => {
        const own = size.mean + ninth * size.spread;
        const log = prior + size.log + looked.reduce((sum, each) => sum + logNothing(each + own, weekKg), 0);
        return { totalKg: Math.exp(usual.logKg + own), log };
      });
      courses.push({ laterWeeks, shape, sizes });
    }
  }
  return withChances(courses);
}

interface WeighedCourse {
  readonly laterWeeks: number;
  readonly shape: HarvestShape;
  readonly sizes: readonly { readonly totalKg: number; readonly log: number }[];
}

/** The part of a season that hangs ripe at a time: since the picking before, and ten days at most. */
function hangingAt(shape: HarvestShape, pickings: readonly PlantingPick[]): (at: number) => number {
  return (at) => {
    const before = pickings.filter((picking) => picking.at < at).at(-1)?.at ?? -Infinity;
    return WRITTEN_DOWN * (shape(at) - shape(Math.max(at - HANGS_MS, before)));
  };
}

/** How likely it is to find nothing ripe where so much should hang, on the log scale. */
function logNothing(logKg: number, weekKg: number): number {
  return Math.log(1e-12 + normalBelow((Math.log(NEXT_TO_NOTHING * weekKg) - logKg) / SPREAD.picking));
}

/** The size of a season after its pickings, on the log scale about the usual one, and how well all of it agrees. */
interface SizeAfter {
  readonly mean: number;
  readonly spread: number;
  readonly log: number;
}

/**
 * Weighs how far each picking was from the curve: all of them together say the size. Pickings near each other count less,
 * since they share their weather. Bayes' rule for one normal mean with correlated errors.
 */
function agreementOf(times: readonly number[]): (misses: readonly number[], priorSpread: number) => SizeAfter {
  const factor = choleskyOf(times.length, (i, j) => {
    const apart = Math.abs((times[i] ?? 0) - (times[j] ?? 0));
    return SPREAD.weather ** 2 * Math.exp(-apart / WEATHER_LASTS_MS) + (i === j ? SPREAD.picking ** 2 : 0);
  });
  const ones = times.map(() => 1);
  const solvedOnes = solveWith(factor, ones);
  const sure = dot(ones, solvedOnes);
  return (misses, priorSpread) => {
    const precision = sure + 1 / priorSpread ** 2;
    const mean = dot(misses, solvedOnes) / precision;
    const square = dot(misses, solveWith(factor, misses));
    return { mean, spread: 1 / Math.sqrt(precision), log: -(square - mean * mean * precision) / 2 };
  };
}

function withChances(courses: readonly WeighedCourse[]): SeasonCourse[] {
  const logs = courses.flatMap(({ sizes }) => sizes.map(({ log }) => log));
  const best = logs.reduce((most, log) => Math.max(most, log), -Infinity);
  const isKept = ({ log }: { log: number }) => log > best - NEGLIGIBLE;
  const sum = logs.reduce((total, log) => (log > best - NEGLIGIBLE ? total + Math.exp(log - best) : total), 0);
  return courses.flatMap(({ sizes, ...course }) => {
    const kept = sizes.filter(isKept).map(({ totalKg, log }) => ({ totalKg, chance: Math.exp(log - best) / sum }));
    return kept.length === 0 ? [] : [{ ...course, sizes: kept }];
  });
}

function grid(low: number, high: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => low + ((high - low) * i) / (count - 1));
}
