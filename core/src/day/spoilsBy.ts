import { onHand } from '../harvest/onHand';
import { type LotChange } from '../harvest/lotChange';
import { type Pick as HarvestPick } from '../harvest/pick';
import { type Batch } from './batch';
import { timedUses } from './timedUses';

const MINUTE_MS = 60_000;

/**
 * Minute of a plan by which each batch's produce must be taken in hand, before the first lot in it spoils; by batch id.
 * Produce that is past its time already, or keeps longer than a week, sets none.
 *
 * @param startAt where minute 0 of the plan is, epoch milliseconds; with the first of its batches unless said
 */
export function spoilsBy(
  own: readonly Batch[],
  all: readonly Batch[],
  picks: readonly HarvestPick[],
  changes: readonly LotChange[],
  startAt = Math.min(...own.map((batch) => batch.startAt)),
): Map<string, number> {
  const others = timedUses(all.filter((batch) => !own.includes(batch)));
  const lots = onHand(picks, others, changes);
  const due = own.flatMap((batch) => {
    const used = new Set(batch.uses.map(({ pickId }) => pickId));
    const until = Math.min(...lots.filter(({ pickId }) => used.has(pickId)).map((lot) => lot.until));
    const minutes = Math.floor((until - startAt) / MINUTE_MS);
    return Number.isFinite(minutes) && minutes > 0 && minutes <= WEEK_MIN ? [[batch.id, minutes] as const] : [];
  });
  return new Map(due);
}

const WEEK_MIN = 7 * 24 * 60;
