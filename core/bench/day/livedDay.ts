import {
  type DayProblem,
  type DayTask,
  HANDS,
  isCannerResource,
  type ScheduledTask,
  WATCH,
} from '../../src/day/dayProblem';
import { type SearchResource } from '../../src/scheduling/scheduleProblem';
import { type Chance } from '../chance';

/** Longer than this nobody works on at night: what is left waits for the morning. */
const AT_MOST_OVER_MIN = 180;
/** Hours shut that long are a night, not a break. */
const NIGHT_MIN = 240;
const FORGETS = 0.04;

interface Underway {
  readonly task: DayTask;
  readonly endAt: number;
}

/**
 * When a planned day is really over, minute by minute, in the hands of somebody who is not the cook of the handbook: a quarter
 * slower or faster all day, with steps that now and then take far longer, steps that are forgotten for a while, and who works
 * on past the hours rather than leave jars half done. Knows nothing of how the plan's own late finish is worked out.
 */
export function livedEnd({ resources, tasks }: DayProblem, plan: readonly ScheduledTask[], chance: Chance): number {
  const cook = chance.oneOf([0.8, 1, 1.25]);
  const planned = new Map(plan.map(({ task, startMin }) => [task.id, startMin]));
  const order = [...tasks].sort((a, b) => (planned.get(a.id) ?? 0) - (planned.get(b.id) ?? 0));
  const took = new Map(tasks.map((task) => [task.id, minutesOf(task, cook, chance)]));
  const lateBy = new Map(
    tasks.map(({ id, needs }) => [id, needs[HANDS] && chance.uniform(0, 1) < FORGETS ? chance.uniform(5, 25) : 0]),
  );
  const began = new Map<string, number>();
  const ended = new Map<string, number>();
  const readyAt = new Map<string, number>();
  let underway: Underway[] = [];
  const insides = new Map<string, string>();
  for (let now = 0; now < 6 * 24 * 60; now++) {
    // Whoever is fed by another's hands works on until the last of it has come and gone through.
    const overAt = ({ task, endAt }: Underway) => {
      const fed = task.after.filter(({ between }) => between === 'end-end');
      return Math.max(endAt, ...fed.map((lag) => (ended.get(lag.task) ?? Infinity) + (lag.minLag ?? 0)));
    };
    for (const each of underway) if (overAt(each) <= now) ended.set(each.task.id, overAt(each));
    underway = underway.filter(({ task }) => !ended.has(task.id));
    if (ended.size === tasks.length) return Math.max(...ended.values());
    for (const task of order) {
      const { id, after, needs, cannerId = '', loadId } = task;
      if (ended.has(id) || underway.some((each) => each.task === task)) continue;
      const isThere = ({ task: before, minLag = 0, between }: (typeof after)[number]) =>
        between === 'end-end' || ((between === 'start-start' ? began : ended).get(before) ?? Infinity) + minLag <= now;
      if (!after.every(isThere)) continue;
      // What is planned for after a night is done after it; the rest is not left lying.
      if (morningOf(resources, planned.get(id) ?? 0) > now) continue;
      const ready = readyAt.get(id) ?? now;
      readyAt.set(id, ready);
      if (now < ready + (lateBy.get(id) ?? 0)) continue;
      const isTied = after.some(({ maxLag }) => maxLag === 0) && task.kind !== 'prepare' && task.kind !== 'fill';
      const holder = insides.get(cannerId);
      if (cannerId !== '' && holder !== undefined && holder !== loadId) continue;
      if (!isTied && !resources.every((resource) => hasRoom(resource, needs, underway, now))) continue;
      if (task.kind === 'load' && loadId !== undefined) insides.set(cannerId, loadId);
      if (task.kind === 'unload') insides.delete(cannerId);
      began.set(id, now);
      underway.push({ task, endAt: now + breakTime(resources, needs, now, took.get(id) ?? 1) });
    }
  }
  return Infinity;
}

/** Hot jars and tested times go by the clock; all else by the cook, and now and then far longer. */
function minutesOf({ kind, minutes: { p10, p50, p90 }, needs }: DayTask, cook: number, chance: Chance): number {
  if (kind === 'process' || kind === 'rest' || p90 <= p10) return p50;
  const spread = Math.log(Math.max(1.02, p90 / Math.max(0.5, p10))) / 2 / 1.2816;
  // A Student's t of four degrees of freedom: tails far heavier than the normal's.
  const chi = Array.from({ length: 4 }, () => chance.normal(0, 1) ** 2).reduce((sum, each) => sum + each, 0);
  const t = chance.normal(0, 1) / Math.sqrt(chi / 4);
  const hands = (needs[HANDS] ?? 0) > 0 ? cook : 1;
  return Math.max(1, p50 * hands * Math.exp(Math.max(-1.5, Math.min(1.5, spread * t))));
}

/** Where a step is planned after a night, when that night is over. */
function morningOf(resources: readonly SearchResource[], plannedAt: number): number {
  const nights = closedOf(resources, HANDS).filter(([from, to]) => to - from >= NIGHT_MIN && to <= plannedAt);
  return Math.max(0, ...nights.map(([, to]) => to));
}

function closedOf(resources: readonly SearchResource[], id: string): readonly (readonly [number, number])[] {
  return resources.find((resource) => resource.id === id)?.closed ?? [];
}

function hasRoom(
  { id, capacity, closed = [], taken = [] }: SearchResource,
  needs: Readonly<Record<string, number>>,
  underway: readonly Underway[],
  now: number,
): boolean {
  const amount = needs[id] ?? 0;
  if (amount === 0 || isCannerResource(id)) return true;
  const isShut = closed.some(([from, to]) => {
    const opensAt = to - from >= NIGHT_MIN ? from + AT_MOST_OVER_MIN : from;
    return now >= opensAt && now < to;
  });
  if (isShut && (id === HANDS || id === WATCH)) return false;
  const away = taken.filter(({ from, to }) => now >= from && now < to).reduce((sum, part) => sum + part.amount, 0);
  const held = underway.reduce((sum, { task }) => sum + (task.needs[id] ?? 0), 0);
  return held + away + amount <= capacity;
}

/** Minutes a step takes with a break in it: hands come back to it. */
function breakTime(
  resources: readonly SearchResource[],
  needs: Readonly<Record<string, number>>,
  now: number,
  minutes: number,
): number {
  if (!needs[HANDS]) return minutes;
  const breaks = closedOf(resources, HANDS).filter(([from, to]) => to - from < NIGHT_MIN && from > now);
  const [first] = breaks.filter(([from]) => from < now + minutes);
  return first ? minutes + first[1] - first[0] : minutes;
}
