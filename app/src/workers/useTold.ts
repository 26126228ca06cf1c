import { useEffect, useState } from 'react';
import { askedWithRecipes } from '@/store/ownRecipes';
import { startWork, type WorkName } from './startWork';

/**
 * What a worker tells of a question, in the order it is told; none until something is.
 *
 * @param key stands for the question, which is made anew at every look; an empty one asks nothing
 * @param settleMs a cook who presses a key again has not made up her mind yet
 */
export function useTold<Answer>(work: WorkName, question: unknown, key: string, settleMs = 0): readonly Answer[] {
  const [asked, setAsked] = useState({ key: '', question });
  if (asked.key !== key) setAsked({ key, question });
  const [told, setTold] = useState<{ readonly of?: typeof asked; readonly answers: readonly Answer[] }>({
    answers: [],
  });
  useEffect(() => {
    if (asked.key === '' || typeof Worker === 'undefined') return undefined;
    let worker: Worker | undefined;
    const timer = setTimeout(() => {
      worker = startWork(work);
      worker.onmessage = ({ data }: MessageEvent<Answer>) =>
        setTold((before) => ({ of: asked, answers: [...(before.of === asked ? before.answers : []), data] }));
      worker.postMessage(askedWithRecipes(asked.question));
    }, settleMs);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [asked, work, settleMs]);
  return key !== '' && told.of?.key === key ? told.answers : [];
}
