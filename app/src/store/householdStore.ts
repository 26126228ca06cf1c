import { type HouseholdState } from '@hoddle/contract/householdState';
import { v7 as uuidV7 } from 'uuid';
import { type Household } from '@hoddle/contract/household';
import { USUAL_BURNER_WATTS } from '@hoddle/core/canner/canner';
import isSame from 'fast-deep-equal';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { type StateChange, withChange } from '@hoddle/contract/stateChange';
import { fetchState, moveDemoClock, send, type StateTag } from './api';
import { NOTHING_MORE } from '@hoddle/core/yields/batchRecord';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
import { steadyAhead } from './householdClock';
import { keepState, readKept } from './keptState';
import { applyWrite, type Write } from './write';

export interface WaitingWrite {
  readonly id: string;
  readonly write: Write;
}

interface HouseholdStore {
  /** As the server last told it. */
  server: HouseholdState | undefined;
  /** Which of its states that is; unknown after a reload. */
  tag: StateTag | undefined;
  /** Entered here and not kept by the server yet, in order. */
  waiting: readonly WaitingWrite[];
  /** Kept by the server, and not yet in what this browser knows of the household: laid over that when it is opened again. */
  settled: readonly WaitingWrite[];
  /** The server's state with what waits laid over it: what every screen shows. */
  state: HouseholdState | undefined;
  /** What the server did not take, and why. */
  refused: { write: Write; message: string } | undefined;
  noSignalSince: number | undefined;
  /** Why the server keeps nothing, where it is there and said so. */
  trouble: string | undefined;
  /** Something in the household's file is damaged or gone: Files says what. */
  isDamaged: boolean;
  /** How far the household's time is ahead of this device's clock: measured against the server, kept for when it is away. */
  aheadMs: number | undefined;
  /** The device's clock was set while the page was looked at: the household's time goes on as if it had not been. */
  clockJumped: (byMs: number) => void;
  enter: (write: Write) => void;
  /** Takes a change that the server told by itself. */
  hear: (change: StateChange) => void;
  /** Sends what waits, then asks for the newest state. */
  sync: () => Promise<void>;
  moveDemoClockTo: (offsetMs: number) => Promise<void>;
  forgetRefused: () => void;
}

const RETRY_MS = 3_000;

/** After something of this screen's own was sent, so long until the household is asked for anew. */
const REST_MS = 700;

type Kept = Pick<HouseholdStore, 'server' | 'waiting'> & Partial<Pick<HouseholdStore, 'aheadMs'>>;

/**
 * What a browser kept under an older version of the page: what has come since is empty until the server tells it. What
 * waits to be sent is kept as it is.
 */
function broughtUp({ server, waiting }: Kept): Kept {
  if (!server) return { server, waiting };
  const household = householdUp(server.household);
  const picks = server.picks.map((pick) => ({ ...NEW_IN_A_PICK, ...pick }));
  const batchRecords = (server.batchRecords ?? []).map((record) => ({ ...NOTHING_MORE, ...record }));
  const mended = waiting.map(({ id, write }): WaitingWrite => {
    if (write.kind === 'household') return { id, write: { ...write, household: householdUp(write.household) } };
    if (write.kind !== 'batch-record') return { id, write };
    return { id, write: { ...write, record: { ...NOTHING_MORE, ...write.record } } };
  });
  const lots = server.lots.map((lot) => ({ ...newInALot(lot.place), ...lot }));
  // Until there was a season, all that was wanted mattered alike.
  const goals = (server.goals ?? []).map((goal) => ({ ...{ priority: 'want' as const }, ...goal }));
  const brought = { ...EMPTY_HOUSEHOLD, ...server, household, picks, batchRecords, lots, goals } as HouseholdState;
  return { server: brought, waiting: mended };
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
  timesItself: false,
  lidLocks: false,
  testFits: [],
} as const;

/** Until there were places, only jars that did not seal came to the refrigerator. */
function newInALot(place: string) {
  return { seal: place === 'refrigerator' ? 'unsealed' : 'sealed', jarsBefore: 0 } as const;
}

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
      tag: undefined,
      waiting: [],
      settled: [],
      state: undefined,
      refused: undefined,
      noSignalSince: undefined,
      trouble: undefined,
      isDamaged: false,
      aheadMs: undefined,
      clockJumped: (byMs) => {
        set({ aheadMs: (get().aheadMs ?? 0) - byMs });
        void get().sync();
      },
      enter: (write) => {
        const waiting = [...get().waiting, { id: uuidV7(), write }];
        set({ waiting, state: laidOver(get().server, waiting) });
        void get().sync();
      },
      hear: (change) => hear(change, get, set),
      sync: () => syncOnce(get, set),
      moveDemoClockTo: async (offsetMs) => {
        if (await moveDemoClock(offsetMs)) await get().sync();
      },
      forgetRefused: () => set({ refused: undefined }),
    }),
    {
      name: 'hoddle',
      version: 7,
      migrate: (kept) => broughtUp(kept as Kept),
      storage: createJSONStorage(() => localStorage),
      // The household itself is too large for this: keptState has it.
      partialize: ({ waiting, settled, aheadMs }) => ({ waiting, settled, aheadMs }),
      onRehydrateStorage: () => (store) => {
        // Once the store is there: what was kept can be read before it is.
        if (store) void Promise.resolve().then(() => recall(store));
      },
    },
  ),
);

/** Shows what this browser knew of the household, until the server tells. */
async function recall({ server, waiting }: Pick<HouseholdStore, 'server' | 'waiting'>): Promise<void> {
  // A page of an older version kept it beside what waits.
  if (server) keepServer(server);
  const { settled } = useHouseholdStore.getState();
  // It may have been kept by a page that did not know of a part of it.
  const kept = server ? undefined : await readKept();
  const known = server ?? laidOver(kept && broughtUp({ server: kept, waiting: [] }).server, settled);
  const now = useHouseholdStore.getState();
  if (!known || (now.server && now.server !== server)) return;
  useHouseholdStore.setState({ server: known, state: laidOver(known, server ? waiting : now.waiting) });
}

/** Keeps what the server told; what was settled until then is in it. */
function keepServer(server: HouseholdState): void {
  const known = new Set(useHouseholdStore.getState().settled.map(({ id }) => id));
  keepState(server, () => {
    const { settled } = useHouseholdStore.getState();
    if (known.size > 0) useHouseholdStore.setState({ settled: settled.filter(({ id }) => !known.has(id)) });
  });
}

type Get = () => HouseholdStore;
type Set = (part: Partial<HouseholdStore>) => void;

let running: Promise<void> | undefined;
/** Something has changed since the run that is under way has asked. */
let stale = false;
let retry: ReturnType<typeof setTimeout> | undefined;

/** One run at a time, and another one after it where somebody called meanwhile: nothing entered or changed is left. */
async function syncOnce(get: Get, set: Set): Promise<void> {
  if (running) {
    stale = true;
    return running;
  }
  const runs = async () => {
    do {
      stale = false;
      await run(get, set);
    } while (stale && get().noSignalSince === undefined);
  };
  running = runs().finally(() => (running = undefined));
  await running;
}

async function run(get: Get, set: Set): Promise<void> {
  clearTimeout(retry);
  const own = get().waiting.length > 0;
  for (let first = get().waiting[0]; first; first = get().waiting[0]) {
    const { id, write } = first;
    const result = await send(write);
    if (result.kind === 'noSignal') return lostSignal(get, set, result.trouble);
    const waiting = get().waiting.filter((other) => other.id !== id);
    const known = get().server;
    const server = known && result.kind === 'kept' ? applyWrite(known, write) : known;
    const refused = result.kind === 'refused' ? { write, message: result.message } : get().refused;
    const settled = result.kind === 'kept' ? [...get().settled, first] : get().settled;
    set({ server, waiting, settled, refused, state: laidOver(server, waiting) });
    if (server) keepServer(server);
  }
  // What was sent is on the screen already; the rest is asked for when the hand rests.
  if (own && get().server && get().noSignalSince === undefined) {
    retry = setTimeout(() => void get().sync(), REST_MS);
    return;
  }
  const { server: known, tag } = get();
  const fetched = await fetchState(known && tag && { state: known, tag });
  if (!fetched) return lostSignal(get, set);
  // Meanwhile the server may have told more by itself.
  const before = get();
  const isOlder =
    before.tag?.epoch === fetched.tag?.epoch && (before.tag?.revision ?? 0) > (fetched.tag?.revision ?? 0);
  const server = isOlder && before.server ? before.server : unchangedKept(before.server, fetched.state);
  const aheadMs = steadyAhead(fetched.clock, server.demoOffsetMs, get().aheadMs);
  const isSame = server === get().server;
  const newest = isOlder ? get().tag : fetched.tag;
  const signal = { aheadMs, noSignalSince: undefined, trouble: undefined, tag: newest, isDamaged: fetched.isDamaged };
  set(isSame ? signal : { ...signal, server, state: laidOver(server, get().waiting) });
  if (!isSame) keepServer(server);
}

/** What another screen wrote comes by itself: where it goes on from what is known here, nothing need be asked. */
function hear(change: StateChange, get: Get, set: Set): void {
  const { server, tag } = get();
  if (tag && change.epoch === tag.epoch && change.revision <= tag.revision) return;
  if (!server || change.whole || change.epoch !== tag?.epoch || change.from !== tag.revision) return void get().sync();
  const next = unchangedKept(server, withChange(server, change));
  set({ server: next, tag: { epoch: change.epoch, revision: change.revision }, state: laidOver(next, get().waiting) });
  keepServer(next);
  // A clock that was moved is measured anew: what was told may have been a while on its way.
  if (next.demoOffsetMs !== server.demoOffsetMs) void get().sync();
}

/** Parts that are as they were stay the same objects: what is worked out from them is not worked out again. */
function unchangedKept(before: HouseholdState | undefined, now: HouseholdState): HouseholdState {
  if (!before || before === now) return now;
  const parts = Object.entries(now).map(([part, told]) => {
    const known = before[part as keyof HouseholdState];
    return [part, isSame(known, told) ? known : told];
  });
  return Object.fromEntries(parts) as HouseholdState;
}

function lostSignal(get: Get, set: Set, trouble?: string): void {
  set({ noSignalSince: get().noSignalSince ?? Date.now(), trouble });
  retry = setTimeout(() => void get().sync(), RETRY_MS);
}
