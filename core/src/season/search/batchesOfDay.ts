import { splitLoads } from '../../canner/splitLoads';
import { type Batch } from '../../day/batch';
import { batchOf } from '../../day/batchOf';
import { coldBatchOfJars } from '../../day/coldBatchOf';
import { productRow } from '../../handbook/products';
import { type PickUse } from '../../harvest/pick';
import { type SeasonDayPlan } from '../problem/seasonPlan';
import { type SeasonRecipe } from '../problem/seasonProblem';
import { type SeasonKitchen } from '../problem/recipesFor';

/**
 * A day of the season as batches for core/day: each load goes to the next of its product's canners, those of one method
 * together, each with the time tested for that method. What is kept cold is one batch, whatever its jars.
 *
 * @param usesFor which lots a batch takes; nothing yet for one whose produce still hangs
 * @param newId makes ids, from words that tell them apart
 */
export function batchesOfDay(
  { batches }: SeasonDayPlan,
  recipes: readonly SeasonRecipe[],
  kitchen: SeasonKitchen,
  startAt: number,
  newId: (of: string) => string,
  usesFor?: (recipe: SeasonRecipe, jars: number) => PickUse[],
): Batch[] {
  return batches.flatMap(({ recipe: id, jars }): Batch[] => {
    const recipe = recipes.find((each) => each.id === id);
    if (!recipe) return [];
    const usesOf = (made: number) => {
      const kg = recipe.crops.reduce((sum, { kgPerJar }) => sum + kgPerJar, recipe.takes?.perJar ?? 0) * made;
      return usesFor?.(recipe, made) ?? [{ pickId: '', massKg: kg, softKg: 0 }];
    };
    const { product, jar, into } = recipe;
    if (into !== undefined) {
      const wish = { product: productRow(product), jar, into, jars, uses: usesOf(jars), startAt };
      let made = 0;
      const batch = coldBatchOfJars(wish, kitchen.altitudeFt, () => newId(`${id} ${made++}`));
      return batch ? [batch] : [];
    }
    const loads = splitLoads(jars, recipe.perLoad, 'full');
    const methods = [...new Set(recipe.vessels.map(({ method }) => method))];
    return methods.flatMap((method): Batch[] => {
      const own = loads.filter((_, i) => recipe.vessels[i % recipe.vessels.length]?.method === method);
      const vessel = recipe.vessels.find((each) => each.method === method);
      if (own.length === 0 || !vessel) return [];
      const made = own.reduce((sum, each) => sum + each, 0);
      const wish = {
        product: productRow(product),
        jar,
        method,
        cannerId: vessel.canner,
        loads: own,
        uses: usesOf(made),
        startAt,
      };
      const batch = batchOf(wish, kitchen, kitchen.pages, (of) => newId(`${recipe.id} ${method} ${of}`));
      return batch ? [batch] : [];
    });
  });
}
