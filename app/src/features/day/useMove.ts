import { type Batch } from '@hoddle/core/day/batch';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow } from '@/store/useHousehold';
import { isoDay } from '@/ui/clockWords';
import { type Day } from './useDay';

/**
 * Puts batches off, or forward, so that the first of them begins at a moment; the others as long after it as before. What is wished of
 * a day, and of its loads, goes with them where all of its batches go.
 */
export function useMove(day: Day | undefined): (batches: readonly Batch[], at: number) => void {
  const enter = useHouseholdStore((store) => store.enter);
  return (batches, to) => {
    const at = householdNow();
    const first = Math.min(...batches.map(({ startAt }) => startAt));
    const tell = (of: string, told: object) =>
      enter({ kind: 'day-event', event: { id: uuidV7(), day: of, at, ...told } as DayEvent });
    for (const { id, startAt } of batches) {
      tell(isoDay(startAt), { type: 'batch-moved', batchId: id, startAt: startAt + to - first });
    }
    const isWhole = day?.batches.every(({ id }) => batches.some((batch) => batch.id === id));
    if (!day || !isWhole || isoDay(to) === day.id) return;
    for (const wish of day.state.wishes) {
      if (wish.kind !== 'not-before') tell(isoDay(to), { type: 'wish-made', wish });
    }
  };
}
