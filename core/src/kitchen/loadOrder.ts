import { leastRestMinutes, restMinutes } from '../canner/restMinutes';
import { type Batch, ofLoad, type PlannedLoad } from '../day/batch';
import { inCanner, minutesOf } from '../day/sharedLoad';
import { type LoadOrder } from './loadState';

/** What a batch asks of one of its loads; in a canner that is shared the longest minutes of all in it. */
export function loadOrder(batch: Batch, load: PlannedLoad, batches: readonly Batch[]): LoadOrder {
  const untested = inCanner(batch, load, batches).find((each) => each.untested !== undefined)?.untested;
  const { method, jar } = ofLoad(batch, load);
  const [rest] = restMinutes(method, jar);
  return {
    method,
    jars: load.jars,
    processMinutes: minutesOf(batch, load, batches),
    restMinutes: rest,
    leastRestMinutes: leastRestMinutes(method),
    ...(untested !== undefined && { untested }),
  };
}
