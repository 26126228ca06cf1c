import { KG_PER_LB, ML_PER_CUP } from '../measure/amount';
import { type Ingredient, readFormula } from './formula';
import { type RecipeRow } from './recipes';

/** The main food of a formula and how it is measured: fruit or juice by the cup, whole vegetables by the pound. */
export interface Measured {
  readonly ingredient: Ingredient;
  readonly unit: 'cup' | 'lb';
  /** How many of the unit one batch takes. */
  readonly perBatch: number;
}

/** What a cook measures of a formula; undefined where it counts pieces or names no amount. */
export function measuredIngredient({ mainInputs }: RecipeRow): Measured | undefined {
  const ingredient = readFormula(mainInputs).ingredients.find(
    ({ role, amount }) => (role === 'acid-food' || role === 'low-acid') && amount && amount.of !== 'pieces',
  );
  if (!ingredient?.amount) return undefined;
  const { of, span } = ingredient.amount;
  return of === 'ml'
    ? { ingredient, unit: 'cup', perBatch: span.high / ML_PER_CUP }
    : { ingredient, unit: 'lb', perBatch: span.high / KG_PER_LB };
}
