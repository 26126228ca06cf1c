import { expect, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

test.use({ serviceWorkers: 'allow' });

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

const picksKept = async () =>
  ((await server.call('GET', '/state')).body as { picks: { told: string }[] }).picks.map(({ told }) => told);

test('a pick entered while the server is down stays on the screen and is sent by itself, once', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.goto('/harvest/pick');
  await page.getByRole('radio', { name: 'Damson plums' }).click();
  await hands.type('19');
  await server.stop('SIGKILL');
  await hands.press('Picked');
  await expect(page.getByRole('status').first()).toContainText(/No signal since .*1 thing waits here: 19 lb/s);
  await expect(page.getByRole('heading', { name: '19 lb damson plums makes' })).toBeVisible();
  await hands.press('Try now');
  await expect(page.getByRole('status').first()).toContainText('1 thing waits here');
  // By itself, as soon as the server is there.
  await server.start();
  await expect(page.getByText(/No signal/)).toHaveCount(0);
  expect(await picksKept()).toEqual(['19 lb']);
  await page.reload();
  await expect(page.getByRole('heading', { name: '19 lb damson plums makes' })).toBeVisible();
  expect(await picksKept()).toEqual(['19 lb']);
});

test('a pick closed away with the page before it was sent is sent when the page is back', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.goto('/harvest/pick');
  await page.getByRole('radio', { name: 'Damson plums' }).click();
  await hands.type('7');
  await page.route('**/api/picks', (route) => route.abort());
  await hands.press('Picked');
  await expect(page.getByRole('status').first()).toContainText('1 thing waits here');
  await page.goto('about:blank');
  await page.unroute('**/api/picks');
  await hands.goto('/harvest');
  await expect.poll(picksKept).toEqual(['7 lb']);
});

test('bad amounts are told in a sentence, and what was typed stays', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/harvest/pick');
  const amount = page.getByRole('textbox', { name: 'Picked' });
  await hands.press('Picked');
  await expect(page.getByRole('alert')).toContainText('How much came in?');
  for (const [typed, sentence] of [
    ['-4', 'Less than nothing'],
    ['10,000 bushels', 'more than a household can pick at once'],
    ['a lot', 'is not an amount'],
  ] as const) {
    await amount.fill(typed);
    await hands.press('Picked');
    await expect(page.getByRole('alert')).toContainText(sentence);
    await expect(amount).toHaveValue(typed);
  }
  for (const [typed, told] of [
    ['1 1/4', '1 1/4 lb'],
    ['1,5', '1,5 lb'],
    ['½ bushel', '½ bushel'],
  ] as const) {
    await hands.goto('/harvest/pick');
    await amount.fill(typed);
    await hands.press('Picked');
    await expect.poll(picksKept).toContain(told);
  }
  watch.calm();
});

test('without an altitude there is the whole band strip and no single number, and nothing is planned', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.pick('Paste tomatoes', '30');
  await page
    .getByRole('link', { name: /quarts, likely 10/ })
    .first()
    .click();
  await expect(
    page.getByRole('img', {
      name: 'Altitude bands: to 1,000 ft: 45 min; 1,001 to 3,000 ft: 50 min; 3,001 to 6,000 ft: 55 min; above 6,000 ft: 60 min',
    }),
  ).toBeVisible();
  await expect(page.getByText('at the boil')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Plan/ })).toHaveCount(0);
  for (const screen of ['/', '/shelf', '/bench']) {
    await hands.goto(screen);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await watch.fits();
  }
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press('Set the altitude');
  await page.getByRole('radio', { name: 'm', exact: true }).click();
  await page.getByRole('textbox', { name: 'Altitude of the kitchen' }).fill('305');
  await expect(page.getByText('1,001 ft, rounded up.')).toBeVisible();
  watch.calm();
});

test('24 pints in a canner that holds 9 are 9, 9, 6 or evened out 8, 8, 8', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.pick('Paste tomatoes', '68');
  await page
    .getByRole('link', { name: /pints, likely 46/ })
    .first()
    .click();
  const jars = page.getByRole('textbox', { name: 'Jars to fill' });
  await jars.fill('24');
  await expect(page.getByRole('list', { name: '3 loads: 9, 9, 6' })).toBeVisible();
  // Six of nine is a load as any other; one alone is told with what each way out costs.
  await expect(page.getByText(/^The last/)).toHaveCount(0);
  // What cannot be stays typed and is told; the loads stay as they were.
  await jars.fill('1 1/2');
  await expect(page.getByRole('alert')).toHaveText('“1 1/2” is not a whole number.');
  await expect(page.getByRole('list', { name: '3 loads: 9, 9, 6' })).toBeVisible();
  // More than the fruit is worth says how much is missing, and is not planned.
  await jars.fill('70');
  await expect(page.getByText(/^About \d+ lb more are needed/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Plan/ })).toHaveCount(0);
  await jars.fill('18');
  await page.getByRole('button', { name: 'Jars to fill: one more' }).click();
  await expect(jars).toHaveValue('19');
  await expect(page.getByText('The last 1 pint', { exact: true })).toBeVisible();
  await expect(page.getByText(/^Run it short: .* of the canner, \d+ litres of water, 8 spacers/)).toBeVisible();
  await expect(page.getByText(/^Hold the produce, uncut/)).toBeVisible();
  await expect(page.getByText(/^Refrigerate what is cooked and eat it within 7 days/)).toBeVisible();
  await jars.fill('24');
  // Each way of parting them is told with the end of the day.
  for (const style of ['full loads first', 'evened out']) {
    const ends = page.getByRole('radio', { name: new RegExp(`${style}.*day over .*\\d+:\\d\\d [ap]m`) });
    await expect(ends).toBeVisible({ timeout: 30_000 });
  }
  await page.getByRole('radio', { name: 'evened out' }).click();
  await expect(page.getByRole('list', { name: '3 loads: 8, 8, 8' })).toBeVisible();
});

for (const [crop, product, jars, minutes] of [
  ['Paste tomatoes', 'Whole tomatoes in water', 'pints', 50],
  ['Paste tomatoes', 'Thin tomato sauce', 'quarts', 50],
  ['Damson plums', 'Damsons in syrup', 'pints', 30],
] as const) {
  // USDA Complete Guide to Home Canning, 2015, guides 2 and 3: minutes at 3,001 to 6,000 ft.
  test(`${product.toLowerCase()} goes the same way, ${minutes} min in ${jars}`, async ({ page }) => {
    const watch = watchPage(page);
    const hands = kitchenHands(page, server.address);
    await hands.setUpKitchen('3420');
    await hands.pick(crop, '30');
    const part = page.getByRole('heading', { name: product }).locator('xpath=..');
    await part.getByRole('link', { name: new RegExp(`${jars}, likely .*${minutes} min`) }).click();
    await hands.press(/^Plan \d+/);
    await page.getByRole('link', { name: new RegExp(`^Load 1, .*${product}.*${minutes} min boil`, 'i') }).click();
    await hands.loadIn(/are in, heat it/);
    await hands.boils(`It boils: start ${minutes} min`);
    await expect.poll(hands.secondsLeft).toBeGreaterThan(minutes * 60 - 10);
    watch.calm();
  });
}

test('told as it stands on the counter, seven quarts take what they took, and the rest is on hand again', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  // Cups of tomatoes are of a form: asked once, by the ways the handbook weighs.
  await hands.goto('/harvest/pick');
  await page.getByRole('radio', { name: 'Paste tomatoes' }).click();
  await page.getByRole('textbox', { name: 'Picked' }).fill('20 lb and 4 cups');
  await expect(
    page.getByText('How is it prepared? A cup whole weighs another thing than one that is cut.'),
  ).toBeVisible();
  await page.getByRole('textbox', { name: 'Picked' }).fill('20 lb and 12 cups chopped');
  await watch.fits();
  await hands.press('Picked');
  await expect(page.getByRole('heading', { name: /^26 lb paste tomatoes/ })).toBeVisible();
  await expect.poll(picksKept).toEqual(['20 lb and 12 cups chopped peeled']);

  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await page.getByRole('textbox', { name: 'Jars to fill' }).fill('7');
  await hands.press('Plan 7 quarts');
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  const planned = async () =>
    ((await server.call('GET', '/state')).body as { batches: { id: string; uses: { massKg: number }[] }[] }).batches;
  await expect.poll(planned).toHaveLength(1);
  const batches = await planned();
  const setApartLb = (batches[0]?.uses[0]?.massKg ?? NaN) / 0.45359237;

  // Asked with the middle of the plan: less than was set apart to be sure.
  await hands.goto(`/harvest/batch?batch=${batches[0]?.id}`);
  const wentIn = page.getByRole('textbox', { name: 'What went in' });
  const middle = parseFloat(await wentIn.inputValue());
  expect(middle).toBeLessThan(setApartLb - 1);
  await wentIn.fill('19 lb and 1 lb');
  await hands.press('Write it down');
  await expect(page.getByText(/Last time 7 quarts from 20 lb\./)).toBeVisible();
  await hands.goto('/harvest');
  await expect(page.getByRole('link', { name: /^Paste tomatoes, 6 lb, / })).toBeVisible();
  watch.calm();
});
