import { expect, type Page, test } from '@playwright/test';
import { appIsKept } from '../appIsKept';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';
import { withKeptApp } from '../keptApp';

let server: RealServer;
test.beforeAll(async () => {
  server = await RealServer.start({ demo: true });
});
test.afterAll(() => server.stop());

const answer = (page: Page) => page.getByRole('status').last();
const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });

/** Empties a field and types a figure with the keys on the screen, as wet hands do. */
async function key(page: Page, name: string, figure: string[]) {
  await field(page, name).fill('');
  await field(page, name).focus();
  for (const sign of figure) await page.getByRole('button', { name: sign, exact: true }).click();
}

// USDA Complete Guide to Home Canning, 2015, guide 3: 22 lb make a load of 7 quarts of crushed tomatoes. This household's six
// batches needed a little more, so 68 lb are fewer than the page's 23.
test('jars from produce, and produce for jars, with what to have ready', async ({ page }) => {
  const watch = watchPage(page);
  await page.goto(`${server.address}/bench`);
  await page.getByRole('link', { name: /^Jars from produce/ }).click();
  await key(page, 'Produce', ['6', '8']);
  await expect(answer(page)).toContainText('22 quarts 20 to 23');
  await expect(answer(page)).toContainText('Have 23 clean jars and 23 lids ready');
  await key(page, 'Produce', ['1', '1/2']);
  await expect(field(page, 'Produce')).toHaveValue('1 1/2');
  await field(page, 'Produce').fill('-3');
  await expect(page.getByRole('alert')).toContainText('is not an amount');
  await page.getByRole('radio', { name: 'produce for jars' }).click();
  await key(page, 'Jars', ['7']);
  await expect(answer(page)).toContainText(/lb to be sure eight times in ten/);
  await key(page, 'Jars', ['0']);
  await expect(page.getByRole('alert')).toContainText('No jars');
  await key(page, 'Jars', ['1', '0', '0', '0']);
  await expect(page.getByRole('alert')).toContainText('1,000 jars at once?');
  await watch.fits();
  await page.reload();
  await expect(field(page, 'Jars')).toHaveValue('1000');
  watch.calm();
});

// The same book, guide 7: 5.5 cups of crushed strawberries from 3 quart boxes.
withKeptApp('five cups of crushed strawberries in quart boxes, with the network cut', async ({ page, context }) => {
  await page.goto(`${server.address}/bench`);
  await expect(page.getByRole('link', { name: /^Convert/ })).toBeVisible();
  await appIsKept(page);
  await context.setOffline(true);
  await page.getByRole('link', { name: /^Convert/ }).click();
  await page.getByRole('button', { name: /^All 35/ }).click();
  await page.getByRole('radio', { name: /^Straw/ }).click();
  await page.getByRole('radio', { name: 'crushed' }).click();
  await page.getByRole('radio', { name: 'cup', exact: true }).click();
  await key(page, 'Amount', ['5']);
  await expect(answer(page)).toContainText('2 3/4quart boxes');
  for (const typed of ['1½', '1 1/2', '1,5']) {
    await field(page, 'Amount').fill(typed);
    await expect(answer(page)).toContainText('1 1/2 cups is');
  }
  await field(page, 'Amount').fill('-2');
  await expect(page.getByRole('alert')).toContainText('Less than nothing');
  await page
    .getByRole('radio', { name: 'lug', exact: true })
    .or(page.getByRole('button', { name: 'More measures' }))
    .click();
  await page.getByRole('radio', { name: 'lug', exact: true }).click();
  await field(page, 'Amount').fill('1');
  await expect(answer(page)).toContainText('No published weight for a lug');
  await context.setOffline(false);
});

// The same book, guide 6: dilled beans take as much water as vinegar, quick dill 8 cups of water to 6.
test('brine: strength alone without a product, with one the verdict, and whether it goes round', async ({ page }) => {
  const watch = watchPage(page);
  await page.goto(`${server.address}/bench/brine`);
  await expect(page.getByText('No product, no verdict', { exact: false })).toBeVisible();
  await key(page, 'Liquid 1', ['4']);
  await key(page, 'Liquid 2', ['4']);
  await expect(page.getByText('2.5 %', { exact: false }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Choose the product' }).click();
  await page.getByRole('textbox', { name: 'Search by any name' }).fill('dilled beans');
  await page.getByRole('link', { name: /^Dilled beans/ }).click();
  await expect(page.getByText('Strong enough: tested with 1 of water to 1 of vinegar.')).toBeVisible();
  await key(page, 'Jars', ['8']);
  // What eight pints will take, jar less beans, and what to make to be sure: the same mix, in proportion.
  await expect(page.getByText(/^8 pints likely take/)).toContainText(/to be sure make .* white vinegar 5%/i);
  await key(page, 'Liquid 2', ['6']);
  await expect(page.getByText(/^Too much water/)).toBeVisible();
  await expect(
    page.getByRole('img', { name: /^Tested: 5 cups vinegar, 5 cups water\. Asked: 4 cups vinegar, 6 cups water/ }),
  ).toBeVisible();
  await key(page, 'Acid on its label', ['4']);
  await expect(page.getByRole('alert')).toContainText('Vinegar under 5 %');
  await key(page, 'Acid on its label', ['9']);
  await page.getByRole('radio', { name: 'home-made' }).click();
  await expect(page.getByRole('alert')).toContainText('Home-made vinegar varies');
  await page.getByRole('radio', { name: 'bought, by its label' }).click();
  await watch.fits();
  watch.calm();
});

// The same book, guide 3, "Acidification".
test('acid: by the jar and the load, and the half dose caught', async ({ page }) => {
  const watch = watchPage(page);
  await page.goto(`${server.address}/bench/acid`);
  await key(page, 'Jars', ['7']);
  await expect(answer(page)).toContainText('7 quarts: 3/4 cup + 2 Tbsp');
  await key(page, 'I put in each', ['1']);
  await expect(page.getByRole('alert')).toContainText('Half the dose: a quart needs 2 Tbsp.');
  await key(page, 'I put in each', ['2']);
  await expect(page.getByText('That is the dose of a quart.')).toBeVisible();
  await page.getByRole('radio', { name: 'fresh lemon' }).click();
  await expect(page.getByRole('alert')).toContainText('only bottled juice counts');
  await page.getByRole('radio', { name: 'bottled lemon' }).click();
  await page.getByRole('radio', { name: 'figs' }).click();
  await expect(answer(page)).not.toContainText('vinegar');
  // For Asian pears no other acid than lemon juice is printed.
  await page.getByRole('radio', { name: 'Asian pears' }).click();
  await expect(answer(page)).not.toContainText('citric');
  await watch.fits();
  watch.calm();
});

// The same book, guide 2, "Preparing and using syrups".
test('syrup: as published for a load, and lighter than that a matter of taste', async ({ page }) => {
  const watch = watchPage(page);
  await page.goto(`${server.address}/bench/syrup`);
  await expect(answer(page)).toContainText('9 cups water');
  await expect(answer(page)).toContainText('2 1/4 cups sugar');
  await key(page, 'Sugar', ['5']);
  await expect(answer(page)).toContainText('a matter of taste');
  await key(page, 'Sugar', ['9', '0']);
  await expect(page.getByRole('alert')).toContainText('up to 50');
  await watch.fits();
  watch.calm();
});

// The National Center: 5.5 cups crushed strawberries, 8 cups sugar, one box of powdered pectin, 9 to 10 half-pints.
test('scale a batch: the gate works out, makes pots side by side, or waits', async ({ page }) => {
  const watch = watchPage(page);
  await page.goto(`${server.address}/bench/scale`);
  await page.getByRole('textbox', { name: 'Search by any name' }).fill('jam with added');
  await page.getByRole('link', { name: /^Jam with added pectin/ }).click();
  await page.getByRole('radio', { name: /^Pear and apple/ }).click();
  await page.getByRole('radio', { name: /^Strawberry/ }).click();
  const cups = 'strawberries, crushed';
  await key(page, cups, ['4']);
  await expect(answer(page)).toContainText('Wait: 1 1/2 cups missing');
  await key(page, cups, ['1', '3']);
  await expect(answer(page)).toContainText('2 pots, 1 in each');
  await expect(answer(page)).toContainText('8 cups in each pot');
  await expect(answer(page)).toContainText('Gives 18 to 20 half-pint jars in all');
  await expect(answer(page)).toContainText('2 cups stay over');
  await page.goto(`${server.address}/bench/scale/pickled-beets`);
  await page.getByRole('radio', { name: 'so many batches' }).click();
  await key(page, 'Batches', ['2']);
  await expect(answer(page)).toContainText('14 lb beets');
  await expect(answer(page)).toContainText('Gives 16 pint jars');
  await page.goto(`${server.address}/bench/scale/tomato-chile-salsa`);
  await page.getByRole('radio', { name: 'so many batches' }).click();
  await key(page, 'Batches', ['2']);
  await expect(answer(page)).toContainText('Side by side, never in one pot.');
  await watch.fits();
  watch.calm();
});

withKeptApp(
  'boil here: this kitchen’s points with the network cut, and how to tell the set',
  async ({ page, context }) => {
    await page.goto(`${server.address}/bench`);
    await expect(page.getByRole('link', { name: /^Boil here: 205.7 F/ })).toBeVisible();
    await appIsKept(page);
    await context.setOffline(true);
    await page.getByRole('link', { name: /^Boil here/ }).click();
    await expect(answer(page)).toContainText('205.7 F');
    await expect(answer(page)).toContainText('213.7 F');
    await expect(page.getByText(/Push it with a finger/)).toBeVisible();
    await context.setOffline(false);
  },
);

test('ready times: back from a chosen time, or forwards from now, every step with its time', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await page.goto(`${server.address}/bench/ready`);
  await page.getByRole('textbox', { name: 'Search by any name' }).fill('grape juice');
  await page.getByRole('link', { name: /^Grape juice/ }).click();
  await expect(answer(page)).toContainText('Settle in the cold: wait');
  await expect(answer(page)).toContainText('Process 10 min');
  await expect(answer(page)).toContainText(/Ready Sunday \d+ \w+ 8:00 pm/);
  await hands.key('Ready, day: one less').click();
  await expect(answer(page)).toContainText('That is past');
  await page.getByRole('radio', { name: 'from now' }).click();
  await expect(answer(page)).toContainText('Begin 7:4');
  await watch.fits();
  watch.calm();
});

test('an instrument goes by the keyboard alone, and is left as it was', async ({ page }) => {
  await page.goto(`${server.address}/bench`);
  await page.getByRole('link', { name: /^Syrup/ }).focus();
  await page.keyboard.press('Enter');
  await field(page, 'Jars').focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('14');
  await page.getByRole('radio', { name: 'medium' }).focus();
  await page.keyboard.press('Enter');
  await expect(answer(page)).toContainText('16 1/2 cups water');
  await expect(answer(page)).toContainText('7 1/2 cups sugar');
  await page.reload();
  await expect(field(page, 'Jars')).toHaveValue('14');
});

test('the answer is copied as text', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'], { origin: server.address });
  await page.goto(`${server.address}/bench/boil`);
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(
    'At 3,420 ft water boils at 205.7 F and jelly sets at 213.7 F.',
  );
});
