import { type HouseholdPages } from '../process/findProcess';
import { sameHeatWays } from '../process/sameHeat';
import { type CannedBatch, type SameHeat } from './batch';

/** What is processed: of a batch, or of one of its loads in other jars. */
type Processed = Pick<CannedBatch, 'product' | 'pack' | 'jar' | 'method' | 'altitudeFt' | 'processMinutes'>;

/** What else jars may go into for the same minutes, each size once. See `sameHeatWays`. */
export function sameHeatOf(processed: readonly Processed[], pages: HouseholdPages): SameHeat[] {
  const told = new Map<string, SameHeat>();
  for (const each of processed)
    for (const method of sameHeatWays(each, each.processMinutes, pages))
      told.set(`${each.jar} ${method}`, { jar: each.jar, method });
  return [...told.values()];
}
