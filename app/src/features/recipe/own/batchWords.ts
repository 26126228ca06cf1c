import { countJars, quartsPerJar } from '@hoddle/core/handbook/jars';
import { ownProductId } from '@hoddle/core/handbook/ownIds';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { cardForCrop, quartsOfBatch } from '@hoddle/core/yields/cardForCrop';
import { type LearnedYields } from '@hoddle/core/yields/yieldModel';
import { madeWords } from '@hoddle/core/yields/madeWords';
import { yieldRange } from '@hoddle/core/yields/yieldRange';
import { findProduct } from '@hoddle/core/handbook/products';
import { findProduce } from '@hoddle/core/handbook/produce';

/** "One batch: 9 pints by its page, likely 5 to 6 here; last time 5 1/2 pints": what the page says, and its own batches. */
export function batchWords(recipe: OwnRecipe, records: readonly BatchRecord[], learned: LearnedYields): string {
  const { low, high, jar } = recipe.yields;
  const printed = `One batch: ${low === high ? '' : `${low} to `}${countJars(high, jar)} by its page`;
  const product = ownProductId(recipe.id);
  const crop = findProduce(findProduct(product)?.crops[0]?.[0] ?? '')?.crop;
  const card = crop && cardForCrop(product, crop);
  const range = crop && yieldRange(product, crop, learned);
  const [last] = records.filter((record) => record.product === product).sort((a, b) => b.madeAt - a.madeAt);
  if (!card || !range || !last) return `${printed}; no batch of it yet`;
  const quarts = (quartsOfBatch(card).low + quartsOfBatch(card).high) / 2;
  const off = (lbPerQuart: number) =>
    Math.floor((quarts * range.basis.printedLbPerQuart) / lbPerQuart / quartsPerJar(jar) + 1e-6);
  return `${printed}, likely ${off(range.lbPerQuart.p90)} to ${off(range.lbPerQuart.p10)} here; last time ${madeWords(last)}`;
}
