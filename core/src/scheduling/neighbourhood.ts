import { type RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { type CompiledProblem } from './compiledProblem';
import { type Incumbent } from './incumbent';
import { type ScheduleModel } from './scheduleModel';

/**
 * Tasks that are set free in a neighbourhood of a schedule: what runs in some stretch of time, or some blocks, about so large a
 * part of all. Large neighbourhood search, Shaw 1998.
 */
export function freedTasks(
  { starts }: Incumbent,
  {
    end,
    part,
    blocks,
  }: { readonly end: number; readonly part: number; readonly blocks: readonly (readonly number[])[] },
  random: RandomGenerator,
): Uint8Array {
  const count = starts.length;
  const free = new Uint8Array(count);
  let left = Math.ceil(part * count);
  if (uniformFloat64(random) < 0.5) {
    // What runs in some stretch of time.
    const middle = uniformFloat64(random) * end;
    const near = Array.from({ length: count }, (_, i) => i).sort(
      (a, b) => Math.abs(starts[a] - middle) - Math.abs(starts[b] - middle),
    );
    for (const i of near.slice(0, left)) free[i] = 1;
  } else {
    while (left > 0) {
      const block = blocks[Math.floor(uniformFloat64(random) * blocks.length)];
      for (const i of block) free[i] = 1;
      left -= Math.max(1, block.length);
    }
  }
  return free;
}

/**
 * What is kept of a schedule while some tasks are set free: the decisions, and who goes before whom, of all others, as pairs of
 * side and bound. Orders are kept in place of times, Godard, Laborie and Nuijten 2005.
 */
export function keptBut(
  free: Uint8Array,
  { starts, decisions }: Incumbent,
  { modes, literals }: Pick<CompiledProblem, 'modes' | 'literals'>,
  { pairs, literal }: ScheduleModel,
): number[] {
  const isFreed = new Set<number>();
  for (const [i, own] of modes.entries()) {
    if (free[i]) for (const { when } of own) isFreed.add(Math.abs(when) - 1);
  }
  const kept: number[] = [];
  if (literals.length > 0) {
    for (const own of modes) {
      for (const { when } of own) {
        const k = Math.abs(when) - 1;
        if (isFreed.has(k)) continue;
        kept.push(...(decisions[k] ? [2 * literal(k), 1] : [2 * literal(k) + 1, 0]));
      }
    }
  }
  for (const { first, second, before, after } of pairs) {
    if (free[first] || free[second]) continue;
    const isFirst = starts[first] < starts[second];
    if (before === after) kept.push(...(isFirst ? [2 * before, 1] : [2 * before + 1, 0]));
    else kept.push(...(isFirst ? [2 * after + 1, 0] : [2 * before + 1, 0]));
  }
  return kept;
}
