import { expect, test } from '@playwright/test';
import { giveDemoClock } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';
import { withKeptApp } from '../keptApp';
import { appIsKept } from '../appIsKept';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

interface State {
  readonly picks: readonly { readonly told: string; readonly massKg: number; readonly plantingId: string | null }[];
  readonly plantings: readonly { readonly id: string; readonly name: string }[];
  readonly lotChanges: readonly { readonly kind: string }[];
  readonly batchRecords: readonly { readonly jars: unknown; readonly learnFrom: boolean }[];
}
const kept = async () => (await server.call('GET', '/state')).body as State;

/** Whatever day it is, the tomatoes are ripe. */
async function inAugust(): Promise<void> {
  await giveDemoClock(server, new Date(new Date().getFullYear(), 7, 29, 9).getTime() - Date.now());
}

test('from a bed to a pick, to a lot, to an estimate, to a batch, to a better estimate', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  const likely = () => page.getByRole('link', { name: /quarts, likely 1\d\..*55 min/ }).first();
  await inAugust();
  await hands.setUpKitchen('3420');

  await test.step('a bed is set up once and draws its harvest', async () => {
    await hands.goto('/harvest');
    await hands.press('Set up the garden');
    await page.getByRole('radio', { name: 'Paste tomatoes' }).click();
    await hands.press('Save');
    await expect(page.getByRole('alert')).toContainText('What do you call it?');
    await page.getByRole('textbox', { name: 'What you call it' }).fill('South bed');
    await page.getByRole('textbox', { name: 'How many' }).fill('sixty');
    await hands.press('Save');
    await expect(page.getByRole('alert')).toContainText('"sixty" is not a number of plants');
    await page.getByRole('textbox', { name: 'How many' }).fill('20');
    await expect(page.getByText('200 lb in a usual year')).toBeVisible();
    await page.getByRole('textbox', { name: 'What it gives in a usual year' }).fill('240');
    await expect(page.getByText('240 lb in a usual year')).toBeVisible();
    await hands.press('Save');
    await expect(page.getByRole('img', { name: /^South bed: 0 lb picked, .* to come, as set up\.$/ })).toBeVisible();
    await watch.fits();
  });

  await test.step('a basket in the garden: crop, amount, ripeness, place', async () => {
    await hands.press('What came in?');
    await page.getByRole('radio', { name: 'Paste tomatoes' }).click();
    await hands.type('44');
    await page.getByRole('radio', { name: 'firm' }).click();
    await expect(page.getByText(/^Keeps to /)).toBeVisible();
    await hands.press('Picked');
    await expect(page.getByRole('heading', { name: '44 lb paste tomatoes makes' })).toBeVisible();
    await expect(page.getByText('from the handbook', { exact: true }).first()).toBeVisible();
    await expect(likely()).toHaveAccessibleName(/^10 to \d\d quarts, likely 14\./);
    await watch.fits();
  });

  await test.step('the bed knows what was picked', async () => {
    await hands.goto('/harvest/garden');
    await page.getByRole('link', { name: /South bed/ }).click();
    await expect(page.getByText(/^44 lb picked this year/)).toBeVisible();
    await hands.press('Looked: nothing ripe');
    await hands.press(/^Take back: nothing ripe/);
    await expect(page.getByText(/^\w+day .*: nothing ripe$/)).toHaveCount(0);
  });

  await test.step('part of the lot goes to the freezer and part is eaten; it can be taken back', async () => {
    await hands.goto('/harvest');
    await page.getByRole('link', { name: /44 lb paste tomatoes, firm, cool room/ }).click();
    await page.getByRole('textbox', { name: 'How much of it' }).fill('50');
    await hands.press('Eaten fresh');
    await expect(page.getByRole('alert')).toContainText('There are only 44 lb in this lot.');
    await expect(page.getByRole('textbox', { name: 'How much of it' })).toHaveValue('50');
    await page.getByRole('textbox', { name: 'How much of it' }).fill('4');
    await hands.press('Eaten fresh');
    await page.getByRole('link', { name: /40 lb paste tomatoes, firm, cool room/ }).click();
    await page.getByRole('textbox', { name: 'How much of it' }).fill('10');
    await hands.press('the freezer');
    await expect(page.getByRole('heading', { name: 'In the freezer: 2 gallon bags' })).toBeVisible();
    await expect(page.getByText('30 lb on hand, 10 lb frozen, 4 lb eaten fresh')).toBeVisible();
    await watch.fits();
    await hands.goto('/');
    // What is frozen leads to what it could become.
    await page.getByRole('link', { name: /^In the freezer: 2 gallon bags/ }).click();
    await expect(page.getByRole('heading', { name: '10 lb paste tomatoes makes' })).toBeVisible();
    await hands.goto('/harvest');
    await hands.press(/^Take back: 10 lb paste tomatoes to the freezer/);
    await hands.press(/^Take back: 4 lb paste tomatoes eaten fresh/);
    await expect(page.getByRole('link', { name: /44 lb paste tomatoes, firm, cool room/ })).toBeVisible();
    await expect.poll(async () => (await kept()).lotChanges).toEqual([]);
  });

  await test.step('a batch with three times the possible jars is asked about, and what was typed stays', async () => {
    await hands.goto('/harvest/batch');
    await page.getByRole('textbox', { name: 'What went in' }).fill('44');
    await page.getByRole('textbox', { name: 'Full jars' }).fill('45');
    await hands.press('Write it down');
    await expect(page.getByRole('alert')).toContainText(/45 quarts from 44 lb of paste tomatoes is 3 times/);
    await expect(page.getByRole('textbox', { name: 'Full jars' })).toHaveValue('45');
    await page.getByRole('textbox', { name: 'Full jars' }).fill('24');
    await page.getByRole('radio', { name: 'quarts' }).click();
    await page.getByRole('textbox', { name: 'Full jars' }).fill('40');
    await hands.press('Write it down');
    await hands.press('They were pints');
    await expect(page.getByRole('textbox', { name: 'Full jars' })).toHaveValue('40');
    await expect(page.getByRole('radio', { name: 'pints', exact: true })).toBeChecked();
    expect((await kept()).batchRecords).toEqual([]);
    await page.getByRole('textbox', { name: 'Full jars' }).fill('24');
    await page.getByRole('radio', { name: '1/2' }).click();
    await watch.fits();
    await hands.press('Write it down');
  });

  await test.step('the estimate shows how it came about', async () => {
    await expect(page.getByRole('img', { name: /1 batches; next 3\.\d to \d\.\d, likely 3\.\d/ })).toBeVisible();
    await expect(
      page.getByText(
        /The handbook says 2\.9 lb a quart; you get \d+ % fewer jars\. Last time 24 1\/2 pints from 44 lb\./,
      ),
    ).toBeVisible();
    await watch.fits();
  });

  await test.step('and is better the next time: fewer, and a narrower range', async () => {
    await hands.goto('/harvest/makes?crop=tomato-paste');
    await expect(page.getByText('from the handbook + your 1 batch, last time 24 1/2 pints from 44 lb')).toBeVisible();
    await expect(likely()).toHaveAccessibleName(/^1[01] to 1[3-5] quarts, likely 12\./);
    await expect(page.getByText('from the handbook + 1 batch of this crop').first()).toBeVisible();
  });

  await test.step('all of it is in the file', async () => {
    const { plantings, picks, batchRecords } = await kept();
    expect(plantings).toMatchObject([{ name: 'South bed' }]);
    expect(picks).toMatchObject([{ told: '44 lb' }]);
    expect(batchRecords).toMatchObject([{ jars: [{ jar: 'pint', count: 24 }], learnFrom: true }]);
  });
  watch.calm();
});

test('a measure without a weight is asked about once and remembered', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.goto('/harvest/pick');
  await hands.press(/All 35/);
  await page.getByRole('radio', { name: 'Tomatillos' }).click();
  // On a phone the keys have figures only: the vessel is named once, then counted.
  await hands.type('2');
  await hands.press(/Change when, from where/);
  await page.getByRole('textbox', { name: 'Another vessel' }).fill('colander');
  await expect(page.getByRole('alert')).toContainText('What does one colander of tomatillos weigh?');
  await hands.press('Remember');
  await expect(page.getByText('Type what one weighs.')).toBeVisible();
  await page.getByRole('textbox', { name: /One colander in lb/ }).fill('3 1/2');
  await hands.press('Remember');
  await expect(page.getByRole('textbox', { name: 'Picked' })).toHaveValue('2');
  await hands.press('Picked');
  await expect(page.getByRole('heading', { name: '7 lb tomatillos makes' })).toBeVisible();
  await hands.goto('/harvest/pick');
  await hands.press(/Change when, from where/);
  await page.getByRole('radio', { name: 'colander' }).click();
  await hands.type('1');
  await hands.press('Picked');
  await expect.poll(async () => (await kept()).picks.map(({ told }) => told)).toEqual(['2 colanders', '1 colander']);
});

test('a pick of tomorrow or last year is told in a sentence; a wrong one is put right or struck out', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/harvest/pick');
  await hands.type('19');
  await hands.press(/Change when, from where/);
  await page.getByRole('radio', { name: 'a day' }).click();
  const day = page.getByRole('textbox', { name: 'Which day' });
  const dayOf = (ms: number) => new Date(Date.now() + ms).toISOString().slice(0, 10);
  for (const [typed, sentence] of [
    [dayOf(2 * 86_400_000), 'still to come'],
    [dayOf(-400 * 86_400_000), 'last year'],
    ['someday', 'is not a day'],
  ] as const) {
    await day.fill(typed);
    await hands.press('Picked');
    await expect(page.getByRole('alert')).toContainText(sentence);
    await expect(day).toHaveValue(typed);
  }
  await day.fill(dayOf(-3 * 86_400_000));
  await hands.press('Picked');
  await expect(page.getByRole('heading', { name: /^19 lb .* makes$/ })).toBeVisible();

  await hands.goto('/harvest');
  await page.getByRole('link', { name: /^Correct 19 lb/ }).click();
  await expect(page.getByRole('textbox', { name: 'Picked' })).toHaveValue('19 lb');
  await page.getByRole('textbox', { name: 'Picked' }).fill('17 1/2 lb');
  await page.getByRole('radio', { name: 'Damson plums' }).click();
  await hands.press('Correct');
  await expect(page.getByText('17 1/2 lb damson plums', { exact: true })).toBeVisible();
  await expect.poll(async () => (await kept()).picks.map(({ told }) => told)).toEqual(['17 1/2 lb']);
  await hands.press(/^Strike out 17 1\/2 lb/);
  await expect.poll(async () => (await kept()).picks).toEqual([]);
  watch.calm();
});

test('lots of several crops together: what each product takes, misses and leaves', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.pick('Damson plums', '19');
  await expect(page.getByText(/^\d batches side by side, leaves \d/)).toBeVisible();
  await hands.pick('Paste tomatoes', '10');
  await expect(page.getByText('Missing: 4 lb hot peppers, 2 lb onions.')).toBeVisible();
  await hands.press(/^From 10 lb ripe\. Choose lots/);
  await page.getByRole('checkbox', { name: /19 lb damson plums/ }).click();
  await expect(page.getByRole('heading', { name: '2 lots together make' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Damson jam' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Crushed tomatoes' })).toBeVisible();
  await watch.fits();
  watch.calm();
});

withKeptApp('a lot ended and a bed set up without signal are sent by themselves, each once', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.pick('Damson plums', '19');
  await expect.poll(async () => (await kept()).picks.length).toBe(1);
  await hands.goto('/harvest');
  await appIsKept(page);
  await page.getByRole('link', { name: /19 lb damson plums, ripe, cool room/ }).click();
  await server.stop('SIGKILL');
  await page.getByRole('textbox', { name: 'How much of it' }).fill('9');
  await hands.press('Given away');
  await expect(page.getByRole('status').first()).toContainText('1 thing waits here: given away');
  await expect(page.getByRole('link', { name: /10 lb damson plums, ripe, cool room/ })).toBeVisible();
  await server.start();
  // The page tries again every few seconds; nobody has to press anything.
  await expect(page.getByText(/No signal/)).toHaveCount(0, { timeout: 20_000 });
  await page.reload();
  expect((await kept()).lotChanges).toMatchObject([{ kind: 'given-away' }]);
});
