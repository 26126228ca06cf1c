import { planDay } from '../day/planDay';
import { type DayQuestion, problemOf } from '../day/questionOfDay';
import { type DayProgress } from '../day/restOfDay';
import { replayDay } from '../replay/replayDay';
import { type LaidOut, layOut, withWhatWas } from './layOut';

/** What is asked for the rest of a day: what is left, and the order it is done in so far. */
export interface RestQuestion {
  readonly question: DayQuestion & { readonly progress: DayProgress };
  readonly order: ReadonlyMap<string, number>;
  readonly cannerOf: ReadonlyMap<string, string>;
}

export interface RestSolved {
  /** The rest in its order; undefined where it cannot be kept any more. */
  readonly kept?: LaidOut;
  /** The best that was found, the order as it is among them; undefined where the rest cannot be done at all. */
  readonly best?: LaidOut & { readonly cannerOf: ReadonlyMap<string, string> };
  /** Over by then in nine of ten tries, in its order, or in the one found. Minutes from the start of the plan. */
  readonly lateMin?: number;
}

/** Nodes that a new look at the rest of a day gets: the same everywhere, so that two screens find the same. */
const NODES = 500;

/** Replays behind "9 in 10 by", from a seed of their own; fewer than of a plan that stays, since every tap asks anew. */
const LATE_SEED = 1;
const LATE_REPLAYS = 200;

/** Solves the rest of a day again around what has begun. */
export function solveRest({ question, order, cannerOf }: RestQuestion, nodes = NODES): RestSolved {
  const kept = known(cannerOf, question) ? layOut(question, order, cannerOf) : undefined;
  const asked = { ...question, letGo: kept === undefined || kept.letGo };
  const planner = planDay(asked);
  const plan = planner.kind === 'planner' ? planner.step(nodes).plan : undefined;
  const whole = (of: ReadonlyMap<string, string>) => problemOf({ ...question, progress: undefined }, of);
  const found = plan && {
    ...withWhatWas(whole(plan.cannerOf), plan.tasks, question.progress),
    cannerOf: plan.cannerOf,
  };
  const best = kept && (!found || kept.endMin <= found.endMin) ? { ...kept, cannerOf } : found;
  const shown = kept ? { laid: kept, of: cannerOf } : best && { laid: best, of: best.cannerOf };
  if (!shown) return {};
  const { nowMin } = question.progress;
  const rest = problemOf({ ...asked, letGo: true }, shown.of);
  const left = new Set(rest.tasks.map(({ id }) => id));
  const tasks = shown.laid.tasks
    .filter(({ task }) => left.has(task.id))
    .map((entry) => ({ ...entry, startMin: entry.startMin - nowMin, endMin: entry.endMin - nowMin }));
  const lateMin = Math.max(shown.laid.endMin, nowMin + replayDay(rest, tasks, LATE_SEED, LATE_REPLAYS).lateMin);
  return { ...(kept && { kept }), ...(best && { best }), lateMin };
}

/** Whether every load that is still to go in has a canner that is in use. */
function known(cannerOf: ReadonlyMap<string, string>, { batches, progress }: RestQuestion['question']): boolean {
  return batches.every((batch) =>
    batch.loads.every((load) => {
      if (progress.cannerOf.has(load.id) || load.withLoadId !== undefined) return true;
      return !progress.cannersOut.includes(cannerOf.get(load.id) ?? load.cannerId ?? batch.cannerId);
    }),
  );
}
