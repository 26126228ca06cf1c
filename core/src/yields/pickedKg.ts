import { type CropCard } from './cardForCrop';
import { type LearnedYields } from './yieldModel';
import { yieldRange } from './yieldRange';

/**
 * Kilograms as picked that this kitchen takes of the main crop for one batch of a card: what the page says, and where it
 * measures prepared fruit by the cup, more or less of it as this kitchen was seen to trim.
 */
export function pickedKgPerBatch({ card, main, byCups }: CropCard, learned?: LearnedYields): number {
  const range = byCups ? yieldRange(card.product, main.crop, learned) : undefined;
  return main.kgPerBatch * (range ? range.lbPerQuart.p50 / range.basis.printedLbPerQuart : 1);
}
