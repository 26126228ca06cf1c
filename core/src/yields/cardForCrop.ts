import { type Card } from '../handbook/cards/card';
import { rememberedOfPages } from '../handbook/laidBeside';
import { cardsOf, findCard } from '../handbook/cards';
import { isOwnProduct } from '../handbook/ownIds';
import { type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { quartsPerBatch, recipesOf } from '../recipe/cardColumns';
import { type CropNeed, cropNeeds, isProduce, mainLine } from '../recipe/cardCrops';

/** A card as a household makes it of one crop, with all the produce it takes. */
export interface CropCard {
  readonly card: Card;
  readonly main: CropNeed & { readonly crop: ProduceId; readonly kgPerBatch: number; readonly lbPerBatch: number };
  /** Whether the main crop is measured prepared, by the cup, so that trimming decides how many batches there are. */
  readonly byCups: boolean;
  /** Picked unripe. */
  readonly green: boolean;
  /** The other crops it takes, the optional ones and herbs among them. */
  readonly others: readonly CropNeed[];
}

const KNOWN = rememberedOfPages<string, CropCard | undefined>();

/**
 * The card of a product that is made of this crop first of all, and whose weight as picked is known. Of several the first as
 * printed.
 *
 * @returns undefined where the product has no such card: no card, no offer
 */
export function cardForCrop(product: ProductId, crop: ProduceId): CropCard | undefined {
  const key = `${product} ${crop}`;
  if (!KNOWN.has(key)) {
    KNOWN.set(
      key,
      recipesOf(product)
        .map((card) => cropCard(card, crop))
        .find((found) => found !== undefined),
    );
  }
  return KNOWN.get(key);
}

/** The card of a planned batch: the one it was planned with, or the one for its crop, or the product's first. */
export function cardOfBatch(
  product: ProductId,
  recipe: string | undefined,
  crop: ProduceId | undefined,
): Card | undefined {
  // A batch of the household's own keeps the page it was planned by, whatever was changed since.
  const planned = recipe !== undefined && isOwnProduct(product) ? findCard(recipe) : undefined;
  if (planned) return planned;
  const cards = cardsOf(product);
  return cards.find(({ card }) => card === recipe) ?? (crop && cardForCrop(product, crop)?.card) ?? cards[0];
}

/** This very card as a household makes it of a crop; undefined where it is not made of it first of all, or nobody weighs it. */
export function cropCard(card: Card, crop: ProduceId): CropCard | undefined {
  const line = mainLine(card);
  if (!line?.crops.includes(crop) || !card.yields) return undefined;
  const needs = cropNeeds(card, crop);
  // The same crop a second time, as red and green peppers, is one need of it.
  const own = needs.filter((need) => need.crop === crop && !need.line.optional && isProduce(need.line));
  const kgPerBatch = own.reduce((sum, each) => sum + (each.kgPerBatch ?? NaN), 0);
  if (!(kgPerBatch > 0)) return undefined;
  return {
    card,
    main: { line, crop, kgPerBatch, lbPerBatch: kgPerBatch / KG_PER_LB },
    byCups: line.amount.of === 'ml',
    green: line.state === 'green',
    others: needs.filter((need) => !own.includes(need)),
  };
}

/** Quarts that one batch fills, as printed. @throws RangeError for a card without a printed yield */
export function quartsOfBatch({ card }: Pick<CropCard, 'card'>): { readonly low: number; readonly high: number } {
  const quarts = quartsPerBatch(card);
  if (!quarts) throw new RangeError(`no printed yield for ${card.card}`);
  return quarts;
}
