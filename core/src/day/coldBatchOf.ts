import { cardsOf } from '../handbook/cards';
import { type Card } from '../handbook/cards/card';
import { type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { type PickUse } from '../harvest/pick';
import { type Cold } from '../process/method';
import { type Batch } from './batch';

/** What a cook wants to put away cold. */
export interface ColdWish {
  readonly product: ProductRow;
  readonly recipe: string;
  readonly without?: readonly string[];
  readonly jar: JarSize;
  readonly into: Cold;
  /** Jars of each filling by its card; of one that has none by the recipe's own. */
  readonly jars: readonly { readonly recipe?: string; readonly count: number }[];
  readonly uses: readonly PickUse[];
  readonly startAt: number;
}

/**
 * The batch of what no canner takes: filled, cooled and put away. It has no minutes, since nothing is processed.
 *
 * @param altitudeFt kept with the batch as with every other; 0 where none is set, since nothing is looked up by it
 * @param newId makes the id of the batch and of each load
 */
export function coldBatchOf(
  { product, recipe, without, jar, into, jars, uses, startAt }: ColdWish,
  altitudeFt: number,
  newId: () => string,
): Batch | undefined {
  const filled = jars.filter(({ count }) => count > 0);
  if (filled.length === 0) return undefined;
  return {
    id: newId(),
    product: product.product,
    recipe,
    ...(without && without.length > 0 && { without }),
    jar,
    pack: usualPack(product),
    method: into,
    altitudeFt,
    processMinutes: 0,
    cannerId: '',
    startAt,
    uses,
    loads: filled.map(({ recipe: own, count }, i) => ({
      id: newId(),
      number: i + 1,
      jars: count,
      ...(own !== undefined && { recipe: own }),
    })),
  };
}

/**
 * The same for so many jars in all, by the card a recipe has now: its fillings share them as its page does.
 *
 * @returns undefined for a product without a card, or without jars
 */
export function coldBatchOfJars(
  { jars, ...wish }: Omit<ColdWish, 'recipe' | 'jars'> & { readonly jars: number },
  altitudeFt: number,
  newId: () => string,
): Batch | undefined {
  const cards = cardsOf(wish.product.product);
  const [card] = cards;
  return card && coldBatchOf({ ...wish, recipe: card.card, jars: ofFillings(cards, jars) }, altitudeFt, newId);
}

function ofFillings(cards: readonly Card[], jars: number): ColdWish['jars'] {
  if (cards.length < 2) return [{ count: jars }];
  const parts = cards.map(({ yields }) => yields?.high ?? 1);
  const all = parts.reduce((sum, part) => sum + part, 0);
  const counts = parts.map((part) => Math.floor((jars * part) / all));
  const rest = jars - counts.reduce((sum, count) => sum + count, 0);
  return cards.map(({ card }, i) => ({ recipe: card, count: (counts[i] ?? 0) + (i < rest ? 1 : 0) }));
}
