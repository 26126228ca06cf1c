import { type Batch, type PlannedLoad } from '../day/batch';
import { type JarLot, jarCounts, type Movement, standingMovements } from './jarLot';
import { rootLots } from './rootLots';

/** Jars of one lot, and everywhere the others of it went. */
export interface RecalledLot {
  readonly lot: JarLot;
  /** Still there. */
  readonly jars: number;
  readonly movements: readonly Movement[];
}

export interface Recall {
  readonly batch?: Batch;
  /** The loads of the batch with their jars, the asked one first; one without a load where the jars came from elsewhere. */
  readonly loads: readonly { readonly load?: PlannedLoad; readonly lots: readonly RecalledLot[] }[];
  /** Of all loads: made, still there, gone. */
  readonly made: number;
  readonly here: number;
}

/**
 * Every jar of the batch and the loads that a lot belongs to, wherever it was carried, and where it went: from the batch
 * to its loads, to their lots, to the movements of these. A load that went in with one of another batch brings the lots
 * of that load with it: what was wrong with the canner was wrong for both.
 */
export function recallOf(
  lotId: string,
  { batches, lots, movements }: { batches: readonly Batch[]; lots: readonly JarLot[]; movements: readonly Movement[] },
): Recall | undefined {
  const asked = lots.find(({ id }) => id === lotId);
  if (!asked) return undefined;
  const batch = batches.find(({ loads }) => loads.some(({ id }) => id === asked.loadId));
  const roots = rootLots(lots);
  const counts = jarCounts(lots, movements);
  const standing = standingMovements(movements);
  const recalled = (wanted: (lot: JarLot) => boolean): RecalledLot[] =>
    lots.filter(wanted).map((lot) => ({
      lot,
      jars: counts.get(lot.id) ?? 0,
      movements: standing.filter(({ lotId: from, intoLotId }) => from === lot.id || intoLotId === lot.id),
    }));
  const shared = batches.flatMap((other) =>
    other.loads.filter(({ id, withLoadId }) => isShared(asked.loadId, { id, withLoadId }, batches)),
  );
  const own = [...(batch?.loads ?? []), ...shared].filter(
    (load, i, all) => all.findIndex(({ id }) => id === load.id) === i,
  );
  const loads = own.map((load) => ({ load, lots: recalled(({ loadId }) => loadId === load.id) }));
  const first = (a: PlannedLoad | undefined) => (a?.id === asked.loadId ? 0 : 1);
  const all = batch
    ? [...loads].sort((a, b) => first(a.load) - first(b.load))
    : [{ lots: recalled(({ id }) => roots.get(id) === roots.get(lotId)) }];
  const every = all.flatMap((load) => load.lots);
  const stored = every.flatMap((each) => each.movements.filter(({ kind }) => kind === 'stored'));
  return {
    ...(batch && { batch }),
    loads: all,
    made: stored.reduce((sum, { jars }) => sum + jars, 0),
    here: every.reduce((sum, { jars }) => sum + jars, 0),
  };
}

/** Whether a load was in the canner together with the asked one. */
function isShared(
  loadId: string | undefined,
  { id, withLoadId }: Pick<PlannedLoad, 'id' | 'withLoadId'>,
  batches: readonly Batch[],
): boolean {
  if (loadId === undefined) return false;
  const asked = batches.flatMap(({ loads }) => loads).find((load) => load.id === loadId);
  const host = asked?.withLoadId ?? loadId;
  return id === host || withLoadId === host;
}
