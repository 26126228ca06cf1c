import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

/** The newest page of every recipe of the household that is not put away, by name. */
export function useOwnRecipes(): readonly OwnRecipe[] {
  const { recipes } = useHousehold();
  return useMemo(() => newestOf(recipes as OwnRecipe[]).filter(({ archived }) => !archived), [recipes]);
}

/** The newest page of one; undefined for none. */
export function useOwnRecipe(id: string | undefined): OwnRecipe | undefined {
  const { recipes } = useHousehold();
  return useMemo(() => newestOf(recipes as OwnRecipe[]).find((recipe) => recipe.id === id), [recipes, id]);
}

function newestOf(pages: readonly OwnRecipe[]): OwnRecipe[] {
  const newest = new Map<string, OwnRecipe>();
  for (const page of pages) {
    const known = newest.get(page.id);
    if (!known || known.revision < page.revision) newest.set(page.id, page);
  }
  return [...newest.values()].sort((a, b) => a.name.localeCompare(b.name));
}
