import { type ProduceId } from '../handbook/produce';
import { isOwnProduct } from '../handbook/ownIds';
import { type ProductId } from '../handbook/products';
import { KG_PER_LB, ML_PER_QUART } from '../measure/amount';
import { massWords } from '../measure/massWords';
import { type Range } from '../math/range';
import { type BatchRecord, lbPerQuartOf } from './batchRecord';
import { madeWords } from './madeWords';
import { mixtureQuantile } from './mixture';
import { printedYield } from './printedYield';
import { learnYields, type LearnedYields } from './yieldModel';

/** What an estimate stands on: the page, and the household's own batches. */
export interface YieldBasis {
  readonly printedLbPerQuart: number;
  readonly fromFormula: boolean;
  /** By a page of the household's own. */
  readonly fromOwnPage?: true;
  /** Batches of this product from this crop, and of anything else from it. */
  readonly ownBatches: number;
  readonly otherBatchesOfCrop: number;
  /** The newest own batch, in the jars it was. */
  readonly last?: Pick<BatchRecord, 'jars' | 'partJar' | 'massKg'>;
}

export interface YieldRange {
  /** Pounds as picked for a quart of jar: one kitchen's next batch in ten needs less than p10. */
  readonly lbPerQuart: Range;
  readonly basis: YieldBasis;
  /** Pounds as picked for a cup prepared, against the page's: what the products of the crop have in common. */
  readonly trim: number;
  /** Quarts of water and sugar beside the produce, for each pound of it: as before. */
  readonly addedPerLb: number;
  /** Pounds a quart that the next batch needs at most with this chance. */
  atMost(chance: number): number;
}

/** A household of which nothing is known yet. */
export const NOTHING_LEARNED: LearnedYields = learnYields([], 0);

const KNOWN = new WeakMap<LearnedYields, Map<string, YieldRange | undefined>>();

/**
 * Pounds a quart for the next batch of a product from a crop: the printed figure, moved and narrowed by the household's
 * own batches.
 *
 * @returns undefined when nothing is published for this crop
 */
export function yieldRange(
  product: ProductId,
  crop: ProduceId,
  learned: LearnedYields = NOTHING_LEARNED,
): YieldRange | undefined {
  const known = KNOWN.get(learned) ?? new Map<string, YieldRange | undefined>();
  KNOWN.set(learned, known);
  const key = `${product} ${crop}`;
  if (!known.has(key)) known.set(key, workOut(product, crop, learned));
  return known.get(key);
}

function workOut(product: ProductId, crop: ProduceId, learned: LearnedYields): YieldRange | undefined {
  const printed = printedYield(product, crop);
  if (!printed) return undefined;
  const parts = learned.deviationOf(crop, product);
  const quantiles = new Map<number, number>();
  const atMost = (chance: number) => {
    const lbPerQuart = quantiles.get(chance) ?? printed.medianLbPerQuart * Math.exp(mixtureQuantile(parts, chance));
    quantiles.set(chance, lbPerQuart);
    return lbPerQuart;
  };
  const isOwn = isOwnProduct(product);
  const ofCrop = learned.records.filter(
    (record) => record.crop === crop && (isOwn ? record.product === product : !isOwnProduct(record.product)),
  );
  const own = ofCrop.filter((record) => record.product === product).sort((a, b) => b.madeAt - a.madeAt);
  const last = own.find((record) => lbPerQuartOf(record) !== undefined);
  return {
    lbPerQuart: { p10: atMost(0.1), p50: atMost(0.5), p90: atMost(0.9) },
    basis: {
      printedLbPerQuart: printed.medianLbPerQuart,
      fromFormula: printed.card !== undefined,
      ...(isOwn && { fromOwnPage: true as const }),
      ownBatches: own.length,
      otherBatchesOfCrop: ofCrop.length - own.length,
      ...(last && { last: { jars: last.jars, partJar: last.partJar, massKg: last.massKg } }),
    },
    trim: isOwn ? 1 : learned.trimOf(crop),
    addedPerLb: learned.addedOf(crop, product),
    atMost,
  };
}

/** Kilograms a litre of jar in a pound a quart. NIST Handbook 44, Appendix C. */
const KG_PER_LITRE = KG_PER_LB / (ML_PER_QUART / 1_000);

/** "2.9 lb a quart", in metric kitchens "1.4 kg a litre". */
export function yieldWords(lbPerQuart: number, units: 'us' | 'metric' = 'us'): string {
  return units === 'metric'
    ? `${inYieldUnit(lbPerQuart, units).toFixed(2)} kg a litre`
    : `${lbPerQuart.toFixed(1)} lb a quart`;
}

/** Pounds a quart in the household's own unit. */
export function inYieldUnit(lbPerQuart: number, units: 'us' | 'metric'): number {
  return units === 'metric' ? lbPerQuart * KG_PER_LITRE : lbPerQuart;
}

/** A basis in one line: "handbook + your 6 batches, last time 7 1/2 quarts from 22 lb". */
export function basisWords(basis: YieldBasis, units: 'us' | 'metric' = 'us'): string {
  const { fromFormula, fromOwnPage, ownBatches, otherBatchesOfCrop, last } = basis;
  const start = fromOwnPage ? 'page' : fromFormula ? 'formula' : 'handbook';
  const count = (batches: number) => `${batches} ${batches === 1 ? 'batch' : 'batches'}`;
  if (last) {
    return `${start} + your ${count(ownBatches)}, ${lastWords(last, units)}`;
  }
  return otherBatchesOfCrop > 0 ? `${start} + ${count(otherBatchesOfCrop)} of this crop` : start;
}

/** "last time 7 1/2 quarts from 22 lb". */
export function lastWords(last: NonNullable<YieldBasis['last']>, units: 'us' | 'metric' = 'us'): string {
  return `last time ${madeWords(last)} from ${massWords(last.massKg, units)}`;
}
