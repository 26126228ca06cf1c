import { cpus } from 'node:os';
import { type Page, test } from '@playwright/test';
import { idle } from '../idle';
import { RealServer } from '../realServer';

/** The processor as slow as an old phone's, and what a cook may wait for the answer to a key. */
const SLOWER = 4;
const BUDGET_MS = 100;

const FIELDS = [
  ['/bench/jars', 'Produce'],
  ['/bench/convert', 'Amount'],
  ['/bench/brine/dilled-beans', 'Liquid 1'],
  ['/bench/acid', 'Jars'],
  ['/bench/syrup', 'Jars'],
  ['/bench/scale/jam-no-pectin', 'crushed berries'],
  ['/bench/ready/grape-juice', 'Produce'],
  ['/bench/change/pickled-beets', 'The batch, one ingredient a line'],
  ['/bench/tested', 'Search by any name'],
  ['/harvest/pick', 'Picked'],
  ['/harvest/batch', 'What went in'],
] as const;

/** Presses keys and measures from each press to the frame that shows what follows from it. */
async function measure(page: Page, name: string): Promise<number[]> {
  const field = page.getByRole('textbox', { name, exact: true });
  await field.focus();
  await page.evaluate(() => {
    const times: number[] = [];
    Object.assign(window, { pressTimes: times });
    document.addEventListener(
      'keydown',
      () => {
        const pressed = performance.now();
        requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - pressed)));
      },
      true,
    );
  });
  for (const sign of [
    '1',
    'Backspace',
    '2',
    'Backspace',
    '3',
    'Backspace',
    '4',
    'Backspace',
    '5',
    'Backspace',
    '6',
    '7',
  ]) {
    await page.keyboard.press(sign);
    await idle(page);
  }
  return page.evaluate(() => (window as unknown as { pressTimes: number[] }).pressTimes);
}

test('from a key to its answer', async ({ page }) => {
  const server = await RealServer.start({ demo: true });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  process.stdout.write(`${cpus()[0]?.model ?? 'unknown machine'}, slowed ${SLOWER} times, Node ${process.version}\n`);
  for (const [path, name] of FIELDS) {
    await page.goto(server.address + path);
    const times = (await measure(page, name)).sort((a, b) => a - b);
    const middle = times[Math.floor(times.length / 2)] ?? NaN;
    const longest = times.at(-1) ?? NaN;
    process.stdout.write(
      `${path}: half within ${middle.toFixed(0)} ms, longest ${longest.toFixed(0)} ms of ${times.length} keys; ${(longest / BUDGET_MS).toFixed(2)} of the ${BUDGET_MS} ms allowed\n`,
    );
  }
  await server.stop();
});
