import { cpus } from 'node:os';
import { expect, type Page, test } from '@playwright/test';
import { giveDemoClock } from '../demoClock';
import { planTwo } from '../planTwo';
import { handRests } from '../handRests';
import { RealServer } from '../realServer';

/** What a cook may wait for a tap to show, and another screen for the tap. */
const ALLOWED_MS = { tap: 100, other: 300 };
const TIMES = 24;

/** When the pot that boils is first seen on a screen, on the machine's clock. */
const watchPot = (page: Page) =>
  page.evaluate(() => {
    Object.assign(window, { seenAt: undefined });
    const look = () => {
      if (document.querySelector('[role=timer]')) Object.assign(window, { seenAt: Date.now() });
      else requestAnimationFrame(look);
    };
    look();
  });
const seenAt = (page: Page) => page.evaluate(() => (window as unknown as { seenAt?: number }).seenAt);

test('from a tap in the kitchen to its effect, on this screen and on another', async ({ page, browser }) => {
  const server = await RealServer.start();
  await giveDemoClock(server);
  const hands = await planTwo(page, server.address);
  await page.getByRole('link', { name: /^Load 1, / }).click();
  await hands.loadIn(/are in, heat it/);
  await hands.pass('+20 min');
  const other = await (await browser.newContext()).newPage();
  await other.goto(`${server.address}/kitchen`);
  // Reads of the whole household, which no tap should cost.
  let whole = 0;
  for (const each of [page, other]) {
    each.on(
      'request',
      (request) =>
        (whole += new URL(request.url()).pathname === '/api/state' && !request.url().includes('since') ? 1 : 0),
    );
  }
  const own: number[] = [];
  const others: number[] = [];
  for (let time = 0; time < TIMES; time++) {
    const start = page.getByRole('button', { name: /^(It boils|Boiling again): start/ });
    await expect(start).toBeVisible();
    await handRests(page);
    await watchPot(page);
    await watchPot(other);
    const tappedAt = await start.evaluate((key) => {
      const at = Date.now();
      (key as HTMLElement).click();
      return at;
    });
    await expect.poll(() => seenAt(page)).toBeDefined();
    await expect.poll(() => seenAt(other)).toBeDefined();
    own.push(((await seenAt(page)) ?? NaN) - tappedAt);
    others.push(((await seenAt(other)) ?? NaN) - tappedAt);
    await handRests(page);
    await page.getByRole('button', { name: /^Lost the boil/ }).click();
    await expect(other.getByRole('timer')).toHaveCount(0);
  }
  const words = (times: number[], allowed: number) => {
    const sorted = [...times].sort((a, b) => a - b);
    const p95 = sorted[Math.ceil(0.95 * sorted.length) - 1] ?? NaN;
    return `half within ${sorted[Math.floor(sorted.length / 2)]} ms, p95 ${p95} ms, longest ${sorted.at(-1)} ms; ${(p95 / allowed).toFixed(2)} of the ${allowed} ms allowed`;
  };
  process.stdout.write(
    `${cpus()[0]?.model ?? 'unknown machine'}, Node ${process.version}\n` +
      `a tap shows on its own screen: ${words(own, ALLOWED_MS.tap)}\n` +
      `and on another: ${words(others, ALLOWED_MS.other)}; ${whole} reads of the whole household for ${2 * TIMES} taps\n`,
  );
  await server.stop();
});
