import { type JarSize } from '../handbook/jars';
import { type ProduceId } from '../handbook/produce';
import { type ProductRow } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { type Range } from '../measure/range';
import { quartsPerJar } from './batchRecord';
import { type ByProduct, byProductsOf } from './byProducts';
import { estimateJars, productsFrom } from './estimateJars';
import { printedYield } from './printedYield';
import { type LearnedYields } from './yieldModel';
import { type YieldBasis } from './yieldRange';

export interface ProduceAmount {
  readonly crop: ProduceId;
  /** As picked. */
  readonly massKg: number;
}

/** What a formula takes beside its main crop and is not there. */
export interface MissingProduce {
  readonly crop: ProduceId;
  /** As the formula writes it, for one batch. */
  readonly text: string;
  /** What is missing for all batches; undefined where the formula counts pieces. */
  readonly massKg?: number;
}

/** One product that some lots together can become. */
export interface ProductFromLots {
  readonly product: ProductRow;
  /** The crops that are weighed for it. */
  readonly crops: readonly ProduceId[];
  readonly quarts: Range;
  /** Pots of a formula, likely. */
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
 * missing. A product made by the pound takes all crops that it can be made of together; one made by a formula stands once
 * for each crop that its formula is written for.
 *
 * Lots of several crops are taken to be off together: a kitchen's lean year is lean in all of them.
 */
export function productsFromLots(amounts: readonly ProduceAmount[], learned?: LearnedYields): ProductFromLots[] {
  const crops = [...new Set(amounts.map(({ crop }) => crop))];
  const massOf = (crop: ProduceId) => sum(amounts.filter((each) => each.crop === crop).map(({ massKg }) => massKg));
  const found = new Map<string, ProductFromLots>();
  for (const crop of crops) {
    for (const product of productsFrom(crop)) {
      const isFormula = printedYield(product.product, crop)?.formula !== undefined;
      const key = isFormula ? `${product.product} ${crop}` : product.product;
      const one = ofOneCrop(product, crop, massOf(crop), massOf, learned);
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
  massOf: (crop: ProduceId) => number,
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
    missing: missingOf(product, crop, usedKg, massOf),
    byProducts: byProductsOf(product.product, crop, usedKg),
  });
}

function missingOf(
  product: ProductRow,
  crop: ProduceId,
  usedKg: number,
  massOf: (crop: ProduceId) => number,
): MissingProduce[] {
  const formula = printedYield(product.product, crop)?.formula;
  if (!formula) return [];
  const batches = usedKg / (formula.main.lbPerBatch * KG_PER_LB);
  const crops = [...new Set(formula.others.map((need) => need.crop))];
  return crops.flatMap((other): MissingProduce[] => {
    const own = formula.others.filter((need) => need.crop === other);
    const text = own.map(({ ingredient }) => ingredient.text).join(', ');
    const haveKg = massOf(other);
    // What is counted in pieces has no weight: it is named as long as there is none of the crop at all.
    if (own.some(({ lbPerBatch }) => lbPerBatch === undefined)) return haveKg > 0 ? [] : [{ crop: other, text }];
    const missingKg = sum(own.map(({ lbPerBatch = 0 }) => lbPerBatch)) * KG_PER_LB * batches - haveKg;
    return missingKg > 0.01 ? [{ crop: other, text, massKg: missingKg }] : [];
  });
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
