import { type Piece } from './energy';
import { type CompiledResource } from './compiledProblem';

/** How much of a resource there is, from each time on; the last piece goes on for ever. */
export function supplyOf({
  capacity,
  closed,
  taken,
}: Pick<CompiledResource, 'capacity' | 'closed' | 'taken'>): Piece[] {
  const edges = new Set([0, ...closed.flat(), ...taken.flatMap(({ from, to }) => [from, to])]);
  return [...edges]
    .sort((a, b) => a - b)
    .map((from) => {
      const shut = closed.some(([begin, end]) => begin <= from && from < end);
      const gone = taken.reduce((sum, part) => sum + (part.from <= from && from < part.to ? part.amount : 0), 0);
      return { from, room: shut ? 0 : Math.max(0, capacity - gone) };
    });
}

/** How much of a resource there is in all until a time, hours that are closed and parts that are gone left out. */
export function supplyUntil(end: number, supply: readonly Piece[]): number {
  return supply.reduce((sum, { from, room }, k) => {
    const to = Math.min(end, supply[k + 1]?.from ?? Infinity);
    return sum + room * Math.max(0, to - from);
  }, 0);
}

/** The stretches in which there is at least so much of a resource. */
export function stretchesWith(amount: number, supply: readonly Piece[]): { from: number; to: number }[] {
  const all: { from: number; to: number }[] = [];
  for (const [k, { from, room }] of supply.entries()) {
    if (room < amount) continue;
    const to = supply[k + 1]?.from ?? Infinity;
    const last = all.at(-1);
    if (last && last.to === from) last.to = to;
    else all.push({ from, to });
  }
  return all;
}
