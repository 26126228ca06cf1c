import { type ProductRow } from '../handbook/products';
import { formulasOf, type RecipeRow } from '../handbook/recipes';
import { type Ingredient, readFormula } from '../handbook/formula';
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

/** The liquids of a formula's brine, one batch of it. */
export interface FormulaBrine {
  readonly vinegarMl: number;
  readonly lemonMl: number;
  /** Water that stays with the food; what it soaks in and is drained of is left out. */
  readonly waterMl: number;
  readonly sugarMl: number;
}

/** Steps that salt or boil the food in water which is then poured away. */
const POURS_AWAY = /^(drain|soak-brine|salt-)/;

/**
 * The brine of one formula; undefined where there is no acid in it. Where the food is soaked and drained, the largest
 * water is the one poured away: what is then left, if anything, is the brine's.
 */
export function brineOf(
  { sequence }: ProductRow,
  { mainInputs }: Pick<RecipeRow, 'mainInputs'>,
): FormulaBrine | undefined {
  const { ingredients } = readFormula(mainInputs);
  const [vinegarMl, lemonMl] = [sum(volumes(ingredients, 'vinegar')), sum(volumes(ingredients, 'lemon'))];
  if (vinegarMl + lemonMl === 0) return undefined;
  const waters = volumes(ingredients, 'water').sort((a, b) => a - b);
  const stays = sequence.some((step) => POURS_AWAY.test(step)) ? waters.slice(0, -1) : waters;
  return { vinegarMl, lemonMl, waterMl: sum(stays), sugarMl: sum(volumes(ingredients, 'sugar')) };
}

/** The brines of a product's formulas. */
export function brinesOf(product: ProductRow): FormulaBrine[] {
  return formulasOf(product.product).flatMap((formula) => brineOf(product, formula) ?? []);
}

/**
 * Water to vinegar in the brine that a product was tested with: its own proportion, never a general threshold. Of several
 * formulas the one with least water.
 *
 * @returns undefined for what is no pickle in a vinegar brine: a ferment makes its own acid, and the vinegar in a pie
 * filling or a sauce says nothing of a brine. No proportion, no verdict.
 */
export function testedWaterPerVinegar(product: ProductRow): number | undefined {
  if (product.productClass !== 'pickle') return undefined;
  const proportions = brinesOf(product)
    .filter(({ vinegarMl }) => vinegarMl > 0)
    .map(({ vinegarMl, waterMl }) => waterMl / vinegarMl);
  return proportions.length === 0 ? undefined : Math.min(...proportions);
}

function volumes(ingredients: readonly Ingredient[], role: Ingredient['role']): number[] {
  return ingredients.flatMap((own) => (own.role === role && own.amount?.of === 'ml' ? [own.amount.span.high] : []));
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
