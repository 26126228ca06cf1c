import { type Batch, ofLoad } from '../day/batch';
import { begunLater } from '../day/begunLater';
import { type DayTask, type ScheduledTask } from '../day/dayProblem';
import { beginOf } from '../day/dayWish';
import { loadIn } from '../day/inTheCanner';
import { type DayQuestion, problemOf } from '../day/questionOfDay';
import { type DayProgress } from '../day/restOfDay';
import { guestsOf, hostOf, type LoadOfBatch, minutesOf } from '../day/sharedLoad';
import { localDate, localDay, localMinute } from '../measure/localTime';
import { cooksThere } from './cooksThere';
import { type DayOrder } from './dayEvent';
import { type DayState } from './dayState';
import { type LaidOut, layOut } from './layOut';
import { type LoadOrder, type LoadPhase, type LoadState } from './loadState';
import { type LoadInDay, progressOf, type RunningDay } from './progressOf';
import { datesOf } from './questionOfDates';
import { type RestQuestion } from './solveRest';

const MINUTE_MS = 60_000;

export interface DayLoad {
  readonly id: string;
  readonly batch: Batch;
  readonly number: number;
  readonly jars: number;
  /** Its own card, of several fillings. */
  readonly recipe?: string;
  /** Loads of other batches that go in with it. */
  readonly guests: readonly LoadOfBatch[];
  /** The longest of all that go in together. */
  readonly minutes: number;
  readonly phase: LoadPhase;
  readonly cannerId: string;
}

/** A day of which something has begun: what is over, what runs, and what is left in its order. */
export interface LiveDay {
  readonly running: RunningDay;
  readonly progress: DayProgress;
  readonly rest: RestQuestion;
  /** Undefined where the order cannot be kept any more. */
  readonly laid?: LaidOut;
}

export interface Day {
  /** Its date: "2026-08-29"; of days that are planned together the first one, under which all is told. */
  readonly id: string;
  /** All the dates that are planned together, the first one first. */
  readonly dates: readonly string[];
  readonly state: DayState;
  readonly batches: readonly Batch[];
  readonly loads: readonly DayLoad[];
  /** Empty until the first plan is found. */
  readonly tasks: readonly ScheduledTask[];
  readonly question: DayQuestion;
  /** Where minute 0 of the tasks is. */
  readonly startAt: number;
  /** Which canner each load goes into, where that is planned. */
  readonly cannerOf: Readonly<Record<string, string>>;
  readonly live?: LiveDay;
  /** Undefined until the first plan is found. */
  readonly likelyAt?: number;
  readonly lateAt?: number;
  /** The step that most often makes it late, by its own words, and in what part of the late days. */
  readonly latest?: { readonly words: string; readonly part: number };
}

/** A day whose first plan is found. */
export type DayWithPlan = Day & Required<Pick<Day, 'likelyAt' | 'lateAt'>>;

export function hasPlan(day: Day): day is DayWithPlan {
  return day.likelyAt !== undefined && day.lateAt !== undefined;
}

/** What is asked of a day, by what was told of it so far: the same for every screen until something more is told. */
export interface DayAsked {
  readonly id: string;
  readonly dates: readonly string[];
  readonly own: readonly Batch[];
  readonly states: ReadonlyMap<string, LoadState>;
  readonly orders: ReadonlyMap<string, LoadOrder>;
  readonly state: DayState;
  readonly startAt: number;
  readonly isLive: boolean;
  readonly question: DayQuestion;
}

/**
 * What is asked of a day. Begun before its hour, it counts from then; begun at all, its cooks are those who are there, and by when
 * it was to be over is not held against what is left.
 *
 * @param own batches that are one plan, the first one first, at least one
 * @param planned what was asked before anything had begun
 * @param stands of every load of the household, by its id: where it stands, and what is asked of it
 * @returns undefined without a batch
 */
export function dayAsked(
  own: readonly Batch[],
  planned: DayQuestion,
  state: DayState,
  stands: Pick<DayAsked, 'states' | 'orders'>,
  timeZone: string | undefined,
): DayAsked | undefined {
  const plannedAt = own[0]?.startAt;
  if (plannedAt === undefined) return undefined;
  const beginAt = beginOf(state.wishes, plannedAt);
  const firsts = own.flatMap(({ loads }) => loads.map((load) => stands.states.get(load.id)?.startedAt ?? Infinity));
  const begunAt = Math.min(state.startedAt ?? Infinity, ...firsts);
  const startAt = Math.min(beginAt, Math.floor(begunAt / MINUTE_MS) * MINUTE_MS);
  const isLive = begunAt < Infinity;
  const minuteOf = (at: number) => localMinute(at, timeZone);
  const weekdayOf = (at: number) => localDate(at, timeZone).getDay();
  const question: DayQuestion = isLive
    ? {
        ...begunLater(planned, (startAt - beginAt) / MINUTE_MS),
        ...{ startMinute: minuteOf(startAt), weekday: weekdayOf(startAt), overByMin: undefined },
        setup: { ...planned.setup, cooks: cooksThere(planned.setup.cooks, state, minuteOf, weekdayOf) },
      }
    : planned;
  const dates = datesOf(own, timeZone);
  return { ...stands, id: localDay(plannedAt, timeZone), dates, own, state, startAt, isLive, question };
}

/** A plan of a day as it was found: minutes from its start. */
export interface FoundDay {
  readonly tasks: readonly ScheduledTask[];
  readonly makespanMin: number;
  /** Over by then in nine of ten tries. */
  readonly lateMin: number;
  /** The step that most often makes it late. */
  readonly latest?: { readonly taskId: string; readonly part: number };
  /** Which canner each load goes into. */
  readonly cannerOf: Readonly<Record<string, string>>;
}

/**
 * A day as it goes: as it was planned, or, once something has begun, laid out around what was told, in the order the kitchen goes by.
 *
 * @param now the moment it is looked at, whole minutes, epoch milliseconds
 * @param lateMin where the rest was replayed: over by then in nine of ten tries, minutes from its start
 */
export function dayInHand(asked: DayAsked, plan: FoundDay | undefined, now: number, lateMin?: number): Day {
  const { id, dates, own, state, startAt, question } = asked;
  const known = new Set(question.canners.map((canner) => canner.id));
  const into = Object.entries(state.order?.cannerOf ?? plan?.cannerOf ?? {});
  const cannerOf = Object.fromEntries(into.filter(([, canner]) => known.has(canner)));
  const live = asked.isLive ? liveDay(asked, plan, cannerOf, now) : undefined;
  const tasks = live ? (live.laid?.tasks ?? []) : (plan?.tasks ?? []);
  // A load keeps its number while the rest is laid out anew around it: another order is taken, or nothing changes.
  const numbers = state.order && live ? ordered(live.running.tasks, state.order, startAt) : tasks;
  const loads = numbered(dayLoads(asked, cannerOf), numbers);
  const common = { id, dates, state, batches: own, loads, tasks, question, startAt, cannerOf };
  const at = (minutes: number) => startAt + minutes * MINUTE_MS;
  if (live?.laid) {
    const { endMin } = live.laid;
    const late = Math.max(endMin, lateMin ?? endMin + ((plan?.lateMin ?? 0) - (plan?.makespanMin ?? 0)));
    return { ...common, live, likelyAt: at(endMin), lateAt: at(late) };
  }
  if (live || !plan) return { ...common, ...(live && { live }) };
  const step = plan.tasks.find(({ task }) => task.id === plan.latest?.taskId)?.task;
  const latest = step && plan.latest && { words: step.words, part: plan.latest.part };
  return { ...common, likelyAt: at(plan.makespanMin), lateAt: at(plan.lateMin), ...(latest && { latest }) };
}

/** Where a load goes in: where it stands already, else where that is planned. */
function cannerIdOf(
  { batch, load }: LoadOfBatch,
  { cannerId }: Pick<LoadState, 'cannerId'>,
  cannerOf: Readonly<Record<string, string>>,
): string {
  return cannerId ?? cannerOf[load.id] ?? load.cannerId ?? batch.cannerId;
}

/** What is left of a day in the order the kitchen goes by: the one it was started in, or last changed to. */
function liveDay(
  { state, states, orders, own, question, startAt }: DayAsked,
  plan: FoundDay | undefined,
  cannerOf: Readonly<Record<string, string>>,
  now: number,
): LiveDay {
  // Begun before a plan was found, a load is followed all the same.
  const order = new Map(
    state.order
      ? Object.entries(state.order.startAt).map(([id, at]) => [id, (at - startAt) / MINUTE_MS] as const)
      : (plan?.tasks ?? []).map(({ task, startMin }) => [task.id, startMin] as const),
  );
  const loads = new Map(
    own.flatMap((batch) =>
      batch.loads
        .filter((load) => !hostOf(load, own))
        .map((load): [string, LoadInDay] => {
          const stands = states.get(load.id) as LoadState;
          const cannerId = cannerIdOf({ batch, load }, stands, cannerOf);
          return [load.id, { order: orders.get(load.id) as LoadOrder, state: stands, cannerId }];
        }),
    ),
  );
  const into = new Map([...loads].map(([id, { cannerId }]) => [id, cannerId]));
  const running = { tasks: problemOf(question, into).tasks, day: state, loads, startAt };
  const progress = progressOf(running, now);
  const rest = { question: { ...question, progress }, order, cannerOf: into };
  const laid = layOut(rest.question, order, into);
  return { running, progress, rest, ...(laid && { laid }) };
}

function dayLoads({ own, states, question }: DayAsked, cannerOf: Readonly<Record<string, string>>): DayLoad[] {
  return own.flatMap((batch) =>
    batch.loads.flatMap((load): DayLoad[] => {
      // What goes in with another is told there.
      if (hostOf(load, own)) return [];
      const state = states.get(load.id) as LoadState;
      const cannerId = cannerIdOf({ batch, load }, state, cannerOf);
      const canner = question.canners.find(({ id }) => id === cannerId);
      return [
        {
          ...load,
          jars: state.phase === 'planned' ? load.jars : state.jars,
          batch: ofLoad(batch, canner ? loadIn(canner, batch, load, own) : load),
          guests: guestsOf(load.id, own),
          minutes: minutesOf(batch, load, own),
          phase: state.phase,
          cannerId,
        },
      ];
    }),
  );
}

type Placed = Pick<ScheduledTask, 'task' | 'startMin'>;

/** The tasks where the order that was taken has them; what came up since comes after all of it. */
function ordered(tasks: readonly DayTask[], { startAt: at }: DayOrder, startAt: number): Placed[] {
  return tasks.map((task) => ({ task, startMin: ((at[task.id] ?? Infinity) - startAt) / MINUTE_MS }));
}

/** Loads as they come into the canners: load 1 is the first of the day, whatever batch it is of. */
function numbered(loads: readonly DayLoad[], tasks: readonly Placed[]): DayLoad[] {
  const startOf = new Map(
    tasks.flatMap(({ task, startMin }) =>
      task.kind === 'load' && task.loadId ? [[task.loadId, startMin] as const] : [],
    ),
  );
  if (startOf.size === 0) return [...loads];
  const of = ({ id }: DayLoad) => Math.min(startOf.get(id) ?? 0, Number.MAX_SAFE_INTEGER);
  return [...loads].sort((a, b) => of(a) - of(b));
}
