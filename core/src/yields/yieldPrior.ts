import { printedYield } from './printedYield';
import { type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';

/**
 * The model's fixed figures, on the log scale: what printed yields differ by between kitchens. Common practice: a quarter
 * is usual, more than a half is seen. docs/yields-and-harvest.md has the formulas.
 */
export const HOUSEHOLD = [
  { chance: 0.98, spread: 0.06 },
  // A household far from the book is rare, and believed when all it makes says so.
  { chance: 0.02, spread: 0.65 },
] as const;
export const CROP = [
  { chance: 0.99, spread: 0.07 },
  { chance: 0.01, spread: 0.5 },
] as const;
/**
 * One recipe far off while all others of the kitchen are as the page says: a sauce cooked to half, a relish minced fine. It is
 * seen more often than a whole kitchen far off, and it is that one recipe's alone.
 */
export const RECIPE = [
  { chance: 0.86, spread: 0 },
  { chance: 0.14, spread: 0.6 },
] as const;
const PRODUCT_SPREAD = 0.17;
/** The page's own range is for all kitchens; this much of it is left once a kitchen is known. */
const PAGE_SHARE = 0.75;

/** From one batch to the next of the same kitchen: what is possible, and how likely before it is seen. */
export const BATCH_SPREADS = [
  { spread: 0.03, chance: 0.13 },
  { spread: 0.05, chance: 0.26 },
  { spread: 0.07, chance: 0.27 },
  { spread: 0.1, chance: 0.2 },
  { spread: 0.15, chance: 0.1 },
  { spread: 0.25, chance: 0.04 },
] as const;

/** Household deviations that are looked at, close together near none and wider further out. */
export const DEVIATIONS = Array.from({ length: 61 }, (_, i) => (1.7 * Math.sinh((3 * (i - 30)) / 30)) / Math.sinh(3));

/** Where the page disagrees with itself by more than kitchens do, it is the page that is not sure. */
export function productSpreadOf({ product, crop }: { product: ProductId; crop: ProduceId }): number {
  return Math.max(PRODUCT_SPREAD, PAGE_SHARE * (printedYield(product, crop)?.sigma ?? 0));
}
