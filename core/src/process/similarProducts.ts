import { hasSureCard } from '../handbook/cards';
import { rememberedOfPages } from '../handbook/laidBeside';
import { PRODUCTS, type ProductId, type ProductRow } from '../handbook/products';

/**
 * Tested products of the same crops, the nearest in class and form first: what to make where the asked one cannot be.
 *
 * @param most how many at most
 */
export function similarProducts(product: ProductRow, most = 2): ProductId[] {
  const known = NEAREST.get(product.product) ?? nearestFirst(product);
  NEAREST.set(product.product, known);
  return known.slice(0, most);
}

/** Worked out once a product, until other pages lie beside the handbook. */
const NEAREST = rememberedOfPages<ProductId, ProductId[]>();

function nearestFirst(product: ProductRow): ProductId[] {
  const crops = new Set(product.crops.flat());
  return PRODUCTS.filter((other) => other.product !== product.product && mayBeOffered(other))
    .map((other) => {
      const shared = other.crops.flat().filter((crop) => crops.has(crop)).length;
      const alike = Number(other.productClass === product.productClass) + Number(other.form === product.form);
      const sequence = other.sequence.join() === product.sequence.join() ? 1 : 0;
      return { other, nearness: shared === 0 ? 0 : 2 * Math.min(1, shared) + alike + sequence };
    })
    .filter(({ nearness }) => nearness > 0)
    .sort((a, b) => b.nearness - a.nearness)
    .map(({ other }) => other.product);
}

/** No row of low confidence, no formula that is not in the handbook. */
function mayBeOffered({ hasFormula, product }: ProductRow): boolean {
  return !hasFormula || hasSureCard(product);
}
