import { type HouseholdState } from '@hoddle/contract/householdState';
import { v7 as uuidV7 } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { fetchState, moveDemoClock, send } from './api';
import { applyWrite, type Write } from './write';

export interface WaitingWrite {
  readonly id: string;
  readonly write: Write;
}

interface HouseholdStore {
  /** As the server last told it. */
  server: HouseholdState | undefined;
  /** Entered here and not kept by the server yet, in order. */
  waiting: readonly WaitingWrite[];
  /** The server's state with what waits laid over it: what every screen shows. */
  state: HouseholdState | undefined;
  /** What the server did not take, and why. */
  refused: { write: Write; message: string } | undefined;
  noSignalSince: number | undefined;
  enter: (write: Write) => void;
  /** Sends what waits, then asks for the newest state. */
  sync: () => Promise<void>;
  moveDemoClockTo: (offsetMs: number) => Promise<void>;
  forgetRefused: () => void;
}

const RETRY_MS = 3_000;

type Kept = Pick<HouseholdStore, 'server' | 'waiting'>;

/** What a browser kept before the household had its own part of the handbook. What waits to be sent is kept as it is. */
function withHandbook({ server, waiting }: Kept): Kept {
  if (!server) return { server, waiting };
  const household = { ...server.household, units: server.household.units ?? 'us' };
  return {
    server: { ...server, household, checkedRows: server.checkedRows ?? [], sources: server.sources ?? [] },
    waiting,
  };
}

function laidOver(server: HouseholdState | undefined, waiting: readonly WaitingWrite[]): HouseholdState | undefined {
  return server && waiting.reduce((state, { write }) => applyWrite(state, write), server);
}

/** The household in this browser: kept over a reload, sent when there is signal, each thing once. */
export const useHouseholdStore = create<HouseholdStore>()(
  persist(
    (set, get) => ({
      server: undefined,
      waiting: [],
      state: undefined,
      refused: undefined,
      noSignalSince: undefined,
      enter: (write) => {
        const waiting = [...get().waiting, { id: uuidV7(), write }];
        set({ waiting, state: laidOver(get().server, waiting) });
        void get().sync();
      },
      sync: () => syncOnce(get, set),
      moveDemoClockTo: async (offsetMs) => {
        if (await moveDemoClock(offsetMs)) await get().sync();
      },
      forgetRefused: () => set({ refused: undefined }),
    }),
    {
      name: 'hoddle',
      version: 2,
      migrate: (kept) => withHandbook(kept as Kept),
      storage: createJSONStorage(() => localStorage),
      partialize: ({ server, waiting }) => ({ server, waiting }),
      onRehydrateStorage: () => (store) => {
        if (store) useHouseholdStore.setState({ state: laidOver(store.server, store.waiting) });
      },
    },
  ),
);

type Get = () => HouseholdStore;
type Set = (part: Partial<HouseholdStore>) => void;

let running: Promise<void> | undefined;
let retry: ReturnType<typeof setTimeout> | undefined;

/** One run at a time: a second call waits for the first and runs again, so that nothing entered meanwhile is left. */
async function syncOnce(get: Get, set: Set): Promise<void> {
  if (running) {
    await running;
    return get().waiting.length > 0 && !get().noSignalSince ? syncOnce(get, set) : undefined;
  }
  running = run(get, set).finally(() => (running = undefined));
  await running;
}

async function run(get: Get, set: Set): Promise<void> {
  clearTimeout(retry);
  for (let first = get().waiting[0]; first; first = get().waiting[0]) {
    const { id, write } = first;
    const result = await send(write);
    if (result.kind === 'noSignal') return lostSignal(get, set);
    const waiting = get().waiting.filter((other) => other.id !== id);
    const known = get().server;
    const server = known && result.kind === 'kept' ? applyWrite(known, write) : known;
    const refused = result.kind === 'refused' ? { write, message: result.message } : get().refused;
    set({ server, waiting, refused, state: laidOver(server, waiting) });
  }
  const server = await fetchState();
  if (!server) return lostSignal(get, set);
  set({ server, noSignalSince: undefined, state: laidOver(server, get().waiting) });
}

function lostSignal(get: Get, set: Set): void {
  if (get().noSignalSince === undefined) set({ noSignalSince: Date.now() });
  retry = setTimeout(() => void get().sync(), RETRY_MS);
}
