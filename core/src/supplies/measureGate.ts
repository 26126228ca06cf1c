import { type ProductRow } from '../handbook/products';
import { type RecipeRow } from '../handbook/recipes';
import { ML_PER_CUP } from '../measure/amount';
import { potsFor, setsByTheBox } from '../yields/pots';
import { type Ingredient, readFormula } from '../handbook/formula';
import { measuredIngredient } from '../handbook/measuredIngredient';

/** One ingredient, worked out for what was really measured. */
export interface ScaledIngredient {
  readonly ingredient: Ingredient;
  readonly factor: number;
}

/** What is to be made of the fruit or juice that was really there. */
export type Gate =
  | {
      readonly kind: 'make';
      /** Pots side by side, each with `factor` of the formula. */
      readonly batches: number;
      readonly factor: number;
      readonly ingredients: readonly ScaledIngredient[];
      /** Jars of all batches together. */
      readonly jars?: { readonly low: number; readonly high: number };
      /** Measured and not used, in the unit it was measured in: what is left for another day. */
      readonly left: number;
    }
  /** Too little for a formula that cannot be made smaller. */
  | { readonly kind: 'wait'; readonly missing: number };

/**
 * The measure gate: sugar, pectin, acid and jars worked out again for what was really got. A formula with pectin is made
 * whole or not at all, since a box sets one batch; any other is made smaller in proportion. What may not be doubled goes
 * into pots side by side.
 *
 * Source: handbook rule 14 and the formulas' own proportions.
 *
 * @param measured of the ingredient that {@link measuredIngredient} names, in its unit, 0 or more
 * @returns undefined for a formula that nothing is measured of
 */
export function measureGate(product: ProductRow, formula: RecipeRow, measured: number): Gate | undefined {
  const main = measuredIngredient(formula);
  if (!main) return undefined;
  const { ingredients } = readFormula(formula.mainInputs);
  const part = measured / main.perBatch;
  const { pots: batches, factor } = potsFor(product, formula, part);
  if (setsByTheBox(formula) && batches < 1) return { kind: 'wait', missing: main.perBatch - measured };
  return {
    kind: 'make',
    batches,
    factor,
    ingredients: ingredients.map((ingredient) => ({ ingredient, factor })),
    ...(formula.yields && {
      jars: {
        low: Math.floor(formula.yields.low * batches * factor + 1e-9),
        high: Math.floor(formula.yields.high * batches * factor + 1e-9),
      },
    }),
    left: Math.max(0, measured - batches * factor * main.perBatch),
  };
}

/** Cups that a pot must hold at its fullest: all that goes in, and for jam three times that, since it climbs. Common practice. */
export function potCups(product: ProductRow, ingredients: readonly ScaledIngredient[]): number {
  /** Water's own density, near enough for sound fruit and vegetables in a pot. */
  const mlPerKg = 1_000;
  const ml = ingredients.reduce((sum, { ingredient: { amount, role }, factor }) => {
    if (!amount || role === 'ice') return sum;
    const own = amount.of === 'ml' ? amount.span.high : amount.of === 'kg' ? amount.span.high * mlPerKg : 0;
    return sum + own * factor;
  }, 0);
  return (ml / ML_PER_CUP) * (product.productClass === 'spread' ? 3 : 1);
}
