import { inZone, momentInZone } from '@/store/householdZone';
import { type CropWeeks } from './useCropWeeks';

const WEEK_MS = 7 * 24 * 60 * 60_000;

/** Where the weeks of a ribbon lie across its width. */
export interface RibbonScale {
  readonly fromAt: number;
  readonly toAt: number;
  readonly x: (at: number) => number;
}

/** From the first week of any crop to the last, today and the planned days with it. */
export function ribbonScale(
  rows: readonly CropWeeks[],
  times: readonly number[],
  leftPx: number,
  rightPx: number,
): RibbonScale {
  const starts = rows.flatMap(({ weeks }) => weeks.map(({ startAt }) => startAt));
  const fromAt = Math.min(...starts, ...times);
  const toAt = Math.max(...starts.map((at) => at + WEEK_MS), ...times);
  const span = Math.max(WEEK_MS, toAt - fromAt);
  return { fromAt, toAt, x: (at) => leftPx + ((at - fromAt) / span) * (rightPx - leftPx) };
}

/** First moments of the months of a ribbon. */
export function monthsOf({ fromAt, toAt }: RibbonScale): number[] {
  const months: number[] = [];
  const first = inZone(fromAt);
  for (let i = 1; ; i++) {
    const at = momentInZone(first.getFullYear(), first.getMonth() + i, 1);
    if (at > toAt) return months;
    months.push(at);
  }
}

/** The tier of each day's plate, so that plates near each other do not cover each other: no more tiers than that takes. */
export function tiersOf(xs: readonly number[], platePx: number, tiers: number): number[] {
  const last = Array.from({ length: tiers }, () => -Infinity);
  return xs.map((x) => {
    const free = last.findIndex((before) => x - before >= platePx);
    const tier = free >= 0 ? free : last.indexOf(Math.min(...last));
    last[tier] = x;
    return tier;
  });
}
