import { type Piece } from './energy';
import { type CompiledProblem, type CompiledResource } from './compiledProblem';
import { supplyOf } from './supply';

/**
 * No schedule ends before this: the longest chain of lags, and for each resource the work that can only begin after some
 * time and must be followed by some other, laid into the hours it is open.
 *
 * For a capacity of one and no closed times this is the bound of the preemptive one-machine problem. Source: Carlier 1982
 * (heads, bodies and tails); energy in place of time where more than one task fits.
 */
export function rootBound(problem: CompiledProblem): number {
  const { earliest, minutes, tail, presence } = problem;
  const chain = Math.max(0, ...earliest.map((at, i) => (presence[i] === 0 ? at + minutes[i] + tail[i] : 0)));
  return Math.max(chain, ...problem.resources.map((resource) => resourceBound(problem, resource)));
}

function resourceBound({ earliest, tail }: CompiledProblem, resource: CompiledResource): number {
  const users = resource.users.filter(({ task, when }) => when === 0 && tail[task] > -Infinity);
  const byTail = [...users].sort((a, b) => tail[b.task] - tail[a.task]);
  const supply = supplyOf(resource);
  let best = 0;
  for (const head of new Set(users.map(({ task }) => earliest[task]))) {
    let work = 0;
    for (const { task, amount, minutes } of byTail) {
      if (earliest[task] < head) continue;
      work += amount * minutes;
      best = Math.max(best, supplied(head, work, supply) + tail[task]);
    }
  }
  return best;
}

/** When so much work, begun at a time, can be done at the soonest. */
function supplied(start: number, work: number, supply: readonly Piece[]): number {
  let left = work;
  for (const [k, { from, room }] of supply.entries()) {
    const to = supply[k + 1]?.from ?? Infinity;
    const begin = Math.max(from, start);
    if (to <= begin || room === 0) continue;
    if (left <= room * (to - begin)) return begin + Math.ceil(left / room);
    left -= room * (to - begin);
  }
  return start;
}
