import { type Batch } from '@hoddle/core/day/batch';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { useEffect, useMemo, useState } from 'react';
import { askedWithRecipes } from '@/store/ownRecipes';
import { useHousehold } from '@/store/useHousehold';
import { type DayEnd } from '@/workers/dayEnd';
import { batchesOf, dayQuestion, keyOf, statesOf } from './dayQuestion';
import { startWork } from '@/workers/startWork';

const MINUTE_MS = 60_000;
export type DayEndsAt = number | 'none' | undefined;

/** A cook who presses a key again has not made up her mind yet. */
const SETTLE_MS = 400;

/**
 * When the day would be over with each of some drafts of a batch beside what is planned for it, epoch milliseconds; looked
 * for in a worker, undefined until it is found, "none" where no plan was.
 */
export function useDayEnds(drafts: readonly Batch[]): readonly DayEndsAt[] {
  const { batches, events, dayEvents, household, picks, lotChanges } = useHousehold();
  const questions = useMemo(() => {
    const states = statesOf(batches, events);
    return drafts.map((draft) => {
      const own = batchesOf(draft.startAt, [...batches, draft]);
      return dayQuestion(own, { household, picks, lotChanges, dayEvents, batches: [...batches, draft] }, states);
    });
  }, [drafts, batches, events, dayEvents, household, picks, lotChanges]);
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
  return questions.map(({ batches: own }, i) => {
    const end = found.of?.key === key ? found.ends.find(({ index }) => index === i) : undefined;
    const first = own[0];
    if (!end || !first) return undefined;
    return end.endMin === undefined ? 'none' : first.startAt + end.endMin * MINUTE_MS;
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
