import { type Range } from '../math/range';
import { weighedQuantiles } from '../math/weighedQuantile';
import { type PlantingPick, picksOfPlanting } from './picksOfPlanting';
import { type Pick } from './pick';
import { type GardenLook, pickingSeason, type PickingSeason, type Planting, usualKg, WEEK_MS } from './planting';
import { HANGS_MS, type SeasonCourse, usualSize, weighCourses } from './seasonCourses';

export interface HarvestWeek {
  readonly startAt: number;
  readonly pickedKg: number;
  /** What is still to come in this week, from now on; nothing for a week gone by. */
  readonly expectedKg: Range;
}

export interface HarvestForecast {
  readonly season: PickingSeason;
  readonly weeks: readonly HarvestWeek[];
  readonly pickedKg: number;
  /** What is still to come, from now to the end. */
  readonly remainingKg: Range;
  /** How much later (above 0) or earlier than set up, in weeks. */
  readonly laterWeeks: Range;
  /** The whole season against a usual one: 1 is as expected. */
  readonly size: Range;
  readonly finished: boolean;
}

export interface GardenBook {
  readonly plantings: readonly Planting[];
  readonly picks: readonly Pick[];
  readonly looks: readonly GardenLook[];
}

/** Of what one week brings about its curve, and all the weeks to come together, on the log scale: weather. */
const WEEK_SPREAD = 0.35;
const REST_SPREAD = 0.2;

const NOTHING: Range = { p10: 0, p50: 0, p90: 0 };

/**
 * What a planting still gives in a season, week by week: the curve that was set up, moved, stretched and scaled by what was
 * picked. The answer is read off all courses the season may take, each with its chance: {@link weighCourses}.
 *
 * @param year in which the season begins
 * @param now epoch milliseconds; later pickings are not looked at
 */
export function forecastHarvest(planting: Planting, book: GardenBook, year: number, now: number): HarvestForecast {
  const season = pickingSeason(planting, year);
  const until = book.picks.filter(({ pickedAt }) => pickedAt <= now);
  const seasons = picksOfPlanting(planting, book.plantings, until);
  const own = seasons.get(year) ?? [];
  const looks = book.looks.filter(
    ({ plantingId, at }) => plantingId === planting.id && at <= now && Math.abs(at - season.peakAt) < 26 * WEEK_MS,
  );
  const finished = looks.some(({ kind }) => kind === 'finished');
  const earlier = [...seasons].filter(([each]) => each < year).map(([, picks]) => massOf(picks));
  const nothingRipeAt = looks.filter(({ kind }) => kind === 'nothing-ripe').map(({ at }) => at);
  const courses = weighCourses(season, usualSize(planting, earlier), byDay(own), nothingRipeAt);
  // What ripened since the last picking still hangs.
  const hangsFrom = Math.max(now - HANGS_MS, own.at(-1)?.at ?? -Infinity, nothingRipeAt.at(-1) ?? -Infinity);
  const between = (startAt: number, endAt: number, spread: number): Range =>
    finished ? NOTHING : amountOf(courses, ({ shape }) => shape(endAt) - shape(startAt), spread);
  return {
    season,
    weeks: weeksOf(season, courses, own).map((startAt): HarvestWeek => {
      const endAt = startAt + WEEK_MS;
      const picked = own.filter(({ at }) => at >= startAt && at < endAt);
      const opensAt = startAt <= now ? hangsFrom : startAt;
      return {
        startAt,
        pickedKg: massOf(picked),
        expectedKg: endAt <= now ? NOTHING : between(opensAt, endAt, WEEK_SPREAD),
      };
    }),
    pickedKg: massOf(own),
    remainingKg: between(hangsFrom, Infinity, REST_SPREAD),
    laterWeeks: latenessOf(courses),
    size: scaled(
      amountOf(courses, () => 1, 0),
      1 / usualKg(planting),
    ),
    finished,
  };
}

/** Starts of the weeks from the first that was picked or expected to the last that may still give something. */
function weeksOf(season: PickingSeason, courses: readonly SeasonCourse[], own: readonly PlantingPick[]): number[] {
  const later = latenessOf(courses);
  const early = Math.max(0, season.startAt - (own[0]?.at ?? season.startAt));
  const startAt = season.startAt - Math.ceil(early / WEEK_MS) * WEEK_MS;
  const endAt = Math.max(season.endAt + Math.round(Math.max(0, later.p90)) * WEEK_MS, (own.at(-1)?.at ?? 0) + 1);
  return Array.from({ length: Math.ceil((endAt - startAt) / WEEK_MS) }, (_, i) => startAt + i * WEEK_MS);
}

/** A normal spread in three values, exact to its fifth moment: Gauss and Hermite. */
const THREE_POINTS = [
  [-Math.sqrt(3), 1 / 6],
  [0, 2 / 3],
  [Math.sqrt(3), 1 / 6],
] as const;
const ONE_POINT = [[0, 1]] as const;

/** The range of a part of the season, in kilograms, over all courses and sizes. */
function amountOf(courses: readonly SeasonCourse[], partOf: (course: SeasonCourse) => number, spread: number): Range {
  const points = (spread === 0 ? ONE_POINT : THREE_POINTS).map(([z, share]) => [Math.exp(z * spread), share] as const);
  const values: number[] = [];
  const weights: number[] = [];
  for (const course of courses) {
    const part = partOf(course);
    for (const { totalKg, chance } of course.sizes) {
      for (const [times, share] of points) {
        values.push(totalKg * part * times);
        weights.push(chance * share);
      }
    }
  }
  return rangeOf(values, weights);
}

function latenessOf(courses: readonly SeasonCourse[]): Range {
  return rangeOf(
    courses.map(({ laterWeeks }) => laterWeeks),
    courses.map(({ sizes }) => sizes.reduce((sum, { chance }) => sum + chance, 0)),
  );
}

function rangeOf(values: readonly number[], weights: readonly number[]): Range {
  const [p10 = 0, p50 = 0, p90 = 0] = weighedQuantiles(values, weights, [0.1, 0.5, 0.9]);
  return { p10, p50, p90 };
}

function scaled({ p10, p50, p90 }: Range, times: number): Range {
  return { p10: p10 * times, p50: p50 * times, p90: p90 * times };
}

/** Baskets of one day are one picking. */
function byDay(picks: readonly PlantingPick[]): PlantingPick[] {
  const halfDayMs = 12 * 60 * 60_000;
  const days: PlantingPick[] = [];
  for (const { at, massKg } of picks) {
    const last = days.at(-1);
    if (last && at - last.at < halfDayMs) days[days.length - 1] = { at: last.at, massKg: last.massKg + massKg };
    else days.push({ at, massKg });
  }
  return days;
}

function massOf(picks: readonly PlantingPick[]): number {
  return picks.reduce((sum, { massKg }) => sum + massKg, 0);
}
