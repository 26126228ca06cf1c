import { amountsOfBatch, type BatchAmounts } from '@hoddle/core/day/amountsOfBatch';
import { type Batch } from '@hoddle/core/day/batch';
import { missingForBatch } from '@hoddle/core/day/takeForRecipe';
import { measuredNow } from '@hoddle/core/kitchen/measuredNow';
import { type MissingProduce } from '@hoddle/core/yields/otherCrops';
import { useMemo } from 'react';
import { useLots } from '@/household/harvest/useOnHand';
import { useLearned } from '@/household/yields/useLearned';
import { useHousehold } from '@/store/useHousehold';

/**
 * What a batch takes, for its own jars and the produce it has, or what was measured of it; undefined where it has no card or
 * is only processed again.
 */
export function useBatchAmounts(batch: Batch | undefined): BatchAmounts | undefined {
  const learned = useLearned();
  const { batchRecords: records, dayEvents } = useHousehold();
  return useMemo(
    () => batch && amountsOfBatch(batch, { learned, records, measured: measuredNow(batch.id, dayEvents) }),
    [batch, learned, records, dayEvents],
  );
}

/** The crops of its card that a batch has not reserved and that lie nowhere either. */
export function useMissingOf(batch: Batch | undefined): readonly MissingProduce[] {
  const lots = useLots();
  return useMemo(() => (batch ? missingForBatch(batch, lots) : []), [batch, lots]);
}
