import { OPERATIONS } from '@hoddle/contract/openapi/operations';
import { sendRaw } from '../bench/trust/sendRaw';
import { ownHosts } from './access/hosts';
import { USUAL_LIMITS } from './access/limits';
import { Lockout } from './access/lockout';
import { isDue } from './backup/nightly';
import { keptOf } from './backup/prune';
import { createLog } from './log';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
let base: string;
/** Listens to the whole loopback net, so that another machine can be played from 127.0.0.2. */
beforeEach(async () => {
  server = await startServer(undefined, undefined, { hosts: () => ownHosts('127.0.0.1', ['kitchen.example']) });
  base = server.address;
});
afterEach(() => server.stop());

const json = { 'content-type': 'application/json' };
const pick = (n = 1) => ({
  ...{ id: `0198f3a0-0000-7000-8000-00000000c00${n}`, crop: 'damson', massKg: 3, softKg: 0, place: 'cool' },
  ...{ pickedAt: Date.UTC(2026, 7, 28), told: '3 kg' },
});
const send = (method: string, path: string, headers: Record<string, string> = {}, body?: object, from?: string) =>
  sendRaw(
    base,
    { method, path, headers: { ...json, ...headers }, ...(body && { body: JSON.stringify(body) }) },
    from === undefined ? {} : { from },
  );
const picks = async () => (await server.call('GET', '/state')).body.picks.length as number;

// OWASP Cross-Site Request Forgery Prevention Cheat Sheet: Fetch Metadata, origin, no simple content types; and DNS rebinding.
test.each([
  ['another site', { origin: 'http://evil.example', 'sec-fetch-site': 'cross-site' }, 403],
  ['another port of this machine', { origin: 'http://127.0.0.1:9', 'sec-fetch-site': 'same-site' }, 403],
  ['a sandboxed frame', { origin: 'null' }, 403],
  ['an old browser that tells only the origin', { origin: 'http://evil.example' }, 403],
  ['an old browser that tells only where it is', { 'sec-fetch-site': 'cross-site' }, 403],
  ['this name, but another scheme', { origin: 'https://HOST' }, 403],
  ['a plain form', { origin: 'http://HOST', 'content-type': 'application/x-www-form-urlencoded' }, 415],
  ['a form as text', { origin: 'http://HOST', 'content-type': 'text/plain' }, 415],
  ['a rebound name', { host: 'evil.example' }, 421],
  ['a rebound name with our port', { host: 'evil.example:4860' }, 421],
  ['a name that is none', { host: 'a b' }, 421],
])('a write of %s does nothing, whichever it is', async (_, headers, status) => {
  const own = Object.fromEntries(
    Object.entries(headers).map(([name, value]) => [name, value.replace('HOST', new URL(base).host)]),
  );
  const before = (await server.call('GET', '/backup')).body.sha256;
  for (const { method, path, bodyExample } of OPERATIONS.filter((each) => each.method !== 'get')) {
    const address = path.replace('{id}', pick().id).replace('{name}', 'x');
    const reply = await send(method.toUpperCase(), address, own, (bodyExample as object | undefined) ?? { a: 1 });
    expect([path, reply.status, reply.headers['access-control-allow-origin']]).toEqual([path, status, undefined]);
  }
  expect((await server.call('GET', '/backup')).body.sha256).toBe(before);
});

test('what another page cannot write it cannot read either; the app itself can do both', async () => {
  const host = new URL(base).host;
  for (const path of ['/state', '/backup', '/changes', '/export?table=jars']) {
    expect((await send('GET', path, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect((await send('GET', path, { host: 'evil.example' })).status).toBe(421);
  }
  expect((await send('OPTIONS', '/picks', { origin: 'http://evil.example' })).status).toBe(403);
  expect(
    (await send('POST', '/picks', { origin: `http://${host}`, 'sec-fetch-site': 'same-origin' }, pick())).status,
  ).toBe(201);
  expect((await send('GET', '/state', { 'sec-fetch-site': 'same-origin' })).status).toBe(200);
  expect(await picks()).toBe(1);
});

/** Ways to ask that are not this machine itself, each without a key. */
const STRANGERS: readonly [string, Record<string, string>, string | undefined][] = [
  ['another address of the loopback net', {}, '127.0.0.2'],
  ['a forwarded request', { 'x-forwarded-for': '203.0.113.9' }, undefined],
  ['a forwarded request that says it is from here', { 'x-forwarded-for': '127.0.0.1' }, undefined],
  ['a request through a proxy', { forwarded: 'for=127.0.0.1' }, undefined],
  ['a request with Via', { via: '1.1 proxy' }, undefined],
  ['this machine under a name of the network', { host: 'kitchen.example' }, undefined],
  [
    'a made-up key',
    { 'x-forwarded-for': '203.0.113.9', cookie: `hoddle_key=${pick().id}.${'a'.repeat(43)}` },
    undefined,
  ],
];

test.each(STRANGERS)('%s gets 401 from every route, and the pairing page', async (_, headers, from) => {
  for (const { method, path, bodyExample } of OPERATIONS) {
    if (path === '/pair') continue;
    const address = path.replace('{id}', pick().id).replace('{name}', 'x');
    const body = method === 'get' ? undefined : ((bodyExample as object | undefined) ?? {});
    const reply = await send(method.toUpperCase(), address, headers, body, from);
    expect([method, path, reply.status]).toEqual([method, path, 401]);
  }
  expect((await send('GET', '/nowhere', headers, undefined, from)).status).toBe(401);
  for (const page of ['/', '/kitchen', '/_expo/static/js/web/entry.js', '/authority/abc.crt']) {
    const reply = await sendRaw(base, { method: 'GET', path: page, headers }, { prefix: '', ...(from && { from }) });
    expect([page, reply.status, reply.text.includes('Let this device in')]).toEqual([page, 401, true]);
  }
  expect(await picks()).toBe(0);
});

const AWAY = { 'x-forwarded-for': '203.0.113.9' };
const pairBy = (told: object, address = AWAY) => send('POST', '/pair', address, { name: 'Phone', ...told });
const codeFor = async (role: string) => (await server.call('POST', '/pairing-codes', { role })).body.code as string;
const keyOf = (reply: { headers: NodeJS.Dict<string | string[]> }) =>
  String(reply.headers['set-cookie']?.[0]).split(';')[0] ?? '';

test('a code lets one device in, once, with its role; the key is kept as a hash; shut out, it is out at once', async () => {
  const code = await codeFor('cook');
  const typed = `${code.slice(0, 4).toLowerCase()} - ${code.slice(4)}`;
  const paired = await pairBy({ code: typed });
  expect([paired.status, JSON.parse(paired.text).role]).toEqual([201, 'cook']);
  expect(String(paired.headers['set-cookie'])).toMatch(/HttpOnly; SameSite=Strict/);
  const key = { ...AWAY, cookie: keyOf(paired) };
  const raw = key.cookie.split('.')[1] ?? '-';
  expect(raw.length).toBeGreaterThan(40);
  expect(JSON.stringify(await server.db.own.devices.findAll())).not.toContain(raw);
  expect((await pairBy({ code })).status).toBe(403);
  expect((await send('POST', '/picks', key, pick())).status).toBe(201);
  expect((await send('POST', '/pairing-codes', key, { role: 'owner' })).status).toBe(403);
  const { id } = JSON.parse(paired.text);
  // Its line of changes ends with it.
  const { body: line } = await fetch(`${base}/api/changes`, { headers: { cookie: key.cookie, via: '1.1 x' } });
  const heard = line!.pipeThrough(new TextDecoderStream()).getReader();
  expect((await heard.read()).value).toContain('data: here');
  expect((await server.call('DELETE', `/devices/${id}`)).status).toBe(204);
  expect((await heard.read()).done).toBe(true);
  expect((await send('GET', '/state', key)).status).toBe(401);
  expect((await server.call('GET', '/devices')).body.devices[0].revokedAt).not.toBeNull();
});

test('each role does what the document says of it, and no more', async () => {
  for (const role of ['looker', 'cook', 'owner']) {
    const key = { ...AWAY, cookie: keyOf(await pairBy({ code: await codeFor(role) })) };
    for (const { method, path, least = method === 'get' ? 'looker' : 'cook', bodyExample } of OPERATIONS) {
      if (path === '/changes' || path === '/me' || path === '/pair') continue;
      const address = path.replace('{id}', '0198f3a0-0000-7000-8000-00000000ffff').replace('{name}', 'x');
      const body = method === 'get' ? undefined : ((bodyExample as object | undefined) ?? {});
      const { status } = await send(method.toUpperCase(), address, key, body);
      const may = ['looker', 'cook', 'owner'].indexOf(role) >= ['looker', 'cook', 'owner'].indexOf(least);
      expect([role, method, path, status === 403]).toEqual([role, method, path, !may]);
    }
  }
});

test('the passphrase lets in an owner; too many wrong ones lock out, and a code of five minutes ago is none', async () => {
  const passphrase = 'three damsons in a blue bowl';
  expect((await pairBy({ passphrase })).status).toBe(403);
  expect((await server.call('PUT', '/passphrase', { passphrase: 'short' })).status).toBe(400);
  expect((await server.call('PUT', '/passphrase', { passphrase })).status).toBe(204);
  const paired = await pairBy({ passphrase });
  expect([paired.status, JSON.parse(paired.text).role]).toEqual([201, 'owner']);
  const statuses = [];
  for (let i = 0; i < 7; i++) statuses.push((await pairBy({ passphrase: `wrong ${i}` })).status);
  expect(statuses).toEqual([403, 403, 403, 403, 403, 429, 429]);
  // The right one too, from any address.
  expect((await pairBy({ passphrase }, { 'x-forwarded-for': '198.51.100.7' })).status).toBe(429);
});

// https://expressjs.com/en/guide/behind-proxies.html: a proxy at a named address is believed, and nobody through it is at home.
test('behind a reverse proxy with https a paired device works under the proxy’s name, with a key that is for https alone', async () => {
  const behind = await startServer(undefined, undefined, {
    hosts: () => ownHosts('127.0.0.1', ['kitchen.example']),
    proxies: ['127.0.0.1'],
  });
  const { code } = (await behind.call('POST', '/pairing-codes', { role: 'cook' })).body as { code: string };
  const through = {
    ...json,
    ...{ host: 'kitchen.example', origin: 'https://kitchen.example', 'sec-fetch-site': 'same-origin' },
    ...{ 'x-forwarded-for': '203.0.113.9', 'x-forwarded-proto': 'https' },
  };
  const ask = (method: string, path: string, body: object, more = {}) =>
    sendRaw(behind.address, { method, path, headers: { ...through, ...more }, body: JSON.stringify(body) });
  expect((await ask('POST', '/picks', pick())).status).toBe(401);
  const paired = await ask('POST', '/pair', { name: 'Phone', code });
  expect([paired.status, String(paired.headers['set-cookie'])]).toEqual([201, expect.stringContaining('; Secure;')]);
  const cookie = keyOf(paired);
  expect((await ask('POST', '/picks', pick(), { cookie })).status).toBe(201);
  expect((await ask('POST', '/picks', pick(2), { cookie, origin: 'https://evil.example' })).status).toBe(403);
  await behind.stop();
});

test('neither a key nor a passphrase is ever written into the log, at any level; a refusal is, with the request’s id', async () => {
  let log = '';
  const loud = await startServer(undefined, undefined, {
    log: createLog('trace', { write: (line) => void (log += line) }),
  });
  const { code } = (await loud.call('POST', '/pairing-codes', { role: 'cook' })).body as { code: string };
  const passphrase = 'three damsons in a blue bowl';
  const ask = (path: string, body: object | undefined, more = {}) => {
    const method = body ? 'POST' : 'GET';
    return sendRaw(loud.address, {
      method,
      path,
      headers: { ...json, ...AWAY, ...more },
      ...(body && { body: JSON.stringify(body) }),
    });
  };
  await ask('/pair', { name: 'Phone', passphrase });
  const paired = await ask('/pair', { name: 'Phone', code });
  const cookie = keyOf(paired);
  const refused = await ask('/devices', undefined, { cookie });
  expect(refused.status).toBe(403);
  expect(log).toContain(String(refused.headers['x-request-id']));
  expect(log).toContain('"code":"role"');
  for (const secret of [code, passphrase, cookie.split('.')[1] ?? '-']) expect(log).not.toContain(secret);
  await loud.stop();
});

test('a lock doubles with every further failure up to an hour, and a success begins anew', () => {
  const lockout = new Lockout();
  const waits = [];
  let now = 0;
  for (let i = 0; i < 13; i++) {
    lockout.failed('a', now);
    const wait = lockout.waitMs('a', now);
    waits.push(wait / 60_000);
    now += wait;
  }
  expect(waits).toEqual([0, 0, 0, 0, 1, 2, 4, 8, 16, 32, 60, 60, 60]);
  lockout.succeeded('a');
  lockout.failed('a', now);
  expect(lockout.waitMs('a', now)).toBe(0);
});

test('an address that asks without end is told to wait; so is one that opens lines without end', async () => {
  const limited = await startServer(undefined, undefined, {
    limits: { ...USUAL_LIMITS, aMinuteAtHome: 20, pairingsAMinute: 3 },
  });
  const asked = [];
  for (let i = 0; i < 25; i++)
    asked.push((await sendRaw(limited.address, { method: 'GET', path: '/me', headers: {} })).status);
  expect(asked.filter((status) => status === 429)).toHaveLength(5);
  await limited.stop();
  const lines = Array.from({ length: 25 }, () => new AbortController());
  const statuses = await Promise.all(
    lines.map(({ signal }) => fetch(`${base}/api/changes`, { signal }).then(({ status }) => status)),
  );
  expect(statuses.filter((status) => status === 429)).toHaveLength(1);
  for (const line of lines) line.abort();
});

test('a backup is due at night, at once where there is none, and when the machine wakes after a night asleep', () => {
  const at = (day: number, hour: number) => new Date(2026, 7, day, hour, 10).getTime();
  expect(isDue(undefined, at(29, 14))).toBe(true);
  expect(isDue(at(28, 3), at(28, 22))).toBe(false);
  expect([isDue(at(28, 3), at(29, 2)), isDue(at(28, 3), at(29, 3)), isDue(at(29, 3), at(29, 3) + 600_000)]).toEqual([
    false,
    true,
    false,
  ]);
  expect(isDue(at(28, 3), at(29, 7))).toBe(true);
});

// Dates of a calendar, counted by hand.
test('of daily backups over two years 7 days, 5 weeks and 12 months stay', () => {
  const day = 24 * 60 * 60_000;
  const last = Date.UTC(2026, 10, 29, 3);
  const backups = Array.from({ length: 730 }, (_, back) => ({
    name: new Date(last - back * day).toISOString().slice(0, 10),
    at: last - back * day,
  }));
  expect([...keptOf(backups)].sort()).toEqual([
    ...['2025-12-31', '2026-01-31', '2026-02-28', '2026-03-31', '2026-04-30', '2026-05-31', '2026-06-30', '2026-07-31'],
    ...['2026-08-31', '2026-09-30', '2026-10-31', '2026-11-01', '2026-11-08', '2026-11-15', '2026-11-22'],
    ...['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29'],
  ]);
});

test('one taken by hand takes no other’s place for two days; then the newest of its day stays', () => {
  const hour = 60 * 60_000;
  const from = Date.UTC(2026, 7, 28, 3);
  const named = (hours: number) => ({ name: String(hours), at: from + hours * hour });
  const of = (...hours: number[]) =>
    [...keptOf(hours.sort((a, b) => b - a).map(named))].map(Number).sort((a, b) => a - b);
  expect(of(0, 5, 6, 24)).toEqual([0, 5, 6, 24]);
  expect(of(0, 5, 6, 24, 54)).toEqual([6, 24, 54]);
});
