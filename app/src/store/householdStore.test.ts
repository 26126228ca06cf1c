import 'fake-indexeddb/auto';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { v7 as uuidV7 } from 'uuid';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
import type * as Store from './householdStore';
import { type Fate, pretendServer } from './pretendServer';
import { type Write } from './write';

const basket = (): HarvestPick => ({
  id: uuidV7(),
  crop: 'damson',
  massKg: 3,
  softKg: 0,
  ripeness: 'ripe',
  place: 'cool',
  pickedAt: Date.UTC(2026, 7, 29),
  told: '3 kg',
  source: 'garden',
  plantingId: null,
});
const entry = (pick = basket()): Write => ({ kind: 'pick', pick });
const idsOf = (picks: readonly { id: string }[] | undefined) => (picks ?? []).map(({ id }) => id).sort();

/** A tab of the browser: its own page, one database with the others. */
function openTab() {
  jest.resetModules();
  return jest.requireActual<typeof Store>('./householdStore').useHouseholdStore;
}

const STEP_MS = 500;

/** What is under way in the page and its database comes to its end; then so much time passes. */
async function passes(ms = 0): Promise<void> {
  for (let left = ms; ; left -= STEP_MS) {
    for (let turn = 0; turn < 40; turn++) await new Promise((done) => setImmediate(done));
    if (left <= 0) return;
    await jest.advanceTimersByTimeAsync(Math.min(left, STEP_MS));
  }
}

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'clearImmediate', 'nextTick', 'queueMicrotask', 'performance'] });
  globalThis.indexedDB = new IDBFactory();
  localStorage.removeItem('hoddle');
  sessionStorage.removeItem('hoddle-entering');
});
afterEach(() => jest.useRealTimers());

test('an entry is on the disk before it shows, waits without signal, is found again by another page, and is sent once', async () => {
  const server = pretendServer(() => 'lost');
  const [tab, pick] = [openTab(), basket()];
  tab.setState({ server: EMPTY_HOUSEHOLD, state: EMPTY_HOUSEHOLD });
  void tab.getState().enter(entry(pick));
  expect(tab.getState().state?.picks).toEqual([]);
  await passes();
  expect(tab.getState()).toMatchObject({
    state: { picks: [pick] },
    waiting: [{ write: { kind: 'pick' } }],
    signal: { kind: 'no-signal' },
    keeps: true,
  });
  // The browser was killed; the same database is opened by another page.
  const after = openTab();
  void after.getState().sync();
  await passes();
  expect(after.getState().waiting).toMatchObject([{ write: { pick } }]);
  server.fateOf = () => 'goes';
  await passes(10_000);
  expect(server.kept).toEqual([pick.id]);
  for (const each of [tab, after]) {
    expect(each.getState()).toMatchObject({ rows: [], signal: { kind: 'good' }, state: { picks: [pick] } });
  }
});

test('what is known is on the screen without signal, brought up to date by what was told since; then only changes are read', async () => {
  const server = pretendServer();
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  const picks = [basket(), basket()];
  for (const pick of picks) void tab.getState().enter(entry(pick));
  await passes(1_000);
  server.fateOf = () => 'lost';
  const after = openTab();
  void after.getState().sync();
  await passes();
  expect(idsOf(after.getState().state?.picks)).toEqual(idsOf(picks));
  expect(after.getState().heardAt).toEqual(expect.any(Number));
  server.fateOf = () => 'goes';
  server.asked.length = 0;
  await passes(10_000);
  expect(server.asked.every((asked) => asked.startsWith('GET /state?since='))).toBe(true);
  expect(server.asked.length).toBeGreaterThan(0);
});

test('what the server told by itself is taken without asking; a gap, another file or one told twice is not', async () => {
  const server = pretendServer();
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  const told = (from: number, revision: number, more: object = {}) => ({
    ...{ epoch: 'a', from, revision },
    rows: { picks: { put: [{ row: { ...basket(), id: `p${revision}` }, after: null }], gone: [] } },
    ...more,
  });
  server.asked.length = 0;
  const { hear } = tab.getState();
  hear(told(1, 2));
  hear(told(1, 2));
  hear(told(2, 4));
  expect(tab.getState().state?.picks.map(({ id }) => id)).toEqual(['p4', 'p2']);
  expect(server.asked).toEqual([]);
  hear(told(5, 6));
  await passes();
  expect(server.asked).toEqual(['GET /state?since=a.4']);
});

test('a page that is left in the moment of a tap finds the entry when it is opened again in that tab, once', async () => {
  const server = pretendServer();
  const [tab, pick] = [openTab(), basket()];
  void tab.getState().sync();
  await passes();
  void tab.getState().enter(entry(pick));
  // What the page had noted when it was gone, before anything was on the disk.
  const noted = sessionStorage.getItem('hoddle-entering');
  expect(noted).toContain(pick.id);
  globalThis.indexedDB = new IDBFactory();
  sessionStorage.setItem('hoddle-entering', noted ?? '');
  for (const again of [openTab(), openTab()]) {
    void again.getState().sync();
    await passes(2_000);
    expect(again.getState().state?.picks).toEqual([pick]);
  }
  expect(server.kept).toEqual([pick.id]);
  expect(sessionStorage.getItem('hoddle-entering')).toBeNull();
});

const refusal: Fate = { status: 409, body: { error: { code: 'no', message: 'Not this one.' } } };
const broken: Fate = { status: 500, body: { error: { code: 'internal', message: 'Broken.' } } };

test('a refused entry stays until somebody has dealt with it, over a reload; what comes after it is sent', async () => {
  const server = pretendServer((method) => (method === 'GET' ? 'goes' : refusal));
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  for (let n = 0; n < 3; n++) void tab.getState().enter(entry());
  await passes(1_000);
  expect(tab.getState()).toMatchObject({ waiting: [], signal: { kind: 'good' }, state: { picks: [] } });
  expect(tab.getState().refused.map(({ refused }) => refused?.message)).toEqual(Array(3).fill('Not this one.'));
  server.fateOf = () => 'goes';
  const after = openTab();
  void after.getState().sync();
  await passes(1_000);
  const [first, second, third] = after.getState().refused;
  if (!first || !second || !third || first.write.kind !== 'pick') throw new Error('one was forgotten');
  await after.getState().giveUp(second);
  await after.getState().tryAgain(third);
  // Put right where it is entered: the same pick, told otherwise.
  void after.getState().enter(entry({ ...first.write.pick, massKg: 2 }));
  await passes(1_000);
  expect(after.getState()).toMatchObject({ rows: [], refused: [] });
  expect(server.kept).toHaveLength(2);
});

test('a server that cannot keep one thing gets everything else; the reason is told, and it is tried again ever later', async () => {
  let poisoned = '';
  const tried: number[] = [];
  const server = pretendServer((method, path) => {
    if (method === 'GET' || path !== `/picks/${poisoned}`) return 'goes';
    tried.push(Date.now());
    return broken;
  });
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  const pick = basket();
  poisoned = pick.id;
  void tab.getState().enter({ kind: 'pick-corrected', pick });
  void tab.getState().enter({ kind: 'pick-struck', pickId: pick.id });
  for (let n = 0; n < 4; n++) void tab.getState().enter(entry());
  for (let second = 0; second < 60; second++) await passes(1_000);
  expect(server.kept).toHaveLength(4);
  const [first, second] = tab.getState().waiting;
  expect(first).toMatchObject({ trouble: 'Broken.', write: { kind: 'pick-corrected' } });
  // About the same pick: it keeps its place behind it.
  expect(second).toMatchObject({ tries: 0, write: { kind: 'pick-struck' } });
  expect(tab.getState().signal).toEqual({ kind: 'good' });
  const gaps = tried.slice(1).map((at, i) => at - (tried[i] ?? 0));
  expect(gaps.length).toBeGreaterThanOrEqual(3);
  for (const [i, gap] of gaps.slice(1).entries()) expect(gap).toBeGreaterThan(gaps[i] ?? Infinity);
});

const FATES: [string, Fate, string][] = [
  ['nobody answers', 'lost', 'no-signal'],
  ['a page on the way says yes to everything', { status: 200, headers: { 'x-hoddle': '' }, body: {} }, 'no-signal'],
  ['the server is there and broken', broken, 'trouble'],
  ['too much was asked', { status: 429, headers: { 'retry-after': '7' } }, 'trouble'],
  ['the page is too old', { status: 426 }, 'page-too-old'],
  ['the device was shut out', { status: 401 }, 'not-let-in'],
];
test.each(FATES)('%s: told as what it is, and the entry waits', async (_name, fate, kind) => {
  const assign = jest.fn();
  Object.defineProperty(globalThis, 'window', { value: { location: { assign } }, configurable: true });
  const server = pretendServer();
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  server.fateOf = () => fate;
  if (fate !== 'lost' && kind === 'no-signal') {
    const yes = globalThis.fetch;
    globalThis.fetch = async (...asked: Parameters<typeof fetch>) => {
      const reply = await yes(...asked);
      reply.headers.delete('x-hoddle');
      return reply;
    };
  }
  for (let n = 0; n < 3; n++) void tab.getState().enter(entry());
  await passes(2_000);
  expect(tab.getState().signal.kind).toBe(kind);
  expect(tab.getState().waiting).toHaveLength(3);
  expect(server.kept).toEqual([]);
  expect(assign.mock.calls).toEqual(kind === 'not-let-in' ? expect.arrayContaining([['/pair']]) : []);
});

test('an entry whose reply was lost is sent again and kept once; one sent before the server began anew stays on the screen', async () => {
  const server = pretendServer();
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  server.fateOf = (method) => (method === 'GET' ? 'lost' : 'reply-lost');
  const pick = basket();
  void tab.getState().enter(entry(pick));
  await passes(1_000);
  server.fateOf = (method) => (method === 'GET' ? 'lost' : 'goes');
  await passes(10_000);
  expect(tab.getState()).toMatchObject({ waiting: [], rows: [{ sent: { epoch: 'a' } }], state: { picks: [pick] } });
  server.restart();
  const after = openTab();
  void after.getState().sync();
  await passes();
  expect(after.getState().state?.picks).toEqual([pick]);
  server.fateOf = () => 'goes';
  await passes(40_000);
  expect(server.kept).toEqual([pick.id]);
  for (const each of [tab, after]) expect(each.getState()).toMatchObject({ rows: [], state: { picks: [pick] } });
});

test('a browser that keeps nothing works, and says so', async () => {
  globalThis.indexedDB = {
    open: () => {
      throw new DOMException('forbidden', 'SecurityError');
    },
  } as never;
  const server = pretendServer(() => 'lost');
  const tab = openTab();
  tab.setState({ server: EMPTY_HOUSEHOLD, state: EMPTY_HOUSEHOLD });
  const pick = basket();
  void tab.getState().enter(entry(pick));
  await passes();
  expect(tab.getState()).toMatchObject({ state: { picks: [pick] }, keeps: false });
  server.fateOf = () => 'goes';
  await passes(10_000);
  expect(server.kept).toEqual([pick.id]);
  expect(tab.getState()).toMatchObject({ rows: [], keeps: false });
});

test('a disk that is full meanwhile: what is entered is sent all the same, each once, and nothing kept before holds it up', async () => {
  const server = pretendServer(() => 'lost');
  const tab = openTab();
  tab.setState({ server: EMPTY_HOUSEHOLD, state: EMPTY_HOUSEHOLD });
  const picks = [basket(), basket(), basket(), basket()];
  const [first, ...others] = picks;
  if (!first) throw new Error('none');
  void tab.getState().enter(entry(first));
  await passes();
  const put = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = function (...row: Parameters<typeof put>) {
    if (this.name === 'outbox') throw new DOMException('full', 'QuotaExceededError');
    return put.apply(this, row);
  };
  try {
    // At once: none of them pushes another out.
    for (const pick of others) void tab.getState().enter(entry(pick));
    await passes();
    expect(idsOf(tab.getState().state?.picks)).toEqual(idsOf(picks));
    expect(tab.getState().keeps).toBe(false);
    server.fateOf = () => 'goes';
    await passes(10_000);
  } finally {
    IDBObjectStore.prototype.put = put;
  }
  expect([...server.kept].sort()).toEqual(idsOf(picks));
  expect(server.posts).toBe(4);
  expect(tab.getState()).toMatchObject({ rows: [], waiting: [] });
});

test('what the server tells again unchanged stays the same object: nothing is worked out anew from it', async () => {
  const server = pretendServer();
  const tab = openTab();
  void tab.getState().sync();
  await passes();
  const before = tab.getState().server;
  server.restart();
  server.state = structuredClone(server.state);
  await tab.getState().sync();
  expect(tab.getState().server?.batches).toBe(before?.batches);
  expect(tab.getState().server?.household).toBe(before?.household);
});
