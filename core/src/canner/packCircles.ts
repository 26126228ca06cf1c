import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { minimize } from '../math/lbfgs';

export interface Centre {
  readonly x: number;
  readonly y: number;
}

export interface Packing {
  /** Of the circle around all, origin at its centre. */
  readonly radius: number;
  /** In the order of the radii given. */
  readonly centres: readonly Centre[];
}

/** How hard overlap is pushed away, stage by stage, in units of the largest radius. */
const PUSHES = [1, 10, 100];
const CLOSER_PUSHES = [300, 1e3, 3e3, 1e4, 3e4, 1e5, 3e5];
const FINE_PUSHES = [1e6, 1e7, 1e8, 1e9, 1e10];
const STEPS = 30;
const CLOSER_STEPS = 100;
const FINE_STEPS = 100;
/** Of the beginnings so many are looked at closer; the best of them is made exact. */
const FINALISTS = 4;
/** Tries to better them by putting one circle elsewhere: basin hopping, Grosso, Jamali, Locatelli and Schoen 2010. */
const HOPS = 120;
/** Chance places looked at for it: it goes to the one with most room. */
const GAPS_LOOKED_AT = 8;
const SEED = 8;

/**
 * Circles in as small a circle as can be found: from many seeded beginnings the overlap is pushed away while the outer
 * circle is drawn in, and the best is made exact. After Huang and Ye 2011 (quasi-physical descent).
 *
 * @param radii above 0
 */
export function packCircles(radii: readonly number[]): Packing {
  const unit = Math.max(...radii);
  if (!(Math.min(...radii) > 0)) throw new RangeError(`every radius must be above 0, got ${radii.join(', ')}`);
  if (radii.length === 1) return { radius: unit, centres: [{ x: 0, y: 0 }] };
  const sizes = Float64Array.from(radii, (radius) => radius / unit);
  const random = xoroshiro128plus(SEED);
  const rough = beginnings(sizes, () => uniformFloat64(random)).map((x) => {
    return { x, worth: descend(sizes, x, PUSHES, STEPS) };
  });
  rough.sort((a, b) => a.worth - b.worth);
  for (let hop = 0; hop < HOPS; hop++) {
    const from = rough[hop % FINALISTS] ?? rough[0];
    const x = Float64Array.from((from as (typeof rough)[number]).x);
    relocate(x, () => uniformFloat64(random));
    const worth = descend(sizes, x, PUSHES.slice(1), STEPS);
    // A near copy of one that is there already teaches nothing.
    if (worth >= (rough[FINALISTS - 1]?.worth ?? Infinity) || rough.some((other) => same(other.worth, worth))) continue;
    rough.push({ x, worth });
    rough.sort((a, b) => a.worth - b.worth);
  }
  const closer = rough
    .slice(0, FINALISTS)
    .map(({ x }) => ({ x, worth: descend(sizes, x, CLOSER_PUSHES, CLOSER_STEPS) }));
  const best = closer.reduce((a, b) => (b.worth < a.worth ? b : a));
  descend(sizes, best.x, FINE_PUSHES, FINE_STEPS);
  const { radius, x } = freed(sizes, best.x);
  return {
    radius: radius * unit,
    centres: radii.map((_, i) => ({ x: (x[2 * i] as number) * unit, y: (x[2 * i + 1] as number) * unit })),
  };
}

/** One circle, or two, into the widest of a few chance gaps. */
function relocate(x: Float64Array, random: () => number): void {
  const n = (x.length - 1) / 2;
  const outer = x[2 * n] as number;
  for (let moved = 0; moved < 1 + Math.floor(2 * random()); moved++) {
    const i = Math.floor(n * random());
    let widest = -1;
    for (let look = 0; look < GAPS_LOOKED_AT; look++) {
      const far = Math.max(0, outer - 1) * Math.sqrt(random());
      const angle = 2 * Math.PI * random();
      const [px, py] = [far * Math.cos(angle), far * Math.sin(angle)];
      let gap = Infinity;
      for (let j = 0; j < n; j++) {
        if (j !== i) gap = Math.min(gap, Math.hypot(px - (x[2 * j] as number), py - (x[2 * j + 1] as number)));
      }
      if (gap <= widest) continue;
      widest = gap;
      x[2 * i] = px;
      x[2 * i + 1] = py;
    }
  }
}

function same(a: number, b: number): boolean {
  return Math.abs(a - b) < 1e-4;
}

/** Rings within rings, as many outside as go there and fewer, turned by chance; for mixed sizes in a chance order. */
function beginnings(sizes: Float64Array, random: () => number): Float64Array[] {
  const n = sizes.length;
  const outer = 1.15 * Math.sqrt(sizes.reduce((sum, size) => sum + size * size, 0));
  const mixed = sizes.some((size) => size !== sizes[0]);
  const inRing = (radius: number) => (radius < 1 ? 1 : Math.floor(Math.PI / Math.asin(Math.min(1, 1 / radius))));
  const all: Float64Array[] = [];
  for (let k = 0; k < (mixed ? 36 : 18); k++) {
    const order = Array.from({ length: n }, (_, i) => i);
    if (mixed) order.sort((a, b) => (k % 2 ? 1 : 0) * ((sizes[b] as number) - (sizes[a] as number)) || random() - 0.5);
    const x = new Float64Array(2 * n + 1);
    x[2 * n] = outer;
    let left = n;
    let radius = outer - 1;
    for (let ring = 0; left > 0; ring++) {
      // Every way for the two outer rings, in turn.
      const fewer = ring === 0 ? k % 3 : ring === 1 ? Math.floor(k / 3) % 3 : 1;
      const count = Math.max(1, Math.min(left, radius < 0.7 ? left : inRing(radius) + 1 - fewer));
      const turn = random();
      for (let i = 0; i < count; i++) {
        const at = order[n - left + i] as number;
        const angle = 2 * Math.PI * (turn + i / count + 0.02 * random());
        const far = (count === 1 ? 0 : Math.max(0.3, radius)) + 0.05 * random();
        x[2 * at] = far * Math.cos(angle);
        x[2 * at + 1] = far * Math.sin(angle);
      }
      left -= count;
      radius -= 1.8;
    }
    all.push(x);
  }
  return all;
}

/** Minimizes the outer radius plus what the overlaps cost, with a harder and harder push. */
function descend(sizes: Float64Array, x: Float64Array, pushes: readonly number[], steps: number): number {
  let worth = 0;
  for (const push of pushes) {
    worth = minimize((at, gradient) => cost(sizes, at, gradient, push), x, { steps, slope: 1e-9 * Math.sqrt(push) });
  }
  return worth;
}

function cost(sizes: Float64Array, x: Float64Array, gradient: Float64Array, push: number): number {
  const n = sizes.length;
  const outer = x[2 * n] as number;
  gradient.fill(0);
  gradient[2 * n] = 1;
  let sum = outer;
  for (let i = 0; i < n; i++) {
    const xi = x[2 * i] as number;
    const yi = x[2 * i + 1] as number;
    const size = sizes[i] as number;
    const far = Math.sqrt(xi * xi + yi * yi);
    const out = far + size - outer;
    if (out > 0 && far > 0) {
      sum += push * out * out;
      (gradient[2 * i] as number) += (2 * push * out * xi) / far;
      (gradient[2 * i + 1] as number) += (2 * push * out * yi) / far;
      (gradient[2 * n] as number) -= 2 * push * out;
    }
    for (let j = i + 1; j < n; j++) {
      const dx = xi - (x[2 * j] as number);
      const dy = yi - (x[2 * j + 1] as number);
      const reach = size + (sizes[j] as number);
      const square = dx * dx + dy * dy;
      if (square >= reach * reach || square === 0) continue;
      const apart = Math.sqrt(square);
      const into = reach - apart;
      sum += push * into * into;
      const pull = (2 * push * into) / apart;
      (gradient[2 * i] as number) -= pull * dx;
      (gradient[2 * i + 1] as number) -= pull * dy;
      (gradient[2 * j] as number) += pull * dx;
      (gradient[2 * j + 1] as number) += pull * dy;
    }
  }
  return sum;
}

/** Spread out until nothing overlaps, and how large the circle around it then is. */
function freed(sizes: Float64Array, x: Float64Array): { radius: number; x: Float64Array } {
  const n = sizes.length;
  let spread = 0;
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const dx = (x[2 * i] as number) - (x[2 * j] as number);
      const dy = (x[2 * i + 1] as number) - (x[2 * j + 1] as number);
      spread = Math.max(spread, ((sizes[i] as number) + (sizes[j] as number)) / Math.hypot(dx, dy));
    }
  }
  let radius = 0;
  for (let i = 0; i < n; i++) {
    (x[2 * i] as number) *= spread;
    (x[2 * i + 1] as number) *= spread;
    radius = Math.max(radius, Math.hypot(x[2 * i] as number, x[2 * i + 1] as number) + (sizes[i] as number));
  }
  return { radius, x };
}
