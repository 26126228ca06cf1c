import { inZone } from '@/store/householdZone';
import { isoDay } from '@/ui/clockWords';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { useMemo } from 'react';
import { useLoads } from '@/household/kitchen/useLoad';
import { useHousehold, useNow } from '@/store/useHousehold';
import { plannedOnRibbon, type RibbonDay } from './SeasonRibbon';

/** Preserving days of this year: done, open, and planned by the season. */
export function useRibbonDays(plan: SeasonReport | undefined): RibbonDay[] {
  const { picks } = useHousehold();
  const loads = useLoads();
  const now = useNow(60_000);
  const today = isoDay(now);
  return useMemo(() => {
    const year = inZone(now).getFullYear();
    const cropOf = new Map(picks.map(({ id, crop }) => [id, crop as string]));
    const days = new Map<string, { at: number; crops: Set<string>; open: boolean }>();
    for (const { batch, state } of loads) {
      if (inZone(batch.startAt).getFullYear() !== year || batch.againOf !== undefined) continue;
      const day = isoDay(batch.startAt);
      const known = days.get(day) ?? { at: batch.startAt, crops: new Set<string>(), open: false };
      for (const { pickId } of batch.uses) known.crops.add(cropOf.get(pickId) ?? '');
      if (state.phase !== 'checked' && state.phase !== 'cooling') known.open = true;
      days.set(day, known);
    }
    const own = [...days.values()].map(({ at, crops, open }): RibbonDay => {
      return { at, crops: [...crops], kind: open ? 'open' : 'done' };
    });
    const planned = plannedOnRibbon((plan?.days ?? []).filter(({ day }) => day >= today && !days.has(day)));
    return [...own, ...planned].sort((a, b) => a.at - b.at);
  }, [picks, loads, plan, now, today]);
}
