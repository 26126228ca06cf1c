import { type CompiledProblem, type CompiledResource, type CompiledUser } from './compiledProblem';
import { type Piece } from './energy';
import { type Reach } from './reachable';
import { stretchesWith } from './supply';
import { type Train, trainsOf } from './trains';

/** Two trains that cannot have a resource at once. */
export interface Conflict {
  readonly a: Train;
  readonly b: Train;
  /** Where both fit at once all the same, for a while. */
  readonly stretches: readonly { from: number; to: number }[];
  /** Literals under which the one and the other are there; 0 for always. */
  readonly when: readonly [number, number];
}

/** A train on a resource: what it holds at least, when it can be there, and under which literal; more than one is undefined. */
interface OnResource {
  readonly train: Train;
  readonly first: number;
  readonly last: number;
  readonly amount: number;
  readonly from: number;
  readonly to: number;
  readonly when: number | undefined;
}

/** Pairs that cannot have a resource at once and are not in order anyway; whether these say all about it. */
export function conflictsOf(
  problem: CompiledProblem,
  resource: CompiledResource,
  supply: readonly Piece[],
  reach: Reach,
): { all: boolean; conflicts: Conflict[] } {
  const trains = trainsOf(problem, resource).map((train) => onResource(problem, resource, train));
  const told = problem.lags.filter(({ when, least }) => when !== 0 && least >= 0);
  const withRoom = new Map<number, ReturnType<typeof stretchesWith>>();
  const conflicts: Conflict[] = [];
  let all = true;
  for (const [x, a] of trains.entries()) {
    for (let y = x + 1; y < trains.length; y++) {
      const b = trains[y];
      if (reach(a.last, b.first) || reach(b.last, a.first)) continue;
      const both = a.amount + b.amount;
      const room = withRoom.get(both) ?? stretchesWith(both, supply);
      withRoom.set(both, room);
      const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
      const stretches = room.filter((each) => each.from < to && each.to > from);
      if (stretches.some((each) => each.from <= from && each.to >= to)) {
        all = false;
        continue;
      }
      if (stretches.length > 0) all = false;
      if (stretches.length > 0 && (a.train.tasks.length > 1 || b.train.tasks.length > 1)) continue;
      if (a.when === undefined || b.when === undefined) {
        all = false;
        continue;
      }
      const when = [a.when, b.when] as const;
      // A lag that holds whenever both are there puts them in order.
      const isOrdered = told.some(
        (lag) => when.includes(lag.when) && (isBetween(lag, a.train, b.train) || isBetween(lag, b.train, a.train)),
      );
      if (!isOrdered) conflicts.push({ a: a.train, b: b.train, stretches, when });
    }
  }
  return { all, conflicts };
}

function isBetween({ from, to }: { readonly from: number; readonly to: number }, a: Train, b: Train): boolean {
  return a.tasks.includes(from) && b.tasks.includes(to);
}

function onResource(
  { earliest, latest, minutes }: CompiledProblem,
  { users }: CompiledResource,
  train: Train,
): OnResource {
  const own = users.filter(({ task }) => train.tasks.includes(task));
  const [first, last] = [train.tasks[0], train.tasks.at(-1) as number];
  const whens = new Set(own.map(({ when }) => when));
  return {
    ...{ train, first, last },
    amount: Math.min(...own.map(({ amount }: CompiledUser) => amount)),
    from: earliest[first],
    to: latest[last] + minutes[last],
    when: whens.size === 1 ? [...whens][0] : undefined,
  };
}
