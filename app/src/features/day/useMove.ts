import { type Batch } from '@hoddle/core/day/batch';
import { type DayWish } from '@hoddle/core/day/dayWish';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow } from '@/store/useHousehold';
import { isoDay } from '@/ui/clockWords';
import { type Day } from './useDay';

/**
 * Puts batches off, or forward, so that the first of them begins at a moment; the others as long after it as before. How they are
 * processed, and in which canner, goes with them; what else is wished of a day where all of its batches go.
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
    if (!day || isoDay(to) === day.id) return;
    const isWhole = day.batches.every(({ id }) => batches.some((batch) => batch.id === id));
    for (const wish of day.state.wishes) {
      if (isAbout(wish, batches) || (isWhole && wish.kind !== 'not-before'))
        tell(isoDay(to), { type: 'wish-made', wish });
    }
  };
}

/** Whether a wish says where the jars of these batches go, whatever the day. */
function isAbout(wish: DayWish, batches: readonly Batch[]): boolean {
  if (wish.kind === 'way') return batches.some(({ id }) => id === wish.batchId);
  return wish.kind === 'canner' && batches.some(({ loads }) => loads.some(({ id }) => id === wish.loadId));
}
