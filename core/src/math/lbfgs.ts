/** Value and gradient of a function; the gradient is written into the second argument. */
export type Objective = (x: Float64Array, gradient: Float64Array) => number;

/** Steps remembered. */
const MEMORY = 5;
/** A step must gain at least this part of what the slope promises. Armijo 1966. */
const SUFFICIENT = 1e-4;
const MOST_HALVINGS = 30;

/**
 * Walks a smooth function down to where it is flat, changing `x`: limited-memory BFGS with a halving line search.
 * Source: Nocedal 1980.
 *
 * @param slope it stops where the largest part of the gradient is below this
 */
export function minimize(f: Objective, x: Float64Array, { steps, slope }: { steps: number; slope: number }): number {
  const n = x.length;
  let gradient = new Float64Array(n);
  let old = new Float64Array(n);
  const before = new Float64Array(n);
  const direction = new Float64Array(n);
  const weights = new Float64Array(MEMORY);
  const spare: Move[] = [];
  const moves: Move[] = [];
  let value = f(x, gradient);
  for (let k = 0; k < steps && steepest(gradient) > slope; k++) {
    for (let i = 0; i < n; i++) direction[i] = -(gradient[i] as number);
    for (let m = moves.length - 1; m >= 0; m--) {
      const { s, y, rho } = moves[m] as Move;
      const weight = (weights[m] = rho * inner(s, direction));
      addTo(direction, y, -weight);
    }
    const newest = moves[moves.length - 1];
    if (newest) {
      const scale = 1 / (newest.rho * inner(newest.y, newest.y));
      for (let i = 0; i < n; i++) (direction[i] as number) *= scale;
    }
    for (let m = 0; m < moves.length; m++) {
      const { s, y, rho } = moves[m] as Move;
      addTo(direction, s, (weights[m] as number) - rho * inner(y, direction));
    }
    const down = inner(direction, gradient);
    if (!(down < 0)) {
      if (moves.length === 0) return value;
      moves.length = 0;
      continue;
    }
    before.set(x);
    [old, gradient] = [gradient, old];
    let length = newest ? 1 : 1 / Math.max(1, Math.sqrt(inner(direction, direction)));
    let next = value;
    for (let halvings = 0; ; halvings++) {
      for (let i = 0; i < n; i++) x[i] = (before[i] as number) + length * (direction[i] as number);
      next = f(x, gradient);
      if (next <= value + SUFFICIENT * length * down) break;
      if (halvings === MOST_HALVINGS) {
        x.set(before);
        return value;
      }
      length /= 2;
    }
    const move = (moves.length === MEMORY ? moves.shift() : spare.pop()) ?? newMove(n);
    for (let i = 0; i < n; i++) {
      move.s[i] = (x[i] as number) - (before[i] as number);
      move.y[i] = (gradient[i] as number) - (old[i] as number);
    }
    const curvature = inner(move.s, move.y);
    move.rho = 1 / curvature;
    (curvature > 0 ? moves : spare).push(move);
    value = next;
  }
  return value;
}

interface Move {
  readonly s: Float64Array;
  readonly y: Float64Array;
  rho: number;
}

function newMove(n: number): Move {
  return { s: new Float64Array(n), y: new Float64Array(n), rho: 0 };
}

function steepest(gradient: Float64Array): number {
  let most = 0;
  for (let i = 0; i < gradient.length; i++) most = Math.max(most, Math.abs(gradient[i] as number));
  return most;
}

function inner(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number);
  return sum;
}

function addTo(a: Float64Array, b: Float64Array, factor: number): void {
  for (let i = 0; i < a.length; i++) (a[i] as number) += factor * (b[i] as number);
}
