import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { useEffect, useState } from 'react';
import { askedWithRecipes } from '@/store/ownRecipes';
import { type LatestBegin } from '@/workers/dayLatest';
import { startWork } from '@/workers/startWork';
import { keyOf } from '../dayQuestion';

/** How late a day can begin and still be ready when it is to be, in minutes after its beginning; undefined until it is found. */
export function useLatest(question: DayQuestion): number | undefined {
  const key = question.overByMin === undefined ? '' : keyOf(question);
  // The key stands for the question: it is made anew at every look.
  const [asked, setAsked] = useState({ key: '', question });
  if (asked.key !== key) setAsked({ key, question });
  const [found, setFound] = useState<{ readonly key: string; readonly laterMin?: number }>({ key: '' });
  useEffect(() => {
    if (asked.key === '' || typeof Worker === 'undefined') return undefined;
    const worker = startWork('dayLatest');
    worker.onmessage = ({ data }: MessageEvent<LatestBegin>) => setFound({ key: asked.key, laterMin: data.laterMin });
    worker.postMessage(askedWithRecipes(asked.question));
    return () => worker.terminate();
  }, [asked]);
  return key !== '' && found.key === key ? found.laterMin : undefined;
}
