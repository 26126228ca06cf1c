import { type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { KG_PER_LB, ML_PER_QUART } from '../measure/amount';
import { P90_SIGMAS, type Range } from '../math/range';
import { outputsOf } from '../recipe/potOutputs';
import { type BatchRecord } from './batchRecord';
import { printedYield } from './printedYield';

/**
 * Of the juice that can be ladled off a kitchen takes this part, and how far kitchens and batches differ in it: nobody gets the
 * last of it out of the pulp, and some stop early. Common practice; the household's own measures soon count for more.
 */
const PART = 0.6;
const KITCHENS_DIFFER = 0.18;
const BATCHES_DIFFER = 0.1;

/**
 * Quarts of thin juice that come off a sauce at most: what the same tomatoes would fill as juice, less what they fill as sauce;
 * both as printed. What is not ladled off cooks off.
 *
 * @param massKg of the crop that is used, as picked
 * @returns undefined for a product that no juice is ladled off
 */
export function mostThinJuice(product: ProductId, crop: ProduceId, massKg: number): number | undefined {
  const rule = outputsOf(product).find(({ kind }) => kind === 'thin-juice');
  const juice = rule && printedYield(rule.feeds, crop);
  const own = rule && printedYield(product, crop);
  if (!juice || !own) return undefined;
  return Math.max(0, massKg / KG_PER_LB / juice.medianLbPerQuart - massKg / KG_PER_LB / own.medianLbPerQuart);
}

/**
 * Quarts of thin juice that likely come off, by what this household measured before: a normal model of the part that it takes
 * of what can be taken, known to differ by kitchen and by batch. Records in which it was not measured count for nothing.
 *
 * @returns undefined for a product that no juice is ladled off
 */
export function thinJuiceQuarts(
  product: ProductId,
  crop: ProduceId,
  massKg: number,
  records: readonly BatchRecord[] = [],
): Range | undefined {
  const most = mostThinJuice(product, crop, massKg);
  if (most === undefined) return undefined;
  const seen = records.flatMap((record): number[] => {
    const own = record.learnFrom ? mostThinJuice(record.product, record.crop, record.massKg) : undefined;
    return own !== undefined && own > 0 && record.juiceMl !== null ? [record.juiceMl / ML_PER_QUART / own] : [];
  });
  const [prior, each] = [1 / KITCHENS_DIFFER ** 2, 1 / BATCHES_DIFFER ** 2];
  const known = prior + seen.length * each;
  const middle = (prior * PART + each * seen.reduce((sum, part) => sum + part, 0)) / known;
  const spread = P90_SIGMAS * Math.sqrt(1 / known + BATCHES_DIFFER ** 2);
  const at = (part: number) => most * Math.max(0, part);
  return { p10: at(middle - spread), p50: at(middle), p90: at(middle + spread) };
}
