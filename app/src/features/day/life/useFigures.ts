import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type DayFigures } from '@/workers/dayCompare';
import { keyOf } from '@/household/day/dayQuestion';
import { useTold } from '@/workers/useTold';

/** What each of some days comes to; undefined until a plan of it is found, and told anew with every better one. */
export function useFigures(questions: readonly DayQuestion[]): readonly (DayFigures | undefined)[] {
  const told = useTold<DayFigures>('dayCompare', questions, questions.map(keyOf).join('\n'));
  return questions.map((_, i) => told.findLast(({ index }) => index === i));
}
