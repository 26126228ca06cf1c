import { type Batch, cardOf, mainCropOf } from '../day/batch';
import { type Lot } from '../harvest/onHand';
import { type PickUse } from '../harvest/pick';
import { usesOf } from '../harvest/usesOf';
import { cropCard } from '../yields/cardForCrop';
import { pickedKgPerBatch } from '../yields/pickedKg';
import { type LearnedYields } from '../yields/yieldModel';

/** Fruit of a lot that a batch can be made whole with. */
export interface MoreFruit {
  readonly lot: Lot;
  readonly use: PickUse;
  /** Batches of its card that it makes. */
  readonly batches: number;
}

/**
 * The lots that what was measured too little of can be taken from, each with as much as is missing or as it has. Green fruit
 * is taken for what is made of green fruit alone.
 *
 * @param missing batches of its card, above 0
 */
export function moreForBatch(
  batch: Batch,
  missing: number,
  lots: readonly Lot[],
  learned?: LearnedYields,
): MoreFruit[] {
  const crop = mainCropOf(batch);
  const card = cardOf(batch);
  const own = crop && card && cropCard(card, crop);
  if (!own || missing <= 0) return [];
  const kgPerBatch = pickedKgPerBatch(own, learned);
  return lots
    .filter((lot) => lot.crop === crop && (lot.ripeness === 'green') === own.green)
    .flatMap((lot) => {
      const massKg = Math.min(lot.massKg, missing * kgPerBatch);
      return usesOf([{ lot, massKg }]).map((use) => ({ lot, use, batches: massKg / kgPerBatch }));
    });
}
