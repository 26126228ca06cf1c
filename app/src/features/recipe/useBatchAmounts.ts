import { amountsOfBatch, type BatchAmounts } from '@hoddle/core/day/amountsOfBatch';
import { type Batch, mainCropOf, massKgOf } from '@hoddle/core/day/batch';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { type MissingProduce, missingFor } from '@hoddle/core/yields/otherCrops';
import { useMemo } from 'react';
import { useLots } from '@/features/harvest/useOnHand';
import { useLearned } from '@/features/yields/useLearned';
import { useHousehold } from '@/store/useHousehold';

/** What a batch takes, for its own produce and jars; undefined where it has no card or is only processed again. */
export function useBatchAmounts(batch: Batch | undefined): BatchAmounts | undefined {
  const learned = useLearned();
  const { batchRecords } = useHousehold();
  return useMemo(
    () => batch && amountsOfBatch(batch, { learned, records: batchRecords }),
    [batch, learned, batchRecords],
  );
}

/** The crops of its card that a batch has not reserved and that lie nowhere either. */
export function useMissingOf(batch: Batch | undefined): readonly MissingProduce[] {
  const lots = useLots();
  return useMemo(() => (batch ? missingOf(batch, lots) : []), [batch, lots]);
}

function missingOf(batch: Batch, lots: readonly Lot[]): readonly MissingProduce[] {
  const main = batch.againOf === undefined ? mainCropOf(batch) : undefined;
  if (!main) return [];
  const reserved = batch.uses.flatMap(({ crop, massKg }) => (crop ? [{ crop, massKg }] : []));
  return missingFor(batch.product, main, massKgOf(batch, main), [...reserved, ...lots]);
}
