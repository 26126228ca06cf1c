import { cardOfBatch } from '../yields/cardForCrop';
import { type Batch, mainCropOf } from './batch';

/** Another card for a batch, with its own tested time. */
export type OtherCard = Pick<Batch, 'product' | 'pack' | 'processMinutes' | 'pressurePsi'> & {
  readonly recipe: string;
};

/**
 * A batch made by another card: what was told of the first one's pot counts no more, and produce besides
 * the main crop that the other one does not take is not used.
 */
export function madeAs<Of extends Batch>(
  batch: Of,
  { product, recipe, pack, processMinutes, pressurePsi }: OtherCard,
): Of {
  const { pressurePsi: _, without: __, ingredients: ___, ...own } = batch;
  const main = mainCropOf(batch);
  const lines = cardOfBatch(product, recipe, main)?.ingredients;
  const uses = batch.uses.filter(
    ({ crop }) => crop === undefined || crop === main || !lines || lines.some(({ crops }) => crops.includes(crop)),
  );
  const other = { product, recipe, pack, processMinutes, ...(pressurePsi !== undefined && { pressurePsi }) };
  return { ...own, ...other, uses } as unknown as Of;
}
