import { type Canner, methodsOf, type OwnJar } from '../canner/canner';
import { capacityOf } from '../canner/capacity';
import { type Method } from '../process/method';
import { type Batch, type CannedBatch, isCanned, type PlannedLoad } from './batch';
import { inCanner, type LoadOfBatch, together } from './sharedLoad';

/** A load with the canner it goes into. */
export interface LoadInCanner extends LoadOfBatch {
  readonly batch: CannedBatch;
  readonly canner: Canner;
}

/** The ways in which all that stand in a canner together may be processed for their minutes: the batch's own first. */
export function waysOf(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): Method[] {
  const [own, ...others] = inCanner(batch, load, batches);
  if (!own || !isCanned(own)) return [];
  const isOpenTo = ({ jar, method, sameHeat = [] }: Batch, way: Method) =>
    method === way || sameHeat.some((other) => other.jar === jar && other.method === way);
  const besides = (own.sameHeat ?? []).flatMap(({ jar, method }) => (jar === own.jar ? [method] : []));
  return [own.method, ...besides.filter((way) => others.every((other) => isOpenTo(other, way)))];
}

/** The way a canner processes a load: its batch's own where the canner serves that. Undefined where it serves none of its ways. */
export function wayIn(canner: Canner, batch: Batch, load: PlannedLoad, batches: readonly Batch[]): Method | undefined {
  const served = methodsOf(canner);
  return waysOf(batch, load, batches).find((way) => served.includes(way));
}

/** A load as it goes into a canner, which may process it another way than its batch says, for the same minutes. */
export function loadIn(canner: Canner, batch: Batch, load: PlannedLoad, batches: readonly Batch[]): PlannedLoad {
  const way = wayIn(canner, batch, load, batches);
  return way === undefined || way === (load.way ?? batch.method) ? load : { ...load, way };
}

/** All that stands in a canner with a load, as that canner processes it. */
export function inItsCanner(
  batch: CannedBatch,
  load: PlannedLoad,
  batches: readonly Batch[],
  canner: Canner,
): LoadInCanner {
  const all = together(batch, loadIn(canner, batch, load, batches), batches);
  return { ...all, batch: { ...all.batch, method: isCanned(all.batch) ? all.batch.method : batch.method }, canner };
}

/** How many of a batch's jars each canner takes that one of its ways is served by. */
export function placesFor(batch: Batch, canners: readonly Canner[], ownJars: readonly OwnJar[]): number[] {
  return canners.flatMap((canner) => {
    const [load] = batch.loads;
    const method = load && wayIn(canner, batch, load, [batch]);
    const capacity = method && capacityOf(canner, batch.jar, { method, ownJars });
    return capacity?.kind === 'holds' ? [capacity.jars] : [];
  });
}
