import { boilingWaterRows } from './boilingWater';
import { type Card } from './cards/card';
import { FRUIT_CARDS } from './cards/fruitCards';
import { PICKLE_CARDS } from './cards/pickleCards';
import { SAUCE_CARDS } from './cards/sauceCards';
import { SPREAD_CARDS } from './cards/spreadCards';
import { TOMATO_CARDS } from './cards/tomatoCards';
import { VEGETABLE_CARDS } from './cards/vegetableCards';
import { groupBy } from './groupBy';
import { isOwnProduct } from './ownIds';
import { Laid } from './laidBeside';
import { pressureRows } from './pressure';
import { type ProductId, productRow } from './products';
import { type Cited } from './source';

/**
 * Every recipe card of the handbook. Source: USDA Complete Guide to Home Canning, 2015, the guide of the product, and the
 * National Center for Home Food Preservation; written from memory twice, compared amount by amount.
 */
export const CARDS: readonly Card[] = [
  ...TOMATO_CARDS,
  ...SAUCE_CARDS,
  ...PICKLE_CARDS,
  ...FRUIT_CARDS,
  ...SPREAD_CARDS,
  ...VEGETABLE_CARDS,
];

/** The cards of a household's own recipes: those that may be made, by product, and all there ever were, by id. */
export const ownCards = new Laid<{
  readonly of: ReadonlyMap<string, readonly Card[]>;
  readonly byId: ReadonlyMap<string, Card>;
}>({ of: new Map(), byId: new Map() });

const BY_ID = new Map(CARDS.map((card) => [card.card, card]));

const BY_PRODUCT = groupBy(
  CARDS.filter(({ confidence }) => confidence !== 'low'),
  ({ product }) => product,
);

/** A card by its id, whatever its confidence; undefined for none. */
export function findCard(id: string): Card | undefined {
  return BY_ID.get(id) ?? ownCards.now.byId.get(id);
}

/** The cards of a product that may be offered: those recalled with confidence. No card, no recipe. */
export function cardsOf(product: ProductId): readonly Card[] {
  if (isOwnProduct(product)) return ownCards.now.of.get(product) ?? [];
  return BY_PRODUCT.get(product) ?? [];
}

/**
 * Products whose tested time cannot be laid beside one formula surely: their row of formulas is recalled too faintly, and
 * which of two pages the time belongs to is open. Their card is kept and shown, and nothing of them is offered for the shelf
 * until somebody has held it against the page.
 */
const TIME_UNSURE: readonly ProductId[] = ['zucchini-bread-and-butter'];

/** Whether a product has a card that its tested time surely holds for. */
export function hasSureCard(product: ProductId): boolean {
  return !TIME_UNSURE.includes(product) && cardsOf(product).length > 0;
}

/** Whether a card may be shown. */
export function isOffered({ confidence }: Card): boolean {
  return confidence !== 'low';
}

/** A card stands on the page of the time that was tested with it; a household's own says itself where it is from. */
export function citedOf({ product, from }: Pick<Card, 'product' | 'from'>): Cited {
  if (from !== undefined) return { source: from, recalled: false };
  const { process } = productRow(product);
  const row = boilingWaterRows(process)[0] ?? pressureRows(process)[0];
  if (!row) throw new RangeError(`no tested row for ${product}`);
  return { source: row.source, recalled: row.recalled };
}
