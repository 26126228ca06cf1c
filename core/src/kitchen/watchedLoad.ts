import { boilsUnseen, type Canner, isPressure } from '../canner/canner';
import { type InstrumentKind } from '../instruments/instrument';
import { boilingPointF } from '../process/boilingPoint';
import { lookedAt } from './alarms';
import { askedOf, type LoadCurve } from './loadCurve';
import { probeFault } from './probeFault';
import { type KitchenEvent } from './kitchenEvent';
import { type LoadNow } from './loadsNow';
import { type WatchQuestion } from './loadWatch';

/** A load that an instrument stands at, and what it is asked there. */
export interface WatchedLoad extends Omit<WatchQuestion, 'aheadMs'> {
  readonly id: string;
  /** When its jars went in, household's time; 0 before that. */
  readonly startedAt: number;
  /** Its curve is kept, and nobody is called: a machine that times itself, or a locked lid under which nobody can look. */
  readonly isSilent: boolean;
}

interface Ground {
  readonly altitudeFt: number;
  /** The canner the instrument stands in, where the household still has it. */
  readonly canner?: Pick<Canner, 'lidLocks' | 'timesItself'> | undefined;
  /** Of the same instrument, with when each was said to boil by a tap. */
  readonly boiled: readonly { readonly curve: LoadCurve; readonly boilAt: number }[];
  /** When calls were answered, by their ids; see `lookedAt`. */
  readonly answered?: ReadonlyMap<string, number>;
}

/**
 * What an instrument is asked about the load at its canner. A gauge says nothing of an open pot, and of a closed one a probe says
 * nothing that is tested.
 */
export function watchedLoad(
  kind: InstrumentKind,
  { batch, load, order, state }: LoadNow,
  { altitudeFt, canner, boiled, answered = new Map() }: Ground,
): WatchedLoad | undefined {
  const isGauge = kind === 'pressure-gauge';
  if ((kind !== 'probe' && !isGauge) || isPressure(order.method) !== isGauge) return undefined;
  const { pressurePsi } = batch;
  if (isGauge && pressurePsi === undefined) return undefined;
  const looked = lookedAt(load.id, answered);
  return {
    ...(looked !== undefined && { lookedAt: looked }),
    ...{ id: load.id, order, state, startedAt: state.startedAt ?? 0, pack: batch.pack === 'raw' ? 'raw' : 'hot' },
    boilF: boilingPointF(altitudeFt),
    isSilent: canner !== undefined && (canner.timesItself || boilsUnseen(canner)),
    ...(isGauge && { markPsi: pressurePsi }),
    ...(kind === 'probe' && probeFault(boiled)),
  };
}

/** The curve of a load before anything of it was read. */
export function emptyCurve(
  instrument: string,
  { id, startedAt, boilF, markPsi, readsMoreF = 0, order }: WatchedLoad,
): LoadCurve {
  const measures = markPsi === undefined ? 'F' : 'psi';
  const wants = askedOf(order.method, { boilF, markPsi });
  return { id, instrument, measures, startAt: startedAt, wants, readsMoreF, points: [] };
}

/** Curves of one instrument in water whose boil a hand confirmed, the newest last: by them its fault is learned. */
export function boiledByHand(
  instrument: string,
  curves: Iterable<LoadCurve>,
  events: Iterable<Pick<KitchenEvent, 'loadId' | 'at' | 'type'> & { readonly by?: 'probe' }>,
): Ground['boiled'] {
  const byHand = new Map<string, number>();
  for (const { type, by, loadId, at } of events)
    if (type === 'boil-reached' && by === undefined) byHand.set(loadId, at);
  return [...curves]
    .flatMap((curve) => {
      const boilAt = byHand.get(curve.id);
      return curve.instrument === instrument && boilAt !== undefined ? [{ curve, boilAt }] : [];
    })
    .sort((a, b) => a.boilAt - b.boilAt);
}
