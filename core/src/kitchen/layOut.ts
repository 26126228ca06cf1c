import { type DayProblem, type DayTask, endOfDay, type ScheduledTask, scheduleProblemOf } from '../day/dayProblem';
import { type DayQuestion, problemOf } from '../day/questionOfDay';
import { serialScheduleGeneration } from '../scheduling/serialScheduleGeneration';
import { compileProblem } from '../scheduling/compileProblem';
import { compactSchedule } from '../day/compactSchedule';
import { type DayProgress } from '../day/restOfDay';

/** The rest of a day in the order it is done in, in minutes from the start of the plan. */
export interface LaidOut {
  readonly tasks: readonly ScheduledTask[];
  readonly endMin: number;
  /** Pauses that are too long already were let go. */
  readonly letGo: boolean;
  /** Steps that wait longer than their food should: told, since nothing can bring the time back. */
  readonly waitsTooLong: readonly string[];
}

/**
 * The day as it will go if the order stays: what is over and what runs as it was told, all else pushed on as far as it
 * must be. No search: the same order and the same taps give the same times on every screen.
 *
 * @param order start of each task in the order the kitchen goes by, minutes from the start of the plan; what is not in it
 *   comes last
 * @param cannerOf of loads that have not gone in yet, by load id
 * @returns undefined where the order cannot be kept any more, and another must be looked for
 */
export function layOut(
  question: DayQuestion & { readonly progress: DayProgress },
  order: ReadonlyMap<string, number>,
  cannerOf: ReadonlyMap<string, string>,
): LaidOut | undefined {
  const whole = problemOf({ ...question, progress: undefined }, cannerOf);
  for (const letGo of [false, true]) {
    const rest = problemOf({ ...question, letGo }, cannerOf);
    const placed = inOrder(rest, order, question.progress);
    if (!placed) continue;
    const late = letGo ? tooLate(problemOf({ ...question, letGo: false }, cannerOf), whole, placed) : [];
    return { ...withWhatWas(whole, placed, question.progress), letGo, waitsTooLong: late };
  }
  return undefined;
}

/** Rank of a step that the order does not know. */
const LAST = Number.MAX_SAFE_INTEGER;

/**
 * What is left, laid down in an order; undefined where that breaks a rule. Three ways are tried, and the one that is over
 * first is kept: at the times of the order, which nothing has upset; at those times later by what the day is late; and as
 * early as can be, which is best when it is ahead.
 */
function inOrder(
  rest: DayProblem,
  order: ReadonlyMap<string, number>,
  { nowMin, of }: DayProgress,
): ScheduledTask[] | undefined {
  const lateMin = Math.max(0, ...[...of].map(([id, { startMin }]) => startMin - (order.get(id) ?? startMin)));
  const ways = [0, Math.ceil(lateMin), undefined].flatMap((shift) => {
    const placed = laidFrom(rest, order, shift === undefined ? undefined : shift - nowMin);
    return placed ? [placed] : [];
  });
  const isBetter = (way: readonly ScheduledTask[], best: readonly ScheduledTask[]) => {
    const [sooner, waits] = [endOfDay(best) - endOfDay(way), filledWait(best, rest) - filledWait(way, rest)];
    return sooner > 0 || (sooner === 0 && waits > 0);
  };
  return ways.reduce<ScheduledTask[] | undefined>(
    (best, way) => (best && !isBetter(way, best) ? best : way),
    undefined,
  );
}

/** Minutes until jars that are filled by now go into their canners, all together: they cool while they stand. */
function filledWait(placed: readonly ScheduledTask[], { tasks }: DayProblem): number {
  const toFill = new Set(
    tasks.flatMap(({ kind, loadId }) => (kind === 'fill' && loadId !== undefined ? [loadId] : [])),
  );
  return placed.reduce(
    (sum, { task, startMin }) => (task.kind === 'load' && !toFill.has(task.loadId ?? '') ? sum + startMin : sum),
    0,
  );
}

/** @param shift minutes from the times of the order to those it is laid down at, not before them; none where it may be earlier */
function laidFrom(
  rest: DayProblem,
  order: ReadonlyMap<string, number>,
  shift: number | undefined,
): ScheduledTask[] | undefined {
  const tasks = rest.tasks.map((task) => {
    const at = shift === undefined ? undefined : order.get(task.id);
    if (at === undefined || shift === undefined) return task;
    const latest = (task.dueMin ?? Infinity) - task.minutes.p50;
    return { ...task, releaseMin: Math.max(task.releaseMin ?? 0, Math.min(Math.round(at + shift), latest)) };
  });
  const read = compileProblem(scheduleProblemOf({ ...rest, tasks }));
  if ('kind' in read) return undefined;
  const starts = serialScheduleGeneration(
    read,
    rest.tasks.map((task) => (isTied(task) ? -1 : (order.get(task.id) ?? LAST))),
  );
  if (!starts) return undefined;
  const placed = rest.tasks.map((task, i) => {
    const startMin = (starts[i] as number) / read.scale;
    return { task, startMin, endMin: startMin + task.minutes.p50 };
  });
  return compactSchedule(rest, placed);
}

/** A step with no choice of time, such as the rest of a load that is being processed: nothing takes its place. */
function isTied({ releaseMin = 0, dueMin, minutes }: DayTask): boolean {
  return dueMin !== undefined && dueMin - minutes.p50 <= releaseMin;
}

/** The rest of a day, found or laid out, with what is over and what runs in front of it. */
export function withWhatWas(
  { tasks }: DayProblem,
  rest: readonly ScheduledTask[],
  { nowMin, of }: DayProgress,
): LaidOut {
  const later = new Map(rest.map((entry) => [entry.task.id, entry]));
  const all = tasks.flatMap((task): ScheduledTask[] => {
    const own = of.get(task.id);
    const placed = later.get(task.id);
    if (own) return [{ task, startMin: own.startMin, endMin: own.endMin }];
    return placed ? [{ task, startMin: nowMin + placed.startMin, endMin: nowMin + placed.endMin }] : [];
  });
  return {
    tasks: all.sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin),
    endMin: Math.max(nowMin, endOfDay(all)),
    letGo: false,
    waitsTooLong: [],
  };
}

/** Steps that come after the end of the pause before them; produce that spoils has a fuse of its own. */
function tooLate(asked: DayProblem, whole: DayProblem, placed: readonly ScheduledTask[]): string[] {
  const ofItself = new Set(whole.tasks.flatMap(({ id, dueMin }) => (dueMin === undefined ? [] : [id])));
  const endOf = new Map(placed.map(({ task, endMin }) => [task.id, endMin]));
  return asked.tasks.flatMap(({ id, dueMin = Infinity }) =>
    !ofItself.has(id) && (endOf.get(id) ?? 0) > dueMin ? [id] : [],
  );
}
