import { type ChangeVerdict } from '../recipe/change';
import { compareCards } from '../recipe/compareCards';
import { readIngredientLine } from '../recipe/ingredientLine';
import { cardOfPage } from '../recipe/own/cardOfPage';
import { fromWords } from '../recipe/own/pagesOf';
import { type OwnRecipe } from './ownRecipe';

/**
 * What an edit of a tested recipe does that its tested time does not bear: handbook rule 17, as for a batch. It is a
 * correction of what was read, or another recipe that nobody tested: that only the cook can say.
 *
 * @returns nothing where the page before had no tested source, or is another one now
 */
export function changedBeyond(before: OwnRecipe | undefined, after: OwnRecipe): readonly ChangeVerdict[] {
  const { source } = after;
  if (!before?.source || before.draft || !source) return [];
  if (before.source.title !== source.title || before.source.page !== source.page) return [];
  const { card } = cardOfPage(before, fromWords(before));
  const written = after.lines
    .filter(({ text, item }) => text !== '' || item !== '')
    .map(({ text, item }) => readIngredientLine(text === '' ? item : text));
  return compareCards(card, written).verdicts.filter(({ verdict }) => verdict === 'never');
}
