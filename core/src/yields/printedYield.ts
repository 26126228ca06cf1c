import { JARS } from '../handbook/jars';
import { type ProduceId } from '../handbook/produce';
import { isMadeOf, type ProductId, productRow } from '../handbook/products';
import { QUANTITIES, type QuantityRow } from '../handbook/quantity';
import { P90_SIGMAS } from '../measure/range';
import { type CropFormula, formulaForCrop } from './formulaNeeds';

/** Pounds of produce for one quart of jar as printed, log-normal: a median and how far the page disagrees with itself. */
export interface PrintedYield {
  readonly medianLbPerQuart: number;
  /** Spread on the log scale. */
  readonly sigma: number;
  /** The formula it follows from; undefined where pounds a quart are printed. */
  readonly formula?: CropFormula;
}

const PINTS_PER_QUART = 2;

/**
 * What the published figures say of a product's yield from one crop.
 *
 * The handbook prints the same thing up to five ways (a canner load of quarts, of pints, a container's quarts low and
 * high, an average). Their geometric mean is the median; their full range is taken for the middle 8 in 10. Where there is
 * none, a formula's measured part over its printed jars says the same.
 *
 * @returns undefined when neither is published for this crop
 */
export function printedYield(product: ProductId, crop: ProduceId): PrintedYield | undefined {
  const key = `${product} ${crop}`;
  if (!KNOWN.has(key)) KNOWN.set(key, quantityYield(product, crop) ?? formulaYield(product, crop));
  return KNOWN.get(key);
}

const KNOWN = new Map<string, PrintedYield | undefined>();

function quantityYield(product: ProductId, crop: ProduceId): PrintedYield | undefined {
  const row = QUANTITIES.find((candidate) => candidate.product === product);
  // A formula's own proportion is closer than a load's pounds.
  if (!row || productRow(product).hasFormula || !isMadeOf(productRow(product), crop)) return undefined;
  return spreadOf(printedLbPerQuart(row));
}

function formulaYield(product: ProductId, crop: ProduceId): PrintedYield | undefined {
  const formula = formulaForCrop(productRow(product), crop);
  if (!formula) return undefined;
  const { low, high } = quartsPerBatch(formula);
  const { lbPerBatch } = formula.main;
  return { ...spreadOf([lbPerBatch / high, lbPerBatch / low]), formula };
}

/** Jar sizes as formulas print them, in quarts. */
const PRINTED_JARS: Readonly<Record<string, number>> = {
  'half-pint': JARS['half-pint'].nominalFlOz / JARS.quart.nominalFlOz,
  'twelve-ounce': JARS['twelve-ounce'].nominalFlOz / JARS.quart.nominalFlOz,
  '12-oz': JARS['twelve-ounce'].nominalFlOz / JARS.quart.nominalFlOz,
  pint: JARS.pint.nominalFlOz / JARS.quart.nominalFlOz,
  'wide-mouth pint': JARS.pint.nominalFlOz / JARS.quart.nominalFlOz,
  quart: 1,
};

/** Quarts that one batch of a formula fills, as printed. */
export function quartsPerBatch({ formula: { yields, yieldJar, product } }: CropFormula): { low: number; high: number } {
  const each = PRINTED_JARS[yieldJar];
  if (!yields || each === undefined) throw new RangeError(`no printed yield for ${product}`);
  return { low: yields.low * each, high: yields.high * each };
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
