import { type InstrumentPlace, type InstrumentsNow, type InstrumentSettings } from '@hoddle/contract/instrument';
import { HeatCurve } from '@hoddle/core/instruments/heatCurve';
import { heldHeat } from '@hoddle/core/instruments/heldHeat';
import { type InstrumentKind, stepInBase } from '@hoddle/core/instruments/instrument';
import { InstrumentBoard, type InstrumentLine, type Taken } from '@hoddle/core/instruments/instrumentBoard';
import { StillWeight } from '@hoddle/core/instruments/stillWeight';
import { LoadWatch, type WatchCall } from '@hoddle/core/kitchen/loadWatch';
import { type WatchedLoad } from '@hoddle/core/kitchen/watchedLoad';

/** What stands in a refrigerator keeps at so much or less. Handbook rule 10. */
const REFRIGERATOR_F = 40;
/** A door that is opened lets in more for a while. Common practice. */
const WARM_FOR_MS = 15 * 60_000;

/** What the hub asks of the household each time it looks. */
export interface Watched {
  readonly settings: InstrumentSettings;
  /** Loads in canners, or next to go in, and what is asked of them. */
  readonly loads: (
    instrument: { readonly id: string; readonly kind: InstrumentKind },
    cannerId: string,
  ) => WatchedLoad[];
  /** How far the household's clock is ahead of this machine's, milliseconds. */
  readonly aheadMs: number;
}

interface Held {
  readonly curve?: HeatCurve;
  readonly weight?: StillWeight;
  readonly watches: Map<string, LoadWatch>;
  still?: { at: number; grams: number } | undefined;
  warmSince?: number | undefined;
}

/** A load's instrument tells so many readings on, each with the household's time. */
export type Heard = (
  load: WatchedLoad,
  instrument: { id: string; kind: InstrumentKind },
  at: number,
  value: number,
) => void;

/**
 * What the instruments of a household tell now, and what that means for the loads they stand at. Kept in memory alone: what is to
 * stay is written by whoever listens. It runs on this machine's clock; the household's may be ahead of it.
 */
export class InstrumentHub {
  private readonly board = new InstrumentBoard();
  private readonly held = new Map<string, Held>();
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly watched: () => Watched,
    readonly now: () => number = Date.now,
    private readonly heard: Heard = () => undefined,
  ) {}

  /** Takes a line. @param receivedAt epoch milliseconds of this machine */
  take(line: InstrumentLine, receivedAt: number): Taken {
    const taken = this.board.take(line, receivedAt);
    if (taken.kind === 'reading') this.read(taken);
    else if (taken.kind === 'known') this.tell();
    return taken;
  }

  /** Their wire is gone. */
  silent(ids: readonly string[]): void {
    for (const id of ids) this.board.take({ type: 'lost', id, at: this.now() }, this.now());
    if (ids.length > 0) this.tell();
  }

  /** Hears that something is another than it was. @returns what ends it */
  listen(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Looks at every load with an instrument, and at every refrigerator. */
  look(): InstrumentsNow {
    const { settings, loads, aheadMs } = this.watched();
    const calls: InstrumentsNow['calls'] = [];
    const warm: InstrumentsNow['warm'] = [];
    for (const { id, kind, last } of this.board.instruments) {
      const held = this.held.get(id);
      const place = placeOf(settings, id);
      if (!held?.curve || !place) continue;
      if (place.at === 'canner') {
        const own = loads({ id, kind }, place.cannerId);
        for (const key of [...held.watches.keys()]) if (!own.some((load) => load.id === key)) held.watches.delete(key);
        for (const load of own) {
          const call = this.watch(held, load, aheadMs);
          if (call) calls.push({ loadId: load.id, instrument: id, ...call, since: call.since + aheadMs });
        }
      } else if (place.at === 'refrigerator' && kind === 'probe') {
        const since = this.warmSince(held);
        if (since !== undefined) warm.push({ instrument: id, since: since + aheadMs, reads: last?.value ?? 0 });
      }
    }
    return { instruments: this.told(aheadMs), calls, warm };
  }

  private watch(held: Held, load: WatchedLoad, aheadMs: number): WatchCall | undefined {
    if (load.isSilent) return undefined;
    const watch = held.watches.get(load.id) ?? new LoadWatch();
    held.watches.set(load.id, watch);
    // What is out of reach tells nothing of now.
    const newest = ((held.curve?.newest ?? 0) + 1) * 1_000;
    if (!held.curve || this.now() - newest > SILENT_MS) return undefined;
    return watch.look(held.curve, { ...load, aheadMs });
  }

  private warmSince(held: Held): number | undefined {
    const now = this.now();
    const isWarm = held.curve && heldHeat(held.curve, { highF: REFRIGERATOR_F }) === 'high';
    held.warmSince = isWarm ? (held.warmSince ?? now) : undefined;
    return held.warmSince !== undefined && now - held.warmSince >= WARM_FOR_MS ? held.warmSince : undefined;
  }

  private told(aheadMs: number): InstrumentsNow['instruments'] {
    return this.board.instruments.map(
      ({ id, name, kind, battery, isLost, sharesName, clockBehindMs, setAside, last, ...own }) => {
        const still = this.held.get(id)?.still;
        // A wire that is open and tells nothing is as good as none.
        const isSilent = last !== undefined && this.now() - last.at > SILENT_MS;
        return {
          ...{ id, name, kind, step: stepInBase({ kind, ...own }) ?? 1, sharesName, setAside: { ...setAside } },
          isLost: isLost || isSilent,
          ...(battery !== undefined && { battery }),
          ...(clockBehindMs !== undefined && { clockBehindMs }),
          ...(last && { last: { at: Math.round(last.at + aheadMs), value: last.value } }),
          ...(still && { still: { at: Math.round(still.at + aheadMs), grams: still.grams } }),
        };
      },
    );
  }

  private read({ id, at, value }: Extract<Taken, { kind: 'reading' }>): void {
    const held = this.held.get(id) ?? this.hold(id);
    held.curve?.take(at, value);
    const { settings, loads, aheadMs } = this.watched();
    const place = held.curve && placeOf(settings, id);
    const instrument = { id, kind: this.kindOf(id) };
    if (place?.at === 'canner') {
      for (const load of loads(instrument, place.cannerId)) this.heard(load, instrument, at + aheadMs, value);
    }
    if (!held.weight) return;
    const grams = held.weight.take(at, value);
    const isNews = grams !== held.still?.grams;
    held.still = grams === undefined ? undefined : { at: held.still?.grams === grams ? held.still.at : at, grams };
    if (isNews) this.tell();
  }

  private hold(id: string): Held {
    const own = this.board.announced(id);
    const kind = this.kindOf(id);
    const isScale = kind === 'kitchen-scale' || kind === 'hanging-scale';
    const held: Held = {
      watches: new Map(),
      ...(kind !== 'jar-counter' && !isScale && { curve: new HeatCurve() }),
      ...(isScale && own && { weight: new StillWeight(stepInBase(own) ?? 1) }),
    };
    this.held.set(id, held);
    return held;
  }

  private kindOf(id: string): InstrumentKind {
    return this.board.announced(id)?.kind ?? 'probe';
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}

/** What has told nothing for so long is of no use for a decision of now. */
const SILENT_MS = 30_000;

function placeOf(settings: InstrumentSettings, id: string): InstrumentPlace | undefined {
  return settings.places.find((each) => each.id === id)?.place;
}
