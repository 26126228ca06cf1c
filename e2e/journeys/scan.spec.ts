import { type Browser, chromium, expect, type Page, test } from '@playwright/test';
import { parse } from 'csv-parse/sync';
import { CHROMIUM, QUIET } from '../chromium';
import { jarVideo } from '../jarVideo';
import { RealServer } from '../realServer';

let server: RealServer;
let browser: Browser | undefined;
test.afterEach(async () => {
  await browser?.close();
  await server.stop();
});

interface Told {
  lots: { id: string; product: string; place: string }[];
  movements: { kind: string; lotId: string; jars: number }[];
}

async function withCamera(args: readonly string[]): Promise<Page> {
  browser = await chromium.launch({ executablePath: CHROMIUM, args: [...QUIET, ...args] });
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  return context.newPage();
}

/** Codes of two lots of different products that stand in the first place of the shelf's file. */
async function twoCodes(): Promise<[string, string]> {
  const csv = await (await fetch(`${server.address}/api/export?table=jars`)).text();
  const rows = parse(csv, { columns: true, bom: true }) as Record<'product' | 'place' | 'code' | 'jars', string>[];
  const shelf = rows.filter(({ place, jars }) => place === rows[0]?.place && Number(jars) > 6);
  const first = shelf[0];
  const second = shelf.find(({ product }) => product !== first?.product);
  if (!first || !second) throw new Error('the demo has no two products on its shelf');
  return [first.code, second.code];
}

// Chromium's fake camera plays a video of drawn jars round and round.
test('the camera finds a jar within two seconds, takes several in a row, and counts a shelf', async () => {
  server = await RealServer.start({ demo: true });
  const [one, other] = await twoCodes();
  const words = (code: string) => `HTTP://192.168.1.20:4860/J/${code}`;
  // Each lap: one jar twice, with a moment between, another once, and something that is no jar.
  const video = jarVideo([
    { words: words(one), held: 12, away: 12 },
    { words: words(one), held: 12, away: 12 },
    { words: words(other), held: 12, away: 12 },
    { words: 'https://example.org/', held: 8, away: 12 },
  ]);
  const page = await withCamera([
    '--use-fake-ui-for-media-stream',
    '--use-fake-device-for-media-stream',
    `--use-file-for-fake-video-capture=${video}`,
  ]);
  await page.goto(`${server.address}/shelf/code`);
  await page.getByRole('button', { name: 'Scan it with the camera' }).click();
  await page.getByRole('group').first().or(page.locator('video')).first().waitFor();
  const found = await page.evaluate(
    () =>
      new Promise<number>((done) => {
        const began = performance.now();
        let shownAt: number | undefined;
        const look = () => {
          const video = document.querySelector('video');
          if (shownAt === undefined && video && video.readyState >= 2) shownAt = performance.now();
          if (document.querySelector('[aria-live="polite"]')?.textContent) done(performance.now() - (shownAt ?? began));
          else requestAnimationFrame(look);
        };
        look();
      }),
  );
  expect(found).toBeLessThan(2_000);
  await expect(page.getByRole('button', { name: 'Take it' }).first()).toBeVisible();
  await expect(page.getByText('That is no jar of this household.')).toBeVisible();

  await test.step('several in a row: each that comes into sight is taken once, and can be put back', async () => {
    await page.getByRole('radio', { name: 'take each jar' }).click();
    const undo = page.getByRole('button', { name: /^Undo: / });
    await expect.poll(() => undo.count()).toBeGreaterThanOrEqual(3);
    await page.getByRole('radio', { name: 'show the jar' }).click();
    const taken = await undo.count();
    await expect
      .poll(async () => {
        const { movements } = (await server.call('GET', '/state')).body as Told;
        return movements.filter(({ kind }) => kind === 'taken').length > 0;
      })
      .toBe(true);
    expect(taken).toBeLessThan(12);
  });

  await test.step('a shelf is counted by its labels; what was not seen stays open', async () => {
    await page.goto(`${server.address}/shelf/count`);
    await page.getByRole('button', { name: 'Scan the jars instead' }).click();
    await expect(page.getByRole('list', { name: 'Counted so far' }).getByRole('listitem')).toHaveCount(2);
    await page.getByRole('button', { name: 'To the count' }).click();
    await expect(page.getByText(/fewer/).first()).toBeVisible();
    await expect(page.getByText(/^2 of \d+ looked at$/)).toBeVisible();
  });
});

test('without a camera, and with one that is refused, the screen says why and the code is typed', async () => {
  server = await RealServer.start({ demo: true });
  const page = await withCamera([]);
  await page.goto(`${server.address}/shelf/scan`);
  await expect(page.getByRole('alert')).toContainText(/camera/);
  await page.getByRole('button', { name: 'Type the code' }).click();
  await expect(page.getByRole('textbox', { name: /Five signs/ })).toBeVisible();
  await browser?.close();
  const refused = await withCamera(['--use-fake-device-for-media-stream', '--deny-permission-prompts']);
  await refused.goto(`${server.address}/shelf/scan`);
  await expect(refused.getByRole('alert')).toContainText('The camera was refused.');
});
