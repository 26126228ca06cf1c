import { expect, type Page, test } from '@playwright/test';
import { addDays, format, startOfDay } from 'date-fns';
import { laterBy } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { finish } from '../planTwo';
import { RealServer } from '../realServer';
import { throughSteps } from '../throughSteps';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  // Its clock stands at a Saturday, 7:40 in the morning.
  server = await RealServer.start({ demo: true });
});
test.afterEach(() => server.stop());

interface State {
  readonly now: number;
  readonly dayEvents: readonly { readonly type: string; readonly day: string; readonly later?: number }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;

const over = (page: Page) =>
  expect(page.getByRole('button', { name: 'Take this plan' })).toHaveCount(0, { timeout: 90_000 });

// USDA Complete Guide to Home Canning, guide 2, as recalled: juice of grapes settles overnight in the cold, then is strained again.
test('juice that settles overnight and tomatoes of Sunday are one plan: its night is drawn short, Sunday has its errands, and it can be ready for a market', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);

  await test.step('on Saturday the juice, and Sunday’s tomatoes planned beside it', async () => {
    await hands.findCrop('grape', /^Grape/);
    await hands.type('26');
    await hands.press('Picked');
    await hands.goto('/plan/make?crop=grape&product=grape-juice&jar=quart');
    await hands.press(/^Plan \d+ quarts/);
    await expect(page.getByRole('heading', { name: /^Saturday, 1 load/ })).toBeVisible();
    await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
    await page.getByRole('radio', { name: 'Tomorrow' }).click();
    await expect(page.getByRole('group', { name: 'Start' })).toContainText('Sunday');
    await watch.fits();
    await hands.press(/^Plan \d+ quarts/);
    await expect(page.getByRole('heading', { name: /^Saturday and Sunday, \d loads/ })).toBeVisible();
    await over(page);
    await expect(finish(page)).toContainText(/Likely Sunday/);
    // The juice and Sunday's jars go in on Sunday; the night between is one line.
    await expect(page.getByRole('link', { name: /^1: 7 quarts .*in at Sunday/ })).toBeVisible();
    await expect(page.getByText(/wait, on at Sunday/).first()).toBeVisible();
    await watch.fits();
  });

  await test.step('an errand of Sunday stands on Sunday', async () => {
    await page.getByRole('link', { name: /Errands and wishes/ }).click();
    await hands.press('Something else to do on Sunday');
    await page.getByRole('textbox', { name: 'What' }).fill('Church supper');
    await hands.press('Put it into the day');
    const sunday = page.getByRole('list', { name: 'Errands on Sunday' });
    await expect(sunday.getByRole('listitem').filter({ hasText: 'Church supper' })).toBeVisible();
    await expect(page.getByRole('list', { name: 'Errands on Saturday' })).not.toContainText('Church supper');
    await expect
      .poll(async () => (await state()).dayEvents.flatMap(({ type, later }) => (type === 'errand-set' ? [later] : [])))
      .toEqual([1]);
  });

  await test.step('ready on Monday, by the hour it was', async () => {
    await page.getByRole('button', { name: /^Ready by Sunday/ }).click();
    await page.getByRole('radiogroup', { name: 'Ready on' }).getByRole('radio', { name: 'Monday' }).click();
    await expect(page.getByRole('group', { name: 'Ready by' })).toContainText('Monday');
    await watch.fits();
  });

  await test.step('begun on Saturday, the kitchen has Sunday’s steps too, and one day to close', async () => {
    await hands.goto('/kitchen');
    await hands.press('Start the day');
    await expect
      .poll(async () => (await state()).dayEvents.filter(({ type }) => type === 'day-started').length)
      .toBe(1);
    const { now, dayEvents } = await state();
    const started = dayEvents.find(({ type }) => type === 'day-started');
    expect(started?.day).toBe(format(now, 'yyyy-MM-dd'));
  });

  await test.step('Saturday goes as far as it can; next morning it is the same plan, and Sunday’s work is there', async () => {
    await throughSteps(page, server, page.getByText(/^Drip/), 20);
    await laterBy(server, 4 * 60);
    await hands.goto('/kitchen');
    await throughSteps(page, server, page.getByText(/^Settle in the cold/), 10);
    await hands.goto('/plan');
    await expect(page.getByRole('heading', { name: /^Saturday and Sunday, \d loads/ })).toBeVisible();
    const { now: at } = await state();
    await laterBy(server, (addDays(startOfDay(at), 1).getTime() + 8.25 * 60 * 60_000 - at) / 60_000);
    await hands.goto('/kitchen');
    await throughSteps(page, server, page.getByText(/^Scald and peel/), 12);
    await watch.fits();
    const told = (await state()).dayEvents.filter(({ type }) => type === 'step-done');
    // All is told under the day on which it began.
    expect(new Set(told.map(({ day }) => day).filter((day) => day >= format(at, 'yyyy-MM-dd')))).toEqual(
      new Set([format(at, 'yyyy-MM-dd')]),
    );
  });
});
