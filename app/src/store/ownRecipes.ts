import { layOwnPages } from '@hoddle/core/handbook/ownPages';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { ownPagesOf } from '@hoddle/core/recipe/own/pagesOf';
import { type Asked } from '@/workers/asked';
import { useHouseholdStore } from './householdStore';
import { usePageDrafts } from './pageDrafts';

let laid: readonly OwnRecipe[] | undefined;

/** The household's recipes lie beside the handbook before any screen is drawn with them: the store tells this one first. */
export function layRecipesOfStore(): void {
  const lay = () => {
    const recipes = recipesNow();
    if (recipes === laid) return;
    laid = recipes;
    layOwnPages(ownPagesOf(recipes));
  };
  lay();
  useHouseholdStore.subscribe(lay);
  // What the server did not take is a draft again: nothing that was typed is gone.
  useHouseholdStore.subscribe(({ refused }, before) => {
    const known = new Set(before.refused.map(({ id }) => id));
    for (const { id, write } of refused) {
      if (write.kind === 'recipe' && !known.has(id)) usePageDrafts.getState().change(write.recipe);
    }
  });
}

const NONE: readonly OwnRecipe[] = [];

function recipesNow(): readonly OwnRecipe[] {
  return (useHouseholdStore.getState().state?.recipes as readonly OwnRecipe[] | undefined) ?? NONE;
}

/** A question as a worker takes it. */
export function askedWithRecipes<Question>(question: Question): Asked<Question> {
  return { recipes: recipesNow(), question };
}
