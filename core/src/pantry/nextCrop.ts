import { productRow } from '../handbook/products';
import { type Planting } from '../harvest/planting';
import { type UseRecord } from './useRecord';

const DAY_MS = 24 * 60 * 60_000;
const WEEKS = 52;

/**
 * When the jars of the next season can be made, epoch milliseconds: the first week of the garden's own crop where it grows
 * here, else the time of year at which it was made before. While a season is on, the one after it is meant.
 */
export function nextCropAt(
  product: UseRecord['product'],
  record: UseRecord | undefined,
  plantings: readonly Planting[],
  now: number,
): number | undefined {
  const weeks = plantingsOf(product, plantings).map(({ firstWeek }) => firstWeek);
  const made = record?.madeOnDays ?? [];
  const dayOfYear = weeks.length > 0 ? (Math.min(...weeks) - 1) * 7 : made[Math.floor(made.length / 2)];
  if (dayOfYear === undefined) return undefined;
  const year = new Date(now).getUTCFullYear();
  const inYear = (each: number) => Date.UTC(each, 0) + dayOfYear * DAY_MS;
  return inYear(year) > now ? inYear(year) : inYear(year + 1);
}

/** Whether what a product is made of is being picked here now. */
export function isInSeason(product: UseRecord['product'], plantings: readonly Planting[], now: number): boolean {
  const yearStart = Date.UTC(new Date(now).getUTCFullYear(), 0);
  const week = Math.min(WEEKS, Math.floor((now - yearStart) / (7 * DAY_MS)) + 1);
  return plantingsOf(product, plantings).some(({ firstWeek, lastWeek }) => {
    const since = (from: number) => (week - from + WEEKS) % WEEKS;
    return since(firstWeek) <= (lastWeek - firstWeek + WEEKS) % WEEKS;
  });
}

function plantingsOf(product: UseRecord['product'], plantings: readonly Planting[]): Planting[] {
  const crops = productRow(product).crops.flatMap((all) => all[0] ?? []);
  return plantings.filter(({ crop }) => crops.includes(crop));
}
