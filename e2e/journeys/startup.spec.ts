import { readFileSync, writeFileSync } from 'node:fs';
import { connect, createServer } from 'node:net';
import { expect, test } from '@playwright/test';
import { newFile, RealServer, startAndFail } from '../realServer';

test.use({ serviceWorkers: 'allow' });

const ONE_LINE = /^[^\n]+\n$/;

test('a file that is not SQLite: one clear line, exit 1, the file untouched', async () => {
  const file = newFile();
  writeFileSync(file, 'a shopping list');
  const { out, code } = await startAndFail({ HODDLE_DB: file, PORT: '0' });
  expect(code).toBe(1);
  expect(out).toMatch(ONE_LINE);
  expect(out).toContain('is not a SQLite file');
  expect(readFileSync(file, 'utf8')).toBe('a shopping list');
});

test('a port in use: one clear line, exit 1', async () => {
  const holder = createServer().listen(0, '127.0.0.1');
  await new Promise((listening) => holder.once('listening', listening));
  const { port } = holder.address() as { port: number };
  const { out, code } = await startAndFail({ HODDLE_DB: newFile(), PORT: String(port) });
  holder.close();
  expect([code, out]).toEqual([1, `Port ${port} is in use. Set PORT to another one.\n`]);
});

test('it answers on this machine alone, and a page comes with its protections', async () => {
  const server = await RealServer.start();
  expect(await server.call('GET', '/health')).toMatchObject({ status: 200, body: { ok: true, file: 'ok' } });
  const page = await fetch(`${server.address}/harvest/pick`);
  expect(page.headers.get('content-type')).toContain('text/html');
  expect(page.headers.get('content-security-policy')).toContain("default-src 'self'");
  expect(await server.stop('SIGTERM')).toBe(0);
});

test('it stops when told to, though a browser holds a connection open without a request', async () => {
  const server = await RealServer.start();
  const spare = connect(server.port, '127.0.0.1');
  spare.on('error', () => undefined);
  await new Promise((connected) => spare.once('connect', connected));
  const closed = new Promise((gone) => spare.once('close', gone));
  expect(await server.stop('SIGTERM')).toBe(0);
  await closed;
});
