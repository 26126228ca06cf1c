import { type Card } from '../handbook/cards/card';
import { productRow } from '../handbook/products';

/** So many pots side by side, each with `factor` of the recipe. None where there is too little for a whole one. */
export interface Pots {
  readonly pots: number;
  readonly factor: number;
}

/** A page's "about": berries by the quart box differ by more than this. Common practice. */
const ABOUT = 0.02;

/**
 * How a measured amount goes into pots. A card with pectin is made whole or not at all, since a box sets one batch; any
 * other is made smaller in proportion. What may not be doubled goes into pots side by side.
 *
 * Source: handbook rule 14 and the products that may be doubled.
 *
 * @param part what was measured, in batches of the card, 0 or more
 */
export function potsFor(card: Card, part: number): Pots {
  if (setsByTheBox(card)) return { pots: Math.floor(part + ABOUT), factor: 1 };
  if (productRow(card.product).mayDouble) return { pots: 1, factor: part };
  // As many pots as are needed so that none holds more than one batch; all the same.
  const pots = Math.max(1, Math.ceil(part - ABOUT));
  return { pots, factor: part / pots };
}

/** Whether the card takes pectin, so that it is made whole or not at all. */
export function setsByTheBox({ ingredients }: Card): boolean {
  return ingredients.some(({ role }) => role === 'pectin');
}
