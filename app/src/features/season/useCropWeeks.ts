import { produceRow, type ProduceId } from '@hoddle/core/handbook/produce';
import { type Range } from '@hoddle/core/math/range';
import { useMemo } from 'react';
import { useForecasts } from '@/household/harvest/useForecasts';

export interface CropWeek {
  readonly startAt: number;
  readonly pickedKg: number;
  readonly expectedKg: Range;
}

/** A crop over its season: all its beds together. */
export interface CropWeeks {
  readonly crop: ProduceId;
  readonly name: string;
  readonly weeks: readonly CropWeek[];
  readonly pickedKg: number;
  readonly remainingKg: Range;
}

/** One row per crop, in the order in which they begin. */
export function useCropWeeks(): CropWeeks[] {
  const beds = useForecasts();
  return useMemo(() => {
    const crops = [...new Set(beds.map(({ planting }) => planting.crop))];
    const rows = crops.map((crop): CropWeeks => {
      const own = beds.filter(({ planting }) => planting.crop === crop);
      const weeks = new Map<number, CropWeek>();
      for (const { forecast } of own) {
        for (const week of forecast.weeks) {
          const known = weeks.get(week.startAt);
          weeks.set(week.startAt, {
            startAt: week.startAt,
            pickedKg: (known?.pickedKg ?? 0) + week.pickedKg,
            expectedKg: plus(known?.expectedKg, week.expectedKg),
          });
        }
      }
      return {
        crop,
        name: produceRow(crop).name,
        weeks: [...weeks.values()].sort((a, b) => a.startAt - b.startAt),
        pickedKg: own.reduce((sum, { forecast }) => sum + forecast.pickedKg, 0),
        remainingKg: own.reduce<Range>((sum, { forecast }) => plus(sum, forecast.remainingKg), NONE),
      };
    });
    return rows.sort((a, b) => (a.weeks[0]?.startAt ?? 0) - (b.weeks[0]?.startAt ?? 0));
  }, [beds]);
}

const NONE: Range = { p10: 0, p50: 0, p90: 0 };

/** Beds of one crop share their weather: a good year is good in all of them. */
function plus(a: Range = NONE, b: Range): Range {
  return { p10: a.p10 + b.p10, p50: a.p50 + b.p50, p90: a.p90 + b.p90 };
}
