import { type Role } from '@hoddle/core/handbook/cards/card';
import { productRow } from '@hoddle/core/handbook/products';
import { type BatchAmounts } from '@hoddle/core/day/amountsOfBatch';
import { type RecipeAmounts } from '@hoddle/core/recipe/recipeFor';
import { type SheetContent } from './RecipeSheet';

/** A whole batch on one sheet; the acid of each jar stands beside it, with its spoons. */
export function sheetOfBatch({ card, loads, pots: all, lines }: BatchAmounts): SheetContent {
  // What may be doubled goes into whatever pot there is.
  const pots = productRow(card.product).mayDouble ? 1 : all;
  return {
    lines: lines.filter(({ line, perJar }) => !(perJar && ACIDS.includes(line.role))),
    steps: loads[0]?.amounts.steps ?? [],
    pots,
    coverings: loads.flatMap(({ amounts }) => amounts.covering ?? []),
  };
}

const ACIDS: readonly Role[] = ['lemon', 'citric-acid', 'vinegar'];

/** Amounts that are asked for outside a batch. */
export function sheetOf({ lines, steps, pots, covering }: RecipeAmounts): SheetContent {
  return { lines, steps, pots, coverings: covering ? [covering] : [] };
}
