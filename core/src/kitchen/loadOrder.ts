import { leastRestMinutes, restMinutes } from '../canner/restMinutes';
import { type Batch, type PlannedLoad } from '../day/batch';
import { type LoadOrder } from './loadState';

/** What a batch asks of one of its loads. */
export function loadOrder(
  { processMinutes, method, jar }: Pick<Batch, 'processMinutes' | 'method' | 'jar'>,
  { jars }: Pick<PlannedLoad, 'jars'>,
): LoadOrder {
  const [rest] = restMinutes(method, jar);
  return { jars, processMinutes, restMinutes: rest, leastRestMinutes: leastRestMinutes(method) };
}
