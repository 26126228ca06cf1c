import { type DayTask } from '../day/dayProblem';
import { needsHands } from '../day/restOfDay';
import { type DayTold } from '../kitchen/dayEvent';
import { IN_CANNER } from '../kitchen/dayClose';
import { heldBack } from '../kitchen/heldBack';
import { type LoadTold } from '../kitchen/kitchenEvent';
import { loadClock } from '../kitchen/loadClock';
import { boilIsTooSoon } from '../kitchen/loadState';
import { type LoadInDay, progressOf, type RunningDay } from '../kitchen/progressOf';
import { readStep, stepClock } from '../kitchen/stepClock';
import { type DaySeen, type RehearsedDay, type Sight } from './rehearsedDay';

/** What a cook tells next: of a step, or of a load. */
export type CookTap =
  | { readonly of: 'day'; readonly told: DayTold }
  | { readonly of: 'load'; readonly loadId: string; readonly told: LoadTold };

interface Habits {
  /** Looks into the pots, and tells when one has stopped. */
  readonly looksIntoPots?: boolean;
  /** Hands there are. */
  readonly hands?: number;
}

/**
 * A cook who rehearses by the rules: looks what is to be seen, does the next thing of the plan that may be done, and tells it. What
 * may not be told is not told: the same gate as for a tap.
 *
 * @returns nothing where there is nothing to do but wait
 */
export function nextTap(
  day: RehearsedDay,
  seen: DaySeen,
  { looksIntoPots = true, hands = 1 }: Habits = {},
): CookTap | undefined {
  const { running, now } = seen;
  const sights = day.see(seen);
  const progress = progressOf(running, now);
  for (const [loadId, load] of running.loads) {
    const told = loadTap(loadId, load, { sights, now, looksIntoPots });
    if (told) return { of: 'load', loadId, told };
  }
  const done = sights.find((sight) => sight.kind === 'step-finished');
  if (done?.kind === 'step-finished') return { of: 'day', told: { type: 'step-done', taskId: done.taskId } };
  const running_ = running.tasks.filter(({ id }) => progress.of.get(id)?.kind === 'running');
  for (const task of running_) {
    const own = progress.of.get(task.id);
    if (needsHands(task) || task.cannerId !== undefined || !own) continue;
    const clock = stepClock(task);
    const reading = readStep(clock, own, running.day.steps.get(task.id), { startAt: running.startAt, now });
    if ((reading?.endsAt ?? Infinity) <= now) return { of: 'day', told: { type: 'step-done', taskId: task.id } };
  }
  const busy = running_.filter((task) => needsHands(task)).length;
  return beginNext(day, running, { now, isFree: busy < hands });
}

function beginNext(
  day: RehearsedDay,
  running: RunningDay,
  { now, isFree }: { now: number; isFree: boolean },
): CookTap | undefined {
  const { of } = progressOf(running, now);
  const startOf = (task: DayTask) => running.day.order?.startAt[task.id] ?? Infinity;
  const tasks = running.tasks.filter(({ id, kind }) => !of.has(id) && kind !== 'errand');
  for (const task of [...tasks].sort((a, b) => startOf(a) - startOf(b))) {
    const isInside = task.cannerId !== undefined && !['preheat', 'cool-water', 'load'].includes(task.kind);
    if (isInside) continue;
    const tap = beginning(task, running, day);
    const stopped = tap && heldBack(eventOf(tap, now), running);
    if (tap && !stopped && (isFree || !needsHands(task))) return tap;
    // What was hot has gone cold: it is heated once more before it is filled.
    const cold = stopped?.kind === 'before' && stopped.open.find((open) => of.get(open.task.id)?.kind === 'done');
    if (cold && isFree) return { of: 'day', told: { type: 'step-started', taskId: cold.task.id, again: true } };
    // What comes later in the plan is not begun before its time: heat does not keep.
    if (startOf(task) > now && !stopped) return undefined;
  }
  return undefined;
}

/** How a step is begun; undefined where its canner is not free for it. */
function beginning(task: DayTask, running: RunningDay, day: RehearsedDay): CookTap | undefined {
  if (task.kind === 'load') {
    const load = running.loads.get(task.loadId ?? '');
    if (!load || task.loadId === undefined || isTaken(running, load.cannerId)) return undefined;
    const short = day.mishaps.find((each) => each.kind === 'lids-short' && each.loadId === task.loadId);
    const lids = short?.kind === 'lids-short' ? short.lids : 0;
    return {
      of: 'load',
      loadId: task.loadId,
      told: { type: 'load-started', jars: Math.max(1, load.order.jars - lids) },
    };
  }
  if (task.kind === 'cool-water' && !hasComeOut(running, task)) return undefined;
  return { of: 'day', told: { type: 'step-started', taskId: task.id } };
}

function eventOf(tap: CookTap, at: number): Parameters<typeof heldBack>[0] {
  if (tap.of === 'day') return { id: 'next', day: '', at, ...tap.told };
  return { id: 'next', loadId: tap.loadId, at, ...tap.told };
}

function isTaken({ loads }: RunningDay, cannerId: string): boolean {
  return [...loads.values()].some((load) => load.cannerId === cannerId && IN_CANNER.includes(load.state.phase));
}

/** Hot water is cooled when the load before is out of it. */
function hasComeOut(running: RunningDay, { cannerId = '' }: DayTask): boolean {
  const own = [...running.loads.values()].filter((load) => load.cannerId === cannerId);
  return !isTaken(running, cannerId) && own.some(({ state }) => state.outAt !== undefined);
}

interface Look {
  readonly sights: readonly Sight[];
  readonly now: number;
  readonly looksIntoPots: boolean;
}

function loadTap(
  loadId: string,
  { order, state }: LoadInDay,
  { sights, now, looksIntoPots }: Look,
): LoadTold | undefined {
  const isSeen = (kind: 'boils' | 'stopped') => sights.some((sight) => sight.kind === kind && sight.loadId === loadId);
  const broken = sights.some(
    (sight) => sight.kind === 'mishap' && sight.mishap.kind === 'jar-broken' && sight.mishap.loadId === loadId,
  );
  if (broken && state.jars > 1) return { type: 'jars-left', jars: state.jars - 1 };
  const clock = loadClock(order, state, now);
  switch (clock.kind) {
    case 'heating':
      return isSeen('boils') && !boilIsTooSoon(order, state, now) ? { type: 'boil-reached' } : undefined;
    case 'boiling':
      if (looksIntoPots && isSeen('stopped')) return { type: 'boil-lost' };
      return clock.timeIsUp ? { type: 'heat-off' } : undefined;
    case 'resting':
      return clock.timeIsUp ? { type: 'jars-out' } : undefined;
    default:
      return undefined;
  }
}
