import { type HouseholdState } from '@hoddle/contract/householdState';
import { v7 as uuidV7 } from 'uuid';
import { type Household } from '@hoddle/contract/household';
import { USUAL_BURNER_WATTS } from '@hoddle/core/canner/canner';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { fetchState, moveDemoClock, send } from './api';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
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

/**
 * What a browser kept under an older version of the page: what has come since is empty until the server tells it. What
 * waits to be sent is kept as it is.
 */
function broughtUp({ server, waiting }: Kept): Kept {
  if (!server) return { server, waiting };
  const household = householdUp(server.household);
  const picks = server.picks.map((pick) => ({ ...NEW_IN_A_PICK, ...pick }));
  const mended = waiting.map(({ id, write }): WaitingWrite => {
    return { id, write: write.kind === 'household' ? { ...write, household: householdUp(write.household) } : write };
  });
  return { server: { ...EMPTY_HOUSEHOLD, ...server, household, picks }, waiting: mended };
}

/** Settings as an older page kept them, with what has come since. */
function householdUp(kept: Household): Household {
  const canners = kept.canners.map((canner: Partial<Canner> & Pick<Canner, 'declaredPints'>) => {
    return { ...NEW_IN_A_CANNER, declaredHalfPints: canner.declaredPints, ...canner } as Canner;
  });
  return { ...EMPTY_HOUSEHOLD.household, ...kept, canners };
}

type Canner = Household['canners'][number];

const NEW_IN_A_CANNER = {
  alsoBoilingWater: false,
  layers: 1,
  burnerWatts: USUAL_BURNER_WATTS,
  electric: false,
  testFits: [],
} as const;

/** What a pick did not tell before the garden was set up. */
const NEW_IN_A_PICK = { ripeness: 'ripe', source: 'garden', plantingId: null } as const;

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
      version: 4,
      migrate: (kept) => broughtUp(kept as Kept),
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
