import { readFormula } from '../handbook/formula';
import { type ProductRow } from '../handbook/products';
import { type RecipeRow } from '../handbook/recipes';

/** So many pots side by side, each with `factor` of the formula. None where there is too little for a whole one. */
export interface Pots {
  readonly pots: number;
  readonly factor: number;
}

/**
 * How a measured amount goes into pots. A formula with pectin is made whole or not at all, since a box sets one batch; any
 * other is made smaller in proportion. What may not be doubled goes into pots side by side.
 *
 * Source: handbook rule 14 and the products that may be doubled.
 *
 * @param part what was measured, in batches of the formula, 0 or more
 */
export function potsFor(product: ProductRow, formula: RecipeRow, part: number): Pots {
  if (setsByTheBox(formula)) return { pots: Math.floor(part + 1e-9), factor: 1 };
  if (product.mayDouble) return { pots: 1, factor: part };
  // As many pots as are needed so that none holds more than one formula; all the same.
  const pots = Math.max(1, Math.ceil(part - 1e-9));
  return { pots, factor: part / pots };
}

const BY_THE_BOX = new WeakMap<RecipeRow, boolean>();

/** Whether the formula takes pectin, so that it is made whole or not at all. */
export function setsByTheBox(formula: RecipeRow): boolean {
  const known = BY_THE_BOX.get(formula);
  if (known !== undefined) return known;
  const takesPectin = readFormula(formula.mainInputs).ingredients.some(({ role }) => role === 'pectin');
  BY_THE_BOX.set(formula, takesPectin);
  return takesPectin;
}
