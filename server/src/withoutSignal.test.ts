import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { clashId } from '@hoddle/contract/clashId';
import { OLDEST_PAGE, PAGE_HEADER, PAGE_VERSION, REVISION_HEADER } from '@hoddle/contract/pageVersion';
import { v5 as uuidV5 } from 'uuid';
import { startServer } from './testServer';

type Server = Awaited<ReturnType<typeof startServer>>;
let server: Server;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

const NOW = Date.UTC(2026, 7, 29);
const id = (n: number) => `0198f3a0-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
const send = (path: string, body: object, headers: Record<string, string> = {}) =>
  fetch(`${server.address}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(body),
  });
const jarsIn = (jars: number) => ({
  ...{ id: id(1), at: NOW },
  rows: [
    {
      lot: {
        ...{ id: id(2), product: 'tomatoes-crushed', jar: 'quart', place: 'shelf', seal: 'sealed' },
        ...{ madeAt: NOW, keepsUntil: NOW + 1 },
      },
      jars,
    },
  ],
});
const take = (n: number, jars = 1) => ({ id: id(n), lotId: id(2), kind: 'taken', jars, at: NOW });

test('the reply to a write names a state that has it: whoever knows that one, or a later one of the same file, has the write', async () => {
  await send('/jars-in', jarsIn(30));
  await fetch(`${server.address}/api/state`);
  for (let n = 0; n < 20; n++) {
    const reply = await send('/movements', take(10 + n));
    const [epoch, revision] = (reply.headers.get(REVISION_HEADER) ?? '').split('.');
    const state = await fetch(`${server.address}/api/state`);
    const [nowEpoch, nowRevision] = (state.headers.get('etag') ?? '').replace(/W\/|"/g, '').split('.');
    expect(nowEpoch).toBe(epoch);
    expect(Number(nowRevision)).toBeGreaterThanOrEqual(Number(revision));
    const told = server.db.state.since(epoch ?? '', Number(revision) - 1);
    expect(JSON.stringify(told)).toContain(id(10 + n));
  }
});

test('a page that speaks too old a way may read and not write; what is no page may do both', async () => {
  const old = { [PAGE_HEADER]: String(OLDEST_PAGE - 1) };
  const refused = await send('/jars-in', jarsIn(1), old);
  expect([refused.status, ((await refused.json()) as { error: { code: string } }).error.code]).toEqual([
    426,
    'page-too-old',
  ]);
  expect((await send('/jars-in', jarsIn(1), { [PAGE_HEADER]: 'hello' })).status).toBe(426);
  expect((await fetch(`${server.address}/api/state`, { headers: old })).status).toBe(200);
  expect((await send('/jars-in', jarsIn(1), { [PAGE_HEADER]: String(PAGE_VERSION) })).status).toBe(201);
  expect((await send('/jars-in', jarsIn(1))).status).toBe(200);
});

test('two hands took the last jar: the second is refused, and every screen is told, once, until somebody settles it', async () => {
  await server.call('POST', '/jars-in', jarsIn(2));
  expect((await server.call('POST', '/movements', take(11))).status).toBe(201);
  const told: string[] = [];
  const stop = server.db.state.listen((change) => told.push(JSON.stringify(change)));
  for (let time = 0; time < 3; time++) expect((await server.call('POST', '/movements', take(12, 3))).status).toBe(409);
  const shortOnes = async () => {
    const { movements } = (await server.call('GET', '/state')).body as { movements: { kind: string }[] };
    return movements.filter(({ kind }) => kind === 'short');
  };
  // One stood there and three were to go.
  const short = { id: clashId(id(12)), lotId: id(2), kind: 'short', jars: 2, at: NOW };
  expect(await shortOnes()).toEqual([short]);
  expect(told.filter((change) => change.includes('"short"'))).toHaveLength(1);
  stop();
  // RFC 9562, 5.5, by the library itself.
  expect(clashId(id(12))).toBe(uuidV5(id(12), '5f1c2c1e-7a3d-4a52-9a3e-6f0c1d2b8e47'));
  // It takes no jar away, and nobody but the server tells it.
  expect((await server.call('POST', '/movements', take(13))).status).toBe(201);
  expect((await server.call('POST', '/movements', { ...short, id: id(14) })).status).toBe(400);
  const file = (await server.call('GET', '/backup')).body as object;
  await server.call('POST', '/movements', { ...take(15, 2), kind: 'undone', undoes: short.id });
  expect((await shortOnes()).length).toBe(1);
  expect((await server.call('POST', '/restore', file)).status).toBe(200);
  expect(await shortOnes()).toEqual([short]);
});

test('the app’s files: for ever where their name holds their sum, never a page in place of one that is gone, small where asked', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hoddle-app-'));
  const hashed = 'index-0123456789abcdef0123456789abcdef.js';
  mkdirSync(join(folder, 'fonts'));
  mkdirSync(join(folder, '_expo'));
  writeFileSync(join(folder, 'index.html'), '<p>the page');
  writeFileSync(join(folder, 'sw.js'), 'worker');
  writeFileSync(join(folder, 'fonts/sans-400-0123456789abcdef.woff2'), 'font');
  writeFileSync(join(folder, '_expo', hashed), 'whole');
  writeFileSync(join(folder, '_expo', `${hashed}.br`), Buffer.from('CwKAd2hvbGUD', 'base64'));
  expect(brotliDecompressSync(Buffer.from('CwKAd2hvbGUD', 'base64')).toString()).toBe('whole');
  await server.stop();
  server = await startServer(undefined, undefined, { appFolder: folder });
  const get = (path: string, encodings: string) =>
    fetch(server.address + path, { headers: { 'accept-encoding': encodings } });
  const script = await get(`/_expo/${hashed}`, 'br');
  expect([script.headers.get('content-encoding'), await script.text()]).toEqual(['br', 'whole']);
  expect(script.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect((await get('/fonts/sans-400-0123456789abcdef.woff2', '')).headers.get('cache-control')).toContain('immutable');
  const plain = await get(`/_expo/${hashed}`, '');
  expect([plain.headers.get('content-encoding'), await plain.text()]).toEqual([null, 'whole']);
  for (const path of ['/', '/sw.js', '/shelf/lot/7']) {
    const reply = await get(path, '');
    expect([reply.status, reply.headers.get('cache-control')]).toEqual([200, 'no-cache']);
  }
  for (const path of [
    '/_expo/index-0000456789abcdef0123456789abcdef.js',
    '/fonts/x.woff2',
    '/old.js',
    '/app.webmanifest',
  ]) {
    expect((await get(path, '')).status).toBe(404);
  }
});
