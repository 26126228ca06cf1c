import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { useEffect, useState } from 'react';
import { askedWithRecipes } from '@/store/ownRecipes';
import { type DayFigures } from '@/workers/dayCompare';
import { startWork } from '@/workers/startWork';
import { keyOf } from '../dayQuestion';

/** What each of some days comes to; undefined until a plan of it is found, and told anew with every better one. */
export function useFigures(questions: readonly DayQuestion[]): readonly (DayFigures | undefined)[] {
  const key = questions.map(keyOf).join('\n');
  // The key stands for the questions: they are made anew at every look.
  const [asked, setAsked] = useState({ key: '', questions });
  if (asked.key !== key) setAsked({ key, questions });
  const [found, setFound] = useState<{ of?: typeof asked; told: ReadonlyMap<number, DayFigures> }>({ told: new Map() });
  useEffect(() => {
    if (asked.key === '' || typeof Worker === 'undefined') return undefined;
    const worker = startWork('dayCompare');
    worker.onmessage = ({ data }: MessageEvent<DayFigures>) =>
      setFound((before) => ({
        of: asked,
        told: new Map([...(before.of === asked ? before.told : []), [data.index, data] as const]),
      }));
    worker.postMessage(askedWithRecipes(asked.questions));
    return () => worker.terminate();
  }, [asked]);
  return questions.map((_, i) => (found.of?.key === key ? found.told.get(i) : undefined));
}
