import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange, withChange } from '@hoddle/contract/stateChange';
import isSame from 'fast-deep-equal';
import { v7 as uuidV7 } from 'uuid';
import { create } from 'zustand';
import { type Early } from '@/shell/early';
import { type Failure, fetchState, moveDemoClock } from './api';
import { steadyAhead } from './householdClock';
import { type HouseholdStore } from './householdStoreShape';
import { isInProcess } from './inProcess';
import { keepFact, mayKeep, readFact } from './kept/browserFile';
import { takeOver } from './kept/fromOlderPage';
import {
  asKept,
  forgetHousehold,
  keepChanges,
  keepHousehold,
  type KeptHousehold,
  readKeptHousehold,
} from './kept/keptHousehold';
import { laidOver, unchangedKept } from './laidOver';
import { type Entering, noteEntering, takeUpEntering } from './outbox/entering';
import {
  addToOutbox,
  addToPage,
  changeInOutbox,
  isAllKept,
  readOutbox,
  readPage,
  withEntry,
} from './outbox/outboxFile';
import { isIn, isWaiting, type OutboxRow } from './outbox/outboxRow';
import { sendOutbox } from './outbox/sendOutbox';
import { hearTabs, tellTabs } from './outbox/tabs';
import { applyWrite, type Write } from './write';

const RETRY_MS = 3_000;
const LONGEST_RETRY_MS = 30_000;

/** After something of this screen's own was sent, so long until the household is asked for anew. */
const REST_MS = 700;

/** How often it is kept when the server was last heard. */
const HEARD_MS = 10_000;

/** The household in this browser: kept over a reload and a kill, sent when there is signal, each thing once. */
export const useHouseholdStore = create<HouseholdStore>()((set, get) => ({
  server: undefined,
  tag: undefined,
  rows: [],
  waiting: [],
  refused: [],
  state: undefined,
  rehearsed: undefined,
  signal: { kind: 'good' },
  heardAt: undefined,
  keeps: true,
  isDamaged: false,
  aheadMs: undefined,
  clockJumped: (byMs) => {
    set({ aheadMs: (get().aheadMs ?? 0) - byMs });
    void get().sync();
  },
  enter,
  hear,
  sync,
  moveDemoClockTo: async (offsetMs) => {
    if (await moveDemoClock(offsetMs)) await get().sync();
  },
  giveUp: async ({ seq }) => {
    await changeInOutbox(seq, () => undefined);
    await outboxChanged();
  },
  tryAgain: async ({ seq }) => {
    await changeInOutbox(seq, ({ refused: _, nextAt: __, trouble: ___, ...row }) => row);
    await outboxChanged();
  },
}));

const { setState: set, getState: get } = useHouseholdStore;

/** Entered, and not on the disk yet: no screen shows it, and the next entry of the same hand counts with it. */
let entering: readonly Entering[] = [];

/** Entries that were sent before all of the household was read: they are in it. */
const covered = new Set<string>();

/** The household after everything that was entered, whether it shows already or not. */
export function stateAsEntered(): HouseholdState | undefined {
  const { rehearsed, state } = get();
  return rehearsed ?? (entering.length === 0 ? state : laidOver(state, entering));
}

/** The last entry on its way to the disk. */
let writing: Promise<unknown> = Promise.resolve();

/** What was entered until now is with the server, where that can be heard. */
export async function enteredIsSent(): Promise<void> {
  await writing;
  if (get().waiting.length > 0) await get().sync();
}

function enter(write: Write): Promise<void> {
  const { rehearsed } = get();
  if (rehearsed) {
    set({ rehearsed: applyWrite(rehearsed, write) });
    return Promise.resolve();
  }
  const entered = writeDown(write);
  writing = Promise.allSettled([writing, entered]);
  return entered;
}

async function writeDown(write: Write): Promise<void> {
  const row = { id: uuidV7(), write, enteredAt: Date.now(), tries: 0 };
  if (!mayKeep()) {
    addToPage(row);
    return outboxChanged();
  }
  entering = [...entering, row];
  noteEntering(entering);
  const kept = await addToOutbox(row);
  // Shown by itself: a look that is under way is from before it.
  shownLook = looks += 1;
  showRows(withEntry(get().rows, kept));
  entering = entering.filter(({ id }) => id !== row.id);
  // The screens are drawn at the end of this step: the hand sees its tap before anything is sent.
  await Promise.resolve();
  noteEntering(entering);
  if (isAllKept()) askToKeepForLong();
  tellTabs('outbox');
  void get().sync();
}

let asked = false;

/** A browser short of room throws away what a page did not ask it to keep. */
function askToKeepForLong(): void {
  if (asked) return;
  asked = true;
  void globalThis.navigator?.storage?.persist?.().catch(() => undefined);
}

/** What waits is another: here, in the other tabs, and on its way. */
async function outboxChanged(): Promise<void> {
  tellTabs('outbox');
  await showOutbox();
  void get().sync();
}

let looks = 0;
let shownLook = 0;

/** Shows the outbox as it stands in this browser. */
async function showOutbox(): Promise<void> {
  const look = (looks += 1);
  const stored = mayKeep() ? await readOutbox() : readPage();
  // A later look was sooner back: it knows more.
  if (look < shownLook) return;
  shownLook = look;
  const known = get();
  const ids = new Set(stored.map(({ id }) => id));
  // Another tab may know already that the server has it, and this one not yet.
  const ahead = known.rows.filter((row) => row.sent && !ids.has(row.id) && !isIn(row, { ...known, covered }));
  showRows([...ahead, ...stored]);
}

/** Lays what waits over what the server told; what is in that already goes. */
function showRows(all: readonly OutboxRow[], told: Partial<HouseholdStore> = {}): void {
  const known = { ...get(), ...told };
  const rows = all.filter((row) => !isIn(row, { ...known, covered }));
  const refused = rows.filter((row) => row.refused);
  set({
    ...told,
    rows,
    waiting: rows.filter(isWaiting),
    refused,
    keeps: isAllKept(),
    state: laidOver(
      known.server,
      rows.filter((row) => !row.refused),
    ),
  });
}

/** What this browser kept is on the screen before the server is asked: of what is known only the changes are read. */
let recalled: Promise<void> | undefined;

function recall(): Promise<void> {
  return (recalled ??= (async () => {
    hearTabs((news) => news === 'outbox' && void showOutbox());
    // Rows that were read before the app was there are shown first; those of the database itself a moment later.
    const early = await earlyRead();
    const first = early && (await asKept(early));
    if (early && first) show(first, early.outbox as OutboxRow[], early.aheadMs, early.heardAt);
    await takeOver(first !== undefined).catch(() => undefined);
    await takeUpEntering().catch(() => undefined);
    if (first) return showOutbox();
    const kept = await readKeptHousehold().catch(() => undefined);
    show(kept, await readOutbox(), await readFact('aheadMs'), await readFact('heardAt'));
  })().catch(() => undefined));
}

function show(kept: KeptHousehold | undefined, rows: readonly OutboxRow[], aheadMs: unknown, heardAt: unknown): void {
  const known = get();
  const clock = {
    aheadMs: known.aheadMs ?? (aheadMs as number | undefined),
    heardAt: known.heardAt ?? (heardAt as number | undefined),
  };
  // What was entered here meanwhile was not there yet when these were read.
  const since = known.rows.filter((row) => !rows.some(({ id }) => id === row.id));
  showRows([...rows, ...since], { ...clock, ...(kept && !known.server && { server: kept.state, tag: kept.tag }) });
}

/** What was read before the app was there, once. */
async function earlyRead(): Promise<Early['kept']> {
  return typeof window === 'undefined' ? undefined : (await window.hoddleEarly)?.kept;
}

let running: Promise<void> | undefined;
/** Something has changed since the run that is under way has asked. */
let stale = false;
let retry: ReturnType<typeof setTimeout> | undefined;
let retries = 0;

/** One run at a time, and another one after it where somebody called meanwhile: nothing entered or changed is left. */
async function sync(): Promise<void> {
  if (running) {
    stale = true;
    return running;
  }
  const runs = async () => {
    do {
      stale = false;
      await run();
    } while (stale && get().signal.kind === 'good');
  };
  running = runs().finally(() => (running = undefined));
  await running;
}

async function run(): Promise<void> {
  clearTimeout(retry);
  await recall();
  if (get().waiting.length > 0) {
    const { answered, failure, nextAt } = await sendOutbox(showOutbox);
    if (failure) return lost(failure);
    if (answered > 0) heard();
    if (nextAt !== undefined) later(nextAt - Date.now());
    // What was sent is on the screen already; the rest is asked for when the hand rests.
    if (answered > 0 && get().server) return later(REST_MS);
  }
  const { server, tag, rows } = get();
  const sent = [...rows, ...(await readOutbox())].filter((row) => row.sent);
  const fetched = await fetchState(server && tag && { state: server, tag });
  if (fetched.kind === 'refused') return lost({ kind: 'trouble', message: fetched.message });
  if (fetched.kind !== 'fetched') return lost(fetched);
  if (!fetched.changes) for (const { id } of sent) covered.add(id);
  take(fetched);
}

function take(fetched: Extract<Awaited<ReturnType<typeof fetchState>>, { kind: 'fetched' }>): void {
  // Meanwhile the server may have told more by itself.
  const before = get();
  const isOlder =
    before.tag?.epoch === fetched.tag?.epoch && (before.tag?.revision ?? 0) > (fetched.tag?.revision ?? 0);
  const server = isOlder && before.server ? before.server : unchangedKept(before.server, fetched.state);
  const tag = isOlder ? before.tag : fetched.tag;
  const aheadMs = steadyAhead(fetched.clock, server.demoOffsetMs, before.aheadMs);
  if (aheadMs !== before.aheadMs) void keepFact('aheadMs', aheadMs);
  showKnown({ server, tag }, { aheadMs, isDamaged: fetched.isDamaged });
  heard();
  if (isOlder || (server === before.server && isSame(tag, before.tag))) return;
  if (fetched.changes) void keepChanges(fetched.changes, server, { tag, covered });
  else void keepHousehold(server, { tag, covered });
}

/** Shows what the server told, without drawing anything anew where nothing is another. */
function showKnown(known: Pick<HouseholdStore, 'server' | 'tag'>, more: Partial<HouseholdStore> = {}): void {
  const { rows, server } = get();
  if (known.server === server && !rows.some((row) => isIn(row, { ...known, covered }))) set({ ...known, ...more });
  else showRows(rows, { ...known, ...more });
}

/** What another screen wrote comes by itself: where it goes on from what is known here, nothing need be asked. */
function hear(change: StateChange): void {
  const { server, tag } = get();
  if (tag && change.epoch === tag.epoch && change.revision <= tag.revision) return;
  if (!server || change.whole || change.epoch !== tag?.epoch || change.from !== tag.revision) return void get().sync();
  const next = unchangedKept(server, withChange(server, change));
  const newest = { epoch: change.epoch, revision: change.revision };
  showKnown({ server: next, tag: newest });
  heard();
  void keepChanges([change], next, { tag: newest, covered });
  // A clock that was moved is measured anew: what was told may have been a while on its way.
  if (next.demoOffsetMs !== server.demoOffsetMs) void get().sync();
}

let heardKeptAt = 0;

function heard(): void {
  const now = Date.now();
  retries = 0;
  set({ heardAt: now, ...(get().signal.kind !== 'good' && { signal: { kind: 'good' } }) });
  if (Math.abs(now - heardKeptAt) < HEARD_MS) return;
  heardKeptAt = now;
  void keepFact('heardAt', now);
}

function lost(signal: Failure): void {
  set({ signal });
  later(Math.min(LONGEST_RETRY_MS, RETRY_MS * 1.5 ** retries));
  retries += 1;
  if (signal.kind === 'not-let-in') shutOut();
}

/** Tries again after a while, or sooner where that is due already. */
function later(afterMs: number): void {
  clearTimeout(retry);
  retry = setTimeout(() => void get().sync(), Math.max(0, afterMs));
}

/**
 * Shut out meanwhile: this device forgets the household and shows where a code is typed; what waits here stays. With a load at
 * the boil its clock is more than that: it stays until the load is out.
 */
function shutOut(): void {
  const { state, aheadMs } = get();
  if (state && isInProcess(state, Date.now() + (aheadMs ?? 0))) return;
  void forgetHousehold().then(() => window.location.assign('/pair'));
}
