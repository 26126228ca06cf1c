import { QUANTITIES, type QuantityRow } from '../handbook/quantity';
import { P90_SIGMAS } from '../measure/range';

/** Pounds of produce for one quart of jar, log-normal: a median and a spread on the log scale. */
export interface PrintedYield {
  readonly medianLbPerQuart: number;
  readonly sigma: number;
}

/**
 * Spread between kitchens on the log scale, beside what the printed figures already disagree by: trimming, variety, how
 * tight one packs. Common practice: one kitchen in ten is off by more than an eighth either way, before it has records.
 */
const KITCHEN_SIGMA = 0.1;

const PINTS_PER_QUART = 2;

/**
 * What the published figures say of a product's yield.
 *
 * The handbook prints the same thing up to five ways (a canner load of quarts, of pints, a container's quarts low and
 * high, an average). Their geometric mean is the median; their full range is taken for the middle 8 in 10; the spread between
 * kitchens is added to it as variances add.
 *
 * @returns undefined when no figures are published for the product
 */
export function printedYield(product: string): PrintedYield | undefined {
  const row = QUANTITIES.find((candidate) => candidate.product === product);
  if (!row) return undefined;
  const printed = printedLbPerQuart(row);
  if (printed.length === 0) return undefined;
  const logs = printed.map(Math.log);
  const median = logs.reduce((sum, log) => sum + log, 0) / logs.length;
  const printedSigma = (Math.max(...logs) - Math.min(...logs)) / (2 * P90_SIGMAS);
  return { medianLbPerQuart: Math.exp(median), sigma: Math.hypot(printedSigma, KITCHEN_SIGMA) };
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
