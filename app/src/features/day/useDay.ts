import { type Batch } from '@hoddle/core/day/batch';
import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { type DayQuestion } from '@hoddle/core/day/planDay';
import { guestsOf, hostOf, type LoadOfBatch, minutesOf } from '@hoddle/core/day/sharedLoad';
import { type LoadPhase, type LoadState } from '@hoddle/core/kitchen/loadState';
import { useEffect, useMemo } from 'react';
import { useDayPlanStore } from '@/store/dayPlanStore';
import { useHousehold, useNow } from '@/store/useHousehold';
import { batchesOf, dayQuestion, keyOf, openDate, statesOf } from './dayQuestion';
import { daysDriftMs } from './daysDrift';

const MINUTE_MS = 60_000;

export interface DayLoad {
  readonly id: string;
  readonly batch: Batch;
  readonly number: number;
  readonly jars: number;
  /** Loads of other batches that go in with it. */
  readonly guests: readonly LoadOfBatch[];
  /** The longest of all that go in together. */
  readonly minutes: number;
  readonly phase: LoadPhase;
  readonly cannerId: string;
}

export interface Day {
  readonly batches: readonly Batch[];
  readonly loads: readonly DayLoad[];
  /** Empty until the first plan is found. */
  readonly tasks: readonly ScheduledTask[];
  readonly question: DayQuestion;
  /** Where minute 0 of the tasks is, with what the day has drifted since it began. */
  readonly startAt: number;
  /** Undefined until the first plan is found. */
  readonly likelyAt?: number;
  readonly lateAt?: number;
}

/** A day whose first plan is found. */
export type DayWithPlan = Day & Required<Pick<Day, 'likelyAt' | 'lateAt'>>;

export function hasPlan(day: Day): day is DayWithPlan {
  return day.likelyAt !== undefined && day.lateAt !== undefined;
}

/**
 * The day being run or planned next: batches that still have a load to process, and those of the same date. Once a load
 * has begun, the whole plan moves with it, so that its times stay true.
 */
export function useDay(): Day | undefined {
  const { batches, events, household, picks, lotChanges } = useHousehold();
  const now = useNow(60_000);
  const today = new Date(now).toDateString();
  const asked = useMemo(() => {
    const states = statesOf(batches, events);
    const own = batchesOf(openDate(batches, states) ?? new Date(today).getTime(), batches);
    const plannedAt = own[0]?.startAt;
    if (plannedAt === undefined) return undefined;
    const question = dayQuestion(own, { household, picks, lotChanges, batches }, states);
    return { own, states, plannedAt, question, key: keyOf(question) };
  }, [batches, events, household, picks, lotChanges, today]);
  const { plan, key } = useDayPlanStore();
  useAsk(asked);
  return useMemo(() => {
    if (!asked) return undefined;
    const { own, states, plannedAt, question } = asked;
    const current = key === asked.key ? plan : undefined;
    const tasks = current?.tasks ?? [];
    const startAt = plannedAt + daysDriftMs(plannedAt, tasks, states);
    const loads = own.flatMap((batch) =>
      batch.loads.flatMap((load): DayLoad[] => {
        // What goes in with another is told there.
        if (hostOf(load, own)) return [];
        const state = states.get(load.id) as LoadState;
        const cannerId = state.cannerId ?? current?.cannerOf[load.id] ?? load.cannerId ?? batch.cannerId;
        const guests = guestsOf(load.id, own);
        return [{ ...load, batch, guests, minutes: minutesOf(batch, load, own), phase: state.phase, cannerId }];
      }),
    );
    return {
      batches: own,
      loads: numbered(loads, tasks),
      tasks,
      question,
      startAt,
      ...(current && {
        likelyAt: startAt + current.makespanMin * MINUTE_MS,
        lateAt: startAt + current.lateMin * MINUTE_MS,
      }),
    };
  }, [asked, key, plan]);
}

/** A search belongs to the question, not to the screen that asks it. */
function useAsk(asked: { key: string; question: DayQuestion } | undefined): void {
  const ask = useDayPlanStore((store) => store.ask);
  useEffect(() => {
    if (asked) ask(asked.key, asked.question);
  }, [asked, ask]);
}

/** Loads as they come into the canners: load 1 is the first of the day, whatever batch it is of. */
function numbered(loads: readonly DayLoad[], tasks: readonly ScheduledTask[]): DayLoad[] {
  const startOf = new Map(
    tasks.flatMap(({ task, startMin }) =>
      task.kind === 'load' && task.loadId ? [[task.loadId, startMin] as const] : [],
    ),
  );
  if (startOf.size === 0) return [...loads];
  return [...loads].sort((a, b) => (startOf.get(a.id) ?? 0) - (startOf.get(b.id) ?? 0));
}
