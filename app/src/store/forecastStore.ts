import { type Forecast, type ForecastQuestion } from '@hoddle/core/pantry/forecast';
import { create } from 'zustand';
import { askedWithRecipes } from './ownRecipes';
import { startWork } from '@/workers/startWork';

/** A row of taps asks once, when the hand rests. */
const REST_MS = 250;

interface ForecastStore {
  /** What was asked last. */
  key: string | undefined;
  forecasts: readonly Forecast[];
  /** Works it out in a worker: simulating every product takes longer than a tap may. */
  ask: (key: string, question: ForecastQuestion) => void;
}

let timer: ReturnType<typeof setTimeout> | undefined;
let worker: Worker | undefined;

/** When each product runs out, as it was last worked out; the one before stands until the next is there. */
export const useForecastStore = create<ForecastStore>()((set, get) => ({
  key: undefined,
  forecasts: [],
  ask: (key, question) => {
    if (get().key === key || typeof Worker === 'undefined') return;
    set({ key });
    clearTimeout(timer);
    timer = setTimeout(() => {
      worker ??= startWork('forecast');
      worker.onmessage = ({ data }: MessageEvent<Forecast[]>) => set({ forecasts: data });
      worker.postMessage(askedWithRecipes(question));
    }, REST_MS);
  },
}));
