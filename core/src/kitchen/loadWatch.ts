import { isPressure } from '../canner/canner';
import { BATH_FROM_F, LOADING_F, RAW_BELOW_F, wantsCoolWater } from '../canner/heatUp';
import { findBoil } from '../instruments/findBoil';
import { type HeatCurve } from '../instruments/heatCurve';
import { heldHeat } from '../instruments/heldHeat';
import { lostBoil } from '../instruments/lostBoil';
import { BATH_F } from '../process/findProcess';
import { isCold } from '../process/method';
import { type LoadOrder, type LoadState } from './loadState';

/** What an instrument at a load calls for. */
export type WatchKind =
  /** Warm enough for jars to go in. */
  | 'water-ready'
  | 'boil-found'
  | 'boil-lost'
  | 'too-cool'
  | 'too-hot'
  | 'under-pressure'
  /** What it reads cannot be of this pot: it may be in another one. */
  | 'elsewhere';

export interface WatchCall {
  readonly kind: WatchKind;
  /** Epoch milliseconds on the clock of the curve. */
  readonly since: number;
  /** What it reads then, F or psi. */
  readonly reads: number;
}

export interface WatchQuestion {
  readonly order: Pick<LoadOrder, 'method'>;
  readonly state: Pick<LoadState, 'phase' | 'boilAt' | 'timesLost'>;
  readonly pack: 'hot' | 'raw';
  /** Where water boils in this kitchen, F. */
  readonly boilF: number;
  /** What the probe reads more than it should, and how far it may be off beside that; see `probeFault`. */
  readonly readsMoreF?: number;
  readonly offF?: number;
  /** The pressure that is asked of it, where it reads pressure. */
  readonly markPsi?: number;
  /** How far the household's clock is ahead of the curve's, milliseconds. */
  readonly aheadMs: number;
  /** When somebody last looked, and saw that what was called was not so; household's time. */
  readonly lookedAt?: number;
}

/** A probe that stands so far under the boil in water that boils, by a tap some minutes ago, is in no such water. */
const NOT_HERE_F = 15;
const NOT_HERE_MS = 180_000;
/** What was found is let go again where it falls so far. */
const LET_GO_F = 3;
const NEWEST_SECONDS = 20;
/** Where somebody looked and knows better, what is held is called again after so long. Common practice. */
const QUIET_MS = 300_000;

/**
 * Watches one load through one instrument. It calls; it never decides: whether a clock starts is for a tap, or for the household
 * that lets a probe begin it. A call stands until it is answered by what is told of the load, or until what it reads is another.
 */
export class LoadWatch {
  private call: WatchCall | undefined;
  private of = '';
  /** When the curve bent into the boil that was found, and since when it counts as one: a clock that is set on changes neither. */
  private bentAt: number | undefined;
  private boilsFrom = 0;

  /** @param curve what the instrument told, degrees Fahrenheit or psi by `markPsi` */
  look(curve: HeatCurve, question: WatchQuestion): WatchCall | undefined {
    const { phase, boilAt = 0, timesLost } = question.state;
    // Who looked and saw it boil begins a new stretch: what is lost after that is called anew.
    const of = `${phase} ${boilAt} ${timesLost} ${question.lookedAt ?? 0}`;
    const now = ((curve.newest ?? 0) + 1) * 1_000;
    if (this.of !== of) {
      [this.of, this.call, this.boilsFrom] = [of, undefined, this.bentAt ?? now];
      this.bentAt = undefined;
    }
    const reads = curve.line(now / 1_000 - NEWEST_SECONDS, now / 1_000)?.meanF;
    if (this.call && stands(this.call, reads)) return this.call;
    const kind = callOf(curve, question, { now, reads, boilsFrom: this.boilsFrom });
    const found = kind === 'boil-found' ? findBoil(curve, question) : undefined;
    if (found?.kind === 'boil') this.bentAt = levelSince(curve, now, found.readF);
    const since = this.call?.kind === kind ? this.call?.since : undefined;
    this.call = kind && { kind, since: since ?? now, reads: reads ?? 0 };
    return this.call;
  }
}

/** What passes by itself is asked anew; what somebody must look at stays. */
function stands({ kind, reads }: WatchCall, now: number | undefined): boolean {
  if (kind === 'boil-lost') return true;
  return kind === 'boil-found' && (now ?? reads) > reads - LET_GO_F;
}

/** Stretches in which it read the same as now, one before the other, as far as they go. */
const LEVEL_SECONDS = 15;
const LEVEL_F = 0.6;
const LONGEST_SECONDS = 600;

/** Since when a curve has been as level as it is now, epoch milliseconds. */
function levelSince(curve: HeatCurve, now: number, readF: number): number {
  let at = now / 1_000;
  for (let back = 0; back < LONGEST_SECONDS; back += 5, at -= 5) {
    const line = curve.line(at - LEVEL_SECONDS, at);
    if (!line || Math.abs(line.meanF - readF) > LEVEL_F) break;
  }
  return at * 1_000;
}

function callOf(
  curve: HeatCurve,
  { order: { method }, state, pack, boilF, readsMoreF = 0, offF, markPsi, aheadMs, lookedAt }: WatchQuestion,
  { now, reads, boilsFrom }: { readonly now: number; readonly reads: number | undefined; readonly boilsFrom: number },
): WatchKind | undefined {
  const { phase, boilAt = 0, timesLost } = state;
  const isBath = method === 'low-temperature-bath';
  const isGauge = markPsi !== undefined;
  if (reads === undefined) return undefined;
  const outside = (lowF: number, highF = Infinity) =>
    heldHeat(curve, { lowF: lowF + (isGauge ? 0 : readsMoreF), highF: highF + readsMoreF });
  switch (phase) {
    case 'planned': {
      if (isGauge || isCold(method)) return undefined;
      const from = isBath ? BATH_FROM_F : LOADING_F[pack];
      if (reads < from + readsMoreF) return undefined;
      // Cool jars meet no boiling water: glass cracks. Handbook rules 6 and 8.
      return wantsCoolWater({ method, pack }) && outside(-Infinity, RAW_BELOW_F) === 'high' ? 'too-hot' : 'water-ready';
    }
    case 'heating':
    case 'venting':
      // Vented first; what was lost after that comes back without.
      if (isGauge) {
        const mayBegin = phase === 'venting' || timesLost > 0;
        return mayBegin && reads >= markPsi && !outside(markPsi) ? 'boil-found' : undefined;
      }
      if (isPressure(method)) return undefined;
      if (isBath) return outside(-Infinity, BATH_F.low) === 'high' ? 'boil-found' : undefined;
      return findBoil(curve, { boilF, readsMoreF, ...(offF !== undefined && { offF }) }).kind === 'boil'
        ? 'boil-found'
        : undefined;
    case 'boiling': {
      const isQuiet = lookedAt !== undefined && now - (lookedAt - aheadMs) < QUIET_MS;
      if (isGauge) return !isQuiet && outside(markPsi) === 'low' ? 'under-pressure' : undefined;
      if (isPressure(method)) return undefined;
      const since = Math.max(boilAt - aheadMs, boilsFrom);
      if (isBath) {
        const held = isQuiet ? undefined : outside(BATH_F.low, BATH_F.high);
        return held && (held === 'low' ? 'too-cool' : 'too-hot');
      }
      if (lostBoil(curve, since / 1_000) !== undefined) return 'boil-lost';
      const isHere = now - since < NOT_HERE_MS || reads > boilF + readsMoreF - NOT_HERE_F;
      return isHere ? undefined : 'elsewhere';
    }
    default:
      return undefined;
  }
}
