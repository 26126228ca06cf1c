import { type DayTask } from '../day/dayProblem';
import { type DayProgress, needsHands } from '../day/restOfDay';
import { progressOf, type RunningDay } from './progressOf';
import { waitEndsAt } from './stepEnd';
import { stepClock } from './stepClock';
import { HEAT_HOLDS_MIN, type TestedPart, testedPart } from './testedPart';

const MINUTE_MS = 60_000;

/** A step that another one has to wait for still. */
export interface OpenStep {
  readonly task: DayTask;
  /** It runs and its time is not up; nobody told of it; or it was so long ago that its heat is gone. */
  readonly why: 'runs' | 'untold' | 'cold';
  /** Of a wait that runs by the clock. */
  readonly leftMin?: number;
  readonly part?: TestedPart;
}

/**
 * All that a step has to wait for still, on every path to it, the first to be done first. What hands are at is over when the
 * next step begins, a wait when its time is up.
 *
 * @param at epoch milliseconds
 * @param progress at that moment, where it is known already
 */
export function openBefore(
  task: DayTask,
  running: RunningDay,
  at: number,
  progress: Pick<DayProgress, 'of'> = progressOf(running, at),
): OpenStep[] {
  const byId = new Map(running.tasks.map((each) => [each.id, each]));
  const seen = new Set<string>();
  const open: OpenStep[] = [];
  const look = (of: DayTask) => {
    for (const { task: id } of of.after) {
      const before = byId.get(id);
      if (!before || seen.has(id)) continue;
      seen.add(id);
      // What comes before a canner's water is the load before it: that has keys of its own.
      if (before.cannerId === undefined) look(before);
      const found = isKitchenStep(before, running) && stillOpen(before, of, running, progress, at);
      if (found) open.push(found);
    }
  };
  look(task);
  return open;
}

/** Canners have their own clocks and keys; the water that raw jars go into has not, once the canner has boiled. */
function isKitchenStep({ cannerId, kind }: DayTask, { loads }: RunningDay): boolean {
  if (cannerId === undefined) return true;
  const hasBoiled = [...loads.values()].some(
    (load) => load.cannerId === cannerId && load.state.startedAt !== undefined,
  );
  return kind === 'cool-water' && hasBoiled;
}

function stillOpen(
  task: DayTask,
  follower: DayTask,
  { day, startAt }: RunningDay,
  { of }: Pick<DayProgress, 'of'>,
  at: number,
): OpenStep | undefined {
  const own = of.get(task.id);
  const part = testedPart(task);
  const common = { task, ...(part && { part }) };
  if (!own) return { ...common, why: 'untold' };
  if (own.kind === 'done') {
    const ageMin = (at - startAt) / MINUTE_MS - own.endMin;
    const isColdBy = part === 'heat' && follower.kind === 'fill' && of.get(follower.id) === undefined;
    return isColdBy && ageMin > HEAT_HOLDS_MIN ? { ...common, why: 'cold' } : undefined;
  }
  if (needsHands(task)) return undefined;
  if (stepClock(task).asks !== undefined) return { ...common, why: 'runs' };
  const endsAt = waitEndsAt(task, day.steps.get(task.id), startAt + own.startMin * MINUTE_MS);
  if (endsAt === undefined || at >= endsAt) return undefined;
  return { ...common, why: 'runs', leftMin: (endsAt - at) / MINUTE_MS };
}
