import { type Batch } from './batch';
import { type PickUse } from '../harvest/pick';
import { type BatchRecord } from '../yields/batchRecord';

/**
 * The batches with what went into them, where that was written down: of the crop that is weighed no more is used than that, and
 * the rest of what was set apart is on hand again, the part that keeps longest first. More than was set apart is not taken from
 * any pick: which one it came from is not told.
 */
export function withWhatWentIn<Of extends Pick<Batch, 'id' | 'uses'>>(
  batches: readonly Of[],
  records: readonly Pick<BatchRecord, 'batchId' | 'crop' | 'massKg'>[],
): Of[] {
  const told = new Map<string, Pick<BatchRecord, 'crop' | 'massKg'>>();
  for (const { batchId, crop, massKg } of records) {
    if (batchId !== null) told.set(batchId, { crop, massKg: massKg + (told.get(batchId)?.massKg ?? 0) });
  }
  return batches.map((batch) => {
    const wentIn = told.get(batch.id);
    return wentIn ? { ...batch, uses: atMost(batch.uses, wentIn) } : batch;
  });
}

/** Uses stand in the order in which produce is taken, the next to spoil first. */
function atMost(uses: readonly PickUse[], { crop, massKg }: Pick<BatchRecord, 'crop' | 'massKg'>): PickUse[] {
  let leftKg = massKg;
  return uses.map((use) => {
    if ((use.crop ?? crop) !== crop) return use;
    const usedKg = Math.min(use.massKg, leftKg);
    leftKg -= usedKg;
    // What is soft goes in first.
    const frozenKg = Math.min(use.frozenKg ?? 0, usedKg);
    return { ...use, massKg: usedKg, softKg: Math.min(use.softKg, usedKg), ...(frozenKg > 0 && { frozenKg }) };
  });
}
