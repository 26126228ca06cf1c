import { JARS, type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { formulasOf, type RecipeRow } from '../handbook/recipes';
import { ML_PER_CUP } from '../measure/amount';
import { readFormula, type Role } from '../process/formula';

/** A cup of sugar raises what it dissolves in by about half a cup. Common practice. */
const RAISED_BY_SUGAR = 0.55;

const YIELD_JARS: Partial<Record<RecipeRow['yieldJar'], JarSize>> = {
  'half-pint': 'half-pint',
  pint: 'pint',
  quart: 'quart',
  'wide-mouth pint': 'pint',
  '12-oz': 'twelve-ounce',
};

export interface BrineNeed {
  /** Mixed brine for all jars, sugar dissolved in it. */
  readonly totalMl: number;
  readonly vinegarMl: number;
  readonly waterMl: number;
  readonly sugarMl: number;
}

/**
 * Brine for a number of jars: the product's own published batch in proportion to the jars it fills, so that whole and
 * sliced vegetables each take what they were tested with. Water to soak in is not brine.
 *
 * @returns undefined for a product whose formula has no vinegar, or no published number of jars
 */
export function brineFor(product: ProductRow, jar: JarSize, jars: number): BrineNeed | undefined {
  for (const { mainInputs, yields, yieldJar } of formulasOf(product.product)) {
    const size = YIELD_JARS[yieldJar];
    const { ingredients } = readFormula(mainInputs);
    const volumes = (role: Role) =>
      ingredients.flatMap((own) => (own.role === role && own.amount?.of === 'ml' ? [own.amount.span.high] : []));
    const sum = (role: Role) => volumes(role).reduce((total, ml) => total + ml, 0);
    if (!yields || !size || sum('vinegar') === 0) continue;
    const batchFlOz = ((yields.low + yields.high) / 2) * JARS[size].nominalFlOz;
    const part = (jars * JARS[jar].nominalFlOz) / batchFlOz;
    const waters = volumes('water');
    const water = waters.length === 0 ? 0 : Math.min(...waters);
    const [vinegarMl, waterMl, sugarMl] = [sum('vinegar') * part, water * part, sum('sugar') * part];
    return { totalMl: vinegarMl + waterMl + RAISED_BY_SUGAR * sugarMl, vinegarMl, waterMl, sugarMl };
  }
  return undefined;
}

/** Cups of a volume, for words. */
export function cupsOf(ml: number): number {
  return ml / ML_PER_CUP;
}
