import { expect, type Page } from '@playwright/test';
import { format } from 'date-fns';
import { type RealServer } from './realServer';

/**
 * Makes the household's clock one that can be moved, as a demo's is: nobody waits an hour for a test. A server that runs is
 * stopped for it: the file has one writer.
 */
export async function giveDemoClock(server: RealServer, offsetMs = 0) {
  const ran = server.isRunning;
  if (ran) await server.stop();
  const { Sequelize } = await import('sequelize');
  const file = new Sequelize({ dialect: 'sqlite', storage: server.file, logging: false });
  await file.query('UPDATE households SET demo_offset_ms = ?, sum = NULL', { replacements: [offsetMs] });
  await file.close();
  if (ran) await server.start();
}

/** Eight in the morning of a day on which nothing of an hour is special; for a household with a demo clock. */
export async function atEight(server: RealServer): Promise<void> {
  const { now, demoOffsetMs } = (await server.call('GET', '/state')).body as { now: number; demoOffsetMs: number };
  const eight = new Date(now).setHours(8, 0, 0, 0) + 24 * 60 * 60_000;
  await server.call('PUT', '/clock', { offsetMs: demoOffsetMs + eight - now });
}

/** So many minutes on, for a household with a demo clock. */
export async function laterBy(server: RealServer, minutes: number): Promise<void> {
  const { demoOffsetMs } = (await server.call('GET', '/state')).body as { demoOffsetMs: number };
  await server.call('PUT', '/clock', { offsetMs: demoOffsetMs + minutes * 60_000 });
}

/** Waits until a screen of the kitchen shows the household's time: what is tapped then is told at that time. */
export async function seesClock(page: Page, server: RealServer): Promise<void> {
  await expect
    .poll(async () => {
      const shown = await page.getByRole('heading', { level: 1 }).innerText();
      const { now } = (await server.call('GET', '/state')).body as { now: number };
      const minute = (at: number) => format(at, 'h:mm aaa');
      // A minute may turn between the two looks.
      return shown.includes(minute(now)) || shown.includes(minute(now - 5_000));
    })
    .toBe(true);
}
