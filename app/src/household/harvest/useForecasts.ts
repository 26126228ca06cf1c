import { forecastHarvest, type HarvestForecast } from '@hoddle/core/harvest/forecastHarvest';
import { type Planting, seasonYear } from '@hoddle/core/harvest/planting';
import { useMemo } from 'react';
import { useHousehold, useNow } from '@/store/useHousehold';

export interface BedForecast {
  readonly planting: Planting;
  readonly year: number;
  readonly forecast: HarvestForecast;
}

const HOUR_MS = 60 * 60_000;

/** What was worked out last for a planting: a pick of one crop leaves the other beds as they are. */
const known = new Map<string, { key: string; forecast: HarvestForecast }>();

/** Every planting with what it still gives this season, read again every hour. */
export function useForecasts(): BedForecast[] {
  const { plantings, picks, gardenLooks } = useHousehold();
  const hour = Math.floor(useNow(HOUR_MS) / HOUR_MS);
  return useMemo(() => {
    const now = hour * HOUR_MS + HOUR_MS;
    return plantings.map((planting) => {
      const year = seasonYear(planting, now);
      const beds = plantings.filter(({ crop }) => crop === planting.crop);
      const own = picks.filter(({ crop }) => crop === planting.crop);
      const looks = gardenLooks.filter(({ plantingId }) => plantingId === planting.id);
      const key = JSON.stringify([hour, beds, own, looks]);
      const before = known.get(planting.id);
      const forecast =
        before?.key === key
          ? before.forecast
          : forecastHarvest(planting, { plantings: beds, picks: own, looks }, year, now);
      known.set(planting.id, { key, forecast });
      return { planting, year, forecast };
    });
  }, [plantings, picks, gardenLooks, hour]);
}

/** What a week brings from a bed: the week that holds the time, or none outside its season. */
export function weekAt({ forecast }: BedForecast, at: number) {
  const weekMs = 7 * 24 * HOUR_MS;
  return forecast.weeks.find(({ startAt }) => startAt <= at && at < startAt + weekMs);
}
