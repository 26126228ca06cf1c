import { type ProduceId } from '../handbook/produce';
import { rememberedOfPages } from '../handbook/laidBeside';
import { isMadeOf, type ProductId, productRow } from '../handbook/products';
import { QUANTITIES, type QuantityRow } from '../handbook/quantity';
import { P90_SIGMAS } from '../math/range';
import { type CropCard, cardForCrop, quartsOfBatch } from './cardForCrop';

/** Pounds of produce for one quart of jar as printed, log-normal: a median and how far the page disagrees with itself. */
export interface PrintedYield {
  readonly medianLbPerQuart: number;
  /** Spread on the log scale. */
  readonly sigma: number;
  /** The card it follows from; undefined where pounds a quart are printed. */
  readonly card?: CropCard;
}

const PINTS_PER_QUART = 2;

/**
 * What the published figures say of a product's yield from one crop.
 *
 * The handbook prints the same thing up to five ways (a canner load of quarts, of pints, a container's quarts low and
 * high, an average). Their geometric mean is the median; their full range is taken for the middle 8 in 10. Where there is
 * none, a card's main crop over its printed jars says the same.
 *
 * @returns undefined when neither is published for this crop
 */
export function printedYield(product: ProductId, crop: ProduceId): PrintedYield | undefined {
  const key = `${product} ${crop}`;
  if (!KNOWN.has(key)) KNOWN.set(key, quantityYield(product, crop) ?? formulaYield(product, crop));
  return KNOWN.get(key);
}

const KNOWN = rememberedOfPages<string, PrintedYield | undefined>();

function quantityYield(product: ProductId, crop: ProduceId): PrintedYield | undefined {
  const row = QUANTITIES.find((candidate) => candidate.product === product);
  // A formula's own proportion is closer than a load's pounds.
  if (!row || productRow(product).hasFormula || !isMadeOf(productRow(product), crop)) return undefined;
  return spreadOf(printedLbPerQuart(row));
}

function formulaYield(product: ProductId, crop: ProduceId): PrintedYield | undefined {
  // Without a formula the pounds of a load are what is printed, and only where they are.
  if (!productRow(product).hasFormula) return undefined;
  const card = cardForCrop(product, crop);
  if (!card) return undefined;
  const { low, high } = quartsOfBatch(card);
  const { lbPerBatch } = card.main;
  return { ...spreadOf([lbPerBatch / high, lbPerBatch / low]), card };
}

function spreadOf(printed: readonly number[]): { medianLbPerQuart: number; sigma: number } {
  const logs = printed.map(Math.log);
  const median = logs.reduce((sum, log) => sum + log, 0) / logs.length;
  return {
    medianLbPerQuart: Math.exp(median),
    sigma: (Math.max(...logs) - Math.min(...logs)) / (2 * P90_SIGMAS),
  };
}

function printedLbPerQuart(row: QuantityRow): number[] {
  const { lbPer7Quarts, lbPer9Pints, container, lbPerQuart } = row;
  return [
    lbPer7Quarts && lbPer7Quarts / 7,
    lbPer9Pints && (lbPer9Pints / 9) * PINTS_PER_QUART,
    container && container.lb / container.quarts[0],
    container && container.lb / container.quarts[1],
    lbPerQuart,
  ].filter((printed) => printed !== undefined);
}
