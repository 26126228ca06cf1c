import { type Batch } from '@hoddle/core/day/batch';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow } from '@/store/useHousehold';

const MINUTE_MS = 60_000;

/** Plans jars that did not seal as a load of their own: contents heated again, new lids, the full tested time. Handbook rule 9. */
export function useReprocess(): (batch: Batch, jars: number) => void {
  const enter = useHouseholdStore((store) => store.enter);
  return ({ gives: _, from: __, ...batch }, jars) => {
    const startAt = Math.ceil(householdNow() / MINUTE_MS) * MINUTE_MS;
    const loads = [{ id: uuidV7(), number: 1, jars }];
    void enter({ kind: 'batch', batch: { ...batch, id: uuidV7(), againOf: batch.id, startAt, uses: [], loads } });
  };
}
