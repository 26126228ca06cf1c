import { inZone } from '@/store/householdZone';
import { type Batch, ofLoad } from '@hoddle/core/day/batch';
import { type DayTask, type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { beginOf } from '@hoddle/core/day/dayWish';
import { begunLater } from '@hoddle/core/day/begunLater';
import { loadIn } from '@hoddle/core/day/inTheCanner';
import { type DayQuestion, problemOf } from '@hoddle/core/day/questionOfDay';
import { type DayProgress } from '@hoddle/core/day/restOfDay';
import { guestsOf, hostOf, type LoadOfBatch, minutesOf } from '@hoddle/core/day/sharedLoad';
import { cooksThere } from '@hoddle/core/kitchen/cooksThere';
import { type DayOrder } from '@hoddle/core/kitchen/dayEvent';
import { type DayState, dayState } from '@hoddle/core/kitchen/dayState';
import { type LaidOut, layOut } from '@hoddle/core/kitchen/layOut';
import { type LoadPhase, type LoadOrder, type LoadState } from '@hoddle/core/kitchen/loadState';
import { type LoadInDay, progressOf, type RunningDay } from '@hoddle/core/kitchen/progressOf';
import { openDay } from '@hoddle/core/kitchen/openDay';
import { type RestQuestion } from '@hoddle/core/kitchen/solveRest';
import memoizeOne from 'memoize-one';
import { useEffect } from 'react';
import { useDayPlanStore } from '@/store/dayPlanStore';
import { useRestStore } from '@/store/restStore';
import { statesOf } from '@/store/standingLoads';
import { useHousehold, useNow } from '@/store/useHousehold';
import { isoDay, minuteOfDay } from '@/ui/clockWords';
import { type PlannedDay } from '@/workers/dayPlanAnswer';
import { batchesOf, closedDates, dayQuestion, datesOf, keyOf, ordersOf } from './dayQuestion';

const MINUTE_MS = 60_000;

/** How often it is looked whether another day is the one in the kitchen; every calendar turns on one of these. */
const TURN_MS = 15 * MINUTE_MS;

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

/**
 * The day being run or planned next: batches that still have a load to process, those of the same date, and those of dates that
 * hang together with it. Once something
 * has begun, the rest is laid out anew around it, minute by minute, in the order the kitchen goes by.
 */
export function useDay(): Day | undefined {
  const { batches, events, dayEvents, household, picks, lotChanges } = useHousehold();
  const now = useNow(60_000);
  const asked = askedDay(batches, events, dayEvents, household, picks, lotChanges, Math.floor(now / TURN_MS));
  const { plan, key } = useDayPlanStore();
  const lateMin = useRestStore((store) => store.lateMin);
  const lateOf = useRestStore((store) => store.dayId);
  useAsk(asked);
  if (!asked) return undefined;
  const found = key === asked.key ? plan : undefined;
  return dayOfPlan(asked, found, Math.floor(now / MINUTE_MS), lateOf === asked.id ? lateMin : undefined);
}

type Known = ReturnType<typeof useHousehold>;
type Asked = NonNullable<ReturnType<typeof askedDay>>;

/** One look, one answer: all parts of a screen that ask get the same objects. */
const askedDay = memoizeOne(
  (
    batches: Known['batches'],
    events: Known['events'],
    dayEvents: Known['dayEvents'],
    household: Known['household'],
    picks: Known['picks'],
    lotChanges: Known['lotChanges'],
    turn: number,
  ) => {
    const states = statesOf(batches, events);
    const orders = ordersOf(batches, events);
    const closed = closedDates(dayEvents);
    const date = openDay(batches, states, { now: turn * TURN_MS, dateOf: isoDay, closed });
    const own = date === undefined ? [] : batchesOf(isoDay(date), batches, { household, dayEvents });
    const plannedAt = own[0]?.startAt;
    if (plannedAt === undefined) return undefined;
    const dates = datesOf(own);
    const id = isoDay(plannedAt);
    const state = dayState(dayEvents.filter(({ day }) => dates.includes(day)));
    const planned = dayQuestion(own, { household, picks, lotChanges, batches, events, dayEvents }, state);
    const beginAt = beginOf(state.wishes, plannedAt);
    // Begun before its hour, the day counts from then.
    const firsts = own.flatMap(({ loads }) => loads.map((load) => states.get(load.id)?.startedAt ?? Infinity));
    const begunAt = Math.min(state.startedAt ?? Infinity, ...firsts);
    const startAt = Math.min(beginAt, Math.floor(begunAt / MINUTE_MS) * MINUTE_MS);
    const isLive = begunAt < Infinity;
    const cooks = cooksThere(planned.setup.cooks, state, minuteOfDay, (at) => inZone(at).getDay());
    const question: DayQuestion = isLive
      ? {
          ...begunLater(planned, (startAt - beginAt) / MINUTE_MS),
          ...{ startMinute: minuteOfDay(startAt), weekday: inZone(startAt).getDay() },
          // A day that is late goes on all the same: by when it was to be ready is not held against what is left.
          overByMin: undefined,
          setup: { ...planned.setup, cooks },
        }
      : planned;
    return { id, dates, own, states, orders, state, startAt, isLive, question, key: keyOf(planned) };
  },
);

const dayOfPlan = memoizeOne(
  (asked: Asked, plan: PlannedDay | undefined, nowMinute: number, lateMin: number | undefined): Day => {
    const { id, dates, own, state, startAt, question } = asked;
    const known = new Set(question.canners.map((canner) => canner.id));
    const planned = Object.entries(state.order?.cannerOf ?? plan?.cannerOf ?? {}).filter(([, canner]) =>
      known.has(canner),
    );
    const cannerOf = Object.fromEntries(planned);
    const live = asked.isLive ? liveDay(asked, plan, cannerOf, nowMinute * MINUTE_MS) : undefined;
    const tasks = live ? (live.laid?.tasks ?? []) : (plan?.tasks ?? []);
    const loads = dayLoads(asked, cannerOf);
    // A load keeps its number while the rest is laid out anew around it: another order is taken, or nothing changes.
    const numbers = state.order && live ? ordered(live.running.tasks, state.order, startAt) : tasks;
    const common = {
      id,
      dates,
      state,
      batches: own,
      loads: numbered(loads, numbers),
      tasks,
      question,
      startAt,
      cannerOf,
    };
    if (live?.laid) {
      const { endMin } = live.laid;
      const late = Math.max(endMin, lateMin ?? endMin + ((plan?.lateMin ?? 0) - (plan?.makespanMin ?? 0)));
      return { ...common, live, likelyAt: startAt + endMin * MINUTE_MS, lateAt: startAt + late * MINUTE_MS };
    }
    if (live || !plan) return { ...common, ...(live && { live }) };
    const [likelyAt, lateAt] = [plan.makespanMin, plan.lateMin].map((min) => startAt + min * MINUTE_MS);
    const step = plan.tasks.find(({ task }) => task.id === plan.latest?.taskId)?.task;
    const latest = step && plan.latest && { words: step.words, part: plan.latest.part };
    return { ...common, likelyAt, lateAt, ...(latest && { latest }) };
  },
);

/** What is left of a day in the order the kitchen goes by: the one it was started in, or last changed to. */
function liveDay(
  { state, states, orders, own, question, startAt }: Asked,
  plan: PlannedDay | undefined,
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
          const cannerId = stands.cannerId ?? cannerOf[load.id] ?? load.cannerId ?? batch.cannerId;
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

function dayLoads({ own, states, question }: Asked, cannerOf: Readonly<Record<string, string>>): DayLoad[] {
  return own.flatMap((batch) =>
    batch.loads.flatMap((load): DayLoad[] => {
      // What goes in with another is told there.
      if (hostOf(load, own)) return [];
      const state = states.get(load.id) as LoadState;
      const cannerId = state.cannerId ?? cannerOf[load.id] ?? load.cannerId ?? batch.cannerId;
      const canner = question.canners.find(({ id }) => id === cannerId);
      const guests = guestsOf(load.id, own);
      const jars = state.phase === 'planned' ? load.jars : state.jars;
      return [
        {
          ...load,
          jars,
          batch: ofLoad(batch, canner ? loadIn(canner, batch, load, own) : load),
          guests,
          minutes: minutesOf(batch, load, own),
          phase: state.phase,
          cannerId,
        },
      ];
    }),
  );
}

/** A search belongs to the question, not to the screen that asks it. A day that goes by an order asks no more. */
function useAsk(asked: Asked | undefined): void {
  const ask = useDayPlanStore((store) => store.ask);
  const wanted = asked && !asked.state.order ? asked : undefined;
  useEffect(() => {
    if (wanted) ask(wanted.key, wanted.question);
  }, [wanted, ask]);
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
