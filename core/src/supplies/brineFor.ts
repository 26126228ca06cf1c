import { JARS, type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { formulasOf, type RecipeRow } from '../handbook/recipes';
import { ML_PER_CUP } from '../measure/amount';
import { brineOf } from '../process/brine';
import { CUPS_RAISED_PER_CUP_OF_SUGAR } from './syrupOf';

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
  for (const formula of formulasOf(product.product)) {
    const { yields, yieldJar } = formula;
    const size = YIELD_JARS[yieldJar];
    const brine = brineOf(product, formula);
    if (!yields || !size || !brine || brine.vinegarMl === 0) continue;
    const batchFlOz = ((yields.low + yields.high) / 2) * JARS[size].nominalFlOz;
    const part = (jars * JARS[jar].nominalFlOz) / batchFlOz;
    const [vinegarMl, waterMl, sugarMl] = [brine.vinegarMl * part, brine.waterMl * part, brine.sugarMl * part];
    return { totalMl: vinegarMl + waterMl + CUPS_RAISED_PER_CUP_OF_SUGAR * sugarMl, vinegarMl, waterMl, sugarMl };
  }
  return undefined;
}

/** Cups of a volume, for words. */
export function cupsOf(ml: number): number {
  return ml / ML_PER_CUP;
}
