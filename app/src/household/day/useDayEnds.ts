import { type Batch } from '@hoddle/core/day/batch';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';
import { batchesOf, dayQuestion } from './dayQuestion';
import { isoDay } from '@/ui/clockWords';
import { useEnds } from './useEnds';

const MINUTE_MS = 60_000;
export type DayEndsAt = number | 'none' | undefined;

/**
 * When the day would be over with each of some drafts of a batch, new or as it is changed, beside what is planned for it, epoch milliseconds; undefined until it
 * is found, "none" where no plan was.
 */
export function useDayEnds(drafts: readonly Batch[]): readonly DayEndsAt[] {
  const known = useHousehold();
  const questions = useMemo(
    () =>
      drafts.map((draft) => {
        const others = known.batches.filter(({ id }) => id !== draft.id);
        return dayQuestion(batchesOf(isoDay(draft.startAt), [...others, draft], known), known);
      }),
    [drafts, known],
  );
  const ends = useEnds(questions);
  return questions.map(({ batches: own }, i) => {
    const [end, first] = [ends[i], own[0]];
    if (end === undefined || !first) return undefined;
    return end === 'none' ? 'none' : first.startAt + end * MINUTE_MS;
  });
}
