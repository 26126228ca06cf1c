/** Fine enough that a bar's end is off by less than a pixel. */
const CELLS = 600;

/**
 * The values that weighed values are below with some chances, by counting them into cells of one width; within a cell they
 * are taken to lie evenly.
 *
 * @param values not empty
 * @param weights as many, 0 or more, not all 0
 * @param chances from 0 to 1, in rising order
 */
export function weighedQuantiles(
  values: readonly number[],
  weights: readonly number[],
  chances: readonly number[],
): number[] {
  let low = Infinity;
  let high = -Infinity;
  let whole = 0;
  for (const [i, value] of values.entries()) {
    low = Math.min(low, value);
    high = Math.max(high, value);
    whole += weights[i] ?? 0;
  }
  if (!(high > low)) return chances.map(() => low);
  const cells = new Float64Array(CELLS);
  const perCell = (high - low) / CELLS;
  for (const [i, value] of values.entries()) {
    const cell = Math.min(CELLS - 1, Math.floor((value - low) / perCell));
    cells[cell] = (cells[cell] ?? 0) + (weights[i] ?? 0);
  }
  let cell = 0;
  let below = 0;
  return chances.map((chance) => {
    const asked = chance * whole;
    while (cell < CELLS - 1 && below + (cells[cell] ?? 0) < asked) {
      below += cells[cell] ?? 0;
      cell += 1;
    }
    const own = cells[cell] ?? 0;
    return low + (cell + (own > 0 ? Math.min(1, (asked - below) / own) : 0)) * perCell;
  });
}
