import { type Canner, type OwnJar } from '../canner/canner';
import { holdsMixed } from '../canner/holdsMixed';
import { mixedLoad } from '../process/mixedLoad';
import { type Batch, isCanned, ofLoad, type PlannedLoad } from './batch';
import { type Fault, firstFault } from './fault';
import { hostOf, type LoadOfBatch, sizesInCanner, together } from './sharedLoad';

/** What a shared load is held against. */
export interface SharedGround {
  /** All batches as they stand, the one that is asked about among them or not. */
  readonly batches: readonly Batch[];
  readonly canners: readonly Canner[];
  readonly ownJars: readonly OwnJar[];
  /** Whether anything was told of a load yet. */
  readonly hasBegun: (loadId: string) => boolean;
}

/**
 * What keeps loads of a batch from going in with others: whoever shares a canner is processed one way, at one pressure, and
 * fits into it; the longest time holds for all. Handbook rules 7 and 15.
 */
export function sharedLoadFault(batch: Batch, ground: SharedGround): Fault | undefined {
  const batches = [...ground.batches.filter(({ id }) => id !== batch.id), batch];
  const guests = batch.loads.filter(({ withLoadId }) => withLoadId !== undefined);
  return firstFault(...guests.map((load) => () => guestFault({ batch, load }, { ...ground, batches })));
}

function guestFault({ batch, load }: LoadOfBatch, ground: SharedGround): Fault | undefined {
  const host = hostOf(load, ground.batches);
  const no = (sentence: string): Fault => ({ code: 'share', sentence });
  if (!host) return no('The load that these jars were to go in with is not planned any more.');
  if (!isCanned(batch) || !isCanned(host.batch)) return no('Jars that are kept cold share no canner.');
  const ways = [ofLoad(batch, load), host.batch].map(({ method, processMinutes: minutes, pressurePsi }) => ({
    ...{ method, minutes },
    ...(pressurePsi !== undefined && { pressurePsi }),
  }));
  const mixed = mixedLoad(ways);
  if (mixed.kind === 'refusal') return no(mixed.reason);
  if (!isRoomFor(batch, load, host, ground)) return no('Jars of these sizes do not all fit into that canner together.');
  if (ground.hasBegun(host.load.id)) return { code: 'begun', sentence: 'That load is in the canner already.' };
  return undefined;
}

/** Whether jars of several sizes surely stand in the canner together. */
function isRoomFor(
  batch: Batch,
  load: PlannedLoad,
  host: LoadOfBatch,
  { batches, canners, ownJars }: SharedGround,
): boolean {
  const sizes = sizesInCanner(batch, load, batches);
  if (sizes.length < 2) return true;
  const canner = canners.find(({ id }) => id === (host.load.cannerId ?? host.batch.cannerId));
  const { jars } = together(host.batch, host.load, batches).load;
  const how = isCanned(host.batch) && { method: host.batch.method, ownJars };
  return canner !== undefined && how !== false && holdsMixed(canner, sizes, jars, how);
}
