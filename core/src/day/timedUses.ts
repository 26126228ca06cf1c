import { type TimedUse } from '../harvest/onHand';
import { type Batch } from './batch';

/** What batches take from picks, each at the time its batch begins. */
export function timedUses(batches: readonly Pick<Batch, 'startAt' | 'uses'>[]): TimedUse[] {
  return batches.flatMap(({ startAt, uses }) => uses.map((use) => ({ ...use, at: startAt })));
}
