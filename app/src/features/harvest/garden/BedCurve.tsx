import { harvestShape } from '@hoddle/core/harvest/harvestShape';
import { usualKg } from '@hoddle/core/harvest/planting';
import { useMassWords, useUnits } from '@/store/useUnits';
import { HarvestCurve } from '@/ui/HarvestCurve';
import { courseWords, rangeWords } from '@/household/harvest/bedWords';
import { type BedForecast } from '@/household/harvest/useForecasts';

const WEEK_MS = 7 * 24 * 60 * 60_000;

/** A bed's season drawn: picked, expected, and as it was set up. */
export function BedCurve({ bed, now, full }: { bed: BedForecast; now: number; full?: boolean }) {
  const mass = useMassWords();
  const units = useUnits();
  const { planting, forecast } = bed;
  const shape = harvestShape(forecast.season);
  const whole = usualKg(planting);
  const weeks = forecast.weeks.map((week) => ({
    ...week,
    usualKg: whole * (shape(week.startAt + WEEK_MS) - shape(week.startAt)),
  }));
  const label = `${planting.name}: ${mass(forecast.pickedKg)} picked, ${rangeWords(forecast.remainingKg, units)} to come, ${courseWords(forecast)}.`;
  return (
    <HarvestCurve crop={planting.crop} weeks={weeks} now={now} heightPx={full ? 210 : 46} label={label} full={full} />
  );
}
