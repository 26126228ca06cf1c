import { type PickUse } from '@hoddle/core/harvest/pick';
import { keptCold } from '@hoddle/core/kitchen/keptCold';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdAsEntered, householdNow } from '@/store/useHousehold';

/** Puts what stayed over at a gate into the refrigerator, once the day was told that it did. */
export function useKeepCold(): (left: readonly PickUse[]) => void {
  const enter = useHouseholdStore((store) => store.enter);
  return (left) => {
    const known = householdAsEntered();
    if (!known || left.length === 0) return;
    for (const change of keptCold(left, known.picks, known.batches, known.lotChanges)) {
      void enter({ kind: 'lot-change', change: { ...change, id: uuidV7(), at: householdNow() } });
    }
  };
}
