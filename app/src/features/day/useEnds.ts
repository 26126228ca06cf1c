import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { useEffect, useState } from 'react';
import { askedWithRecipes } from '@/store/ownRecipes';
import { type DayEnd } from '@/workers/dayEnd';
import { startWork } from '@/workers/startWork';
import { keyOf } from './dayQuestion';

/** A cook who presses a key again has not made up her mind yet. */
const SETTLE_MS = 400;

/**
 * When each of some days would be over, in minutes of its plan; looked for in a worker, undefined until it is found, "none" where no
 * plan was.
 */
export function useEnds(questions: readonly DayQuestion[]): readonly (number | 'none' | undefined)[] {
  const key = questions.map(keyOf).join('\n');
  // The key stands for the questions: they are made anew at every look.
  const [asked, setAsked] = useState({ key: '', questions });
  if (asked.key !== key) setAsked({ key, questions });
  const [found, setFound] = useState<{ of?: typeof asked; ends: readonly DayEnd[] }>({ ends: [] });
  useEffect(() => {
    if (asked.key === '' || typeof Worker === 'undefined') return undefined;
    return askSoon(asked.questions, (end) =>
      setFound((before) => ({ of: asked, ends: [...(before.of === asked ? before.ends : []), end] })),
    );
  }, [asked]);
  return questions.map((_, i) => {
    const end = found.of?.key === key ? found.ends.find(({ index }) => index === i) : undefined;
    return end && (end.endMin ?? 'none');
  });
}

/** @returns what ends it */
function askSoon(questions: readonly DayQuestion[], tell: (end: DayEnd) => void): () => void {
  let worker: Worker | undefined;
  const timer = setTimeout(() => {
    worker = startWork('dayEnds');
    worker.onmessage = ({ data }: MessageEvent<DayEnd>) => tell(data);
    worker.postMessage(askedWithRecipes(questions));
  }, SETTLE_MS);
  return () => {
    clearTimeout(timer);
    worker?.terminate();
  };
}
