import { comingJars } from '@hoddle/core/season/problem/comingJars';
import { goalKey } from '@hoddle/core/season/problem/seasonProblem';
import { type SpringPlan } from '@hoddle/core/season/spring/planSpring';
import { type HouseholdSpring, springOfHousehold } from '@hoddle/core/season/spring/springOfHousehold';
import { useMemo } from 'react';
import { usePantry } from '@/household/pantry/usePantry';
import { usePages } from '@/household/process/usePages';
import { useLearned } from '@/household/yields/useLearned';
import { kitchenNow } from '@/store/kitchenNow';
import { useHousehold, useNow } from '@/store/useHousehold';
import { isoDay } from '@/ui/clockWords';
import { useTold } from '@/workers/useTold';

const DAY_MS = 24 * 60 * 60_000;

/** The coming garden, worked out. */
export type Spring = SpringPlan & Pick<HouseholdSpring, 'year' | 'notGrownFor'>;

/**
 * What to set in the coming spring, worked out beside the page; undefined until it is.
 *
 * @param kept goals nobody eats of that are grown for all the same, by `goalKey`
 */
export function useSpring(kept: readonly string[]): Spring | undefined {
  const known = useHousehold();
  const { stocked } = usePantry();
  const pages = usePages();
  const learned = useLearned();
  const today = Math.floor(useNow(60_000) / DAY_MS) * DAY_MS;
  const { problem, year, notGrownFor } = useMemo(() => {
    const { household, picks, lotChanges, plantings, gardenLooks, batches, goals, use } = known;
    const kitchen = kitchenNow(known);
    const own = {
      ...{ kitchen, picks, lotChanges, plantings, batches, stocked, goals, pages, learned, use },
      ...{ altitudeFt: household.altitudeFt, looks: gardenLooks, coming: coming(known, today), kept: new Set(kept) },
    };
    return springOfHousehold(own, today);
  }, [known, stocked, pages, learned, today, kept]);
  const key = useMemo(() => JSON.stringify(problem), [problem]);
  const [plan] = useTold<SpringPlan>('spring', problem, key);
  return plan && { ...plan, year, notGrownFor };
}

type Known = ReturnType<typeof useHousehold>;

/** Jars of this year that do not stand on the shelf yet: of batches that are planned, and of the season's days to come. */
function coming({ batches, lots, season }: Known, now: number): ReadonlyMap<string, number> {
  const storedLoads = new Set(lots.flatMap(({ loadId }) => loadId ?? []));
  const jars = new Map(comingJars({ batches, storedLoads }, now));
  // A day that was opened is batches already.
  const opened = new Set(batches.map(({ startAt }) => isoDay(startAt)));
  const days = (season.plan?.days ?? []).filter(({ day }) => day >= isoDay(now) && !opened.has(day));
  for (const batch of days.flatMap((day) => day.batches)) {
    jars.set(goalKey(batch), (jars.get(goalKey(batch)) ?? 0) + batch.jars);
  }
  return jars;
}
