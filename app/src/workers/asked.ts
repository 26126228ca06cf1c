import { layOwnPages } from '@hoddle/core/handbook/ownPages';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { ownPagesOf } from '@hoddle/core/recipe/own/pagesOf';

/** A question to a worker, with the household's own recipes that it may speak of. */
export interface Asked<Question> {
  readonly recipes: readonly OwnRecipe[];
  readonly question: Question;
}

/** The question, once the recipes lie beside the worker's handbook. */
export function laidAnd<Question>({ recipes, question }: Asked<Question>): Question {
  layOwnPages(ownPagesOf(recipes));
  return question;
}
