import { HARVEST_YIELDS } from '../src/handbook/harvestYields';
import { type Pick } from '../src/harvest/pick';
import { type Planting, usualKg, WEEK_MS, weekStart } from '../src/harvest/planting';
import { type Chance } from './chance';

const DAY_MS = 24 * 60 * 60_000;
export const YEAR = 2026;

export interface SimulatedHarvest {
  readonly planting: Planting;
  readonly picks: Pick[];
  /** Half way between the weeks that were set up as first and last. */
  readonly midCalendarAt: number;
  /** Half way between the first and the last real picking. */
  readonly midSeasonAt: number;
  /** Every real picking, written down or not. */
  readonly pickings: readonly { readonly at: number; readonly massKg: number }[];
}

/** Part of the crop that is in by the week a household calls the first, and that is not by the end of the last. */
const EDGE = 0.03;

/**
 * One planting's season with a known truth. The truth is not of the model's own family: every plant or branch has a flush
 * of its own, gamma-shaped, that begins when it begins; weather lasts from day to day; it is picked every few days, what
 * hangs too long falls, and one picking in ten is not written down. What the household sets up are whole weeks of a usual
 * year, and the common figure or none of its own.
 */
export function simulateHarvest(chance: Chance): SimulatedHarvest {
  const row = chance.oneOf(HARVEST_YIELDS);
  const flush = { shape: chance.oneOf([2, 4, 8]), meanDays: chance.uniform(14, 42) };
  const usualStart = weekStart(YEAR, Math.round(chance.uniform(22, 32)));
  const onsets = Array.from({ length: Math.round(chance.uniform(4, 40)) }, () => chance.normal(0, 4));
  const usual = dailyCourse(onsets, flush, 1);
  const planting: Planting = {
    id: 'bed',
    name: 'Bed',
    crop: row.crop,
    count: Math.round(chance.uniform(4, 60)),
    unit: row.usual,
    firstWeek: weekOf(usualStart, quantileDay(usual, EDGE)),
    peakWeek: weekOf(usualStart, usual.indexOf(Math.max(...usual))),
    lastWeek: weekOf(usualStart, quantileDay(usual, 1 - EDGE)),
    usualKg: null,
  };
  const totalKg = usualKg(planting) * Math.exp(chance.normal(0, 0.4));
  const startAt = usualStart + chance.normal(0, 1.2) * WEEK_MS;
  const stretch = Math.exp(chance.normal(0, 0.15));
  let weather = 0;
  const ripened = dailyCourse(onsets, flush, stretch).map((part) => {
    weather = 0.85 * weather + chance.normal(0, 0.105);
    return part * Math.exp(weather);
  });
  return pickedSeason(planting, ripened, totalKg, startAt, chance);
}

/** A season picked through: what was really picked, what of it was written down, and when it is half over. */
export function pickedSeason(
  planting: Planting,
  ripened: readonly number[],
  totalKg: number,
  startAt: number,
  chance: Chance,
): SimulatedHarvest {
  const pickings = pickThrough(ripened, totalKg, startAt, chance);
  const written = pickings.filter(() => chance.uniform(0, 1) > 0.1);
  const [first = { at: 0 }, last = { at: 0 }] = [pickings[0], pickings.at(-1)];
  return {
    planting,
    pickings,
    midCalendarAt: (weekStart(YEAR, planting.firstWeek) + weekStart(YEAR, planting.lastWeek + 1)) / 2,
    midSeasonAt: (first.at + last.at) / 2,
    picks: written.map(({ at, massKg }): Pick => ({
      id: `pick ${at}`,
      crop: planting.crop,
      massKg,
      softKg: 0,
      ripeness: 'ripe',
      place: 'counter',
      pickedAt: at,
      told: '',
      source: 'garden',
      plantingId: null,
    })),
  };
}

/** A daily course over many flushes, from 20 days before the mean onset on; its parts add up to 1. */
function dailyCourse(
  onsets: readonly number[],
  { shape, meanDays }: { shape: number; meanDays: number },
  stretch: number,
) {
  const scale = (meanDays * stretch) / shape;
  const days = Math.ceil(20 + meanDays * stretch * 4);
  const course = Array.from({ length: days }, (_, day) =>
    onsets.reduce((sum, onset) => {
      const x = (day - 20 - onset * stretch) / scale;
      return x > 0 ? sum + x ** (shape - 1) * Math.exp(-x) : sum;
    }, 0),
  );
  const whole = course.reduce((sum, part) => sum + part, 0);
  return course.map((part) => part / whole);
}

function quantileDay(course: readonly number[], part: number): number {
  let sum = 0;
  return course.findIndex((each) => (sum += each) >= part);
}

function weekOf(startAt: number, day: number): number {
  return Math.floor((startAt + day * DAY_MS - weekStart(YEAR, 1)) / WEEK_MS) + 1;
}

function pickThrough(ripened: readonly number[], totalKg: number, startAt: number, chance: Chance) {
  const pickings: { at: number; massKg: number }[] = [];
  let hangingKg = 0;
  let nextDay = Math.round(chance.uniform(1, 6));
  for (const [day, part] of ripened.entries()) {
    hangingKg = hangingKg * 0.99 + totalKg * part;
    // Nobody goes out with a basket for a hundredth of the crop.
    if (day < nextDay || hangingKg < 0.01 * totalKg) continue;
    nextDay = day + Math.round(chance.uniform(2, 7));
    const massKg = hangingKg * chance.uniform(0.75, 1);
    hangingKg -= massKg;
    pickings.push({ at: startAt + day * DAY_MS, massKg });
  }
  return pickings;
}
