import { type DayTask } from '../day/dayProblem';
import { type DayProgress } from '../day/restOfDay';
import { loadClock } from './loadClock';
import { processEndsAt, VENT_MS } from './loadState';
import { type WatchCall, type WatchKind } from './loadWatch';
import { type RunningDay } from './progressOf';
import { readStep, stepClock } from './stepClock';

const MINUTE_MS = 60_000;

/** A call answered later than this was missed: it is written down. */
export const MISSED_AFTER_MS = 2 * MINUTE_MS;

/** Nobody is in the kitchen any more after so long. */
const CALLS_FOR_MS = 12 * 60 * MINUTE_MS;

/** A low-temperature bath is looked at so often: 180 to 185 F is held by hand. Common practice. */
const LOOK_EVERY_MIN = 5;

/** Different kinds sound different. */
export type AlarmKind =
  | 'time-up'
  | 'rest-over'
  | 'vent-over'
  | 'step-over'
  | 'ask'
  | 'stir'
  | 'thermometer'
  /** Water is to be put on now. */
  | 'start'
  /** Filled jars stand and cool. */
  | 'jars-wait'
  /** A probe began a clock: somebody is to look whether it boils. */
  | 'look'
  /** What an instrument at a load calls for. */
  | InstrumentCall;

/** Calls of instruments that somebody must answer at once; the rest is told where it is looked for. */
export type InstrumentCall = Exclude<WatchKind, 'water-ready' | 'elsewhere'>;

/** What an instrument calls for at a load, on the household's clock. */
export interface ToldCall extends WatchCall {
  readonly loadId: string;
}

/** Filled jars that stand longer lose their heat. Common practice. */
const FILLED_WAIT_MIN = 15;

/** Something that calls until it is answered. */
export interface Alarm {
  readonly id: string;
  readonly kind: AlarmKind;
  readonly dueAt: number;
  readonly loadId?: string;
  readonly taskId?: string;
  /** What is done then, where its kind does not say so: "Skim". */
  readonly words?: string;
  /** When it was answered, by the tap it asked for or by being heard. */
  readonly answeredAt?: number;
}

/**
 * All calls of a day that have come due, answered or not, the oldest first. Derived from what was told: a screen that was
 * off, or was opened only now, knows the same ones. Nothing was due before the day began.
 *
 * @param told what instruments call for now
 * @param laid when each step comes as the day goes now, minutes from its start; where that is not known, as it was planned
 */
export function alarmsOf(
  running: RunningDay,
  progress: DayProgress,
  now: number,
  laid?: ReadonlyMap<string, number>,
  told: readonly ToldCall[] = [],
): Alarm[] {
  const all = [
    ...loadAlarms(running, now),
    ...told.flatMap((call) => instrumentAlarms(call, running)),
    ...stepAlarms(running, progress, now),
    ...running.tasks.flatMap((task) => waterAlarms(task, running, progress, laid, now)),
    ...running.tasks.flatMap((task) => waitingJars(task, running, progress)),
  ];
  const began = running.day.startedAt ?? -Infinity;
  return all.filter(({ dueAt }) => dueAt <= now && dueAt >= began).sort((a, b) => a.dueAt - b.dueAt);
}

/** Those that call now; a day that was left as it stood does not call for ever. */
export function ringing(alarms: readonly Alarm[], now: number): Alarm[] {
  return alarms.filter(({ answeredAt, dueAt }) => answeredAt === undefined && now - dueAt < CALLS_FOR_MS);
}

/** Those that nobody answered in time. That water was to be put on is told as long as it is to be. */
export function missed(alarms: readonly Alarm[], now: number): Alarm[] {
  return alarms.filter(({ kind, dueAt, answeredAt = now }) => kind !== 'start' && answeredAt - dueAt > MISSED_AFTER_MS);
}

function loadAlarms({ day, loads }: RunningDay, now: number): Alarm[] {
  return [...loads].flatMap(([loadId, { order, state }]): Alarm[] => {
    const endsAt = processEndsAt(order, state);
    const call = (kind: AlarmKind, dueAt: number, answeredAt: number | undefined, at = '') => {
      const answer = answeredAt === undefined ? {} : { answeredAt };
      return { id: `${kind} ${loadId}${at}`, kind, loadId, dueAt, ...answer };
    };
    const alarms: Alarm[] = [];
    if (state.unseen && state.boilAt !== undefined)
      alarms.push(call('look', state.boilAt, undefined, ` ${state.boilAt}`));
    if (endsAt !== undefined) alarms.push(call('time-up', endsAt, state.heatOffAt, ` ${state.boilAt}`));
    if (state.ventAt !== undefined)
      alarms.push(call('vent-over', state.ventAt + VENT_MS, state.boilAt ?? state.lostAt));
    if (state.heatOffAt !== undefined) {
      const clock = loadClock(order, { ...state, phase: 'resting' }, now);
      if (clock.kind === 'resting') alarms.push(call('rest-over', clock.endsAt, state.outAt));
    }
    if (order.method === 'low-temperature-bath' && state.boilAt !== undefined) {
      const until = Math.min(now, state.heatOffAt ?? now, endsAt ?? now);
      alarms.push(
        ...every(LOOK_EVERY_MIN, state.boilAt, until, `thermometer ${loadId}`, day.answered, state.heatOffAt).map(
          (each) => ({
            ...each,
            kind: 'thermometer' as const,
            loadId,
          }),
        ),
      );
    }
    return alarms;
  });
}

/** Answered by the tap it asks for, which makes it go, or by somebody who looked and saw that it is not so. */
function instrumentAlarms({ kind, loadId, since }: ToldCall, { day, loads }: RunningDay): Alarm[] {
  const own = loads.get(loadId)?.state;
  if (kind === 'water-ready' || kind === 'elsewhere' || !own) return [];
  // What was told of the load meanwhile is newer than what called.
  // Water before jars go in is looked at where they go in, and rings nowhere.
  const isOfNow = kind === 'boil-found' ? own.phase === 'heating' || own.phase === 'venting' : own.phase === 'boiling';
  if (!isOfNow) return [];
  // A boil that is not yet there is asked of once for each heating; what is lost is called each time anew.
  const id = `${kind} ${loadId} ${kind === 'boil-found' ? own.timesLost : since}`;
  const answeredAt = day.answered.get(id);
  return [{ id, kind, loadId, dueAt: since, ...(answeredAt !== undefined && { answeredAt }) }];
}

/**
 * When somebody last looked at a load that boils, and saw that what an instrument called was not so.
 *
 * @param answered when each call of a day was answered, by its id
 */
export function lookedAt(loadId: string, answered: ReadonlyMap<string, number>): number | undefined {
  const own = [...answered].filter(([id]) => WHILE_IT_BOILS.some((kind) => id.startsWith(`${kind} ${loadId} `)));
  return own.length > 0 ? Math.max(...own.map(([, at]) => at)) : undefined;
}

const WHILE_IT_BOILS: readonly InstrumentCall[] = ['boil-lost', 'too-cool', 'too-hot', 'under-pressure'];

function stepAlarms(running: RunningDay, { of }: DayProgress, now: number): Alarm[] {
  const { tasks, day, startAt } = running;
  return tasks.flatMap((task): Alarm[] => {
    const own = of.get(task.id);
    const state = day.steps.get(task.id);
    const taskId = task.id;
    if (!own) return [];
    const clock = stepClock(task);
    const beganAt = startAt + own.startMin * MINUTE_MS;
    const alarms: Alarm[] = [];
    const ended = own.kind === 'done' ? startAt + own.endMin * MINUTE_MS : undefined;
    const reading = readStep(clock, { ...own, kind: 'running' }, state, { startAt, now });
    if (reading?.endsAt !== undefined) {
      const kind = clock.asks ? 'ask' : 'step-over';
      const answer = ended === undefined ? {} : { answeredAt: ended };
      alarms.push({ id: `${kind} ${taskId} ${reading.endsAt}`, kind, taskId, dueAt: reading.endsAt, ...answer });
    }
    // What was done before anybody told called nobody.
    const wasSeen = own.kind === 'running' || (state?.startedAt !== undefined && state.ends?.[0]?.toldAt === undefined);
    if (clock.everyMin !== undefined && wasSeen) {
      const stirs = every(clock.everyMin, beganAt, Math.min(now, ended ?? now), `stir ${taskId}`, day.answered, ended);
      alarms.push(
        ...stirs.map((each) => ({
          ...each,
          kind: 'stir' as const,
          taskId,
          ...(clock.everyWords !== undefined && { words: clock.everyWords }),
        })),
      );
    }
    return alarms;
  });
}

/**
 * A canner that must be put on now, or its water is cold when the jars are ready: by how the day goes in fact, which is earlier
 * or later than it was planned.
 */
function waterAlarms(
  { id, kind }: DayTask,
  { day, startAt }: RunningDay,
  { of, nowMin }: DayProgress,
  laid: ReadonlyMap<string, number> | undefined,
  now: number,
): Alarm[] {
  if (kind !== 'preheat' || of.has(id)) return [];
  const planned = day.order?.startAt[id];
  const laidMin = laid?.get(id);
  const isDue = laidMin === undefined ? planned !== undefined && planned <= now : laidMin <= nowMin;
  if (!isDue) return [];
  return [
    {
      id: `start ${id}`,
      kind: 'start',
      taskId: id,
      dueAt: laidMin === undefined ? (planned ?? now) : Math.min(now, startAt + laidMin * MINUTE_MS),
    },
  ];
}

/** Jars that are filled and closed, and not in their canner a quarter of an hour later. */
function waitingJars(
  { id, kind, loadId, after }: DayTask,
  { tasks, loads, startAt }: RunningDay,
  { of }: DayProgress,
): Alarm[] {
  const load = loads.get(loadId ?? '');
  if (kind !== 'load' || !load) return [];
  const fills = after.flatMap((lag) => tasks.filter((task) => task.id === lag.task && task.kind === 'fill'));
  const ends = fills.flatMap((task) => {
    const own = of.get(task.id);
    return own?.kind === 'done' ? [own.endMin] : [];
  });
  if (fills.length === 0 || ends.length < fills.length) return [];
  const dueAt = startAt + (Math.max(...ends) + FILLED_WAIT_MIN) * MINUTE_MS;
  const { startedAt } = load.state;
  // In it before that, nobody was called.
  if (startedAt !== undefined && startedAt <= dueAt) return [];
  return [
    {
      id: `jars-wait ${id}`,
      kind: 'jars-wait',
      ...(loadId !== undefined && { loadId }),
      dueAt,
      ...(startedAt !== undefined && { answeredAt: startedAt }),
    },
  ];
}

/** A call every so many minutes; the next one takes the place of one that nobody answered, and the end that of the last. */
function every(
  minutes: number,
  from: number,
  until: number,
  id: string,
  answered: ReadonlyMap<string, number>,
  endedAt: number | undefined,
): Pick<Alarm, 'id' | 'dueAt' | 'answeredAt'>[] {
  const count = Math.floor((until - from) / (minutes * MINUTE_MS));
  return Array.from({ length: Math.max(0, count) }, (_, i) => {
    const dueAt = from + (i + 1) * minutes * MINUTE_MS;
    const own = `${id} ${i + 1}`;
    const nextDue = dueAt + minutes * MINUTE_MS;
    const answeredAt = answered.get(own) ?? (nextDue <= until ? nextDue : endedAt);
    return { id: own, dueAt, ...(answeredAt !== undefined && { answeredAt }) };
  });
}
