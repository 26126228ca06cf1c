import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange, withChange } from '@hoddle/contract/stateChange';
import { gunzipSync } from 'node:zlib';
import { attackWithRequests } from '../bench/trust/attackWithRequests';
import { sendRaw } from '../bench/trust/sendRaw';
import { readState } from './db/readState';
import { gzipBehind, zip } from './gzipParts';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
let now = Date.UTC(2026, 7, 29, 6);
beforeEach(async () => (server = await startServer(undefined, { now: () => now })));
afterEach(() => server.stop());

const tagOf = (reply: Response) => (reply.headers.get('etag') ?? '').replaceAll('"', '');
const get = (path: string, headers: Record<string, string> = {}) => fetch(`${server.address}/api${path}`, { headers });

test('whoever lays the changes told upon what it knew has, after every one, the very state of the server', async () => {
  let copy = (await (await get('/state')).json()) as HouseholdState;
  let known = 0;
  let rows = 0;
  const stop = server.db.state.listen((change: StateChange) => {
    expect(change.from).toBe(known === 0 ? change.from : known);
    known = change.revision;
    rows += Object.keys(change.rows ?? {}).length;
    copy = withChange(copy, JSON.parse(JSON.stringify(change)) as StateChange);
    const { now: _, ...told } = JSON.parse(JSON.stringify(readState(server.db))) as HouseholdState;
    expect({ ...copy, now: 0 }).toEqual({ ...told, now: 0 });
  });
  const { byStatus } = await attackWithRequests(server.address, 700, 7, 1_000);
  expect(byStatus[201]).toBeGreaterThan(20);
  expect(rows).toBeGreaterThan(20);
  // Nothing was written, but movements grow old: that is told too.
  now += 90 * 24 * 60 * 60_000;
  void server.db.state.told;
  stop();
});

// RFC 1952, by two decoders that are not ours: zlib's own and the one of `fetch`.
test('the state is the same with gzip and without, and its time is of the moment it was asked', async () => {
  const plain = await sendRaw(server.address, { method: 'GET', path: '/state', headers: {} });
  now += 1_234;
  const zipped = await get('/state', { 'accept-encoding': 'gzip' });
  expect(zipped.headers.get('content-encoding')).toBe('gzip');
  expect(await zipped.json()).toEqual({ ...JSON.parse(plain.text), now });
  const text = 'damsons, '.repeat(9_000);
  expect(gunzipSync(gzipBehind('{"now":1,', await zip(text))).toString()).toBe(`{"now":1,${text}`);
});

test('what is known is answered 304, what was missed with the changes, what cannot be gone on from with everything', async () => {
  const first = await get('/state');
  const tag = tagOf(first);
  const copy = (await first.json()) as HouseholdState;
  expect((await get('/state', { 'if-none-match': `"${tag}"` })).status).toBe(304);
  // A proxy that compresses marks a tag as a weak one.
  const same = await get('/state', { 'if-none-match': `W/"${tag}"` });
  expect([same.status, Number(same.headers.get('x-hoddle-now'))]).toEqual([304, now]);
  for (const key of ['salt', 'sugar']) await server.call('PUT', '/shopping-ticks', { key, ticked: true });
  await server.call('PUT', '/shopping-ticks', { key: 'salt', ticked: false });
  const { changes } = (await (await get(`/state?since=${tag}`)).json()) as { changes: StateChange[] };
  const after = changes.reduce((state, change) => withChange(state, change), copy);
  expect(after.season.ticked).toEqual(['sugar']);
  expect(JSON.stringify(changes).length).toBeLessThan(1_000);
  for (const since of ['', 'x', `${tag.split('.')[0]}.999`, 'other.1', `${tag}.1e3`]) {
    expect(((await (await get(`/state?since=${since}`)).json()) as HouseholdState).season.ticked).toEqual(['sugar']);
  }
  // Another household in its place is gone on from by nobody.
  const backup = (await server.call('GET', '/backup')).body;
  expect((await server.call('POST', '/restore', backup)).status).toBe(200);
  expect(((await (await get(`/state?since=${tag}`)).json()) as HouseholdState).picks).toEqual([]);
});

test('a write that comes while a backup is restored waits, and is there when it is over', async () => {
  const backup = (await server.call('GET', '/backup')).body;
  const restoring = server.call('POST', '/restore', backup);
  const writes = Array.from({ length: 20 }, (_, n) =>
    server.call('PUT', '/shopping-ticks', { key: `k${n}`, ticked: true }),
  );
  expect((await restoring).status).toBe(200);
  const acknowledged = await Promise.all(writes);
  const { ticked } = (await server.call('GET', '/state')).body.season as { ticked: string[] };
  // Each was acknowledged; those before the restore are in the copy that was kept of what was there.
  expect(acknowledged.every(({ status }) => status === 200)).toBe(true);
  const kept = await startServer(`${server.file}.backups/${(await restoring).body.keptBefore}`);
  const before = (await kept.call('GET', '/state')).body.season.ticked as string[];
  await kept.stop();
  expect(new Set([...before, ...ticked]).size).toBe(20);
});

/** Without the API's document held against every answer. */
async function quickly(of: typeof server, method: string, path: string, body?: object) {
  const headers = { 'content-type': 'application/json' };
  const { status, text } = await sendRaw(of.address, {
    method,
    path,
    headers,
    ...(body && { body: JSON.stringify(body) }),
  });
  return { status, body: JSON.parse(text) as unknown };
}

// The same as `npm run bench:trust` does with 1,000 writes.
test('backups taken while eight hands write are of one moment each: all restore to the sum they say', async () => {
  const other = await startServer();
  let left = 80;
  const hands = Array.from({ length: 8 }, async () => {
    while (left-- > 0) {
      const key = `thing ${left}`;
      await quickly(server, 'PUT', '/shopping-ticks', { key, ticked: true });
      if (left % 3 === 0) await quickly(server, 'PUT', '/shopping-ticks', { key, ticked: false });
    }
  });
  const backups: Backup[] = [];
  while (left > 0) backups.push((await quickly(server, 'GET', '/backup')).body as Backup);
  await Promise.all(hands);
  expect(new Set(backups.map(({ sha256 }) => sha256)).size).toBeGreaterThan(3);
  // A dozen of them, the whole time over.
  const step = Math.ceil(backups.length / 12);
  for (const backup of backups.filter((_, at) => at % step === 0)) {
    const { status, body } = await quickly(other, 'POST', '/restore', backup);
    expect([status, (body as Backup).sha256]).toEqual([200, backup.sha256]);
  }
  await other.stop();
});

test.each([
  ['one minute for what takes longer', (file: Backup) => (file.data.batches[0]!.processMinutes = 1), /too short/],
  ['a lot below none', (file: Backup) => (file.data.movements[0]!.jars = 99), /More jars went/],
  ['an id twice', (file: Backup) => file.data.picks.push(file.data.picks[0]!), /one id/],
  [
    'a movement of jars that are not there',
    (file: Backup) => (file.data.movements[0]!.lotId = LOST),
    /do not fit together/,
  ],
  ['jars of a load whose lids nobody pressed', (file: Backup) => (file.data.events = []), /do not fit together/],
])('a restore is no way round the rules: %s', async (_, spoil, words) => {
  const { fennickHollow } = await import('./demo/fennickHollow');
  const { sumOf } = await import('./backup/householdData');
  const { fillHousehold } = await import('./backup/insertHousehold');
  const { demoNow: __, ...demo } = fennickHollow(new Date(now));
  await fillHousehold(server.db, { ...demo, demoOffsetMs: 0 });
  const file = (await server.call('GET', '/backup')).body as Backup;
  const before = file.sha256;
  // Into another household: here its batches were accepted already.
  const other = await startServer();
  spoil(file);
  file.sha256 = sumOf(file.data);
  const { status, body } = await other.call('POST', '/restore', file);
  expect([status, body.error?.message]).toEqual([422, expect.stringMatching(words)]);
  expect((await other.call('GET', '/state')).body.picks).toEqual([]);
  await other.stop();
  expect((await server.call('GET', '/backup')).body.sha256).toBe(before);
});

const LOST = '0198f3a0-0000-7000-8000-00000000dead';

interface Backup {
  sha256: string;
  data: {
    batches: { processMinutes: number }[];
    movements: { jars: number; lotId: string }[];
    picks: object[];
    events: object[];
  };
}
