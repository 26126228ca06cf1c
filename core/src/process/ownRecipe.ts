import { isOwnProduct, ownProductId, recipeIdOf } from '../handbook/ownIds';
import { JARS, type JarSize } from '../handbook/jars';
import { type RecipePage } from '../recipe/own/recipePage';
import { type HouseholdSource, type SourceBand, type SourceKind } from './householdSource';
import { type Method } from './method';

/** The tested page a recipe is from: what it must say for the shelf. Handbook rule 18. */
export interface RecipeSource {
  readonly title: string;
  readonly kind: SourceKind;
  readonly page: string;
  readonly method: Method;
  /** The jar its minutes are for. */
  readonly jar: JarSize;
  /** Bands the page gives; one it does not give is refused. */
  readonly bands: readonly SourceBand[];
}

/** A recipe of the household's own, with the tested page it is from where there is one. */
export interface OwnRecipe extends RecipePage {
  readonly source?: RecipeSource;
  /** No longer offered; what was made by it keeps its name. */
  readonly archived?: true;
}

/** The newest page of the recipe that a product is; undefined for one of the handbook and for what is not known. */
export function recipeOf(product: string, recipes: readonly OwnRecipe[]): OwnRecipe | undefined {
  if (!isOwnProduct(product)) return undefined;
  const id = recipeIdOf(product);
  return recipes
    .filter((recipe) => recipe.id === id)
    .reduce<OwnRecipe | undefined>(
      (best, recipe) => (best && best.revision >= recipe.revision ? best : recipe),
      undefined,
    );
}

/** The source of a recipe as a household's page for its product. */
export function sourceOfRecipe(recipe: OwnRecipe, lowAcid: boolean): HouseholdSource | undefined {
  if (!recipe.source) return undefined;
  const { id, pack, headspaceIn, source } = recipe;
  return { ...source, id, product: ownProductId(id), lowAcid, pack, headspaceIn };
}

/** Whether a jar holds no more than the tested one: a smaller jar takes its time too. Handbook rule 17. */
export function isNoLarger(jar: JarSize, tested: JarSize): boolean {
  return JARS[jar].nominalFlOz <= JARS[tested].nominalFlOz;
}
