import { HARVEST_YIELDS } from '../src/handbook/harvestYields';
import { type Planting, pickingSeason, usualKg, WEEK_MS } from '../src/harvest/planting';
import { type Chance } from './chance';
import { pickedSeason, type SimulatedHarvest, YEAR } from './simulatedHarvest';

const DAY_MS = 24 * 60 * 60_000;

/**
 * Another truth: plantings whose season is often only three to six weeks, two halves of normal curves exactly where the
 * household set them up in a usual year. There are few pickings before the middle, so little to correct by.
 */
export function simulateShortSeason(chance: Chance): SimulatedHarvest {
  const row = chance.oneOf(HARVEST_YIELDS);
  const firstWeek = Math.round(chance.uniform(22, 34));
  const peakWeek = firstWeek + Math.round(chance.uniform(1, 5));
  const lastWeek = peakWeek + Math.round(chance.uniform(1, 6));
  const count = Math.round(chance.uniform(4, 60));
  const own = { crop: row.crop, count, unit: row.usual, firstWeek, peakWeek, lastWeek, usualKg: null };
  const planting: Planting = { id: 'bed', name: 'Bed', ...own };
  const season = pickingSeason(planting, YEAR);
  const totalKg = usualKg(planting) * Math.exp(chance.normal(0, 0.4));
  const peakAt = season.peakAt + chance.normal(0, 1.2) * WEEK_MS;
  const stretch = Math.exp(chance.normal(0, 0.15));
  const spreadOf = (sideMs: number) => (Math.max(sideMs, 4 * DAY_MS) * stretch) / 2.2;
  const [rise, fall] = [spreadOf(season.peakAt - season.startAt), spreadOf(season.endAt - season.peakAt)];
  const startAt = peakAt - 3 * rise;
  let weather = 0;
  const course = Array.from({ length: Math.ceil((3 * (rise + fall)) / DAY_MS) }, (_, day) => {
    weather = 0.85 * weather + chance.normal(0, 0.105);
    const away = startAt + day * DAY_MS - peakAt;
    return Math.exp(-((away / (away < 0 ? rise : fall)) ** 2) / 2 + weather);
  });
  const whole = course.reduce((sum, part) => sum + part, 0);
  const ripened = course.map((part) => part / whole);
  return pickedSeason(planting, ripened, totalKg, startAt, chance);
}
