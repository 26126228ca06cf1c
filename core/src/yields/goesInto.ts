import { CARDS, isOffered } from '../handbook/cards';
import { type CropId } from '../handbook/crops';
import { findProduce, type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { isProduce, mainLine } from '../recipe/cardCrops';
import { cropCard } from './cardForCrop';

/** A recipe that takes a crop beside the one it is made of first of all. */
export interface GoesInto {
  readonly product: ProductId;
  readonly recipe: string;
  /** What it is made of first of all. */
  readonly main: ProduceId;
}

/**
 * The recipes that a crop goes into beside another: what a lot is for of which no product is made. Those whose main crop is
 * there come first, then in the order of the cards.
 *
 * @param there crops on hand
 */
export function goesInto(crop: CropId, there: (crop: ProduceId) => boolean = () => false): GoesInto[] {
  const all = CARDS.filter(isOffered).flatMap((card): GoesInto[] => {
    const own = mainLine(card);
    const isBeside = card.ingredients.some(
      (line) =>
        line !== own &&
        (isProduce(line) || line.role === 'spice') &&
        line.then !== 'drained' &&
        line.crops.includes(crop),
    );
    if (!isBeside || own?.crops.includes(crop)) return [];
    const mains = (own?.crops ?? []).flatMap((each) => findProduce(each)?.crop ?? []);
    const main = [...mains].sort((a, b) => Number(there(b)) - Number(there(a))).find((each) => cropCard(card, each));
    return main ? [{ product: card.product, recipe: card.card, main }] : [];
  });
  return all.sort((a, b) => Number(there(b.main)) - Number(there(a.main)));
}
