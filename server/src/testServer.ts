import { mkdtempSync } from 'node:fs';
import { type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import { type ScheduleRequest } from '@hoddle/contract/schedule';
import { Changes } from './changes';
import { type Clock } from './clock';
import { openDatabase } from './db/openDatabase';
import { holdAgainstDocument } from './openApiChecker';
import { createServer } from './server';
import { planHousehold } from './season/planHousehold';
import { scheduleAnswer } from './workers/scheduleAnswer';
import { type PlanSeasons } from './workers/seasonPool';

/** A data file of its own, gone with the machine's temporary folder. */
export function newFile(): string {
  return join(mkdtempSync(join(tmpdir(), 'hoddle-')), 'household.sqlite');
}

/** The real server on a free port with a real file, for tests. Every reply is held against the API's own document. */
export async function startServer(file = newFile(), clock: Clock = { now: () => Date.UTC(2026, 7, 29) }) {
  const db = await openDatabase(file);
  const log = pino({ level: 'silent' });
  // In the same thread: the worker is the same function, bundled.
  const schedule = (request: ScheduleRequest) => Promise.resolve(scheduleAnswer(request));
  const planSeasons: PlanSeasons = (task, onNews) => {
    let goOn = true;
    const outcome = planHousehold(task, (news) => {
      onNews(news);
      return goOn;
    });
    return { outcome, stop: () => (goOn = false) };
  };
  const changes = new Changes();
  const parts = { db, clock, log, schedule, planSeasons, changes, appFolder: join(tmpdir(), 'no-app-here') };
  const server = createServer(parts).listen(0, '127.0.0.1');
  // A test that works for seconds between two calls finds its connection still open.
  server.keepAliveTimeout = 0;
  await new Promise((listening) => server.once('listening', listening));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  return {
    db,
    file,
    address: base.replace(/\/api$/, ''),
    async call(method: string, path: string, body?: unknown) {
      const init =
        body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
      const reply = await fetch(base + path, { method, ...init });
      const text = await reply.text();
      const isJson = reply.headers.get('content-type')?.includes('application/json');
      const said = text === '' ? undefined : isJson ? JSON.parse(text) : text;
      holdAgainstDocument({ method, path, status: reply.status, body: said });
      return { status: reply.status, body: said };
    },
    async stop() {
      server.closeAllConnections();
      await new Promise((closed) => server.close(closed));
      await db.close();
    },
  };
}
