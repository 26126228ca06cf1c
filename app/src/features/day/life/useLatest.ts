import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type LatestBegin } from '@/workers/dayLatest';
import { keyOf } from '@/household/day/dayQuestion';
import { useTold } from '@/workers/useTold';

/** How late a day can begin and still be ready when it is to be, in minutes after its beginning; undefined until it is found. */
export function useLatest(question: DayQuestion): number | undefined {
  const key = question.overByMin === undefined ? '' : keyOf(question);
  return useTold<LatestBegin>('dayLatest', question, key)[0]?.laterMin;
}
