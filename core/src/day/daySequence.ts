import { type ProductRow } from '../handbook/products';
import { stepOf } from '../handbook/steps';

/** Steps that begin with looking the produce over. */
const BEGINS_CLEAN = /^(wash|boil|steam|soak|husk|shell|settle|four-day|fourteen-day)/;

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
