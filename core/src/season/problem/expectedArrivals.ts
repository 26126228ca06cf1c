import { type ProduceId } from '../../handbook/produce';
import { forecastHarvest, type GardenBook } from '../../harvest/forecastHarvest';
import { freezerBags } from '../../harvest/freezerSpace';
import { keepsDays, placesFor } from '../../harvest/keeping';
import { type Lot } from '../../harvest/onHand';
import { type Pick, type Place } from '../../harvest/pick';
import { seasonYear, WEEK_MS } from '../../harvest/planting';
import { type Arrival } from './seasonProblem';

/** What is there and what is expected, and how sure that is. */
export interface Outlook {
  readonly arrivals: readonly Arrival[];
  /** By arrival: of what season it is a part. What is on hand is sure and has none. */
  readonly spreads: ReadonlyMap<string, ArrivalSpread>;
}

/** How a season may differ from the expected one; all arrivals of one planting's season differ together. */
export interface ArrivalSpread {
  readonly season: string;
  /** On the log scale. */
  readonly size: number;
  readonly weeks: number;
}

const DAY_MS = 24 * 60 * 60_000;
/** The part of a picking that is soft, where a household's own picks do not say. Common practice. */
const USUAL_SOFT = 0.1;
/** Less than this in a week is not planned with. */
const LEAST_KG = 0.2;
/** Tenth to ninetieth part of a normal spread, in spreads. */
const TENTHS = 2 * 1.2816;
const BAG_KG = 10;

/**
 * Produce to plan with, from now to `endAt`: every lot on hand, and week by week what the plantings are still expected to
 * give, each from the middle of its week. It is put where the crop usually was, and may be carried to the refrigerator.
 */
export function expectedArrivals(book: GardenBook, lots: readonly Lot[], now: number, endAt: number): Outlook {
  const arrivals: Arrival[] = lots.filter(({ until }) => until > now).map((lot) => ofLot(lot, now));
  const spreads = new Map<string, ArrivalSpread>();
  for (const planting of book.plantings) {
    const years = new Set([seasonYear(planting, now), seasonYear(planting, endAt)]);
    const place = usualPlace(planting.crop, book.picks);
    const softPart = softPartOf(planting.crop, book.picks);
    for (const year of years) {
      const { weeks, remainingKg, laterWeeks } = forecastHarvest(planting, book, year, now);
      const spread: ArrivalSpread = {
        season: `${planting.id} ${year}`,
        size: remainingKg.p10 > 0 ? Math.log(remainingKg.p90 / remainingKg.p10) / TENTHS : 0,
        weeks: (laterWeeks.p90 - laterWeeks.p10) / TENTHS,
      };
      weeks.forEach(({ startAt, expectedKg: { p50 } }) => {
        const readyAt = Math.max(now, startAt + WEEK_MS / 2);
        if (p50 < LEAST_KG || startAt + WEEK_MS <= now || readyAt > endAt) return;
        for (const [soft, part] of [
          [false, 1 - softPart],
          [true, softPart],
        ] as const) {
          const id = `${planting.id} ${new Date(startAt).toISOString().slice(0, 10)}${soft ? ' soft' : ''}`;
          if (part * p50 < LEAST_KG / 2) continue;
          arrivals.push(expected(id, planting.crop, soft, part * p50, readyAt, place));
          spreads.set(id, spread);
        }
      });
    }
  }
  return { arrivals, spreads };
}

function ofLot(lot: Lot, now: number): Arrival {
  const frozen = lot.place === 'freezer';
  const bagsPerKg = bagsFor(lot.crop);
  const lifeLeft = Math.min(1, (lot.until - now) / (lot.keepsDays * DAY_MS));
  const canChill = !lot.thawed && !frozen && placesFor(lot.crop).includes('refrigerator');
  const cold = canChill ? now + lifeLeft * keepsDays(lot.crop, lot.ripeness, 'refrigerator') * DAY_MS : lot.until;
  return {
    id: `${lot.pickId} ${lot.part} ${lot.place}${lot.thawed ? ' thawed' : ''}`,
    crop: lot.crop,
    soft: lot.part === 'soft',
    massKg: lot.massKg,
    readyAt: now,
    until: lot.until,
    coldUntil: Math.max(lot.until, cold),
    ...(bagsPerKg !== undefined && !lot.thawed && { bagsPerKg }),
    frozen,
  };
}

function expected(id: string, crop: ProduceId, soft: boolean, massKg: number, readyAt: number, place: Place): Arrival {
  const ripeness = soft ? 'soft' : 'ripe';
  const until = readyAt + keepsDays(crop, ripeness, place) * DAY_MS;
  const cold = placesFor(crop).includes('refrigerator') ? keepsDays(crop, ripeness, 'refrigerator') * DAY_MS : 0;
  const bagsPerKg = bagsFor(crop);
  return {
    id,
    crop,
    soft,
    massKg,
    readyAt,
    until,
    coldUntil: Math.max(until, readyAt + cold),
    ...(bagsPerKg !== undefined && { bagsPerKg }),
    frozen: false,
  };
}

function bagsFor(crop: ProduceId): number | undefined {
  return placesFor(crop).includes('freezer') ? freezerBags(crop, BAG_KG) / BAG_KG : undefined;
}

/** Where most of a crop was put, or a cool room where it keeps there. */
function usualPlace(crop: ProduceId, picks: readonly Pick[]): Place {
  const kg = new Map<Place, number>();
  for (const pick of picks) {
    if (pick.crop === crop && pick.place !== 'freezer') kg.set(pick.place, (kg.get(pick.place) ?? 0) + pick.massKg);
  }
  const [most] = [...kg].sort(([, a], [, b]) => b - a);
  return most?.[0] ?? (placesFor(crop).includes('cool') ? 'cool' : 'counter');
}

function softPartOf(crop: ProduceId, picks: readonly Pick[]): number {
  const own = picks.filter((pick) => pick.crop === crop);
  const kg = own.reduce((sum, { massKg }) => sum + massKg, 0);
  return kg > 0 ? own.reduce((sum, { softKg }) => sum + softKg, 0) / kg : USUAL_SOFT;
}
