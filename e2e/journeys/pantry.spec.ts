import { expect, type Page, test } from '@playwright/test';
import { giveDemoClock } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

test.use({ serviceWorkers: 'allow' });

interface Told {
  lots: { id: string; product: string; jar: string; place: string; seal: string; jarsBefore: number }[];
  movements: { id: string; lotId: string; intoLotId?: string; kind: string; jars: number; undoes?: string }[];
}

/** Jars of a product as the server adds them up, in all places or one. */
async function jarsOf(server: RealServer, product: string, place?: string): Promise<number> {
  const { lots, movements } = (await server.call('GET', '/state')).body as Told;
  const own = lots.filter((lot) => lot.product === product && (place === undefined || lot.place === place));
  const undone = new Set(movements.map(({ undoes }) => undoes));
  return own.reduce((sum, { id, jarsBefore }) => {
    const of = movements.filter((each) => !['undone', 'short'].includes(each.kind) && !undone.has(each.id));
    return of.reduce((jars, each) => {
      if (each.intoLotId === id) return jars + each.jars;
      if (each.lotId !== id) return jars;
      return ['stored', 'returned', 'found'].includes(each.kind) ? jars + each.jars : jars - each.jars;
    }, sum + jarsBefore);
  }, 0);
}

const board = (page: Page, name: RegExp) => page.getByRole('button', { name });

let server: RealServer;
test.afterEach(() => server.stop());

test('take, undo, give away, set aside, open; a newer jar and one that is not ready are told', async ({ page }) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  const of = (product: string, place?: string) => () => jarsOf(server, product, place);
  await hands.goto('/shelf');

  await test.step('the oldest goes first, one tap, and it can be put back', async () => {
    await board(page, /^Thin tomato sauce, 25 of 36 pints, .*Take one made Sep 2025/).click();
    await expect(page.getByText('Took 1 pint thin tomato sauce')).toBeVisible();
    await expect.poll(of('tomato-sauce-thin')).toBe(24);
    await hands.press('Put it back');
    await expect(board(page, /^Thin tomato sauce, 25 of 36 pints/)).toBeVisible();
    await expect.poll(of('tomato-sauce-thin')).toBe(25);
  });

  await test.step('taken for a gift: from the tap to the other ways', async () => {
    await board(page, /^Thin tomato sauce, 25/).click();
    await hands.press('Not eaten?');
    await page.getByRole('textbox', { name: /To whom/ }).fill('the neighbours');
    await hands.press('Given away');
    await expect(page.getByText('Given away: 1 pint thin tomato sauce')).toBeVisible();
    await expect.poll(of('tomato-sauce-thin')).toBe(24);
    await watch.fits();
    await hands.press('Undo');
    await expect.poll(of('tomato-sauce-thin')).toBe(25);
  });

  await test.step('set aside for the fair, and opened: its own days in the cold, never back on a shelf', async () => {
    await hands.press('Set aside for Harvest fair');
    await expect(page.getByText('Set aside for Harvest fair: 1 pint thin tomato sauce')).toBeVisible();
    await expect.poll(of('tomato-sauce-thin', 'shelf')).toBe(24);
    await hands.press('Open one, keep cold');
    await expect.poll(of('tomato-sauce-thin', 'refrigerator')).toBe(1);
    await hands.goto('/shelf/next');
    await page.getByRole('link', { name: /1 pint thin tomato sauce\s*Open: use by/ }).click();
    await expect(page.getByText(/use by/).first()).toBeVisible();
    await hands.press('Carry to Kitchen');
    await expect(page.getByRole('alert')).toContainText('it stays in the refrigerator or the freezer');
  });

  await test.step('by its code: a newer one says which is older, pickles say when they are ready', async () => {
    await hands.goto('/shelf/board?product=tomato-sauce-thin&jar=pint');
    await expect(page.getByText(/^8 in 10:/)).toBeVisible();
    const newer = page.getByRole('link', { name: /made Aug 2026/ }).first();
    const code = await newer.locator('[aria-label^="code "]').innerText();
    await hands.goto('/shelf/code');
    const field = page.getByRole('textbox', { name: /Five signs/ });
    await field.fill('ZZ9');
    await expect(page.getByText('2 more.')).toBeVisible();
    await field.fill(code.slice(0, 4) + (code.endsWith('7') ? '8' : '7'));
    await expect(page.getByText(/not a code of this household/)).toBeVisible();
    await field.fill(code.toLowerCase());
    await expect(page.getByText(/An older one first: made Sep 2025, code [0-9A-Z]{5}, Refrigerator/)).toBeVisible();
    const before = await jarsOf(server, 'tomato-sauce-thin', 'shelf');
    await hands.press('Take it');
    await expect(page.getByText(/^Took 1 pint thin tomato sauce, made Aug 2026/)).toBeVisible();
    await expect.poll(of('tomato-sauce-thin', 'shelf')).toBe(before - 1);
    await watch.fits();
  });
  watch.calm();
});

test('two hands take the last jar: one is told, and nothing goes below none', async ({ page, browser }) => {
  server = await RealServer.start({ demo: true });
  const hands = kitchenHands(page, server.address);
  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await hands.goto('/shelf/board?product=applesauce&jar=quart');
  await page.getByRole('link', { name: /made/ }).first().click();
  await expect(page.getByText('2 quarts applesauce', { exact: true })).toBeVisible();
  await other.goto(page.url());
  await expect(other.getByRole('button', { name: 'Take 1' })).toBeVisible();
  await other.context().setOffline(true);
  await other.getByRole('button', { name: 'Take 1' }).click();
  await page.getByRole('button', { name: 'Jars: one more' }).click();
  await hands.press('Take 2');
  await expect.poll(() => jarsOf(server, 'applesauce')).toBe(0);
  await other.context().setOffline(false);
  await expect(other.getByText(/There are not so many of these jars left: 0, and 1 were to go/)).toBeVisible();
  expect(await jarsOf(server, 'applesauce')).toBe(0);
});

test('a stocktake: what differs becomes corrections with a reason, what nobody wrote down is added', async ({
  page,
}) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf/count');
  await page.getByRole('button', { name: 'Whole tomatoes in water, quarts counted: one less' }).click();
  await page.getByRole('button', { name: 'Green salsa, pints counted: one more' }).click();
  await page.getByRole('checkbox', { name: /Crushed tomatoes: 8 as written/ }).click();
  await expect(page.getByText('3 of 7 looked at')).toBeVisible();
  await page.getByRole('radio', { name: 'broken' }).click();
  await watch.fits();
  await hands.press('Write down 2 corrections');
  await expect.poll(() => jarsOf(server, 'tomatoes-whole-in-water')).toBe(3);
  await expect.poll(() => jarsOf(server, 'tomatillo-green-salsa')).toBe(5);
  const { movements } = (await server.call('GET', '/state')).body as Told;
  expect(movements.filter(({ kind }) => kind === 'broken' || kind === 'found').map(({ jars }) => jars)).toEqual([1, 1]);

  await hands.goto('/shelf/add');
  await page.getByRole('textbox', { name: 'What is in them' }).fill('peach');
  await page
    .getByRole('radio', { name: /^Peaches/ })
    .first()
    .click();
  await hands.press(/^Put 1 pint/);
  await expect(page.getByRole('alert')).toContainText('is not a date');
  await page.getByRole('textbox', { name: /^Made/ }).fill('Sep 2023');
  await hands.press(/^Put 1 pint/);
  // Further down the shelf, where it is drawn once it is scrolled to.
  await page.mouse.move(195, 600);
  await expect(async () => {
    await page.mouse.wheel(0, 300);
    await expect(board(page, /^Peaches.*, 1 pint, past best, quality falling/)).toBeVisible({ timeout: 700 });
  }).toPass();
  watch.calm();
});

test('trouble: not tasted, thrown away in order, and every other jar of its load found', async ({ page }) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf/board?product=cherries-whole&jar=pint');
  await page
    .getByRole('link', { name: /made Jul 2026/ })
    .first()
    .click();
  await page.getByRole('link', { name: /Bulging, leaking/ }).click();
  await expect(page.getByRole('heading', { name: 'Do not taste it' })).toBeVisible();
  await page.getByRole('checkbox', { name: /It leaks/ }).click();
  await expect(page.getByText(/boil 30 min/)).toBeVisible();
  await expect(page.getByText(/extension office/).first()).toBeVisible();
  // Two pints of the batch stand aside for the fair: the recall knows.
  await expect(page.getByText(/ of \d+ still here\./)).toBeVisible();
  await expect(page.getByText(/2 pints sour cherries.*here, Harvest fair/)).toBeVisible();
  await expect(page.getByText('No signal: only what this phone knows is told.')).toHaveCount(0);
  await watch.fits();
  const before = await jarsOf(server, 'cherries-whole');
  await hands.press('It is thrown away: write it down');
  await expect.poll(() => jarsOf(server, 'cherries-whole')).toBe(before - 1);
  await expect(page.getByText(/1 spoiled, thrown away \(leaking\)/)).toBeVisible();
  watch.calm();
});

test('a shelf that is full already comes in from a file: looked at first, all or none, twice without effect', async ({
  page,
}) => {
  server = await RealServer.start();
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf');
  await hands.press('Jars from a file');
  const choose = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await hands.press('Choose a CSV file');
    await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await choose('big.csv', `product,size,jars,made\n${'Crushed tomatoes,quart,1,2025-09\n'.repeat(50_000)}`);
  await expect(page.getByRole('alert')).toContainText('This file has 50,000 rows');
  await hands.press('Leave it');
  const good =
    '\uFEFFItem;Size;Qty;Put up\r\nCrushed tomatoes;quart;12;14.09.2025\r\nDad’s dills;pint;7;Aug 2026\r\n=1+1;pint;3;2025\r\n';
  await choose('shelf.csv', good);
  await expect(page.getByText('2 rows cannot be read:')).toBeVisible();
  await expect(page.getByText(/Line 4: what is in it, "=1\+1", is not a product/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Put 1 row/ })).toBeDisabled();
  await watch.fits();
  await hands.press('Leave it');
  const mended = good.replace('Dad’s dills', 'Dill pickles').replace('=1+1', 'Pickled beetroot');
  await choose('shelf.csv', mended);
  await expect(page.getByText(/^3 rows, 22 jars/)).toBeVisible();
  await hands.press('Put 3 rows on the shelf');
  await expect(page.getByText('22 jars are on the shelf now.')).toBeVisible();
  await expect.poll(() => jarsOf(server, 'tomatoes-crushed')).toBe(12);
  await hands.press('Another file');
  await choose('shelf.csv', mended);
  await expect(page.getByText(/3 of them are here already and stay as they are/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'All of it is here already' })).toBeDisabled();
  await hands.goto('/shelf');
  await expect(page.getByRole('heading', { name: '22 jars' })).toBeVisible();
  await board(page, /^Quick dill cucumbers, 7 pints/).click();
  watch.calm();
});

test('a backup saved, jars taken, the backup restored: all is as it was, and a broken one changes nothing', async ({
  page,
}) => {
  server = await RealServer.start({ demo: true });
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf/files');
  const coming = page.waitForEvent('download');
  await hands.press('Save a backup');
  const path = await (await coming).path();
  const saved = page.waitForEvent('download');
  await hands.press('Jars as CSV');
  expect((await saved).suggestedFilename()).toBe('hoddle-jars.csv');
  await hands.goto('/shelf');
  await board(page, /^Crushed tomatoes, 8 of 42/).click();
  await expect.poll(() => jarsOf(server, 'tomatoes-crushed')).toBe(7);
  await hands.goto('/shelf/files');
  const restore = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    const chooser = page.waitForEvent('filechooser');
    await hands.press('Restore from a backup');
    await (await chooser).setFiles(file);
    await hands.press('Restore it');
  };
  const { readFileSync } = await import('node:fs');
  const text = readFileSync(path, 'utf8');
  await restore({ name: 'short.json', mimeType: 'application/json', buffer: Buffer.from(text.slice(0, 5_000)) });
  await expect(page.getByText(/This file ends before its end.*Nothing was changed/)).toBeVisible();
  expect(await jarsOf(server, 'tomatoes-crushed')).toBe(7);
  await hands.press('Leave it');
  await restore({ name: 'hoddle.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.getByText(/^Restored: \d+ lots and \d+ movements/)).toBeVisible();
  await expect.poll(() => jarsOf(server, 'tomatoes-crushed')).toBe(8);
  await hands.goto('/shelf');
  await expect(board(page, /^Crushed tomatoes, 8 of 42/)).toBeVisible();
});

test('jars and lids: counted, bought, chipped; filled jars take from the drawer and emptied ones come back', async ({
  page,
}) => {
  server = await RealServer.start();
  await giveDemoClock(server);
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  const at = Date.now() - 1_000;
  const lot = {
    product: 'tomatoes-crushed',
    jar: 'quart',
    place: 'shelf',
    seal: 'sealed',
    madeAt: at,
    keepsUntil: at + 1e10,
  };
  await server.call('POST', '/jars-in', {
    ...{ id: crypto.randomUUID(), at, rows: [{ jars: 6, lot: { id: crypto.randomUUID(), ...lot } }] },
  });
  await server.call('PUT', '/goals', { product: 'tomatoes-crushed', jar: 'quart', jars: 20, perMonth: null });
  await hands.goto('/shelf/supplies');
  await hands.press('Change quarts, regular mouth');
  await page.getByRole('textbox', { name: 'How many quarts, regular mouth' }).fill('12.5');
  await hands.press('So many there are');
  await expect(page.getByRole('alert')).toContainText('"12.5" is none');
  await page.getByRole('textbox', { name: 'How many quarts, regular mouth' }).fill('12');
  await hands.press('So many there are');
  await hands.press('Change quarts, regular mouth');
  await page.getByRole('textbox', { name: 'How many quarts, regular mouth' }).fill('2');
  await hands.press('Chipped, thrown away');
  await expect(page.getByText('Thrown away 2: quarts, regular mouth')).toBeVisible();
  await expect(page.getByText(/quarts, regular mouth: 14 needed, 10 here/)).toBeVisible();
  await watch.fits();
  await hands.goto('/shelf');
  await board(page, /^Crushed tomatoes, 6 of 20/).click();
  await expect.poll(() => jarsOf(server, 'tomatoes-crushed')).toBe(5);
  await hands.goto('/shelf/supplies');
  await expect(page.getByText(/quarts, regular mouth: 15 needed, 11 here/)).toBeVisible();
  watch.calm();
});
