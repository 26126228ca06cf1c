import { ownProductId } from '../handbook/ownIds';
import { type HouseholdPages } from './findProcess';
import { type Cold } from './method';
import { type OwnRecipe } from './ownRecipe';
import { isForShelf, judgedOnce } from './ownShelf';

/** What keeps no longer than this is frozen, unless it is eaten at once. Handbook rule 10. */
const FEW_DAYS = 4;

/** Where a recipe that goes to no canner is put, if nothing else is said. */
export function usualCold(recipe: OwnRecipe): Cold {
  const days = judgedOnce(recipe).foods.map(({ coldDays }) => coldDays[1]);
  return Math.min(...days) <= FEW_DAYS ? 'freezer' : 'refrigerator';
}

/** Where a product goes that is a recipe of the household's own without a tested page; undefined for all that is processed. */
export function coldPlaceOf(product: string, { recipes = [] }: Pick<HouseholdPages, 'recipes'>): Cold | undefined {
  const own = recipes.find(({ id }) => ownProductId(id) === product);
  return own && !isForShelf(own) ? usualCold(own) : undefined;
}
