import { type BoilRun } from '../kitchen/boilRuns';
import { type LoadInDay } from '../kitchen/progressOf';
import { type Mishap } from './mishap';

const MINUTE_MS = 60_000;
/** A boil that stopped and that nobody saw comes back by itself, a draught gone by. Common practice. */
const BY_ITSELF_MS = 7 * MINUTE_MS;
/** Seen and given more heat, it is back sooner. */
const BACK_MS = 3 * MINUTE_MS;

/** When the water over a load does not boil, from the moment its jars went in. */
export interface PotTruth {
  /** When it boils first. */
  readonly boilsFrom: number;
  /** When it does not any more, for a while. */
  readonly stops: readonly { readonly from: number; readonly to: number }[];
}

interface Told {
  readonly load: LoadInDay;
  readonly loadId: string;
  readonly runs: readonly BoilRun[];
  /** Minutes that this canner takes to the boil, as chance has it. */
  readonly heatUpMin: number;
  readonly mishaps: readonly Mishap[];
  /** Where minute 0 of the day is. */
  readonly startAt: number;
}

/** What the water does, whatever was told: by the luck of the day, what goes wrong, and what hands did about it. */
export function potTruth({ load, loadId, runs, heatUpMin, mishaps, startAt }: Told): PotTruth | undefined {
  const { startedAt } = load.state;
  if (startedAt === undefined) return undefined;
  const own = mishaps.filter((mishap) => !('loadId' in mishap) || mishap.loadId === loadId);
  const out = own.reduce((sum, mishap) => sum + (mishap.kind === 'gas-out' ? mishap.minutes : 0), 0);
  const boilsFrom = startedAt + (heatUpMin + out) * MINUTE_MS;
  const stops = own.flatMap((mishap) => {
    const from = stopsAt(mishap, { boilsFrom, first: runs[0]?.from, minutes: load.order.processMinutes, startAt });
    if (from === undefined) return [];
    const least = mishap.kind === 'power-cut' ? mishap.minutes * MINUTE_MS : 0;
    // Whoever sees it turns up the heat.
    const seen = runs.find(({ to, held }) => !held && to !== undefined && to >= from && to < from + BY_ITSELF_MS)?.to;
    const to = seen === undefined ? from + Math.max(least, BY_ITSELF_MS) : Math.max(from + least, seen) + BACK_MS;
    return [{ from, to }];
  });
  return { boilsFrom, stops: stops.sort((a, b) => a.from - b.from) };
}

interface Boil {
  readonly boilsFrom: number;
  /** When its clock was begun first. */
  readonly first: number | undefined;
  readonly minutes: number;
  readonly startAt: number;
}

function stopsAt(mishap: Mishap, { boilsFrom, first, minutes, startAt }: Boil): number | undefined {
  if (mishap.kind === 'boil-lost' && first !== undefined) {
    return Math.max(first, boilsFrom) + mishap.part * minutes * MINUTE_MS;
  }
  if (mishap.kind !== 'power-cut') return undefined;
  const at = startAt + mishap.atMin * MINUTE_MS;
  return at > boilsFrom ? at : undefined;
}

/** Whether the water boils at a moment. */
export function boilsAt({ boilsFrom, stops }: PotTruth, at: number): boolean {
  return at >= boilsFrom && !stops.some(({ from, to }) => at >= from && at < to);
}

/** How much of a stretch of time the water did not boil, minutes. */
export function unboiledMin({ boilsFrom, stops }: PotTruth, from: number, to: number): number {
  const before = Math.max(0, Math.min(to, boilsFrom) - from);
  const stopped = stops.reduce((sum, stop) => sum + Math.max(0, Math.min(to, stop.to) - Math.max(from, stop.from)), 0);
  return (before + stopped) / MINUTE_MS;
}
