import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type DayEnd } from '@/workers/dayEnd';
import { keyOf } from './dayQuestion';
import { useTold } from '@/workers/useTold';

const SETTLE_MS = 400;

/**
 * When each of some days would be over, in minutes of its plan; looked for in a worker, undefined until it is found, "none" where no
 * plan was.
 */
export function useEnds(questions: readonly DayQuestion[]): readonly (number | 'none' | undefined)[] {
  const told = useTold<DayEnd>('dayEnds', questions, questions.map(keyOf).join('\n'), SETTLE_MS);
  return questions.map((_, i) => {
    const end = told.find(({ index }) => index === i);
    return end && (end.endMin ?? 'none');
  });
}
