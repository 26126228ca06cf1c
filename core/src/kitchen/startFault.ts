import { type Batch } from '../day/batch';
import { type Fault } from '../day/fault';
import { waysOf } from '../day/inTheCanner';
import { type LoadOfBatch } from '../day/sharedLoad';
import { METHOD_WORDS } from '../process/method';
import { type KitchenEvent } from './kitchenEvent';
import { loadOrder } from './loadOrder';

const STARTS: readonly KitchenEvent['type'][] = ['load-started', 'boil-reached', 'machine-started'];

/** What keeps a load from being started: nothing is tested for it any more, or not the way it goes in. */
export function startFault(
  event: KitchenEvent,
  { batch, load }: LoadOfBatch,
  batches: readonly Batch[],
): Fault | undefined {
  const { untested } = loadOrder(batch, load, batches);
  if (untested !== undefined && STARTS.includes(event.type)) return { code: 'not-tested', sentence: untested };
  if (event.type !== 'load-started' || event.way === undefined) return undefined;
  if (waysOf(batch, load, batches).includes(event.way)) return undefined;
  return { code: 'not-tested', sentence: `Nothing is tested for these jars ${METHOD_WORDS[event.way]} here.` };
}
