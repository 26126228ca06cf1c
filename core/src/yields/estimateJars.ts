import { isOwnProduct } from '../handbook/ownIds';
import { produceRow, type ProduceId } from '../handbook/produce';
import { type JarSize, quartsPerJar } from '../handbook/jars';
import { allProducts, findProduct, type ProductId, type ProductRow } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { type Range } from '../math/range';
import { potsFor, setsByTheBox } from '../recipe/pots';
import { quartsOfBatch } from './cardForCrop';
import { printedYield } from './printedYield';
import { basisWords, type YieldBasis, type YieldRange, yieldRange } from './yieldRange';
import { pickedPart } from './pickedKg';
import { type LearnedYields } from './yieldModel';

export type JarEstimate =
  | {
      readonly kind: 'estimate';
      readonly jars: Range;
      /** The same in quarts of jar, parts of jars counted. */
      readonly quarts: Range;
      readonly massKg: number;
      /** What of it is likely used: whole batches of a card may leave a rest. */
      readonly usedKg: number;
      /** Pots of the card, likely; undefined where pounds a quart are printed. */
      readonly pots?: number;
      readonly basis: string;
      readonly grounds: YieldBasis;
    }
  | { kind: 'refusal'; reason: string; instead: string[] };

/**
 * How many full jars produce becomes: whole jars, as a range. A part jar is not counted.
 *
 * Pounds a quart are {@link yieldRange}'s. A product with a card is limited by its measured part: whole batches where
 * pectin sets them, pots side by side where it may not be doubled ({@link potsFor}).
 *
 * @param massKg as picked, before trimming
 * @returns a refusal when the product is not made of this crop or no figures are published
 */
export function estimateJars(
  crop: ProduceId,
  massKg: number,
  product: string,
  jar: JarSize,
  learned?: LearnedYields,
): JarEstimate {
  const row = findProduct(product);
  const range = row && yieldRange(row.product, crop, learned);
  if (!row || !range) {
    const reason = row
      ? `${row.name}: nobody tested it with ${produceRow(crop).name.toLowerCase()}.`
      : `No product "${product}" in the handbook.`;
    return { kind: 'refusal', reason, instead: productsFrom(crop).map((candidate) => candidate.product) };
  }
  const [low, likely, high] = threeCases(row, crop, massKg, range);
  const quarts = { p10: low.quarts, p50: likely.quarts, p90: high.quarts };
  const each = quartsPerJar(jar);
  return {
    kind: 'estimate',
    jars: {
      p10: wholeJars(low.quarts / each),
      p50: wholeJars(likely.quarts / each),
      p90: wholeJars(high.quarts / each),
    },
    quarts,
    massKg,
    usedKg: Math.min(massKg, likely.usedKg),
    ...(likely.pots !== undefined && { pots: likely.pots }),
    basis: basisWords(range.basis),
    grounds: range.basis,
  };
}

/** The products that a yield is published for from this crop. */
export function productsFrom(crop: ProduceId): ProductRow[] {
  return allProducts().filter(({ product }) => printedYield(product, crop) !== undefined);
}

/** One in ten fewer, likely, one in ten more. More pounds a quart are fewer jars. */
function threeCases(row: ProductRow, crop: ProduceId, massKg: number, range: YieldRange): [Filled, Filled, Filled] {
  const at = (chance: number) => quartsAt(row, crop, massKg, range, chance);
  const card = printedYield(row.product, crop)?.card;
  // A page of the household's own is one promise, and what its own batches gave says how far off.
  if (!card || !setsByTheBox(card.card) || isOwnProduct(row.product)) return [at(0.9), at(0.5), at(0.1)];
  // Whole batches: how many, the measure says at the stove; what they fill, the page says.
  const likely = at(0.5);
  const { low, high } = quartsOfBatch(card);
  const pots = likely.pots ?? 0;
  return [{ ...likely, quarts: pots * low }, likely, { ...likely, quarts: pots * high }];
}

interface Filled {
  readonly quarts: number;
  readonly usedKg: number;
  readonly pots?: number;
}

function quartsAt(row: ProductRow, crop: ProduceId, massKg: number, range: YieldRange, chance: number): Filled {
  const lbPerQuart = range.atMost(chance);
  const lb = massKg / KG_PER_LB;
  const card = printedYield(row.product, crop)?.card;
  if (!card) return { quarts: lb / lbPerQuart + lb * range.addedPerLb, usedKg: massKg };
  const printedLb = card.main.lbPerBatch;
  const { low, high } = quartsOfBatch(card);
  const lbPerBatch = printedLb * pickedPart(card, range, lbPerQuart);
  // Whole batches fill what their page says; any other as much as this kitchen gets out of the pounds.
  const isByPage = card.byCups && setsByTheBox(card.card);
  const quartsEach = isByPage ? Math.sqrt(low * high) : lbPerBatch / lbPerQuart;
  const { pots, factor } = potsFor(card.card, lb / lbPerBatch);
  return { quarts: pots * factor * quartsEach, usedKg: pots * factor * lbPerBatch * KG_PER_LB, pots };
}

/** Quarts that one batch of a card gives in this kitchen against what its page says: less where the page promises too much. */
export function givesOfPage(crop: ProduceId, product: ProductId, learned?: LearnedYields): number {
  const range = yieldRange(product, crop, learned);
  const card = printedYield(product, crop)?.card;
  if (!range || !card || (card.byCups && setsByTheBox(card.card))) return 1;
  const { printedLbPerQuart } = range.basis;
  return (pickedPart(card, range, range.lbPerQuart.p50) * printedLbPerQuart) / range.lbPerQuart.p50;
}

/** How sure one wants to be that the produce does: eight chances in ten. */
export const USUALLY_SURE = 0.8;

/**
 * Produce to have for `jars` full jars, as picked, in kilograms: likely, and with `sure` chances. The other way round of
 * {@link estimateJars}.
 *
 * @param jars above 0
 * @throws RangeError when no yield is published for the product from this crop: ask {@link estimateJars} first
 */
export function massForJarsKg(
  crop: ProduceId,
  product: string,
  jar: JarSize,
  jars: number,
  { learned, sure = USUALLY_SURE }: { learned?: LearnedYields; sure?: number } = {},
): { readonly likelyKg: number; readonly sureKg: number } {
  const row = findProduct(product);
  const range = row && yieldRange(row.product, crop, learned);
  if (!row || !range) throw new RangeError(`no published yield for ${product} from ${crop}`);
  const at = (chance: number) => massAt(row, crop, jars * quartsPerJar(jar), range, chance);
  return { likelyKg: at(0.5), sureKg: at(sure) };
}

/** The least mass that fills so many quarts; with whole batches it goes up in steps. */
function massAt(row: ProductRow, crop: ProduceId, quarts: number, range: YieldRange, chance: number): number {
  const filled = (massKg: number) => quartsAt(row, crop, massKg, range, chance).quarts;
  let high = quarts * range.atMost(chance) * KG_PER_LB;
  while (filled(high) < quarts - 1e-9) high *= 1.25;
  let low = 0;
  for (let step = 0; step < 60 && high - low > 1e-9 * high; step++) {
    const middle = (low + high) / 2;
    if (filled(middle) < quarts - 1e-9) low = middle;
    else high = middle;
  }
  return high;
}

function wholeJars(jars: number): number {
  // A millionth of a jar short is rounding of the units, not a missing spoonful.
  return Math.floor(jars + 1e-6);
}
