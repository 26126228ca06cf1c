import { expect, type Page, test } from '@playwright/test';
import { atEight, giveDemoClock, laterBy } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { throughSteps } from '../throughSteps';
import { watchPage } from '../watchPage';

const MIN = 60_000;
const KG_PER_LB = 0.453_592_37;

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
  await giveDemoClock(server);
  await atEight(server);
});
test.afterEach(() => server.stop());

interface State {
  readonly now: number;
  readonly demoOffsetMs: number;
  readonly batches: readonly { product: string; recipe?: string; uses: readonly { crop: string; massKg: number }[] }[];
  readonly lotChanges: readonly { kind: string; to: string | null; massKg: number }[];
  readonly dayEvents: readonly { type: string; taskId?: string; left?: readonly { massKg: number }[] }[];
  readonly lots: readonly { product: string; recipe?: string; crop?: string }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;

let count = 0;
async function picked(crop: string, lb: number, place = 'cool') {
  count += 1;
  const { now } = await state();
  const reply = await server.call('POST', '/picks', {
    ...{ id: `0198f3a0-0000-7000-8000-00000000${String(1_000 + count)}`, crop, massKg: lb * KG_PER_LB, softKg: 0 },
    ...{ ripeness: 'ripe', place, pickedAt: now - 60 * MIN, told: `${lb} lb`, source: 'garden', plantingId: null },
  });
  expect(reply.status).toBe(201);
}

const later = (minutes: number) => laterBy(server, minutes);
const until = (page: Page, wanted: ReturnType<Page['getByText']>) => throughSteps(page, server, wanted);

// USDA Complete Guide to Home Canning, 2015, guide 6: 6 lb cucumbers, 8 cups onions (about 3 lb), 1/2 cup salt for the soak,
// 4 cups vinegar, 4 1/2 cups sugar; about 8 pints.
test('a pickle of two crops: missing is said until it lies there, both are taken, the soak is poured off', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('5200');
  await picked('cucumber-pickling', 9);
  const make = '/plan/make?crop=cucumber-pickling&product=bread-and-butter-pickles&jar=pint';
  const sheet = (name: string) => page.getByRole('group', { name, exact: true });

  await test.step('without onions it may be planned, and says so', async () => {
    await hands.goto(make);
    await expect(page.getByText('missing', { exact: true })).toBeVisible();
    await expect(page.getByText(/^Onions: missing \d/)).toBeVisible();
    await expect(sheet('Salt and ice 3 h, poured off')).toContainText('canning salt');
    await expect(sheet('Boil 10 min')).not.toContainText('canning salt');
    await expect(sheet('Boil 10 min')).toContainText(/cups? vinegar/);
    await watch.fits();
    await hands.press(/^Plan \d+ pints/);
    await expect(page.getByText(/^Missing: \d.* onions\.$/)).toBeVisible();
    await hands.goto('/plan/before');
    await expect(page.getByText(/^Onions: missing/)).toBeVisible();
    await hands.goto('/plan/buy');
    await expect(page.getByRole('group', { name: 'For Bread-and-butter pickles' })).toContainText('vinegar 5%');
    await expect(page.getByText(/^Missing: \d.* onions\.$/)).toBeVisible();
  });

  await test.step('onions that come in later are taken for it by one key, and are gone from what is on hand', async () => {
    await picked('onion', 9);
    await hands.goto('/plan/before');
    await hands.press(/^Take .* onions for it$/);
    await expect(page.getByText(/^Onions: missing/)).toHaveCount(0);
    await expect(page.getByRole('button', { name: /^Take .* onions for it$/ })).toHaveCount(0);
    await expect.poll(async () => (await state()).dayEvents.map(({ type }) => type)).toEqual(['produce-added']);
    await hands.goto('/plan');
    await hands.press(/^Give up bread-and-butter/);
  });

  await test.step('with them both are reserved in the card’s proportion, and used up', async () => {
    await picked('onion', 12);
    await hands.goto(make);
    await expect(page.getByText('missing', { exact: true })).toHaveCount(0);
    await hands.press(/^Plan \d+ pints/);
    await expect.poll(async () => (await state()).batches.length).toBe(1);
    const [batch] = (await state()).batches;
    const kgOf = (crop: string) => batch?.uses.find((use) => use.crop === crop)?.massKg ?? 0;
    expect(batch?.recipe).toBe('bread-and-butter-pickles');
    expect(kgOf('onion') / kgOf('cucumber-pickling')).toBeCloseTo(1 / 2, 1);
    await hands.goto('/harvest');
    await expect(page.getByText(/Onions/).first()).toBeVisible();
  });

  await test.step('each step has its own amounts, large; the second crop is cut too', async () => {
    await hands.goto('/kitchen');
    await hands.press('Start the day');
    await until(page, page.getByText(/^Slice .* onions, bread-and-butter pickles$/));
    await until(page, page.getByRole('checkbox', { name: /canning salt, poured off again/ }));
    const salt = page.getByRole('checkbox', { name: /canning salt, poured off again/ }).first();
    await salt.click();
    await expect(salt).toHaveAttribute('aria-checked', 'true');
    await expect(page.getByRole('checkbox', { name: /vinegar/ })).toHaveCount(0);
    await watch.fits();
  });
  watch.calm();
});

// The same book, guide 7: berry jam with pectin, 6 cups crushed, 8 1/2 cups sugar, one box, 11 to 12 half-pints.
test('one box sets one batch: too little takes from the freezer or goes without pectin, too much is kept cold', async ({
  page,
}) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('800');
  await picked('blackberry', 6);
  await picked('blackberry', 3, 'freezer');
  await hands.goto('/plan/make?crop=blackberry&product=jam-with-pectin&jar=half-pint');
  await expect(page.getByRole('heading', { name: 'Blackberry jam' })).toBeVisible();
  await expect(page.getByText(/^1 box/)).toBeVisible();
  await hands.press(/^Plan \d+ half-pints/);
  await expect(page.getByText(/half-pints blackberry jam/).first()).toBeVisible();
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  await until(page, page.getByRole('button', { name: 'Measure', exact: true }));
  await hands.press('Measure');
  const pad = page.getByRole('group', { name: /^Measured blackberries or raspberries, crushed/ });
  const cups = pad.getByRole('textbox');
  await cups.fill('4');
  await cups.blur();
  await expect(page.getByRole('alert')).toContainText('2 cups missing');
  await expect(page.getByRole('button', { name: /Make it without added pectin/ })).toBeVisible();
  await page
    .getByRole('button', { name: /^Take .* more/ })
    .filter({ hasText: 'freezer' })
    .click();
  await expect.poll(async () => (await state()).dayEvents.map(({ type }) => type)).toContain('produce-added');
  await expect(cups).toHaveValue('6');
  await cups.fill('7 1/2');
  await expect(page.getByText(/^1 1\/2 cups stay over/)).toBeVisible();
  await hands.press(/^As planned: go on|^See what it changes/);
  // Another number of jars is shown first, with what it does to the day; the same number goes on at once.
  const soFar = page.getByRole('button', { name: 'Do it so' });
  await expect(soFar.or(page.getByRole('group', { name: /now$/ })).first()).toBeVisible();
  if (await soFar.isVisible()) await hands.press('Do it so');
  // Of 7 1/2 cups 1 1/2 stay over, from the cool room and from the freezer, and are on hand again.
  await expect
    .poll(async () => (await state()).lotChanges)
    .toEqual([
      expect.objectContaining({ kind: 'moved', to: 'refrigerator' }),
      expect.objectContaining({ kind: 'moved', to: 'refrigerator' }),
    ]);
  const told = (await state()).dayEvents.find(({ type }) => type === 'measured');
  const left = told?.left?.reduce((sum, { massKg }) => sum + massKg, 0);
  expect((await state()).lotChanges.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(left ?? 0, 6);
});

// The same guide, 3, "Acidification": a quart of tomatoes takes 2 Tbsp of bottled lemon juice.
test('half a dose of acid does not lead to filling, the dose does; another screen sees the step done', async ({
  page,
  browser,
}) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.pick('Paste tomatoes', '30');
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  const pad = page.getByRole('group', { name: 'In every quart' });
  await until(page, pad);
  const confirm = page.getByRole('button', { name: /in every quart\?$|^Every quart has/ });
  await expect(confirm).toBeDisabled();
  await pad.getByRole('button', { name: /: more$/ }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Too little: a quart needs 2 Tbsp' })).toBeVisible();
  await expect(confirm).toBeDisabled();
  const other = await (await browser.newContext()).newPage();
  await other.goto(`${server.address}/kitchen`);
  await expect(other.getByRole('group', { name: 'In every quart' })).toBeVisible();
  await pad.getByRole('button', { name: /: more$/ }).click();
  await hands.press('Every quart has 2 Tbsp');
  await expect(pad).toHaveCount(0);
  await expect(other.getByRole('group', { name: 'In every quart' })).toHaveCount(0);
});

// USDA Complete Guide to Home Canning, 2015, guide 6: quick fresh-pack dills soak 12 hours in 3/4 cup salt to 2 gallons of
// water, which is poured off; vinegar goes into another pot.
test('a soak past midnight keeps its day: the brine is told in the morning, and the soak was not cut short', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('2500');
  await picked('cucumber-pickling', 8);
  await later(11 * 60);
  await hands.goto('/plan/make?crop=cucumber-pickling&product=quick-fresh-pack-dill&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  const salt = page.getByRole('checkbox', { name: /canning salt \(soak\), poured off again/ });
  await until(page, salt);
  const soak = page.getByRole('timer').filter({ hasText: /^1[12] h( \d+ min)?$/ });
  await until(page, soak);
  const day = (await state()).now;
  await test.step('what follows asks first, and nothing is told', async () => {
    await until(page, page.getByRole('alert').filter({ hasText: 'its time is part of what was tested' }));
    expect((await state()).dayEvents.some(({ taskId }) => taskId?.startsWith('drain'))).toBe(false);
  });
  await later(12 * 60);
  expect(new Date((await state()).now).getDate()).not.toBe(new Date(day).getDate());
  await page.reload();
  await expect(page.getByText(/^Time is up/)).toBeVisible();
  await until(page, page.getByRole('checkbox', { name: /vinegar 5%/ }));
  await expect(page.getByRole('checkbox', { name: /poured off/ })).toHaveCount(0);
  await watch.fits();
  watch.calm();
});
