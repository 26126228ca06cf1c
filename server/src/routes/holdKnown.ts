import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** @throws Problem 422 for a recipe of the household's own that is not written down: nothing is kept that nobody can name */
export function holdKnown({ recipes }: Database, product: string): void {
  if (isOwnProduct(product) && !recipes.knows(product)) {
    throw new Problem(422, 'no-recipe', 'That recipe is not written down here.', {
      product: 'is no recipe of the household',
    });
  }
}
