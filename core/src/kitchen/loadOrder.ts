import { leastRestMinutes, restMinutes } from '../canner/restMinutes';
import { type Batch, ofLoad, type PlannedLoad } from '../day/batch';
import { inCanner, minutesOf } from '../day/sharedLoad';
import { type LoadOrder } from './loadState';

/** What a batch asks of one of its loads; in a canner that is shared the longest minutes of all in it. */
export function loadOrder(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): LoadOrder {
  const untested = inCanner(batch, load, batches).find((each) => each.untested !== undefined)?.untested;
  const [rest] = restMinutes(batch.method, ofLoad(batch, load).jar);
  return {
    method: batch.method,
    jars: load.jars,
    processMinutes: minutesOf(batch, load, batches),
    restMinutes: rest,
    leastRestMinutes: leastRestMinutes(batch.method),
    ...(untested !== undefined && { untested }),
  };
}
