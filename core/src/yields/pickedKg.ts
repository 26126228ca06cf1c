import { setsByTheBox } from '../recipe/pots';
import { type CropCard } from './cardForCrop';
import { type LearnedYields } from './yieldModel';
import { type YieldRange, yieldRange } from './yieldRange';

/**
 * Pounds as picked for one batch of a card against what its page says. What is weighed whole is the page's. Of what is measured
 * prepared, by the cup, trimming decides: it is what all products of the crop share of their deviation, so that a page that
 * promises too many jars is no loss at the board. A box of pectin sets measured cups, and its jars are the page's: there all of
 * the deviation is in the pounds.
 *
 * @param lbPerQuart the case that is meant, of the range
 */
export function pickedPart(
  { card, byCups }: Pick<CropCard, 'card' | 'byCups'>,
  { basis, trim }: Pick<YieldRange, 'basis' | 'trim'>,
  lbPerQuart: number,
): number {
  if (!byCups) return 1;
  return setsByTheBox(card) ? lbPerQuart / basis.printedLbPerQuart : trim;
}

/** Kilograms as picked that this kitchen takes of the main crop for one batch of a card: see {@link pickedPart}. */
export function pickedKgPerBatch({ card, main, byCups }: CropCard, learned?: LearnedYields): number {
  const range = byCups ? yieldRange(card.product, main.crop, learned) : undefined;
  return main.kgPerBatch * (range ? pickedPart({ card, byCups }, range, range.lbPerQuart.p50) : 1);
}
