import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { type BrowserContext, expect, type Page, test } from '@playwright/test';
import ICAL from 'ical.js';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.afterEach(() => server.stop());

/** Words of a PDF that a key saves, read by another program; it is sound as well. */
async function saved(page: Page, key: string): Promise<string> {
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: key }).click();
  const file = await (await coming).path();
  expect(execFileSync('qpdf', ['--check', file], { encoding: 'utf8' })).toContain('No syntax');
  return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
}

/** Somebody of the home who was never let in: a browser with nothing in it, behind another address. */
async function neighbour(context: BrowserContext): Promise<Page> {
  const other = await context.browser()?.newContext({ extraHTTPHeaders: { 'x-forwarded-for': '192.168.1.77' } });
  if (!other) throw new Error('no browser');
  return other.newPage();
}

// Job 23, to paper, and the day of job 14: the sheet on the wall, the list on the door, the book of the year.
test('a planned day on one sheet, its recipe on a card, the shelf, the shopping, the season and the year on paper', async ({
  page,
}) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await page.getByText('likely done').waitFor();
  await hands.press('On one sheet, for the wall');
  await expect(page.getByRole('table')).toBeVisible();
  await watch.fits();
  const sheet = await saved(page, 'Save as PDF');
  expect(sheet.match(/\f/g)).toHaveLength(1);
  expect(sheet).toMatch(/Crushed tomatoes: \d+ quarts\. +\d+ min boil, looked up for 3,420 ft/);
  expect(sheet).toMatch(/2 Tbsp bottled lemon juice, or 1\/2 tsp citric acid/);
  expect(sheet).toMatch(/full boil/);

  await hands.goto('/plan/before');
  await hands.press('Crushed tomatoes as a recipe card');
  await expect(page.getByText(/looked up for 3,420 ft/)).toBeVisible();
  const jsonLd = page.waitForEvent('download');
  await hands.press('The recipe as a file (JSON-LD)');
  expect(JSON.parse(readFileSync(await (await jsonLd).path(), 'utf8'))).toMatchObject({ '@type': 'Recipe' });
  expect(await saved(page, 'Save as PDF')).toMatch(/bottled lemon juice/);

  await hands.goto('/shelf');
  await page.getByRole('link', { name: 'List' }).click();
  expect(await saved(page, 'Save as PDF')).toMatch(/Cellar left[\s\S]*Crushed tomatoes[\s\S]*Refrigerator/);
  await hands.goto('/plan/buy');
  await hands.press('Print or send it');
  expect(await saved(page, 'Save as PDF')).toMatch(/cups .*bottled lemon juice/);
  await hands.goto('/plan/season');
  await page.getByRole('heading', { name: 'Days to come' }).waitFor({ timeout: 120_000 });
  await hands.press('On a page');
  expect(await saved(page, 'Save as PDF')).toMatch(/Days[\s\S]*Jars wanted/);
  await hands.goto('/plan/years');
  await page
    .getByRole('button', { name: /^The year book of/ })
    .last()
    .click();
  expect(await saved(page, 'Save as PDF')).toMatch(/The year book, 20\d\d[\s\S]*lb to a quart/);
  watch.calm();
});

test('a shelf list is sent as text, and shown to somebody who has no key for as long as one says', async ({
  page,
  context,
}) => {
  server = await RealServer.start({ demo: true });
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/paper/shelf');
  await hands.press('Send as text');
  await expect(page.getByText('Copied: paste it where you like.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/^What is on the shelf\n\d+ jars/);
  await page.getByRole('radio', { name: 'an hour' }).click();
  await hands.press('Open a page');
  const address = await page.getByText(/\/open\/[\w-]{43}$/).innerText();
  await expect(page.getByRole('img', { name: 'The address as a code to scan' })).toBeVisible();
  const other = await neighbour(context);
  await other.goto(address);
  await expect(other.getByRole('heading', { name: 'What is on the shelf' })).toBeVisible();
  await expect(other.getByRole('cell', { name: 'Crushed tomatoes' }).first()).toBeVisible();
  // Nothing else is open.
  await other.goto(`${server.address}/shelf`);
  await expect(other.getByRole('heading', { name: 'What is on the shelf' })).toBeHidden();
  await hands.goto('/bench/open');
  await hands.press('Take back: What is on the shelf');
  await expect(page.getByText(/taken back/)).toBeVisible();
  await other.goto(address);
  await expect(other.getByText('This address is not open any more.')).toBeVisible();
});

test('a calendar: chosen parts as a file, and an address for a device that is taken back again', async ({ page }) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await page.getByText('likely done').waitFor();
  await hands.press('In your calendar');
  await page.getByRole('checkbox', { name: /Their steps/ }).click();
  await watch.fits();
  const coming = page.waitForEvent('download');
  await hands.press('As a file, once (.ics)');
  const file = readFileSync(await (await coming).path(), 'utf8');
  const told = new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(told.map(({ summary }) => summary)).toEqual(expect.arrayContaining(['Preserving: crushed tomatoes']));
  expect(told.some(({ summary }) => /^Load \d+ quarts \(crushed tomatoes\)$/.test(summary))).toBe(true);
  expect(told.some(({ summary }) => /^(Best|Eat) by today: /.test(summary))).toBe(true);

  await page.getByRole('textbox', { name: 'For which device' }).fill('Kitchen phone');
  await hands.press('Make an address');
  const address = await page.getByText(/\/open\/[\w-]{43}\.ics$/).innerText();
  const followed = await (await fetch(address)).text();
  expect(new ICAL.Component(ICAL.parse(followed)).getAllSubcomponents('vevent')).toHaveLength(told.length);
  await hands.press('Take back: Kitchen phone');
  await expect(page.getByText(/^calendar, taken back/)).toBeVisible();
  expect((await fetch(address)).status).toBe(410);
  watch.calm();
});

/** Main views, and words that stand at the end of each: on paper nothing is cut off. */
const VIEWS: readonly (readonly [path: string, words: RegExp])[] = [
  ['/', /On hand|Today|lb/],
  ['/harvest', /./],
  ['/plan', /7 quarts crushed tomatoes/],
  ['/plan/steps', /Lift out/],
  ['/plan/before', /extension|Leave|headspace/],
  ['/kitchen', /crushed tomatoes/],
  ['/shelf', /Stewed rhubarb[\s\S]*Damson jam/],
  ['/bench', /3,420 ft/],
];

test('every main view prints whole and without its keys', async ({ page }) => {
  server = await RealServer.start({ demo: true });
  const hands = kitchenHands(page, server.address);
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await page.getByText('likely done').waitFor();
  for (const [path, words] of VIEWS) {
    await hands.goto(path);
    await page.getByRole('heading').first().waitFor();
    // What is on the screen last is on the paper too.
    const last = await page.evaluate(() => {
      const seen = [...document.querySelectorAll('[role=main] [dir]')]
        .filter((each) => each.checkVisibility() && !each.closest('.no-print, [role=button]'))
        .map((each) => each.textContent?.trim() ?? '')
        .filter((each) => /^[\w ,.:]{4,40}$/.test(each));
      return seen.at(-1) ?? '';
    });
    const pdf = await page.pdf({ format: 'Letter' });
    const text = execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf, encoding: 'utf8' });
    expect(text, path).toMatch(words);
    const plain = (all: string) => all.replace(/\s+/g, '');
    expect(plain(text), path).toContain(plain(last));
    expect(text, path).not.toMatch(/Demo clock/);
    expect(text, path).not.toMatch(/Today +Harvest +Plan +Shelf +Bench/);
  }
});
