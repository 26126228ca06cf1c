import { expect, type Page, test } from '@playwright/test';
import { appIsKept } from '../appIsKept';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';
import { withKeptApp } from '../keptApp';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

const ask = async (query: Record<string, string>) =>
  (await server.call('GET', `/process?${new URLSearchParams(query)}`)).body as Record<string, unknown>;
const search = (page: Page) => page.getByRole('textbox', { name: 'Search by any name' });
const strip = (page: Page, name: RegExp) => page.getByRole('img', { name });

/** Sets the altitude alone, as a new household does first. */
async function setAltitude(page: Page, typed: string, unit: 'ft' | 'm' = 'ft') {
  await page.goto(`${server.address}/bench/household`);
  if (unit === 'm') await page.getByRole('radio', { name: 'm', exact: true }).click();
  await page.getByRole('textbox', { name: 'Altitude of the kitchen' }).fill(typed);
}

// USDA Complete Guide to Home Canning, 2015, guide 4: snap beans in quarts 25 min, 12 psi by dial at 2,001 to 4,000 ft.
test('from a name to the tested time, its strip, its conditions and the household’s mark', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await setAltitude(page, '3420');
  await hands.press('Save');
  await page.getByRole('link', { name: /What’s tested/ }).click();

  await test.step('search as one types, by any name', async () => {
    await search(page).fill('catsup');
    await expect(page.getByRole('link', { name: /^Ketchup/ }).first()).toBeVisible();
    // A letter amiss is forgiven; what is not there is told, once all of the search is.
    await search(page).fill('ketchop');
    await expect(page.getByRole('link', { name: /^Ketchup/ }).first()).toBeVisible();
    await search(page).fill('qqqqqq');
    await expect(page.getByText(/^Nobody tested that/)).toBeVisible();
    await search(page).fill('pole be');
    await expect(page.getByRole('status')).toContainText(/product/);
    await watch.fits();
    await page.getByRole('link', { name: /^Green beans\. 25 min at 12 psi in quarts/ }).click();
  });

  await test.step('the time large, the strip with this kitchen’s band, and what it holds for', async () => {
    await expect(
      strip(page, /25 min at 11 psi; .*25 min at 12 psi, yours; .*above 8,000 ft: not tested/),
    ).toBeVisible();
    await expect(page.getByText('at 12 psi', { exact: true })).toBeVisible();
    await expect(page.getByText(/Vent the canner/)).toBeVisible();
    await expect(strip(page, /^Headspace 1 in/)).toBeVisible();
    await expect(page.getByText(/guide 4, as recalled/)).toBeVisible();
    await expect(page.getByText(/Holds for: .*a canner that holds 4 quarts or more/)).toBeVisible();
    await watch.fits();
  });

  await test.step('a refusal is a sentence with the way out as keys', async () => {
    await page.getByRole('radio', { name: /^boiling water, not tested/ }).click();
    await expect(page.getByRole('alert')).toContainText('Only pressure is tested for green beans');
    await expect(page.getByRole('alert')).toContainText('freezer');
    await hands.press(/^Pressure, weight/);
    await expect(page.getByText('at 15 psi', { exact: true })).toBeVisible();
    await page.getByRole('radio', { name: /^half-gallons, not tested/ }).click();
    await expect(page.getByRole('alert')).toContainText('a bigger jar heats through later');
    await hands.press(/^Quarts/);
  });

  await test.step('the mark stays with the row, through a reload, and travels with every answer', async () => {
    await hands.press('I checked it');
    await expect(page.getByText(/^Checked \d+ \w+ \d{4}$/)).toBeVisible();
    const question = {
      product: 'snap-beans',
      pack: 'hot',
      jar: 'quart',
      method: 'pressure-weighted',
      altitudeFt: '3420',
    };
    await expect.poll(async () => (await ask(question)).checkedOn).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    await page.reload();
    await expect(page.getByText(/^Checked \d+ \w+ \d{4}$/)).toBeVisible();
    await hands.press('Take the mark back');
    await expect.poll(async () => (await ask(question)).checkedOn).toBeUndefined();
  });

  await test.step('what nobody may can is refused in the search itself', async () => {
    await hands.goto('/bench/tested');
    for (const [typed, sentence] of [
      ['pumpkin butter', 'has no tested time'],
      ['white peaches', 'not acid enough'],
      ['elderberries', 'not acid enough'],
      ['frosted vines', 'have lost acid'],
    ] as const) {
      await search(page).fill(typed);
      await expect(page.getByRole('alert')).toContainText(sentence);
      await expect(page.getByRole('alert')).toContainText('freezer');
    }
    await search(page).fill('qqqqzzzz');
    await expect(page.getByText(/Nobody tested that/)).toBeVisible();
  });
  watch.calm();
});

// The same book, guide 7, "Processing jams and jellies", and guide 3, crushed tomatoes.
test('jam by the sea, tomatoes on the hill in metres, and no single number without an altitude', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/bench/tested/tomatoes-crushed');
  await expect(strip(page, /to 1,000 ft: 45 min; .*50 min; .*55 min; above 6,000 ft: 60 min$/)).toBeVisible();
  await expect(page.getByText('at the boil')).toHaveCount(0);

  await setAltitude(page, '500');
  await hands.press('Save');
  await hands.goto('/bench/tested/jam-with-pectin?jar=half-pint');
  await expect(page.getByText('Sterilise the jars first: boil them 10 min.')).toBeVisible();
  await expect(page.getByText('Or 10 min in clean hot jars, which plans go by.')).toBeVisible();
  await expect(page.getByText('5 1/2 cups crushed strawberries (about 3 quarts)')).toBeVisible();

  await setAltitude(page, '305', 'm');
  await expect(page.getByText('1,001 ft, rounded up.')).toBeVisible();
  await page.getByRole('radio', { name: 'kg, m, C' }).click();
  await hands.press('Save');
  await expect(page.getByText('305 m (1,001 ft)')).toBeVisible();
  await hands.goto('/bench/tested/tomatoes-crushed');
  await expect(strip(page, /1,001 to 3,000 ft: 50 min, yours/)).toBeVisible();
  await expect(page.getByText('1/2 in (13 mm)')).toBeVisible();

  for (const [typed, sentence] of [
    ['-12', 'Below sea level?'],
    ['20000', 'higher than any kitchen'],
    ['on the hill', 'is not an altitude'],
  ] as const) {
    await setAltitude(page, typed);
    await expect(page.getByRole('alert')).toContainText(sentence);
    await expect(page.getByRole('textbox', { name: 'Altitude of the kitchen' })).toHaveValue(typed);
    await expect(hands.key('Save')).toBeDisabled();
  }
  await page.getByRole('button', { name: 'How do I find it?' }).click();
  await expect(page.getByText(/contour lines/)).toBeVisible();
  watch.calm();
});

test('a page of the household’s own: refused until it is a tested one, then it answers as theirs', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await setAltitude(page, '3420');
  await hands.press('Save');
  await hands.goto('/bench/tested/tomato-taco-sauce?jar=quart');
  await expect(page.getByRole('alert')).toContainText('No tested time for taco sauce in quart jars');
  await hands.press('Add a tested page of our own');

  const alert = page.getByRole('alert');
  const minutes = page.getByRole('textbox', { name: 'Minutes 3,001 to 6,000 ft' });
  const food = page.getByRole('textbox', { name: 'Food' });
  await page.getByRole('radio', { name: 'Film or video' }).click();
  await hands.press('Keep this page');
  await expect(alert).toContainText('It is not a test');
  await page.getByRole('radio', { name: 'Extension service' }).click();
  await expect(alert).toContainText('Name the source');
  await page.getByRole('textbox', { name: 'Title of the source' }).fill('Sauces of the valley');
  await expect(alert).toContainText('Name the page');
  await page.getByRole('textbox', { name: 'Page', exact: true }).fill('4');
  await expect(alert).toContainText('at least one altitude band');
  await minutes.fill('12');
  await expect(alert).toContainText('fewer is never taken');
  await food.fill('Green beans');
  await expect(alert).toContainText('only ever pressure canned');
  await expect(minutes).toHaveValue('12');
  await food.fill('Taco sauce');
  await minutes.fill('30');
  await watch.fits();
  await hands.press('Keep this page');

  await expect(page.getByRole('heading', { name: 'Our own sources' })).toBeVisible();
  await expect(page.getByText('not given: refused').first()).toBeVisible();
  await hands.goto('/bench/tested/tomato-taco-sauce?jar=quart');
  await expect(page.getByText("Sauces of the valley, p. 4, the household's own.")).toBeVisible();
  await expect(strip(page, /to 1,000 ft: not tested; .*3,001 to 6,000 ft: 30 min, yours/)).toBeVisible();
  const question = { product: 'tomato-taco-sauce', pack: 'hot', jar: 'quart', method: 'boiling-water' };
  expect(await ask({ ...question, altitudeFt: '3420' })).toMatchObject({ minutes: 30, own: true });
  expect(await ask({ ...question, altitudeFt: '7000' })).toMatchObject({ cause: 'own-band-missing' });
  await hands.goto('/bench/sources');
  await hands.press('Strike out');
  await hands.press('Strike out');
  await expect(page.getByText('No page yet.')).toBeVisible();
  watch.calm();
});

withKeptApp('with no signal the handbook still answers, and a mark waits to be sent', async ({ page, context }) => {
  const hands = kitchenHands(page, server.address);
  await setAltitude(page, '3420');
  await hands.press('Save');
  await page.getByRole('link', { name: /What’s tested/ }).click();
  await appIsKept(page);
  await context.setOffline(true);
  await search(page).fill('beetroot');
  await page.getByRole('link', { name: /^Pickled beetroot\. 40 min/ }).click();
  await hands.press('I checked it');
  await expect(page.getByRole('status').first()).toContainText('1 thing waits here: a row checked');
  await context.setOffline(false);
  const question = { product: 'pickled-beets', pack: 'hot', jar: 'quart', method: 'boiling-water', altitudeFt: '3420' };
  await expect.poll(async () => (await ask(question)).checkedOn, { timeout: 20_000 }).toBeDefined();
});

// Handbook rule 17; USDA Complete Guide to Home Canning, 2015, guide 6, quick fresh-pack dill: 6 cups vinegar, 8 of water.
test('may I change this? A key answers, and a written batch is held against the formula', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/bench');
  await page.getByRole('link', { name: /May I change this/ }).click();
  await search(page).fill('dill pickles');
  await page.getByRole('link', { name: /^Quick dill cucumbers/ }).click();
  const verdict = page.getByRole('status').first();
  const batch = page.getByRole('textbox', { name: 'The batch, one ingredient a line' });
  for (const [asked, word] of [
    ['Less vinegar or lemon', 'Never'],
    ['Other vinegar', 'Allowed within limits'],
    ['Less salt', 'Allowed within limits'],
    ['Less sugar', 'Allowed'],
    ['Oil', 'Never'],
    ['Bigger jar', 'Never'],
  ] as const) {
    await page.getByRole('radio', { name: asked, exact: true }).click();
    await expect(verdict.getByRole('heading', { name: word, exact: true })).toBeVisible();
  }
  await page.getByRole('radio', { name: 'Less vinegar or lemon' }).click();
  await expect(strip(page, /^Tested: 6 cups vinegar, 8 cups water\. Asked: 4 cups/)).toBeVisible();
  await expect(page.getByText('That is the recipe.')).toBeVisible();
  await batch.fill((await batch.inputValue()).replace(/^1 1\/2 quarts (.*vinegar.*)$/m, '1 quart $1'));
  await expect(page.getByText(/Less vinegar or lemon: never/)).toBeVisible();
  await expect(page.getByText(/^1 quart .*vinegar/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Tested, and near to it' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Quick dill cucumbers' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the recipe as printed' }).click();
  await expect(page.getByText('That is the recipe.')).toBeVisible();
  await watch.fits();
  watch.calm();
});
