import { createServer, type Server } from 'node:http';
import { type AddressInfo } from 'node:net';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { chromium, expect, test } from '@playwright/test';
import { Chance } from '../../server/bench/trust/chance';
import { killedWhileRestoring, killedWhileUpgrading, killedWhileWriting } from '../../server/bench/trust/killRounds';
import { kitchenHands } from '../kitchenHands';
import { newFile, RealServer, runCommand, startAndFail } from '../realServer';
import { watchPage } from '../watchPage';

test.use({ serviceWorkers: 'allow' });

const PASSPHRASE = 'three damsons in a blue bowl';

/** What a hostile page tries, as a browser runs it; `at` is the household's server. Each answers what it could read of it. */
const HOSTILE = `async (at, backup) => {
  const told = [];
  const tries = [];
  const send = (method, path, init = {}) => tries.push(fetch(at + path, { method, ...init }).then((reply) => reply.text()));
  const body = JSON.stringify({ name: 'Theirs', altitudeFt: 0, burners: 1, canners: [] });
  for (const mode of ['cors', 'no-cors', 'same-origin']) {
    send('GET', '/api/state', { mode });
    send('GET', '/api/backup', { mode, credentials: 'include' });
    send('POST', '/api/restore', { mode, body: backup });
    send('POST', '/api/restore', { mode, body: backup, headers: { 'content-type': 'text/plain' } });
    send('PUT', '/api/household', { mode, body, headers: { 'content-type': 'application/json' } });
    send('POST', '/api/picks', { mode, body: new URLSearchParams({ id: 'x' }) });
    send('DELETE', '/api/sources/0198f3a0-0000-7000-8000-000000000001', { mode });
    send('POST', '/api/pairing-codes', { mode, body: '{"role":"owner"}', keepalive: true });
  }
  navigator.sendBeacon(at + '/api/restore', new Blob([backup], { type: 'text/plain' }));
  navigator.sendBeacon(at + '/api/client-errors', '{"message":"x","where":"y"}');
  for (const [kind, path] of [['img', '/api/state'], ['script', '/api/state'], ['iframe', '/'], ['iframe', '/api/state']]) {
    const part = document.createElement(kind);
    tries.push(new Promise((over) => { part.onload = part.onerror = over; }).then(() => {
      try { return part.contentDocument?.body?.innerText ?? ''; } catch { return ''; }
    }));
    part.src = at + path;
    document.body.append(part);
  }
  const form = document.createElement('form');
  Object.assign(form, { method: 'POST', action: at + '/api/restore', enctype: 'text/plain', target: 'sink' });
  const field = document.createElement('input');
  Object.assign(field, { name: backup.slice(0, -1) + ',"x":"', value: '"}' });
  const sink = document.createElement('iframe');
  sink.name = 'sink';
  form.append(field);
  document.body.append(sink, form);
  tries.push(new Promise((over) => { sink.onload = () => over(''); }));
  form.submit();
  for (const each of await Promise.allSettled(tries)) if (each.status === 'fulfilled' && each.value) told.push(String(each.value).slice(0, 200));
  return { tried: tries.length + 2, told };
}`;

let server: RealServer;
test.afterEach(() => server.stop());

// OWASP CSRF Prevention Cheat Sheet; Fetch Metadata; DNS rebinding: one browser, three origins, none of them ours.
test('a page of another origin, and one under a rebound name, read nothing and write nothing', async () => {
  server = await RealServer.start({ demo: true });
  const before = ((await server.call('GET', '/backup')).body as { sha256: string }).sha256;
  const other = await RealServer.start();
  const backup = JSON.stringify((await other.call('GET', '/backup')).body);
  await other.stop();
  const hostile: Server = createServer((_req, res) => {
    res.setHeader('content-type', 'text/html').end('<!doctype html><title>Win a canner</title><body></body>');
  }).listen(0, '127.0.0.1');
  await new Promise((listening) => hostile.once('listening', listening));
  const { port } = hostile.address() as AddressInfo;
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      ...['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
      '--host-resolver-rules=MAP evil.example 127.0.0.1',
    ],
  });
  const page = await browser.newPage();
  let tried = 0;
  for (const origin of [`http://127.0.0.1:${port}`, `http://evil.example:${port}`]) {
    for (const at of [server.address, `http://evil.example:${server.port}`]) {
      await page.goto(origin);
      const done = (await page.evaluate(`(${HOSTILE})(${JSON.stringify(at)}, ${JSON.stringify(backup)})`)) as {
        tried: number;
        told: string[];
      };
      tried += done.tried;
      expect(done.told).toEqual([]);
    }
  }
  expect(tried).toBeGreaterThanOrEqual(4 * 30);
  // The name leads to the server itself: then the page is the server's own, and it is none of its names.
  const rebound = await page.goto(`http://evil.example:${server.port}/`);
  expect([rebound?.status(), await page.textContent('body')]).toEqual([
    421,
    expect.stringContaining('Nobody is here under this name'),
  ]);
  await browser.close();
  await new Promise((closed) => hostile.close(closed));
  expect(((await server.call('GET', '/backup')).body as { sha256: string }).sha256).toBe(before);
});

test('a phone is let in by a code, may only look, hears what is written, and is shut out at once', async ({
  page,
  browser,
}) => {
  const env = { HOST: '0.0.0.0', HODDLE_HOSTS: '127.0.0.2' };
  server = await RealServer.start({ demo: true, env, passphrase: PASSPHRASE });
  const watch = watchPage(page);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const phone = await context.newPage();
  const away = `http://127.0.0.2:${server.port}`;

  expect((await phone.goto(`${away}/shelf`))?.status()).toBe(401);
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible();

  const hands = kitchenHands(page, server.address);
  await hands.goto('/bench/devices');
  await page.getByRole('radio', { name: /Looks only/ }).click();
  await hands.press('Show a code');
  const code = (await page.getByText(/^[0-9A-Z]{4} [0-9A-Z]{4}$/).textContent()) ?? '';
  await phone.goto(`${away}/pair#${code.replace(' ', '')}`);
  await phone.getByLabel('What this device is called').fill('Phone in the cellar');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await phone.waitForURL(`${away}/`);
  await expect(phone.getByRole('heading', { level: 1, name: 'Saturday 29 August' })).toBeVisible();

  // What the kitchen writes the phone shows without asking.
  const asked: string[] = [];
  phone.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await phone.goto(`${away}/bench`);
  await expect(phone.getByText('Fennick Hollow')).toBeVisible();
  const { household } = (await server.call('GET', '/state')).body as { household: { name: string } };
  await expect.poll(() => asked.includes('/api/state')).toBe(true);
  asked.length = 0;
  await server.call('PUT', '/household', { ...household, name: 'Fennick Hollow, upstairs' });
  await expect(phone.getByText('Fennick Hollow, upstairs')).toBeVisible();
  expect(asked).toEqual([]);

  // It looks, and changes nothing.
  const refused = await phone.evaluate(() =>
    fetch('/api/clock', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: '{"offsetMs":1}',
    }).then((reply) => reply.status),
  );
  expect(refused).toBe(403);

  await hands.press('Done');
  await page.getByRole('button', { name: 'Shut out Phone in the cellar' }).click();
  await hands.press('Shut it out');
  await expect(page.getByText(/Shut out \d/)).toBeVisible();
  await phone.goto(`${away}/`);
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
  await context.close();
  watch.calm();
});

test('without a passphrase no other device is listened to; a second server says who holds the file', async () => {
  server = await RealServer.start();
  const open = await startAndFail({ HOST: '0.0.0.0', PORT: '0', HODDLE_DB: newFile() });
  expect([open.code, open.out]).toEqual([
    1,
    expect.stringMatching(/^HOST=0\.0\.0\.0 lets other devices ask: set .*\n$/),
  ]);
  const second = await startAndFail({ PORT: '0', HODDLE_DB: server.file });
  expect(second.code).toBe(1);
  expect(second.out).toMatch(
    /is in use by another Hoddle: process \d+ at http:\/\/127\.0\.0\.1:\d+, since .*Stop that one first\.\n$/,
  );
});

test('HODDLE_TLS=auto: locked with a certificate of the home’s own authority, which a phone can fetch and trust', async () => {
  const env = { HOST: '0.0.0.0', HODDLE_HOSTS: '127.0.0.2', HODDLE_TLS: 'auto' };
  server = await RealServer.start({ env, passphrase: PASSPHRASE });
  const { request } = await import('node:https');
  const get = (path: string, ca?: string, host = '127.0.0.1') =>
    new Promise<{ status: number; text: string }>((answered, failed) => {
      const asked = request(
        { host, port: server.port, path, ...(ca ? { ca } : { rejectUnauthorized: false }) },
        (reply) => {
          let text = '';
          reply.setEncoding('utf8').on('data', (piece: string) => (text += piece));
          reply.on('end', () => answered({ status: reply.statusCode ?? 0, text }));
        },
      );
      asked.on('error', failed);
      asked.end();
    });
  const { authority } = JSON.parse((await get('/api/devices')).text) as {
    authority: { path: string; fingerprint: string };
  };
  const { status, text: pem } = await get(authority.path, undefined, '127.0.0.2');
  expect([status, pem]).toEqual([200, expect.stringContaining('BEGIN CERTIFICATE')]);
  // Trusting that authority alone, the line is good under both names; without it, it is not.
  expect((await get('/api/me', pem)).status).toBe(200);
  expect((await get('/', pem, '127.0.0.2')).status).toBe(401);
  await expect(get('/api/me', 'none')).rejects.toThrow();
});

test('a backup is taken from the Files screen, jars are taken, and it is brought back; so from the terminal when the file is gone', async ({
  page,
}) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  const sum = async () => ((await server.call('GET', '/backup')).body as { sha256: string }).sha256;
  const before = await sum();
  await hands.goto('/shelf/files');
  await hands.press('Take one now');
  await expect(page.getByText('Taken, and read back.')).toBeVisible();
  const ticked = { key: 'sugar lb', ticked: true };
  await server.call('PUT', '/shopping-ticks', ticked);
  expect(await sum()).not.toBe(before);
  await page
    .getByRole('button', { name: /^Bring back/ })
    .first()
    .click();
  await hands.press('Bring it back');
  await expect(page.getByText(/^Restored: /)).toBeVisible();
  expect(await sum()).toBe(before);
  watch.calm();

  const backup = runCommand('backup', server.file);
  expect([backup.status, existsSync(backup.out.trim())]).toEqual([0, true]);
  await server.stop();
  for (const part of ['', '-wal', '-shm']) rmSync(server.file + part, { force: true });
  const gone = await startAndFail({ PORT: '0', HODDLE_DB: server.file });
  expect([gone.code, gone.out]).toEqual([1, expect.stringContaining('is gone: there was a household in it')]);
  const restored = runCommand('restore', server.file, [backup.out.trim()]);
  expect([restored.status, restored.out]).toEqual([0, expect.stringMatching(/^Restored \d+ lots/)]);
  await server.start();
  expect(await sum()).toBe(before);
  await server.stop();
  // A damaged file is set aside, not thrown away.
  writeFileSync(server.file, Buffer.alloc(8_192, 'SQLite format 3\0'));
  const again = runCommand('restore', server.file, [backup.out.trim()]);
  expect([again.status, again.err]).toEqual([0, expect.stringContaining('It was set aside as')]);
  await server.start();
  expect(await sum()).toBe(before);
});

test('a digit that changed on the disk: every screen says so, the altitude counts as not set, and the backup brings it back', async ({
  page,
}) => {
  server = await RealServer.start({ demo: true });
  await server.call('POST', '/backups', {});
  await server.stop();
  const { Sequelize } = await import('sequelize');
  const file = new Sequelize({ dialect: 'sqlite', storage: server.file, logging: false });
  await file.query('UPDATE households SET altitude_ft = 342');
  await file.close();
  await server.start();
  const hands = kitchenHands(page, server.address);
  await hands.goto('/bench');
  await expect(page.getByText('Part of the household’s file is damaged')).toBeVisible();
  await expect(page.getByText('Altitude?', { exact: true }).first()).toBeVisible();
  await hands.press('Look');
  await expect(page.getByText(/1 thing in the household’s file changed on the disk and is left out/)).toBeVisible();
  await page
    .getByRole('button', { name: /^Bring back/ })
    .first()
    .click();
  await hands.press('Bring it back');
  await expect(page.getByText(/^Restored: /)).toBeVisible();
  await hands.goto('/bench');
  await expect(page.getByText('3,420 ft')).toBeVisible();
  await expect(page.getByText('Part of the household’s file is damaged')).toBeHidden();
});

// The same as `npm run bench:trust` does with 200 rounds.
test('killed while it writes, upgrades and restores, it loses nothing, doubles nothing and locks nobody out', async () => {
  server = await RealServer.start();
  const chance = new Chance(20_260_829);
  const writing = await killedWhileWriting(4, chance);
  expect([writing.faults, writing.acknowledged > 10]).toEqual([[], true]);
  expect((await killedWhileUpgrading(5, chance)).faults).toEqual([]);
  expect((await killedWhileRestoring(4, chance)).faults).toEqual([]);
});
