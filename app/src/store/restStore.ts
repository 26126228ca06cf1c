import { type RestQuestion, type RestSolved } from '@hoddle/core/kitchen/solveRest';
import { create } from 'zustand';
import { askedWithRecipes } from './ownRecipes';
import { startWork } from '@/workers/startWork';

/** No answer in so long: the worker is gone. */
const PATIENCE_MS = 10_000;

/** Solves the rest of a day in a worker: the page goes on. @returns undefined where it was cut off */
export function solveInWorker(question: RestQuestion): Promise<RestSolved | undefined> {
  if (typeof Worker === 'undefined') return Promise.resolve(undefined);
  return new Promise((resolve) => {
    const worker = startWork('rest');
    const end = (solved?: RestSolved) => {
      worker.terminate();
      clearTimeout(timer);
      resolve(solved);
    };
    const timer = setTimeout(end, PATIENCE_MS);
    worker.onerror = () => end();
    worker.onmessage = ({ data }: MessageEvent<RestSolved>) => end(data);
    worker.postMessage(askedWithRecipes(question));
  });
}

interface RestStore {
  dayId: string | undefined;
  /** The question that is answered, or being solved. */
  key: string | undefined;
  solved: RestSolved | undefined;
  lateMin: number | undefined;
  /** Looks again at the rest of the day, unless this very question was looked at. */
  ask: (dayId: string, key: string, question: RestQuestion) => void;
}

/** The rest of the running day as it was last solved again. */
export const useRestStore = create<RestStore>()((set, get) => ({
  dayId: undefined,
  key: undefined,
  solved: undefined,
  lateMin: undefined,
  ask: (dayId, key, question) => {
    if (get().key === key) return;
    const stays = get().dayId === dayId ? {} : { lateMin: undefined };
    set({ dayId, key, solved: undefined, ...stays });
    void solveInWorker(question).then((solved) => {
      if (get().key !== key) return;
      set({ solved, ...(solved?.lateMin !== undefined && { lateMin: solved.lateMin }) });
    });
  },
}));
