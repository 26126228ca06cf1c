import { productRow, type ProductRow } from '../handbook/products';
import { stepOf } from '../handbook/steps';
import { type Batch } from './batch';

/** Steps that begin with looking the produce over. */
const BEGINS_CLEAN = /^(wash|boil|steam|soak|husk|shell|settle|four-day|fourteen-day)/;

/** Jars that did not seal are processed again: their contents heated, and filled anew. Handbook rule 9. */
const AGAIN = ['reheat', 'fill'];

/** What stands longer than this is begun long before its jars: a crock of kraut, four days in syrup. */
const MOST_WAIT_MIN = 3 * 24 * 60;

/**
 * A product's steps as a day has them: the printed sequence, washed first where it does not say so, and closed after a
 * raw pack is covered. Common practice. What is made days or weeks before the jars is left out: {@link madeBefore}.
 */
export function daySequence(product: ProductRow): string[] {
  const all = allSteps(product);
  return all.slice(all.findLastIndex(isMadeBefore) + 1);
}

/** The steps of a batch: those of its product, or of processing unsealed jars again. */
export function stepsOfBatch({ product, againOf }: Pick<Batch, 'product' | 'againOf'>): string[] {
  return againOf === undefined ? daySequence(productRow(product)) : AGAIN;
}

/** The steps of a product that are over before its day begins, the long wait last; none for most. */
export function madeBefore(product: ProductRow): string[] {
  const all = allSteps(product);
  return all.slice(0, all.findLastIndex(isMadeBefore) + 1);
}

function allSteps({ sequence }: ProductRow): string[] {
  const first = sequence[0] ?? '';
  return [...(BEGINS_CLEAN.test(first) ? [] : ['wash']), ...sequence, ...(sequence.includes('fill') ? [] : ['close'])];
}

function isMadeBefore(entry: string): boolean {
  return stepOf(entry).waitMinutes[1] > MOST_WAIT_MIN;
}
