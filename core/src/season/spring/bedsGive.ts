import { harvestYieldRow, type PlantingUnit } from '../../handbook/harvestYields';
import { type ProduceId } from '../../handbook/produce';
import { forecastHarvest, type GardenBook } from '../../harvest/forecastHarvest';
import { picksOfPlanting } from '../../harvest/picksOfPlanting';
import { pickingSeason, type Planting, seasonYear } from '../../harvest/planting';
import { usualSize } from '../../harvest/seasonCourses';
import { type SpringCrop } from './springProblem';

/** What comes after its last week is a rest of no account. */
const AFTER_MS = 14 * 24 * 60 * 60_000;

/**
 * What one plant, row-foot or tree of a crop gives in a coming season: the household's own beds first, each as its figure
 * and its seasons so far say, and the common figure where nothing grows yet.
 */
export function bedsGive(
  crop: ProduceId,
  book: GardenBook,
  now: number,
): Pick<SpringCrop, 'unit' | 'now' | 'logKgEach' | 'spread' | 'seasons' | 'ownFigure'> {
  const row = harvestYieldRow(crop);
  const beds = book.plantings.filter((bed) => bed.crop === crop);
  if (beds.length === 0) {
    const one = { id: '', name: '', crop, count: 1, unit: row.usual, usualKg: null };
    const { logKg, spread } = usualSize({ ...one, firstWeek: 1, peakWeek: 1, lastWeek: 1 }, []);
    return { unit: row.usual, now: 0, logKgEach: logKg, spread, seasons: 0, ownFigure: false };
  }
  const unit = mostOf(beds);
  const sizes = beds.map((bed) => {
    const seen = seasonsSeen(bed, book, now);
    return { seen: seen.length, ...usualSize(bed, seen) };
  });
  const kg = sizes.map(({ logKg }) => Math.exp(logKg));
  const all = kg.reduce((sum, each) => sum + each, 0);
  const count = beds.reduce((sum, bed) => sum + countIn(bed, unit), 0);
  return {
    unit,
    now: count,
    logKgEach: Math.log(all / count),
    // Beds of one crop share their weather: their spreads do not even out.
    spread: sizes.reduce((sum, { spread }, i) => sum + (spread * (kg[i] ?? 0)) / all, 0),
    seasons: Math.max(...sizes.map(({ seen }) => seen)),
    ownFigure: beds.some(({ usualKg }) => usualKg !== null),
  };
}

/** Kilograms of the seasons that a bed was picked, the oldest first; one that is not over with what it likely still gives. */
function seasonsSeen(bed: Planting, book: GardenBook, now: number): number[] {
  const until = book.picks.filter(({ pickedAt }) => pickedAt <= now);
  const seasons = [...picksOfPlanting(bed, book.plantings, until)].sort(([a], [b]) => a - b);
  return seasons.map(([year, picks]) => {
    const picked = picks.reduce((sum, { massKg }) => sum + massKg, 0);
    const isOver = year < seasonYear(bed, now) || now > pickingSeason(bed, year).endAt + AFTER_MS;
    return isOver ? picked : picked + forecastHarvest(bed, book, year, now).remainingKg.p50;
  });
}

/** The way most of the beds are counted. */
function mostOf(beds: readonly Planting[]): PlantingUnit {
  const kinds = [...new Set(beds.map(({ unit }) => unit))];
  const of = (kind: PlantingUnit) => beds.filter(({ unit }) => unit === kind).length;
  return kinds.reduce((best, kind) => (of(kind) > of(best) ? kind : best));
}

/** A bed counted in another way: by what one of each gives by the common figures. */
function countIn({ crop, count, unit }: Planting, wanted: PlantingUnit): number {
  const { lbEach, lbPerRowFoot = lbEach } = harvestYieldRow(crop);
  const lb = (kind: PlantingUnit) => (kind === 'row-feet' ? lbPerRowFoot : lbEach);
  return (count * lb(unit)) / lb(wanted);
}
