import { type BatchAmounts } from '@hoddle/core/day/amountsOfBatch';
import { type RecipeAmounts } from '@hoddle/core/recipe/recipeFor';
import { type SheetContent } from './RecipeSheet';

/** A whole batch on one sheet. */
export function sheetOfBatch({ loads, pots, lines }: BatchAmounts): SheetContent {
  return {
    lines,
    steps: loads[0]?.amounts.steps ?? [],
    pots,
    coverings: loads.flatMap(({ amounts }) => amounts.covering ?? []),
  };
}

/** Amounts that are asked for outside a batch. */
export function sheetOf({ lines, steps, pots, covering }: RecipeAmounts): SheetContent {
  return { lines, steps, pots, coverings: covering ? [covering] : [] };
}
