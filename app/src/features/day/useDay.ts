import { type Batch } from '@hoddle/core/day/batch';
import { dayOf } from '@hoddle/core/day/dayOf';
import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { forwardSchedule } from '@hoddle/core/day/forwardSchedule';
import { lateFinishMin } from '@hoddle/core/day/lateFinish';
import { type LoadPhase, type LoadState } from '@hoddle/core/kitchen/loadState';
import { isSameDay } from 'date-fns';
import { useMemo } from 'react';
import { stateOf } from '@/features/kitchen/useLoad';
import { daysDriftMs } from './daysDrift';
import { useHousehold, useNow } from '@/store/useHousehold';

const MINUTE_MS = 60_000;

/** The tries behind "9 in 10 by" start from this seed, so that the same plan always says the same time. */
const SEED = 1;

export interface DayLoad {
  readonly id: string;
  readonly batch: Batch;
  readonly number: number;
  readonly jars: number;
  readonly phase: LoadPhase;
}

export interface Day {
  readonly batches: readonly Batch[];
  readonly loads: readonly DayLoad[];
  readonly tasks: readonly ScheduledTask[];
  /** Where minute 0 of the tasks is, with what the day has drifted since it began. */
  readonly startAt: number;
  readonly likelyAt: number;
  readonly lateAt: number;
}

const OUT_OF_CANNER: readonly LoadPhase[] = ['cooling', 'checked'];

/**
 * The day being run or planned next: batches that still have a load to process, and those of the same date. Once a load
 * has begun, the whole plan moves with it, so that its times stay true.
 */
export function useDay(): Day | undefined {
  const { batches, events, household } = useHousehold();
  const now = useNow(60_000);
  const today = new Date(now).toDateString();
  return useMemo(() => {
    const states = new Map<string, LoadState>();
    const loads = batches.flatMap((batch) =>
      batch.loads.map((load): DayLoad => {
        const state = stateOf(batch, load, events);
        states.set(load.id, state);
        return { ...load, batch, phase: state.phase };
      }),
    );
    const open = new Set(loads.filter(({ phase }) => !OUT_OF_CANNER.includes(phase)).map(({ batch }) => batch));
    const first = [...open].sort((a, b) => a.startAt - b.startAt)[0];
    const date = first ? first.startAt : new Date(today).getTime();
    const own = batches.filter((batch) => isSameDay(batch.startAt, date)).sort((a, b) => a.startAt - b.startAt);
    const plannedAt = own[0]?.startAt;
    if (plannedAt === undefined) return undefined;
    const { tasks, makespanMin, lateMin } = planFor(own, household.burners);
    const ownLoads = loads.filter(({ batch }) => own.includes(batch));
    const ownStates = new Map([...states].filter(([id]) => ownLoads.some((load) => load.id === id)));
    const startAt = plannedAt + daysDriftMs(plannedAt, tasks, ownStates);
    return {
      batches: own,
      loads: ownLoads,
      tasks,
      startAt,
      likelyAt: startAt + makespanMin * MINUTE_MS,
      lateAt: startAt + lateMin * MINUTE_MS,
    };
  }, [batches, events, household.burners, today]);
}

interface Plan {
  readonly tasks: readonly ScheduledTask[];
  readonly makespanMin: number;
  readonly lateMin: number;
}

let planned: { key: string; plan: Plan } | undefined;

/** The plan of these batches. Taps and news from the server leave it as it is, so the last one is kept: it takes a tenth of a second. */
function planFor(batches: readonly Batch[], burners: number): Plan {
  const key = JSON.stringify([batches, burners]);
  if (planned?.key === key) return planned.plan;
  const problem = dayOf(batches, burners);
  const { tasks, makespanMin } = forwardSchedule(problem);
  const plan = { tasks, makespanMin, lateMin: Math.max(makespanMin, lateFinishMin(problem, SEED)) };
  planned = { key, plan };
  return plan;
}
