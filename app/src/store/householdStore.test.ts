import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { v7 as uuidV7 } from 'uuid';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
import { useHouseholdStore } from './householdStore';

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

/** A server in a few lines: keeps picks, and can be out of reach or say no. */
function pretendServer() {
  const kept: HarvestPick[] = [];
  const server = { kept, reachable: true, refuses: false, posts: 0 };
  const headers = new Headers();
  const reply = (status: number, body: unknown) => ({ ok: status < 400, status, headers, json: async () => body });
  globalThis.fetch = jest.fn(async (_address: string, init: { method: string; body?: string }) => {
    if (!server.reachable) throw new TypeError('network');
    if (init.method === 'GET') return reply(200, { ...EMPTY_HOUSEHOLD, picks: [...kept] });
    server.posts += 1;
    if (server.refuses) return reply(409, { error: { code: 'no', message: 'Not this one.' } });
    const pick = JSON.parse(init.body ?? '') as HarvestPick;
    if (!kept.some(({ id }) => id === pick.id)) kept.push(pick);
    return reply(201, pick);
  }) as never;
  return server;
}

beforeEach(() => {
  jest.useFakeTimers();
  useHouseholdStore.setState({
    server: EMPTY_HOUSEHOLD,
    state: EMPTY_HOUSEHOLD,
    waiting: [],
    refused: undefined,
    noSignalSince: undefined,
    tag: undefined,
    trouble: undefined,
  });
});
afterEach(() => jest.useRealTimers());

const settle = () => jest.advanceTimersByTimeAsync(50);

test('an entry shows at once, waits while there is no signal, and is sent by itself, once', async () => {
  const server = pretendServer();
  server.reachable = false;
  const pick = basket();
  useHouseholdStore.getState().enter({ kind: 'pick', pick });
  expect(useHouseholdStore.getState().state?.picks).toEqual([pick]);
  await settle();
  expect(useHouseholdStore.getState()).toMatchObject({
    waiting: [{ write: { kind: 'pick' } }],
    noSignalSince: expect.any(Number),
  });
  // A page closed now finds it again when it is opened.
  expect(JSON.parse(localStorage.getItem('hoddle') ?? '')).toMatchObject({
    state: { waiting: [{ write: { kind: 'pick', pick } }] },
  });
  server.reachable = true;
  await jest.advanceTimersByTimeAsync(5_000);
  expect(server.kept).toEqual([pick]);
  expect(useHouseholdStore.getState()).toMatchObject({
    waiting: [],
    noSignalSince: undefined,
    state: { picks: [pick] },
  });
});

test('entries are sent in the order they were made', async () => {
  const server = pretendServer();
  const picks = [basket(), basket(), basket()];
  for (const pick of picks) useHouseholdStore.getState().enter({ kind: 'pick', pick });
  await settle();
  expect(server.kept).toEqual(picks);
  expect(server.posts).toBe(3);
});

test('what the server does not take is told and leaves the screen; what comes after it is still sent', async () => {
  const server = pretendServer();
  server.refuses = true;
  useHouseholdStore.getState().enter({ kind: 'pick', pick: basket() });
  await settle();
  expect(useHouseholdStore.getState()).toMatchObject({
    waiting: [],
    refused: { message: 'Not this one.' },
    state: { picks: [] },
  });
  server.refuses = false;
  useHouseholdStore.getState().enter({ kind: 'pick', pick: basket() });
  await settle();
  expect(server.kept).toHaveLength(1);
});

test('what the server kept is there when the page is opened again, even before the browser had written it down', async () => {
  pretendServer();
  const { settled: before } = useHouseholdStore.getState();
  const pick = basket();
  useHouseholdStore.getState().enter({ kind: 'pick', pick });
  await settle();
  // Without a database nothing is held back for it; with one it would wait there until written.
  expect(useHouseholdStore.getState()).toMatchObject({ waiting: [], settled: before, state: { picks: [pick] } });
});

/** A server whose states have a tag, and that tells changes. */
function tellingServer(season: object) {
  const asked: string[] = [];
  const state = { ...EMPTY_HOUSEHOLD, now: 5, season };
  globalThis.fetch = jest.fn(async (address: string, { headers = {} }: { headers?: Record<string, string> }) => {
    asked.push(address);
    const told = new Headers({ etag: 'W/"a.3"', 'x-hoddle-now': '7' });
    const isKnown = headers['if-none-match'] === '"a.3"';
    return { ok: !isKnown, status: isKnown ? 304 : 200, headers: told, json: async () => state };
  }) as never;
  return asked;
}

const change = (from: number, revision: number, more: object = {}) => ({
  ...{ epoch: 'a', from, revision },
  rows: { picks: { put: [{ row: { ...basket(), id: `p${revision}` }, after: null }], gone: [] } },
  ...more,
});

test('what the server tells by itself is taken without asking; a gap, another file or one told twice is not', async () => {
  const asked = tellingServer(EMPTY_HOUSEHOLD.season);
  const { hear, sync } = useHouseholdStore.getState();
  useHouseholdStore.setState({ server: undefined, state: undefined, tag: undefined });
  await sync();
  expect(useHouseholdStore.getState().tag).toEqual({ epoch: 'a', revision: 3 });
  hear(change(3, 4));
  hear(change(3, 4));
  hear(change(4, 6));
  expect(useHouseholdStore.getState().state?.picks.map(({ id }) => id)).toEqual(['p6', 'p4']);
  expect(asked).toEqual(['/api/state']);
  hear(change(7, 8));
  hear(change(6, 7, { epoch: 'b' }));
  await settle();
  expect(useHouseholdStore.getState().state?.picks.map(({ id }) => id)).toEqual(['p6', 'p4']);
  // Only what changed since is asked for.
  expect(asked.slice(1).every((address) => address === '/api/state?since=a.6')).toBe(true);
  expect(asked.length).toBeGreaterThan(1);
});

test('a server that says why it keeps nothing is not taken for one that is away: the reason is shown', async () => {
  const { enter } = useHouseholdStore.getState();
  const body = { error: { code: 'file-full', message: 'The disk is full. Nothing was saved.' } };
  globalThis.fetch = jest.fn(async () => ({
    ok: false,
    status: 503,
    headers: new Headers(),
    json: async () => body,
  })) as never;
  enter({ kind: 'pick', pick: basket() });
  await settle();
  expect(useHouseholdStore.getState()).toMatchObject({
    trouble: body.error.message,
    waiting: [{ write: { kind: 'pick' } }],
  });
});

test('what the server tells again unchanged stays the same object: nothing is worked out anew from it', async () => {
  pretendServer();
  await useHouseholdStore.getState().sync();
  const before = useHouseholdStore.getState().server;
  await useHouseholdStore.getState().sync();
  const after = useHouseholdStore.getState().server;
  expect(after?.batches).toBe(before?.batches);
  expect(after?.household).toBe(before?.household);
});
