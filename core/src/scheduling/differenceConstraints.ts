/**
 * Difference constraints: at[to] >= at[from] + gap, as soon as a condition holds (ifSide -1: always). In rows side by side, those
 * that begin at one side one after the other: they are gone through at every turn of the search.
 */
export interface Links {
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly gap: Int32Array;
  readonly ifSide: Int32Array;
  readonly ifBound: Int32Array;
  /** Where the rows of each side begin; one more for the end. */
  readonly first: Int32Array;
}

/**
 * Difference constraints in rows by the side they begin at, and for each side the rows whose condition is a literal of it.
 *
 * @param told five numbers each: from, to, gap, ifSide, ifBound
 */
export function linksInRows(
  told: readonly number[],
  sides: number,
): { readonly links: Links; readonly waiting: readonly Int32Array[] } {
  const count = told.length / 5;
  const first = new Int32Array(sides + 1);
  for (let k = 0; k < count; k++) (first[(told[5 * k] as number) + 1] as number)++;
  for (let side = 0; side < sides; side++) (first[side + 1] as number) += first[side] as number;
  const next = first.slice();
  const rows = () => new Int32Array(count);
  const links = { from: rows(), to: rows(), gap: rows(), ifSide: rows(), ifBound: rows(), first };
  const waiting = Array.from({ length: sides }, (): number[] => []);
  for (let k = 0; k < count; k++) {
    const from = told[5 * k] as number;
    const row = (next[from] as number)++;
    links.from[row] = from;
    links.to[row] = told[5 * k + 1] as number;
    links.gap[row] = told[5 * k + 2] as number;
    const ifSide = (links.ifSide[row] = told[5 * k + 3] as number);
    links.ifBound[row] = told[5 * k + 4] as number;
    if (ifSide >= 0) waiting[ifSide]?.push(row);
  }
  return { links, waiting: waiting.map((own) => Int32Array.from(own)) };
}
