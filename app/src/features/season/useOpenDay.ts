import { nextQuarter } from '@hoddle/core/day/batchOf';
import { batchesToEnter, type OpenedBatch, openedBatches } from '@hoddle/core/season/report/openedBatches';
import { type ReportedDay } from '@hoddle/core/season/report/seasonReport';
import { v7 as uuidV7 } from 'uuid';
import { useLots } from '@/household/harvest/useOnHand';
import { usePages } from '@/household/process/usePages';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';

/** Makes a planned day the day in hand: its batches, from the lots that are there. */
export function useOpenDay(day: ReportedDay | undefined): {
  readonly batches: readonly OpenedBatch[];
  open(): void;
} {
  const { household } = useHousehold();
  const lots = useLots();
  const pages = usePages();
  const enter = useHouseholdStore((store) => store.enter);
  const opened = (startAt: number) => (day ? openedBatches(day, lots, household, pages, startAt, () => uuidV7()) : []);
  return {
    batches: opened(day?.at ?? 0),
    open: () => {
      const startAt = Math.max(day?.at ?? 0, nextQuarter(householdNow()));
      for (const batch of batchesToEnter(opened(startAt))) void enter({ kind: 'batch', batch });
    },
  };
}
