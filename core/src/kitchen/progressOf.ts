import { type DayTask } from '../day/dayProblem';
import { LONG_WAIT_MIN } from '../day/longWait';
import { isPortionLag } from '../day/portions';
import { type DayProgress, needsHands, type Progress } from '../day/restOfDay';
import { startAfter } from '../scheduling/lagBounds';
import { type DayState } from './dayState';
import { loadClock } from './loadClock';
import { type LoadOrder, type LoadState, processEndsAt } from './loadState';
import { endThatCounts, waitEndsAt } from './stepEnd';
import { clockEndsAt, stepClock } from './stepClock';
import { testedPart } from './testedPart';

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
 * How far each task has come, from what was told of the steps and of the loads. Work that must have been done for something
 * that was told counts as done: jars in the canner were filled, whether or not anybody said so. What was tested counts only
 * where it was told, and no wait ends before its time because something else began. A wait that follows its own work at once
 * (a soak, a drip) begins by itself.
 */
export function progressOf({ tasks, day, loads, startAt }: RunningDay, now: number): DayProgress {
  const minuteOf = (at: number) => (at - startAt) / MINUTE_MS;
  const nowMin = Math.floor(minuteOf(now));
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const of = new Map<string, Progress>();
  const done = (id: string, startMin: number, endMin: number) => of.set(id, { kind: 'done', startMin, endMin });

  /** What was told of a step; of a wait that nobody started, from when its own work was over. */
  const tellStep = (task: DayTask, work: Progress | undefined) => {
    const ownWorkOverMin = work?.kind === 'done' ? work.endMin : undefined;
    const step = day.steps.get(task.id);
    const at = (minute: number | undefined) => (minute === undefined ? undefined : startAt + minute * MINUTE_MS);
    const { startedAt = step?.clock?.at, begunAgainAt } = step ?? {};
    const firstMin = startedAt === undefined ? ownWorkOverMin : minuteOf(startedAt);
    const notBefore = work?.kind === 'running' ? at(work.startMin) : undefined;
    const first = step && endThatCounts(task, step, at(firstMin), { from: notBefore, to: begunAgainAt });
    // Begun once more after an end that did not count: of two starts the later holds.
    const isAnew = !first && begunAgainAt !== undefined;
    const startMin = isAnew ? minuteOf(begunAgainAt) : firstMin;
    const end = isAnew && step ? endThatCounts(task, step, begunAgainAt, { from: begunAgainAt }) : first;
    if (end) {
      const endMin = minuteOf(end.at);
      const from = startMin === undefined || end.toldAt !== undefined ? endMin - task.minutes.p50 : startMin;
      done(task.id, Math.min(from, endMin), endMin);
    } else if (startMin !== undefined) {
      const clockEnd = clockEndsAt(stepClock(task), step, startAt + startMin * MINUTE_MS);
      const endMin = clockEnd === undefined ? startMin + task.minutes.p50 : minuteOf(clockEnd);
      of.set(task.id, { kind: 'running', startMin, endMin: Math.max(nowMin + 1, endMin) });
    }
  };
  /** By the loads and by itself, then what follows from it: waits in the order they hang together. */
  const told = new Set<string>();
  const tell = (task: DayTask) => {
    if (told.has(task.id)) return;
    told.add(task.id);
    const load = task.loadId === undefined ? undefined : loads.get(task.loadId);
    const inCanner = load && loadProgress(task, load, nowMin, minuteOf);
    if (inCanner) return of.set(task.id, inCanner);
    const own = byId.get(ownWorkOf(task) ?? '');
    if (own) tell(own);
    return tellStep(task, own && of.get(own.id));
  };
  for (const task of tasks) tell(task);

  /** Whether all jars a step is for are in their canners, guests' too: it is too late for it, whatever was told. */
  const waitsFor = stillToGoIn(tasks, loads);
  const isPast = ({ id }: DayTask) => waitsFor.get(id) === false;
  /** @param isBehind a wait of hours lies between: heat of before it is not what goes hot into jars */
  const closeBefore = (id: string, at: number, isBehind = false) => {
    const own = byId.get(id);
    const ownWork = own && ownWorkOf(own);
    const behind = isBehind || (own !== undefined && !needsHands(own) && own.minutes.p50 >= LONG_WAIT_MIN);
    for (const lag of own?.after ?? []) {
      const { task: beforeId } = lag;
      const task = byId.get(beforeId);
      const known = of.get(beforeId);
      if (!task || known?.kind === 'done') continue;
      // What hands its food on in portions goes on beside what it feeds, and is over when that is.
      if (known && isPortionLag(lag)) {
        const fed = of.get(id);
        if (fed?.kind === 'done') done(beforeId, Math.min(known.startMin, fed.endMin), fed.endMin);
        closeBefore(beforeId, known.startMin, behind);
        continue;
      }
      // A load is where its own taps say it is.
      if (task.cannerId !== undefined && task.kind !== 'preheat' && task.kind !== 'cool-water') continue;
      if (known) {
        const beganAt = startAt + known.startMin * MINUTE_MS;
        const asks = !needsHands(task) && stepClock(task).asks !== undefined;
        const endsAt = waitEndsAt(task, day.steps.get(beforeId), beganAt);
        const runsOn = asks || (endsAt !== undefined && minuteOf(endsAt) > at);
        if (runsOn && !isPast(task)) continue;
        done(beforeId, Math.min(known.startMin, at), endsAt === undefined ? at : Math.min(at, minuteOf(endsAt)));
      } else {
        const part = testedPart(task);
        const isTested = part === 'soak' || (part === 'heat' && !behind);
        if (isTested && !isPast(task) && beforeId !== ownWork) continue;
        done(beforeId, at, at);
      }
      closeBefore(beforeId, Math.min(known?.startMin ?? at, at), behind);
    }
  };
  for (const [id, { startMin }] of [...of]) closeBefore(id, startMin);
  // Work that was over because something else began starts its wait too.
  for (const task of tasks) {
    const work = of.get(ownWorkOf(task) ?? '');
    if (work?.kind === 'done' && !of.has(task.id)) tellStep(task, work);
  }
  for (const task of tasks) {
    const own = of.get(task.id);
    if (own?.kind === 'running') of.set(task.id, { ...own, endMin: Math.max(own.endMin, fedUntil(task, of)) });
  }
  const inCanner = [...loads].filter(([, { state }]) => state.startedAt !== undefined);
  return {
    nowMin,
    of,
    cannerOf: new Map(inCanner.map(([id, { cannerId }]) => [id, cannerId])),
    cannersOut: day.cannersOut,
  };
}

/** What still runs feeds it: its last portion comes when that is over, and goes through it then. */
function fedUntil({ after, minutes }: DayTask, of: ReadonlyMap<string, Progress>): number {
  const ends = after.filter(isPortionLag).flatMap((lag) => {
    const before = of.get(lag.task);
    return before?.kind === 'running' ? [startAfter(lag, before, minutes.p50).earliestMin + minutes.p50] : [];
  });
  return Math.max(0, ...ends);
}

/** Of each step before a canner whether some load that it is for has not gone in. */
function stillToGoIn(tasks: readonly DayTask[], loads: RunningDay['loads']): ReadonlyMap<string, boolean> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const waits = new Map<string, boolean>();
  for (const { kind, loadId = '', after } of tasks) {
    if (kind !== 'load') continue;
    const isToCome = loads.get(loadId)?.state.startedAt === undefined;
    const seen = new Set<string>();
    const mark = (lags: DayTask['after']) => {
      for (const { task: id } of lags) {
        const task = byId.get(id);
        // What comes before a canner's water is the load before it.
        if (!task || seen.has(id) || task.cannerId !== undefined) continue;
        seen.add(id);
        waits.set(id, isToCome || waits.get(id) === true);
        mark(task.after);
      }
    };
    mark(after);
  }
  return waits;
}

/** The work of hands that a wait follows at once, a soak its salting: one step of the card. */
export function ownWorkOf(task: DayTask): string | undefined {
  const waits = !needsHands(task) && task.kind !== 'process' && task.cannerId === undefined;
  return waits ? task.after.find(({ maxLag }) => maxLag === 0)?.task : undefined;
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
