/**
 * Difference constraints: at[to] >= at[from] + gap, as soon as a condition holds (ifVar -1: always). In rows side by side, those
 * that begin at one bound variable one after the other: they are gone through at every turn of the search.
 */
export interface DifferenceConstraints {
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly gap: Int32Array;
  readonly ifVar: Int32Array;
  readonly ifBound: Int32Array;
  /** Where the rows of each bound variable begin; one more for the end. */
  readonly first: Int32Array;
}

/**
 * Difference constraints in rows by the bound variable they begin at, and for each bound variable the rows whose condition is a literal of it.
 *
 * @param told five numbers each: from, to, gap, ifVar, ifBound
 */
export function differencesInRows(
  told: readonly number[],
  boundVars: number,
): { readonly differences: DifferenceConstraints; readonly waiting: readonly Int32Array[] } {
  const count = told.length / 5;
  const first = new Int32Array(boundVars + 1);
  for (let k = 0; k < count; k++) first[told[5 * k] + 1]++;
  for (let boundVar = 0; boundVar < boundVars; boundVar++) first[boundVar + 1] += first[boundVar];
  const next = first.slice();
  const rows = () => new Int32Array(count);
  const differences = { from: rows(), to: rows(), gap: rows(), ifVar: rows(), ifBound: rows(), first };
  const waiting = Array.from({ length: boundVars }, (): number[] => []);
  for (let k = 0; k < count; k++) {
    const from = told[5 * k];
    const row = next[from]++;
    differences.from[row] = from;
    differences.to[row] = told[5 * k + 1];
    differences.gap[row] = told[5 * k + 2];
    const ifVar = (differences.ifVar[row] = told[5 * k + 3]);
    differences.ifBound[row] = told[5 * k + 4];
    if (ifVar >= 0) waiting[ifVar]?.push(row);
  }
  return { differences, waiting: waiting.map((own) => Int32Array.from(own)) };
}
