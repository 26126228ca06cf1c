import { type JarSize, quartsPerJar } from '../handbook/jars';
import { type ProduceId } from '../handbook/produce';
import { type ProductRow } from '../handbook/products';
import { type Range } from '../math/range';
import { type ByProduct, byProductsOf } from './byProducts';
import { estimateJars, productsFrom } from './estimateJars';
import { type MissingProduce, missingFor } from './otherCrops';
import { printedYield } from './printedYield';
import { type LearnedYields } from './yieldModel';
import { type YieldBasis } from './yieldRange';

export interface ProduceAmount {
  readonly crop: ProduceId;
  /** As picked. */
  readonly massKg: number;
  /** Picked unripe: it becomes only what a card makes of green fruit. */
  readonly green?: boolean;
}

/** One product that some lots together can become. */
export interface ProductFromLots {
  readonly product: ProductRow;
  /** The crops that are weighed for it. */
  readonly crops: readonly ProduceId[];
  readonly quarts: Range;
  /** Pots of a card, likely. */
  readonly pots?: number;
  readonly basis: string;
  readonly grounds: YieldBasis;
  readonly usedKg: number;
  /** Of those crops, what is likely left over. */
  readonly leftKg: number;
  readonly missing: readonly MissingProduce[];
  readonly byProducts: readonly ByProduct[];
  /** Full jars of a size. */
  jarsOf(jar: JarSize): Range;
}

/**
 * Every product that a yield is published for and that these amounts can become, with what is left over and what is
 * missing. A product made by the pound takes all crops that it can be made of together; one made by a card stands once
 * for each crop that its card is written for.
 *
 * Lots of several crops are taken to be off together: a kitchen's lean year is lean in all of them.
 */
export function productsFromLots(amounts: readonly ProduceAmount[], learned?: LearnedYields): ProductFromLots[] {
  const found = new Map<string, ProductFromLots>();
  for (const [crop, green] of kindsOf(amounts)) {
    const own = amounts.filter((each) => each.crop === crop && (each.green ?? false) === green);
    for (const product of productsFrom(crop)) {
      const card = printedYield(product.product, crop)?.card;
      if ((card?.green ?? false) !== green) continue;
      const key = card ? `${product.product} ${crop}` : product.product;
      const one = ofOneCrop(product, crop, sum(own.map(({ massKg }) => massKg)), amounts, learned);
      const before = found.get(key);
      if (one) found.set(key, before ? together(before, one) : one);
    }
  }
  return [...found.values()];
}

function ofOneCrop(
  product: ProductRow,
  crop: ProduceId,
  massKg: number,
  amounts: readonly ProduceAmount[],
  learned?: LearnedYields,
): ProductFromLots | undefined {
  const estimate = estimateJars(crop, massKg, product.product, 'quart', learned);
  if (estimate.kind === 'refusal') return undefined;
  const { quarts, pots, basis, grounds, usedKg } = estimate;
  return withJars({
    product,
    crops: [crop],
    quarts,
    ...(pots !== undefined && { pots }),
    basis,
    grounds,
    usedKg,
    leftKg: Math.max(0, massKg - usedKg),
    missing: missingFor(product.product, crop, usedKg, amounts),
    byProducts: byProductsOf(product.product, crop, usedKg, learned?.records),
  });
}

/** Each crop, and its green fruit apart. */
function kindsOf(amounts: readonly ProduceAmount[]): (readonly [ProduceId, boolean])[] {
  const kinds = new Map(amounts.map(({ crop, green = false }) => [`${crop} ${green}`, [crop, green] as const]));
  return [...kinds.values()];
}

function together(a: ProductFromLots, b: ProductFromLots): ProductFromLots {
  const quarts = {
    p10: a.quarts.p10 + b.quarts.p10,
    p50: a.quarts.p50 + b.quarts.p50,
    p90: a.quarts.p90 + b.quarts.p90,
  };
  return withJars({
    ...a,
    crops: [...a.crops, ...b.crops],
    quarts,
    usedKg: a.usedKg + b.usedKg,
    leftKg: a.leftKg + b.leftKg,
    byProducts: [...a.byProducts, ...b.byProducts],
  });
}

function withJars(made: Omit<ProductFromLots, 'jarsOf'>): ProductFromLots {
  const { p10, p50, p90 } = made.quarts;
  const full = (quarts: number, jar: JarSize) => Math.floor(quarts / quartsPerJar(jar) + 1e-6);
  return { ...made, jarsOf: (jar) => ({ p10: full(p10, jar), p50: full(p50, jar), p90: full(p90, jar) }) };
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
