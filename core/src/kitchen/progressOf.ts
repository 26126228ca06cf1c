import { type DayTask } from '../day/dayProblem';
import { type DayProgress, needsHands, type Progress } from '../day/restOfDay';
import { type DayState } from './dayState';
import { loadClock } from './loadClock';
import { type LoadOrder, type LoadState, processEndsAt } from './loadState';

const MINUTE_MS = 60_000;

/** A boil that was lost is back in so much of the time it took at first. Common practice: all is hot. */
const BACK_TO_BOIL_PART = 1 / 3;

/** A load with what is asked of it and where it stands. */
export interface LoadInDay {
  readonly order: LoadOrder;
  readonly state: LoadState;
  /** The canner it stands in once it has gone in, and is planned for before. */
  readonly cannerId: string;
}

/** What is known of a running day. */
export interface RunningDay {
  /** All tasks of the day, as its plan has them. */
  readonly tasks: readonly DayTask[];
  readonly day: DayState;
  readonly loads: ReadonlyMap<string, LoadInDay>;
  /** Where minute 0 of the plan is, epoch milliseconds. */
  readonly startAt: number;
}

/**
 * How far each task has come, from what was told of the steps and of the loads. What must have been done for something
 * that was told counts as done: jars that are in the canner were filled, whether or not anybody said so. A wait that
 * follows its own work at once (a soak, a drip) begins by itself.
 */
export function progressOf({ tasks, day, loads, startAt }: RunningDay, now: number): DayProgress {
  const minuteOf = (at: number) => (at - startAt) / MINUTE_MS;
  const nowMin = Math.floor(minuteOf(now));
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const of = new Map<string, Progress>();
  const done = (id: string, startMin: number, endMin: number) => of.set(id, { kind: 'done', startMin, endMin });
  const likely = (task: DayTask, from: number) => Math.max(nowMin + 1, from + task.minutes.p50);

  for (const task of tasks) {
    const told = task.loadId === undefined ? undefined : loads.get(task.loadId);
    const own = told && loadProgress(task, told, nowMin, minuteOf);
    const step = day.steps.get(task.id);
    if (own) of.set(task.id, own);
    else if (step?.doneAt !== undefined) {
      const end = minuteOf(step.doneAt);
      done(task.id, step.startedAt === undefined ? end - task.minutes.p50 : minuteOf(step.startedAt), end);
    } else if (step?.startedAt !== undefined || step?.clock) {
      const { clock, startedAt = clock?.at ?? now } = step;
      const startMin = minuteOf(startedAt);
      const end = clock ? minuteOf(clock.at) + clock.minutes : startMin + task.minutes.p50;
      of.set(task.id, { kind: 'running', startMin, endMin: Math.max(nowMin + 1, end) });
    }
  }
  const closeBefore = (id: string, at: number) => {
    for (const { task: before } of byId.get(id)?.after ?? []) {
      if (of.get(before)?.kind === 'done') continue;
      const known = of.get(before);
      done(before, known?.startMin ?? at, at);
      closeBefore(before, known?.startMin ?? at);
    }
  };
  for (const [id, { startMin }] of [...of]) closeBefore(id, startMin);
  for (const task of tasks) {
    const own = task.after.find(({ maxLag }) => maxLag === 0);
    const before = own && of.get(own.task);
    const waits = !needsHands(task) && task.kind !== 'process' && task.cannerId === undefined;
    if (!waits || before?.kind !== 'done') continue;
    const known = of.get(task.id);
    if (known && (known.kind === 'done' || day.steps.get(task.id)?.startedAt !== undefined)) continue;
    // A clock that was started in it does not make it begin anew.
    const endMin = known?.endMin ?? likely(task, before.endMin);
    of.set(task.id, { kind: 'running', startMin: before.endMin, endMin });
  }
  const inCanner = [...loads].filter(([, { state }]) => state.startedAt !== undefined);
  return {
    nowMin,
    of,
    cannerOf: new Map(inCanner.map(([id, { cannerId }]) => [id, cannerId])),
    cannersOut: day.cannersOut,
  };
}

/** Where the canner's part of a load stands; undefined for what has not begun, and for all other steps. */
function loadProgress(
  task: DayTask,
  { order, state }: LoadInDay,
  nowMin: number,
  minuteOf: (at: number) => number,
): Progress | undefined {
  const { startedAt, boilAt, heatOffAt, outAt, lostAt } = state;
  if (startedAt === undefined) return undefined;
  const minute = (at: number | undefined) => (at === undefined ? undefined : minuteOf(at));
  const spans: Partial<
    Record<DayTask['kind'], readonly [from: number | undefined, to: number | undefined, likely: number]>
  > = {
    load: [minuteOf(startedAt) - task.minutes.p50, minuteOf(startedAt), 0],
    'heat-up': [minuteOf(startedAt), minute(boilAt ?? heatOffAt), backAt(task, minuteOf(lostAt ?? startedAt), lostAt)],
    process: [minute(boilAt), minute(heatOffAt), minuteOf(processEndsAt(order, state) ?? 0)],
    rest: [minute(heatOffAt), minute(outAt), restEnd(task, order, state, minuteOf)],
    unload: [minute(outAt), minute(outAt), 0],
  };
  const [from, to, likely] = spans[task.kind] ?? [];
  if (from === undefined) return undefined;
  if (to !== undefined) return { kind: 'done', startMin: Math.min(from, to), endMin: to };
  return { kind: 'running', startMin: from, endMin: Math.max(nowMin + 1, likely ?? 0) };
}

function backAt(task: DayTask, from: number, lostAt: number | undefined): number {
  return from + task.minutes.p50 * (lostAt === undefined ? 1 : BACK_TO_BOIL_PART);
}

function restEnd(task: DayTask, order: LoadOrder, state: LoadState, minuteOf: (at: number) => number): number {
  const clock = loadClock(order, state, state.heatOffAt ?? 0);
  if (clock.kind === 'resting') return minuteOf(clock.endsAt);
  return minuteOf(state.heatOffAt ?? 0) + task.minutes.p50;
}
