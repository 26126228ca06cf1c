import { mkdtempSync } from 'node:fs';
import { type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import { type ScheduleRequest } from '@hoddle/contract/schedule';
import { openBefore } from '@hoddle/core/kitchen/openBefore';
import { runningDay } from '@hoddle/core/kitchen/runningDay';
import { v7 as uuidV7 } from 'uuid';
import { Changes } from './changes';
import { type Clock } from './clock';
import { ownHosts } from './access/hosts';
import { NO_LIMITS } from './access/limits';
import { OpenAddresses } from './access/openAddresses';
import { Pairing } from './access/pairing';
import { nightlyBackups } from './backup/nightly';
import { backupsOf, openDatabase } from './db/openDatabase';
import { readBatchesNow, readDayEvents, readEvents, readSettings } from './db/readState';
import { householdWatch } from './instruments/householdWatch';
import { holdAgainstDocument } from './openApiChecker';
import { createServer, type ServerParts } from './server';
import { planHousehold } from './season/planHousehold';
import { dayPlanAnswer } from './workers/dayPlanAnswer';
import { eachOnce } from './workers/dayPlanPool';
import { scheduleAnswer } from './workers/scheduleAnswer';
import { type PlanSeasons } from './workers/seasonPool';

/** A data file of its own, gone with the machine's temporary folder. */
export function newFile(): string {
  return join(mkdtempSync(join(tmpdir(), 'hoddle-')), 'household.sqlite');
}

/** The real server on a free port with a real file, for tests. Every reply is held against the API's own document. */
export async function startServer(
  file = newFile(),
  clock: Clock = { now: () => Date.UTC(2026, 7, 29) },
  more: Partial<ServerParts> = {},
) {
  const db = await openDatabase(file, { clock });
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
  const changes = new Changes((tell) => db.state.listen(tell));
  const watch = householdWatch({ db, clock, changes, log });
  const backups = nightlyBackups(db, backupsOf(file), log, () => clock.now(null));
  const pairing = await Pairing.of(db);
  const open = await OpenAddresses.of(db);
  const planDay = eachOnce((work) => Promise.resolve(dayPlanAnswer(work)));
  const parts: ServerParts = {
    ...{
      db,
      clock,
      log,
      schedule,
      planSeasons,
      planDay,
      open,
      changes,
      backups,
      pairing,
      instruments: watch,
      appFolder: join(tmpdir(), 'no-app-here'),
    },
    ...{ hosts: () => ownHosts('127.0.0.1'), addresses: () => [], limits: NO_LIMITS, ...more },
  };
  const express = createServer(parts);
  const server = express.listen(0, '127.0.0.1');
  // A test that works for seconds between two calls finds its connection still open.
  server.keepAliveTimeout = 0;
  await new Promise((listening) => server.once('listening', listening));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  return {
    db,
    file,
    express,
    pairing,
    backups,
    watch,
    address: base.replace(/\/api$/, ''),
    async call(method: string, path: string, body?: unknown) {
      const init = {
        ...(method !== 'GET' && { headers: { 'content-type': 'application/json' } }),
        ...(body !== undefined && { body: JSON.stringify(body) }),
      };
      const reply = await fetch(base + path, { method, ...init });
      const text = await reply.text();
      const isJson = reply.headers.get('content-type')?.includes('application/json');
      const said = text === '' ? undefined : isJson ? JSON.parse(text) : text;
      holdAgainstDocument({ method, path, status: reply.status, body: said });
      return { status: reply.status, body: said };
    },
    /** Tells all that is done before a load goes in, or into the cold: each step as over by then. */
    async fill(loadId: string, at: number): Promise<void> {
      const all = await readBatchesNow(db);
      const batches = all.filter(({ loads }) => loads.some(({ id, withLoadId }) => [id, withLoadId].includes(loadId)));
      const { kitchen, burners, units, canners, ownJars } = readSettings(db);
      const setup = { ...kitchen, burners, units };
      const running = runningDay(
        batches,
        { setup, canners, ownJars },
        await readEvents(db),
        await readDayEvents(db),
        at,
      );
      const into = running.tasks.find(({ id }) => id === `load ${loadId}` || id === `cool ${loadId}`);
      const day = new Date(batches[0]?.startAt ?? at).toISOString().slice(0, 10);
      for (const { task } of into ? openBefore(into, running, at) : []) {
        const told = { id: uuidV7(), day, at, type: 'done-before', taskId: task.id, endedAt: at };
        const { status } = await this.call('POST', '/kitchen/day-events', told);
        if (status !== 201) throw new Error(`step ${task.id} answered ${status}`);
      }
    },
    async stop() {
      server.closeAllConnections();
      await new Promise((closed) => server.close(closed));
      backups.stop();
      await watch.stop();
      await db.close();
    },
  };
}
