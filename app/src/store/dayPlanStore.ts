import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type DayBound, withBound } from '@hoddle/core/day/withBound';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { askedWithRecipes } from './ownRecipes';
import { type DayAnswer, type PlannedDay } from '@/workers/dayPlanAnswer';
import { startWork } from '@/workers/startWork';

/** No word from the worker for so long: it is gone. It speaks four times a second, on a slow device less often. */
const SILENT_MS = 12_000;

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
/** One whose search is over: it knows the handbook, and answers the next question far sooner than a new one. */
let spare: Worker | undefined;
/** Beside it, where the device has a second core: it raises the bound, so that a plan is known for the best sooner. */
let boundWorker: Worker | undefined;
let boundLater: ReturnType<typeof setTimeout> | undefined;
/** Most days are proven before that: a second core is not woken for them. */
const BOUND_AFTER_MS = 3_000;
let bound: DayBound | undefined;
let watch: ReturnType<typeof setTimeout> | undefined;

function dismiss(): void {
  for (const each of [worker, boundWorker]) each?.terminate();
  worker = undefined;
  boundWorker = undefined;
  bound = undefined;
  clearTimeout(watch);
  clearTimeout(boundLater);
}

/** Soon a plan will be asked for: a worker gets the handbook ready meanwhile. */
export function getReady(): void {
  if (typeof Worker !== 'undefined' && !worker && !spare) keep(startWork('dayPlan'));
}

/** It waits for the next question, unless it breaks meanwhile or never came: then another is started. */
function keep(own: Worker): void {
  spare = own;
  own.onerror = () => {
    if (spare === own) spare = undefined;
  };
}

/** Its search is over. */
function setAside(own: Worker): void {
  worker = undefined;
  keep(own);
  dismiss();
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
      version: 3,
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
  const own = spare ?? startWork('dayPlan');
  spare = undefined;
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
      setAside(own);
      set({ status: 'refused', refusal: data, plan: undefined });
      return;
    }
    const { ends, plan: before } = get();
    const { makespanMin } = data.plan;
    // A search begun anew after a reload first finds again what is known already.
    const found = before && before.makespanMin < makespanMin && !data.over ? before : data.plan;
    const plan = bound ? withBound(found, bound) : found;
    set({ plan, ends: ends.at(-1) === makespanMin ? ends : [...ends, makespanMin] });
    if (!data.over && !plan.proven) return;
    if (data.over) setAside(own);
    else dismiss();
    set({ status: 'over' });
  };
  listen();
  own.postMessage(askedWithRecipes(question));
  if ((navigator.hardwareConcurrency ?? 1) < 2) return;
  boundLater = setTimeout(() => raiseBound(question, set, get), BOUND_AFTER_MS);
}

function raiseBound(question: DayQuestion, set: (part: Partial<DayPlanStore>) => void, get: () => DayPlanStore): void {
  const own = startWork('dayBound');
  boundWorker = own;
  own.onmessage = ({ data }: MessageEvent<DayBound>) => {
    if (boundWorker !== own) return;
    bound = data;
    const { plan } = get();
    if (!plan) return;
    const raised = withBound(plan, data);
    if (raised === plan) return;
    set({ plan: raised, ...(raised.proven && { status: 'over' }) });
    if (raised.proven) dismiss();
  };
  own.postMessage(askedWithRecipes(question));
}
