import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { type RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { type CompiledProblem } from './compiledProblem';

/** Part of the priority numbers that chance moves when a schedule is laid down anew. */
const SHAKE = 0.35;

/** Priorities a little shaken, seldom by much. @param span how far a whole shake goes */
export function shaken(around: ArrayLike<number>, span: number, random: RandomGenerator): Float64Array {
  const strength = SHAKE * span * uniformFloat64(random) ** 3;
  return Float64Array.from(around, (at) => at + strength * (uniformFloat64(random) - 0.5));
}

/** Priorities with one block of tasks put in elsewhere. */
export function blockMoved(
  around: ArrayLike<number>,
  blocks: readonly (readonly number[])[],
  span: number,
  random: RandomGenerator,
): Float64Array {
  const moved = Float64Array.from(around);
  const block = blocks[Math.floor(uniformFloat64(random) * blocks.length)];
  const first = Math.min(...block.map((task) => around[task]));
  const by = uniformFloat64(random) * span - first;
  for (const task of block) moved[task] += by;
  return moved;
}

/** Decisions with one or two turned to another mode: what is wished, and what is decided before all else. */
export function modesTurned(
  { modes }: CompiledProblem,
  decisions: readonly boolean[],
  random: RandomGenerator,
): { readonly wished: readonly boolean[]; readonly first: readonly number[] } {
  const wished = [...decisions];
  const first: number[] = [];
  const free = modes.filter((own) => own.length > 1);
  for (let n = 1 + Math.floor(2 * uniformFloat64(random)); n > 0 && free.length > 0; n--) {
    const own = free[Math.floor(uniformFloat64(random) * free.length)];
    const to = own[Math.floor(uniformFloat64(random) * own.length)];
    for (const { when } of own) wished[Math.abs(when) - 1] = when > 0 === (when === to.when);
    first.push(to.when);
  }
  return { wished, first };
}
