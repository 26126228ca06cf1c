import { type SeasonPin } from '@hoddle/core/season/problem/seasonProblem';
import { isoDay } from '@/ui/clockWords';
import { planChanges, type PlanChange } from '@hoddle/core/season/report/planChanges';
import { type ReportedBatch, type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { useEffect, useMemo } from 'react';
import { useHouseholdStore } from '@/store/householdStore';
import { OWN_PLAN, type Planning, useSeasonStore } from '@/store/seasonStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';

const MINUTE_MS = 60_000;
/** A plan is looked at anew after so long, and as soon as something came in. */
const OLD_MS = 3 * 24 * 60 * MINUTE_MS;
const WEEKS = 26;
/** By itself it plans for so long; asked for, a little longer. */
const QUIET_SECONDS = 12;
const ASKED_SECONDS = 20;

export interface Season {
  readonly plan: SeasonReport | undefined;
  readonly pins: readonly SeasonPin[];
  readonly planning: Planning | undefined;
  /** What the newest planning would change; undefined where there is none or it is the plan already. */
  readonly changes: readonly PlanChange[] | undefined;
  planNow(cautious?: boolean): void;
  take(report: SeasonReport): void;
  /** Keeps to the plan there is: it has been looked at anew. */
  leave(): void;
  pin(day: string, batch: ReportedBatch, pinned: boolean): void;
}

/** The household's season: its plan, what is pinned in it, and a planning under way. */
export function useSeason(): Season {
  const { season } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const today = isoDay(useNow(MINUTE_MS));
  const plan = (season.plan ?? undefined) as SeasonReport | undefined;
  const { pins } = season;
  const planning = useSeasonStore((store) => store.plannings[OWN_PLAN]);
  const { plan: ask, forget } = useSeasonStore.getState();
  const report = planning?.state === 'done' ? planning.report : undefined;
  const changes = useMemo(() => plan && report && planChanges(plan, report, today), [plan, report, today]);
  const take = (taken: SeasonReport) => {
    void enter({ kind: 'season-plan', plan: taken, pins });
    forget(OWN_PLAN);
  };
  return {
    plan,
    pins,
    planning,
    changes,
    leave: () => {
      if (plan) void enter({ kind: 'season-plan', plan: { ...plan, at: householdNow() }, pins });
      forget(OWN_PLAN);
    },
    planNow: (cautious = false) => void ask({ weeks: WEEKS, seconds: ASKED_SECONDS, cautious }),
    take,
    pin: (day, { recipe, jars }, pinned) => {
      const others = pins.filter((each) => each.day !== day || each.recipe !== recipe);
      void enter({
        kind: 'season-plan',
        plan: plan ?? null,
        pins: pinned ? [...others, { day, recipe, jars }] : others,
      });
    },
  };
}

/**
 * Plans by itself when there is no plan, or an old one, or something came in since: this week is ready without asking. The
 * first plan is kept at once; a later one only when somebody takes it, unless it changes nothing.
 */
export function usePlanBySelf({ plan, planning, changes, take }: Season): void {
  const { picks, lotChanges, goals, batches } = useHousehold();
  const now = useNow(MINUTE_MS);
  const newest = Math.max(0, ...picks.map(({ pickedAt }) => pickedAt), ...lotChanges.map(({ at }) => at));
  const isOld = !plan || now - plan.at > OLD_MS || newest > plan.at;
  const canPlan = goals.some(({ jars }) => (jars ?? 0) > 0);
  const wanted = canPlan && isOld && planning === undefined;
  // Something else came in: what was looked at once is asked again.
  const key = `${newest} ${batches.length}`;
  useEffect(() => {
    if (wanted) void useSeasonStore.getState().plan({ weeks: WEEKS, seconds: QUIET_SECONDS, cautious: false });
  }, [wanted, key]);
  const report = planning?.state === 'done' ? planning.report : undefined;
  const takesItself = report !== undefined && (!plan || changes?.length === 0);
  useEffect(() => {
    if (takesItself && report) take(report);
    // `take` is made anew on every look.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [takesItself, report]);
}
