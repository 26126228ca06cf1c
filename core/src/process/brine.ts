import { type ProductRow } from '../handbook/products';
import { formulasOf } from '../handbook/recipes';
import { type Ingredient, readFormula } from './formula';
import { type Refusal, refusal } from './refusal';

/** One liquid of a brine. Water has 0 %. */
export interface BrineLiquid {
  readonly ml: number;
  /** Acetic acid by the label, percent. */
  readonly acidPercent: number;
  readonly homeMade?: boolean;
}

export interface Brine {
  readonly kind: 'brine';
  /** Of the whole mix, percent. */
  readonly acidPercent: number;
  /** Water over vinegar, by volume; Infinity without vinegar. */
  readonly waterPerVinegar: number;
}

/** The weakest vinegar that counts. Handbook rule 3. */
const LEAST_PERCENT = 5;

/**
 * The strength of a mix: sum of volume times percent, over the whole volume. Handbook rule 3.
 *
 * @returns a refusal for vinegar under 5 %, home-made vinegar whatever its strength, or nothing at all
 */
export function mixBrine(liquids: readonly BrineLiquid[]): Brine | Refusal {
  const vinegars = liquids.filter(({ acidPercent }) => acidPercent > 0);
  const way = ['vinegar of 5 % acid by its label'];
  if (vinegars.some(({ homeMade }) => homeMade)) {
    return refusal('changed', 'Home-made vinegar varies; it is never canning acid, whatever strength is typed.', way);
  }
  if (vinegars.some(({ acidPercent }) => acidPercent < LEAST_PERCENT)) {
    return refusal('changed', 'Vinegar under 5 % is weaker than what was tested.', way);
  }
  const totalMl = sum(liquids.map(({ ml }) => ml));
  if (!(totalMl > 0)) return refusal('changed', 'There is nothing in this brine yet.', way);
  const vinegarMl = sum(vinegars.map(({ ml }) => ml));
  return {
    kind: 'brine',
    acidPercent: sum(liquids.map(({ ml, acidPercent }) => ml * acidPercent)) / totalMl,
    waterPerVinegar: (totalMl - vinegarMl) / vinegarMl,
  };
}

/**
 * Water to vinegar in the brine that a product was tested with: its own proportion, never a general threshold. Of several
 * formulas the one with least water; soaking water is not brine, so of several waters the smallest counts.
 *
 * @returns undefined for a product without vinegar in its formula: no product, no verdict
 */
export function testedWaterPerVinegar({ product }: ProductRow): number | undefined {
  const proportions = formulasOf(product).flatMap(({ mainInputs }) => {
    const { ingredients } = readFormula(mainInputs);
    const vinegarMl = sum(volumes(ingredients, 'vinegar'));
    return vinegarMl > 0 ? [Math.min(...volumes(ingredients, 'water'), Infinity) / vinegarMl] : [];
  });
  const finite = proportions.map((proportion) => (proportion === Infinity ? 0 : proportion));
  return finite.length === 0 ? undefined : Math.min(...finite);
}

function volumes(ingredients: readonly Ingredient[], role: Ingredient['role']): number[] {
  return ingredients.flatMap((own) => (own.role === role && own.amount?.of === 'ml' ? [own.amount.span.low] : []));
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
