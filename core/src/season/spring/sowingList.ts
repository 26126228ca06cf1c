import { type ProduceId } from '../../handbook/produce';
import { sowingRow } from '../../handbook/sowing';
import { type Planting, weekStart } from '../../harvest/planting';

/** When a crop is to be begun so that it is picked when its bed usually is. */
export interface Sowing {
  readonly crop: ProduceId;
  readonly begun: 'pots' | 'bed' | 'lasting';
  /** Epoch milliseconds; undefined where no bed says when it is picked. */
  readonly sowAt?: number;
  /** Of what is raised in pots. */
  readonly setOutAt?: number;
  readonly weeksInPots: number;
  readonly daysToPick?: number;
  readonly tender: boolean;
  readonly bearsAfterYears?: number;
}

const DAY_MS = 24 * 60 * 60_000;

/**
 * The sowing list of a year: counted back from the first picking of each crop's earliest bed, by the days it usually takes.
 * What is sown the earliest stands first, what has no bed yet last.
 */
export function sowingList(crops: readonly ProduceId[], plantings: readonly Planting[], year: number): Sowing[] {
  const list = crops.map((crop): Sowing => {
    const { begun, weeksInPots, daysToPick, tender, bearsAfterYears } = sowingRow(crop);
    const own = plantings.filter((bed) => bed.crop === crop).map(({ firstWeek }) => firstWeek);
    const common = { crop, begun, weeksInPots, tender, ...(bearsAfterYears !== undefined && { bearsAfterYears }) };
    if (daysToPick === undefined) return common;
    if (own.length === 0) return { ...common, daysToPick };
    const outAt = weekStart(year, Math.min(...own)) - daysToPick * DAY_MS;
    const sowAt = outAt - weeksInPots * 7 * DAY_MS;
    return { ...common, daysToPick, sowAt, ...(begun === 'pots' && { setOutAt: outAt }) };
  });
  return list.sort((a, b) => (a.sowAt ?? Infinity) - (b.sowAt ?? Infinity) || 0);
}
