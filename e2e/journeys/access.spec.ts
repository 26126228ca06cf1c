import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { handRests } from '../handRests';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeAll(async () => {
  server = await RealServer.start({ demo: true });
});
test.afterAll(() => server.stop());

const SCREENS = [
  '/',
  '/harvest',
  '/harvest/pick',
  '/harvest/makes?crop=tomato-paste',
  '/harvest/makes?crop=damson',
  '/harvest/garden',
  '/harvest/garden/new',
  '/harvest/batch',
  '/harvest/learned?product=tomato-sauce-thin&crop=tomato-paste',
  '/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart',
  '/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=half-gallon',
  '/plan',
  '/plan/steps',
  '/plan/before',
  '/plan/life',
  '/plan/compare',
  '/plan/season',
  '/plan/days',
  '/plan/changes',
  '/plan/buy',
  '/plan/what-if',
  '/plan/spring',
  '/plan/years',
  '/plan/on/2026-09-05',
  '/plan/calendar',
  '/plan/rehearse',
  '/paper/run-sheet',
  '/paper/shelf',
  '/paper/shopping',
  '/paper/season',
  '/paper/year',
  '/paper/recipe?card=bread-and-butter-pickles',
  '/kitchen',
  '/kitchen/change',
  '/kitchen/close',
  '/shelf',
  '/shelf/code',
  '/shelf/next',
  '/shelf/count',
  '/shelf/supplies',
  '/shelf/wanted',
  '/shelf/places',
  '/shelf/files',
  '/shelf/labels',
  '/shelf/scan',
  '/shelf/add',
  '/shelf/board?product=tomatoes-crushed&jar=quart',
  '/bench',
  '/bench/household',
  '/bench/canners',
  '/bench/tested',
  '/bench/tested/tomatoes-crushed',
  '/bench/tested/snap-beans?jar=half-gallon',
  '/bench/tested/jam-with-pectin',
  '/bench/change/quick-fresh-pack-dill',
  '/bench/jars',
  '/bench/convert',
  '/bench/brine/dilled-beans',
  '/bench/acid',
  '/bench/syrup',
  '/bench/scale/jam-with-pectin',
  '/bench/boil',
  '/bench/ready/grape-juice',
  '/bench/waiting',
  '/bench/instruments',
  '/bench/sources',
  '/bench/sources/new',
  '/bench/open',
  '/bench/recipes',
  '/bench/recipes/new',
];

function partOf(address: string) {
  if (address.startsWith('/bench')) return 'the bench';
  return /^\/(paper|kitchen|shelf)/.test(address) ? 'paper, kitchen and shelf' : 'Today, harvest and plan';
}

async function seriousFaults(page: Page) {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}

for (const [words, width, height] of [
  ['a phone', 390, 844],
  ['a wide screen', 1280, 800],
] as const) {
  for (const part of ['Today, harvest and plan', 'paper, kitchen and shelf', 'the bench'] as const) {
    test(`every screen on ${words}, ${part}: no serious fault of access, nothing wider than the window`, async ({
      page,
    }) => {
      await page.setViewportSize({ width, height });
      const watch = watchPage(page);
      for (const screen of SCREENS.filter((address) => partOf(address) === part)) {
        await page.goto(server.address + screen);
        await expect(page.getByRole('heading').first()).toBeVisible();
        await watch.fits();
        expect.soft(await seriousFaults(page), screen).toEqual([]);
      }
      watch.calm();
    });
  }

  test(`what only a household’s own ids lead to, on ${words}: no serious fault of access, nothing wider than the window`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    const watch = watchPage(page);
    // A bed, a lot and jars are named by ids that only this household has.
    for (const [list, name] of [
      ['/harvest/garden', /South bed/],
      ['/harvest', /Carry or end this lot/],
      ['/bench/recipes', /Damson and mint jelly/],
      ['/shelf/board?product=dilled-beans&jar=pint', /made Aug 2025/],
      ['/shelf/board?product=cherries-whole&jar=pint', /made Jul 2026/],
    ] as const) {
      await page.goto(server.address + list);
      await page.getByRole('link', { name }).first().click();
      await expect(
        page.getByRole('button', { name: /What came in|See what it makes|^Take \d|^Make it/ }).last(),
      ).toBeVisible();
      await watch.fits();
      expect.soft(await seriousFaults(page), list).toEqual([]);
    }
    // A recipe opened up, line and step, and on its way into jars.
    await page.goto(`${server.address}/bench/recipes`);
    await page.getByRole('link', { name: /Refrigerator dill carrots/ }).click();
    await page.getByRole('button', { name: /white vinegar.*Change this line/ }).click();
    await page.getByRole('button', { name: /^Step 2/ }).click();
    await watch.fits();
    expect.soft(await seriousFaults(page), 'a recipe opened').toEqual([]);
    await page.getByRole('button', { name: 'Make it' }).click();
    await expect(page.getByRole('button', { name: /^Plan 4 pints/ })).toBeVisible();
    await watch.fits();
    expect.soft(await seriousFaults(page), 'a recipe made').toEqual([]);
    // Planned, it can be put off; given up, the household is as it was.
    await handRests(page);
    await page.getByRole('button', { name: /^Plan 4 pints/ }).click();
    await page.getByRole('button', { name: /: another day$/ }).click();
    await expect(page.getByRole('radiogroup', { name: 'Day it is made' })).toBeVisible();
    await watch.fits();
    expect.soft(await seriousFaults(page), 'a batch put off').toEqual([]);
    await handRests(page);
    await page.getByRole('button', { name: /^Give up/ }).click();
    await expect(page.getByRole('button', { name: /: another day$/ })).toHaveCount(0);
    watch.calm();
  });
}

test('the path from a basket to a boiling load can be walked with the keyboard alone', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  const press = async (role: 'button' | 'link' | 'radio', name: RegExp) => {
    const target = page.getByRole(role, { name }).first();
    await handRests(page);
    await target.focus();
    await page.keyboard.press('Enter');
  };
  await hands.goto('/harvest/pick');
  await press('button', /All 35/);
  await press('radio', /Slicing tomatoes/);
  await page.getByRole('textbox', { name: 'Picked' }).focus();
  await page.keyboard.type('44');
  await press('button', /^Picked$/);
  await press('link', /quarts, likely 1\d/);
  await press('button', /^Plan \d+ quarts$/);
  await press('button', /^Start$/);
  await press('button', /^Start the day$/);
  await press('button', /^Water is on$/);
  await press('button', /^Load 1 into it$/);
  await press('button', /^All of these are done$/);
  await press('button', /are in, heat it/);
  await press('button', /^It boils: start/);
  await press('button', /^It boils fully$/);
  await expect(page.getByRole('timer')).toBeVisible();
  const size = await page.getByRole('timer').evaluate((element) => parseFloat(getComputedStyle(element).fontSize));
  expect(size).toBeGreaterThanOrEqual(96);
  expect(await seriousFaults(page)).toEqual([]);
});
