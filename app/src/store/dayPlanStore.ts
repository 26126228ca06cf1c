import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { askedWithRecipes } from './ownRecipes';
import { type DayAnswer, type PlannedDay } from '@/workers/dayPlanAnswer';
import { startWork } from '@/workers/startWork';

/** No word from the worker for so long: it is gone. It speaks four times a second. */
const SILENT_MS = 6_000;

export type SearchStatus = 'searching' | 'over' | 'stopped' | 'cutOff' | 'refused';

interface DayPlanStore {
  /** What the plan answers; another question is searched anew. */
  key: string | undefined;
  plan: PlannedDay | undefined;
  status: SearchStatus;
  refusal: Extract<DayAnswer, { kind: 'refused' }> | undefined;
  /** Ends of the plans so far in this search, the first one first. */
  ends: readonly number[];
  /** Searches in a worker, unless this very question is answered or being searched already. */
  ask: (key: string, question: DayQuestion) => void;
  /** Takes the best plan so far. */
  stop: () => void;
}

let worker: Worker | undefined;
let watch: ReturnType<typeof setTimeout> | undefined;

function dismiss(): void {
  worker?.terminate();
  worker = undefined;
  clearTimeout(watch);
}

/** The plan of the day in this browser: searched once, kept over a reload. */
export const useDayPlanStore = create<DayPlanStore>()(
  persist(
    (set, get) => ({
      key: undefined,
      plan: undefined,
      status: 'over',
      refusal: undefined,
      ends: [],
      ask: (key, question) => {
        const { key: known, status, plan, refusal } = get();
        // Why a day cannot be done is not kept over a reload: it is asked anew.
        const answered = worker ?? refusal ?? (status === 'searching' ? undefined : plan);
        if (known === key && answered) return;
        dismiss();
        set({ key, status: 'searching', refusal: undefined, ends: [], ...(known !== key && { plan: undefined }) });
        search(question, set, get);
      },
      stop: () => {
        if (get().status !== 'searching') return;
        dismiss();
        set({ status: 'stopped' });
      },
    }),
    {
      name: 'hoddle-day-plan',
      version: 2,
      // A plan of an older page is searched anew.
      migrate: () => ({}),
      storage: createJSONStorage(() => localStorage),
      partialize: ({ key, plan, status }) => ({ key, plan, status }),
    },
  ),
);

function search(question: DayQuestion, set: (part: Partial<DayPlanStore>) => void, get: () => DayPlanStore): void {
  // A browser without workers keeps what it has and says so.
  if (typeof Worker === 'undefined') return set({ status: 'cutOff' });
  const own = startWork('dayPlan');
  worker = own;
  const cutOff = () => {
    if (worker !== own) return;
    dismiss();
    set({ status: 'cutOff' });
  };
  const listen = () => {
    clearTimeout(watch);
    watch = setTimeout(cutOff, SILENT_MS);
  };
  own.onerror = cutOff;
  own.onmessage = ({ data }: MessageEvent<DayAnswer>) => {
    if (worker !== own) return;
    listen();
    if (data.kind === 'beat') return;
    if (data.kind === 'refused') {
      dismiss();
      set({ status: 'refused', refusal: data, plan: undefined });
      return;
    }
    const { ends, plan: before } = get();
    const { makespanMin } = data.plan;
    // A search begun anew after a reload first finds again what is known already.
    const plan = before && before.makespanMin < makespanMin && !data.over ? before : data.plan;
    set({ plan, ends: ends.at(-1) === makespanMin ? ends : [...ends, makespanMin] });
    if (!data.over) return;
    dismiss();
    set({ status: 'over' });
  };
  listen();
  own.postMessage(askedWithRecipes(question));
}
