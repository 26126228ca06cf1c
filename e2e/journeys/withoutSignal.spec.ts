import { AxeBuilder } from '@axe-core/playwright';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { appIsKept } from '../appIsKept';
import { boilingPot, pot } from '../boilingPot';
import { laterBy, seesClock } from '../demoClock';
import { handRests } from '../handRests';
import { kitchenHands } from '../kitchenHands';
import { Phone } from '../phone';
import { RealServer } from '../realServer';

test.use({ serviceWorkers: 'allow' });

interface State {
  readonly events: { id: string; type: string }[];
  readonly movements: { id: string; kind: string; jars: number; undoes?: string }[];
  readonly picks: { id: string; told: string }[];
}

let server: RealServer;
let phones: Phone[] = [];
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(async () => {
  await Promise.all(phones.map((phone) => phone.close().catch(() => undefined)));
  phones = [];
  await server.stop();
});

const state = async () => (await server.call('GET', '/state')).body as State;
const strip = (page: Page) => page.getByRole('status').first();

async function aPhone(): Promise<Phone> {
  const phone = await Phone.start();
  phones.push(phone);
  return phone;
}

const LOT = '0198f3a0-0000-7000-8000-000000000002';
/** Quarts on the shelf, put there by the kitchen's own machine. */
async function quarts(jars: number): Promise<void> {
  const now = Date.now();
  const lot = {
    ...{ id: LOT, product: 'tomatoes-crushed', jar: 'quart', place: 'shelf', seal: 'sealed' },
    ...{ madeAt: now - 1e9, keepsUntil: now + 1e10 },
  };
  const { status } = await server.call('POST', '/jars-in', { id: crypto.randomUUID(), at: now, rows: [{ lot, jars }] });
  expect(status).toBe(201);
}

/** Takes a jar as a hand does, and waits until the screen shows it as done. */
async function takes(page: Page, left: number): Promise<void> {
  await handRests(page);
  await page
    .getByRole('button', { name: /Take one made/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(new RegExp(`^${left} `));
}

test('a pot at the boil, no signal, a reload, a phone that dies: the clock goes on, and no tap is lost or doubled', async () => {
  test.setTimeout(240_000);
  const phone = await aPhone();
  const page = await phone.open(server.address);
  await boilingPot(page, server);
  await appIsKept(page);
  await phone.signal(false);
  const left = async (from: Page) => {
    const [minutes = NaN, seconds = NaN] = (await pot(from, 'Big pot').getByRole('timer').innerText())
      .split(':')
      .map(Number);
    return 60 * minutes + seconds;
  };
  const [due, from] = [await left(page), Date.now()];
  const isRight = (each: Page) =>
    expect.poll(async () => Math.abs((await left(each)) - (due - (Date.now() - from) / 1_000))).toBeLessThan(3);
  await page.reload();
  await isRight(page);
  await expect(page.getByText(/^No signal since/)).toBeVisible();
  await handRests(page);
  await pot(page, 'Big pot')
    .getByRole('button', { name: /^Lost the boil/ })
    .click();
  await expect(pot(page, 'Big pot').getByText(/the full 55 min start again/)).toBeVisible();
  // It shows as done: from this moment on it may not be lost.
  await phone.dies();
  await phone.wakes(false);
  const again = await phone.open(`${server.address}/kitchen`);
  await expect(pot(again, 'Big pot').getByText(/the full 55 min start again/)).toBeVisible();
  await expect(again.getByText(/1 thing waits here: boil lost/)).toBeVisible();
  await handRests(again);
  await pot(again, 'Big pot')
    .getByRole('button', { name: /^Boiling again/ })
    .click();
  await expect(pot(again, 'Big pot').getByRole('timer')).toBeVisible();
  await phone.dies();
  await server.stop('SIGKILL');
  await server.start();
  await phone.wakes(true);
  await phone.open(server.address);
  await expect
    .poll(async () => (await state()).events.map(({ type }) => type))
    .toEqual(['load-started', 'boil-reached', 'boil-lost', 'boil-reached']);
});

test('two tabs without signal lose nothing of each other; what waits is listed; a day is planned, the handbook read', async () => {
  const phone = await aPhone();
  const page = await phone.open(server.address);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await quarts(9);
  await hands.pick('Paste tomatoes', '46');
  await expect.poll(async () => (await state()).picks.length).toBe(1);
  await hands.goto('/shelf');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^9 /);
  await appIsKept(page);
  await phone.signal(false);
  const other = await phone.open(`${server.address}/shelf`);
  await takes(page, 8);
  await takes(other, 7);
  await takes(page, 6);
  await expect(other.getByRole('heading', { level: 1 })).toHaveText(/^6 /);
  await other.reload();
  await takes(other, 5);
  await expect(strip(page)).toContainText(
    /No signal since .*4 things wait here: took 1 quart crushed tomatoes, took 1 quart/s,
  );

  // All that needs no other device works, in screens that were never opened before.
  await page.goto(`${server.address}/bench/tested`);
  await page.getByRole('textbox').first().fill('damson');
  await expect(page.getByRole('link', { name: /plum/i }).first()).toBeVisible();
  await page.goto(`${server.address}/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart`);
  await handRests(page);
  await page.getByRole('button', { name: /^Plan \d+/ }).click();
  await expect(page.getByText(/^Likely .*, 9 in 10 by /)).toBeVisible();
  await page.goto(`${server.address}/harvest/pick`);
  await page.getByRole('radio', { name: 'Damson plums' }).click();
  await hands.type('19');
  await hands.press('Picked');
  await expect(
    page
      .getByRole('heading', { name: /Damson/ })
      .or(page.getByText(/19 lb/))
      .first(),
  ).toBeVisible();

  await page.goto(`${server.address}/bench/waiting`);
  await expect(page.getByRole('list', { name: 'On their way' }).getByRole('listitem')).toHaveCount(6);
  await expect(page.getByText('They are kept on this device until then.')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await phone.signal(true);
  await expect(page.getByText('Nothing waits.', { exact: false })).toBeVisible({ timeout: 20_000 });
  const told = await state();
  expect(told.movements.filter(({ kind }) => kind === 'taken')).toHaveLength(4);
  expect(told.picks).toHaveLength(2);
});

test('two phones took the last jar without signal: the second is told, the first is told, until each has dealt with it', async () => {
  await quarts(1);
  const [cellar, garden] = [await aPhone(), await aPhone()];
  const pages: Page[] = [];
  for (const phone of [cellar, garden]) {
    const page = await phone.open(`${server.address}/shelf`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^1 jar/);
    await appIsKept(page);
    await phone.signal(false);
    await takes(page, 0);
    pages.push(page);
  }
  const [first, second] = pages;
  if (!first || !second) throw new Error('no phones');
  await cellar.signal(true);
  await expect.poll(async () => (await state()).movements.filter(({ kind }) => kind === 'taken').length).toBe(1);
  await garden.signal(true);
  await expect(strip(second)).toContainText('There are not so many of these jars left: 0, and 1 were to go.', {
    timeout: 20_000,
  });
  await expect(strip(first)).toContainText('Two hands took the same jars');

  // Over a reload it is still to be dealt with.
  await second.reload();
  await strip(second).getByRole('button', { name: 'Look' }).click();
  await expect(second.getByRole('list', { name: 'Not taken' }).getByRole('listitem')).toHaveCount(1);
  expect((await new AxeBuilder({ page: second }).analyze()).violations).toEqual([]);
  await second.getByRole('button', { name: /^Give up .*took 1 quart crushed tomatoes\?$/ }).click();
  await second.getByRole('button', { name: 'Leave it' }).click();
  await second.getByRole('button', { name: /^Give up .*took 1 quart crushed tomatoes\?$/ }).click();
  await second.getByRole('button', { name: /^Give up .*took 1 quart crushed tomatoes$/ }).click();
  await expect(second.getByRole('list', { name: 'Not taken' })).toHaveCount(0);

  await strip(first).getByRole('button', { name: 'Look' }).click();
  await expect(first.getByText(/1 quart crushed tomatoes/)).toBeVisible();
  expect((await new AxeBuilder({ page: first }).analyze()).violations).toEqual([]);
  await handRests(first);
  await first.getByRole('button', { name: /^Settled: / }).click();
  for (const page of pages) await expect(page.getByText('Nothing waits.', { exact: false })).toBeVisible();
  const { movements } = await state();
  expect(movements.map(({ kind }) => kind).sort()).toEqual(['short', 'stored', 'taken', 'undone']);
});

test('a server in trouble, a page too old, a page on the way that says yes: each told as what it is; nothing is lost', async ({
  page,
}) => {
  await quarts(5);
  await page.goto(`${server.address}/shelf`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^5 /);
  const answers = async (status: number, headers: Record<string, string>, body: object) => {
    await page.unroute('**/api/**').catch(() => undefined);
    await page.route('**/api/**', (route) =>
      route.request().url().endsWith('/changes')
        ? route.abort()
        : route.fulfill({ status, headers, contentType: 'application/json', body: JSON.stringify(body) }),
    );
  };
  const own = { 'x-hoddle': '1' };
  await answers(503, own, { error: { code: 'full', message: 'The disk is full. Nothing was saved.' } });
  await takes(page, 4);
  await expect(strip(page)).toContainText(
    /Nothing is kept since .*The disk is full\. Nothing was saved\. 1 thing waits here/s,
  );
  await answers(426, own, { error: { code: 'page-too-old', message: 'Too old.' } });
  await takes(page, 3);
  await expect(strip(page)).toContainText(/A newer Hoddle is on the server.*2 things wait here/s);
  await answers(200, {}, { welcome: 'to the café' });
  await takes(page, 2);
  await expect(strip(page)).toContainText(/No signal since .*3 things wait here/s);
  expect((await state()).movements.filter(({ kind }) => kind === 'taken')).toEqual([]);
  await page.unroute('**/api/**');
  await expect.poll(async () => (await state()).movements.filter(({ kind }) => kind === 'taken').length).toBe(3);
  await expect(page.getByText(/thing.? wait/)).toHaveCount(0);
});

test('a browser that keeps nothing works and says so', async ({ page }) => {
  await quarts(3);
  await page.addInitScript(() => {
    Object.defineProperty(IDBFactory.prototype, 'open', {
      value: () => {
        throw new DOMException('The operation is insecure.', 'SecurityError');
      },
    });
  });
  await page.goto(`${server.address}/shelf`);
  await expect(strip(page)).toContainText('This browser keeps nothing');
  await takes(page, 2);
  await expect.poll(async () => (await state()).movements.filter(({ kind }) => kind === 'taken').length).toBe(1);
  await strip(page).getByRole('button', { name: 'Understood' }).click();
  await expect(page.getByText('This browser keeps nothing')).toHaveCount(0);
});

/** A copy of the built app with another page in it, as a newer Hoddle has. */
function newerApp(mark: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'hoddle-newer-'));
  cpSync('app/dist', folder, { recursive: true });
  for (const name of ['index.html', 'sw.js']) for (const form of ['br', 'gz']) rmSync(join(folder, `${name}.${form}`));
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  writeFileSync(join(folder, 'index.html'), page.replace('<head>', `<head><meta name="which" content="${mark}">`));
  const worker = readFileSync(join(folder, 'sw.js'), 'utf8');
  const other = worker.replace(/(url:"index\.html",revision:)"[0-9a-f]+"/, `$1"${mark}"`);
  expect(other).not.toBe(worker);
  writeFileSync(join(folder, 'sw.js'), other);
  return folder;
}

const which = (page: Page) =>
  page.evaluate(() => document.querySelector<HTMLMetaElement>('meta[name=which]')?.content ?? 'first');

test('a newer app waits: not while a pot boils, then it is offered and taken; one that came by half changes nothing', async () => {
  test.setTimeout(240_000);
  const phone = await aPhone();
  const page = await phone.open(server.address);
  await boilingPot(page, server);
  await appIsKept(page);
  const { port, file } = server;
  const serve = async (folder: string) => {
    await server.stop();
    server = await RealServer.again(port, file, { HODDLE_APP: folder });
  };
  const looksForNewer = () =>
    page.evaluate(async () => {
      const found = await navigator.serviceWorker.getRegistration();
      await found?.update().catch(() => undefined);
      for (let turn = 0; turn < 100 && found?.installing; turn++) await new Promise((done) => setTimeout(done, 50));
      return { waiting: found?.waiting !== null, active: found?.active !== null };
    });

  // Half of it does not come: the old one stays whole, and opens without signal.
  const half = newerApp('half');
  const worker = readFileSync(join(half, 'sw.js'), 'utf8');
  writeFileSync(
    join(half, 'sw.js'),
    worker.replace(/url:"_expo\/static\/js\/web\/work-[^"]+"/, 'url:"_expo/static/js/web/work-0000000000000000.js"'),
  );
  await serve(half);
  await page.goto(server.address);
  expect(await looksForNewer()).toEqual({ waiting: false, active: true });
  await phone.signal(false);
  await page.goto(`${server.address}/kitchen`);
  await expect(pot(page, 'Big pot').getByRole('timer')).toBeVisible();
  expect(await which(page)).toBe('first');
  await phone.signal(true);

  await serve(newerApp('second'));
  await page.goto(server.address);
  expect(await looksForNewer()).toEqual({ waiting: true, active: true });
  await page.reload();
  await expect(page.getByRole('heading', { name: /jars in \d+ loads/ })).toBeVisible();
  await expect(page.getByText('A newer Hoddle is here')).toHaveCount(0);
  expect(await which(page)).toBe('first');
  await laterBy(server, 60);
  await page.goto(`${server.address}/kitchen`);
  await handRests(page);
  await pot(page, 'Big pot')
    .getByRole('button', { name: /^Heat off, lid off/ })
    .click();
  await laterBy(server, 6);
  await seesClock(page, server);
  await handRests(page);
  await pot(page, 'Big pot').getByRole('button', { name: 'Jars are out' }).click();
  await expect(page.getByRole('list', { name: 'On the towel' })).toBeVisible();
  await page.goto(server.address);
  await expect(page.getByText('A newer Hoddle is here')).toBeVisible();
  const other = await phone.open(`${server.address}/shelf`);
  await page.getByRole('button', { name: 'Take it' }).click();
  // Every tab is new, none is left with a part of each.
  for (const each of [page, other]) await expect.poll(() => which(each).catch(() => '')).toBe('second');
  await phone.signal(false);
  await other.goto(`${server.address}/plan`);
  await expect(other.getByRole('heading', { level: 1 })).toBeVisible();
  expect(await which(other)).toBe('second');
});

test('a screen whose file never came says so, and comes with the next signal', async ({ browser }) => {
  // A browser that keeps no app: a page over plain http in a home's network.
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Not on this device yet' })).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: 'Jars and lids' })).toBeVisible();
  await context.close();
});

test('it can be put on a device: manifest and icons are whole, and the app opens from its own start without signal', async () => {
  const phone = await aPhone();
  const page = await phone.open(server.address);
  await appIsKept(page);
  const manifest = await page.evaluate(async () => {
    const href = document.querySelector<HTMLLinkElement>('link[rel=manifest]')?.href ?? '';
    return (await fetch(href)).json();
  });
  expect(manifest).toMatchObject({
    name: 'Hoddle',
    short_name: 'Hoddle',
    start_url: '/',
    scope: '/',
    display: 'standalone',
  });
  const sizes = await page.evaluate(
    (icons) =>
      Promise.all(
        icons.map(async ({ src, sizes: said }) => {
          const image = new Image();
          image.src = src;
          await image.decode();
          return said === 'any' || said === `${image.naturalWidth}x${image.naturalHeight}`;
        }),
      ),
    manifest.icons as { src: string; sizes: string }[],
  );
  expect(sizes).toEqual(manifest.icons.map(() => true));
  const purposes = (manifest.icons as { sizes: string; purpose?: string }[]).map(
    (icon) => `${icon.sizes} ${icon.purpose ?? 'any'}`,
  );
  expect(purposes).toEqual(expect.arrayContaining(['192x192 any', '512x512 any', '512x512 maskable']));
  // Chromium's own verdict on whether it can be installed.
  const devtools = await page.context().newCDPSession(page);
  const { installabilityErrors } = await devtools.send('Page.getInstallabilityErrors');
  expect(installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito')).toEqual([]);
  await phone.signal(false);
  await page.goto(new URL(manifest.start_url as string, server.address).href);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});
