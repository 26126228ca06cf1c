import { type ReadProblem, type ReadResource } from './readProblem';

/**
 * No schedule ends before this: the longest chain of lags, and for each resource the work that can only begin after some
 * time and must be followed by some other, laid into the hours it is open.
 *
 * For a capacity of one and no closed times this is the bound of the preemptive one-machine problem. Source: Carlier 1982
 * (heads, bodies and tails); energy in place of time where more than one task fits.
 */
export function rootBound(problem: ReadProblem): number {
  const { earliest, minutes, tail } = problem;
  const chain = Math.max(0, ...earliest.map((at, i) => at + (minutes[i] as number) + (tail[i] as number)));
  return Math.max(chain, ...problem.resources.map((resource) => resourceBound(problem, resource)));
}

function resourceBound({ earliest, minutes, tail }: ReadProblem, resource: ReadResource): number {
  const { users } = resource;
  const byTail = [...users].sort((a, b) => (tail[b.task] as number) - (tail[a.task] as number));
  const supply = supplyOf(resource);
  let best = 0;
  for (const head of new Set(users.map(({ task }) => earliest[task] as number))) {
    let work = 0;
    for (const { task, amount } of byTail) {
      if ((earliest[task] as number) < head) continue;
      work += amount * (minutes[task] as number);
      best = Math.max(best, supplied(head, work, supply) + (tail[task] as number));
    }
  }
  return best;
}

/** How much of the resource there is, from each time on; the last piece goes on for ever. */
type Supply = readonly { readonly from: number; readonly room: number }[];

function supplyOf({ capacity, closed, taken }: ReadResource): Supply {
  const edges = new Set([0, ...closed.flat(), ...taken.flatMap(({ from, to }) => [from, to])]);
  return [...edges]
    .sort((a, b) => a - b)
    .map((from) => {
      const shut = closed.some(([begin, end]) => begin <= from && from < end);
      const gone = taken.reduce((sum, part) => sum + (part.from <= from && from < part.to ? part.amount : 0), 0);
      return { from, room: shut ? 0 : Math.max(0, capacity - gone) };
    });
}

/** When so much work, begun at a time, can be done at the soonest. */
function supplied(start: number, work: number, supply: Supply): number {
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
