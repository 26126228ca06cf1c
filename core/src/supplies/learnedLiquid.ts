import { type Card } from '../handbook/cards/card';
import { quartsPerJar } from '../handbook/jars';
import { ML_PER_QUART } from '../measure/amount';
import { type Range } from '../math/range';
import { likelyCoveringMl } from '../recipe/covering';
import { recipeFor } from '../recipe/recipeFor';
import { type BatchRecord } from '../yields/batchRecord';

/** What is common counts as much as one batch of the household's own. */
const PRIOR_BATCHES = 1;
/** Of a jar: more than this was spilt or drunk, less than this is packed no jar. */
const [LEAST_PART, MOST_PART] = [0.15, 0.85];
/** From one batch of a kitchen to the next, as part of the jar. Common practice. */
const BATCH_SPREAD = 0.05;

/**
 * Part of a jar that the covering liquid takes in this kitchen: what is common, moved by the leftovers that were written
 * down of the same product. A batch is taken to have made as much as its recipe said.
 *
 * @returns undefined while nothing was left over anywhere: what is common stands
 */
export function learnedLiquid(card: Card, records: readonly BatchRecord[]): Range | undefined {
  const own = records.filter(
    ({ product, leftoverMl, jars, learnFrom }) =>
      learnFrom && product === card.product && leftoverMl > 0 && jars.length > 0,
  );
  const seen = own.flatMap(({ jars, leftoverMl }): number[] => {
    const made = recipeFor(card, { jars }).covering?.makeMl;
    const glassMl = jars.reduce((sum, { jar, count }) => sum + count * quartsPerJar(jar) * ML_PER_QUART, 0);
    if (made === undefined || !(glassMl > 0)) return [];
    return [Math.min(MOST_PART, Math.max(LEAST_PART, (made - leftoverMl) / glassMl))];
  });
  if (seen.length === 0) return undefined;
  const usual = likelyCoveringMl(card, [{ jar: 'quart', count: 1 }]).p50 / ML_PER_QUART;
  const middle = (PRIOR_BATCHES * usual + seen.reduce((sum, part) => sum + part, 0)) / (PRIOR_BATCHES + seen.length);
  return { p10: middle - BATCH_SPREAD, p50: middle, p90: middle + BATCH_SPREAD };
}
