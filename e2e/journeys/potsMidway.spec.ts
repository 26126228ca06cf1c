import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { atEight, giveDemoClock } from '../demoClock';
import { givePick } from '../givePick';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { throughSteps } from '../throughSteps';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
  await giveDemoClock(server);
  await atEight(server);
});
test.afterEach(() => server.stop());

interface State {
  readonly batches: readonly { id: string; product: string; loads: readonly { jars: number }[] }[];
  readonly dayEvents: readonly { type: string; product?: string; batchId?: string; volumeMl?: number }[];
  readonly batchRecords: readonly { product: string; massKg: number; batchId: string }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;
const told = async (type: string) => (await state()).dayEvents.filter((event) => event.type === type);

/** Whoever listens or goes by keys finds everything on a screen. */
async function isForAll(page: Page) {
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await watchPage(page).reads();
}

async function plan(page: Page, query: string, jars: string, count: number) {
  const hands = kitchenHands(page, server.address);
  await hands.goto(`/plan/make?${query}`);
  await page.getByRole('textbox', { name: 'Jars to fill' }).fill(jars);
  await hands.press(new RegExp(`^Plan ${jars} `));
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  await expect.poll(async () => (await state()).batches.length).toBe(count);
}

// USDA Complete Guide to Home Canning, 2015, guide 3, to 1,000 ft: tomato sauce in pints 35 min, tomato juice in quarts 40 min.
test('two pots of sauce are poured together, and juice that nobody planned is ladled off into quarts', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('800');
  await hands.pick('Slicing tomatoes', '60');
  await plan(page, 'crop=tomato-slicing&product=tomato-sauce-thick&jar=pint', '8', 1);
  await plan(page, 'crop=tomato-slicing&product=tomato-sauce-thick&jar=pint', '6', 2);
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  await throughSteps(page, server, page.getByText(/^Through the mill/), 12);

  await test.step('one pot from now on: shown before it is told, and taken back in one tap', async () => {
    await hands.goto('/kitchen/change');
    const pour = page.getByRole('button', { name: /^Pour two pots together: thick tomato sauce/ });
    await expect(pour).toContainText('pot 1: 8 pints; pot 2: 6 pints');
    await watch.fits();
    await isForAll(page);
    await pour.click();
    await expect(page.getByText('One pot of thick tomato sauce')).toBeVisible();
    await hands.press('Do it so');
    await expect.poll(async () => (await told('pots-joined')).length).toBe(1);
    await hands.goto('/kitchen/change');
    await expect(page.getByRole('button', { name: /^It becomes something else/ })).toHaveCount(1);
    await expect(pour).toHaveCount(0);
  });

  await test.step('juice is ladled off though nobody planned it: measured, its own minutes, a load of its own', async () => {
    // Nothing stands over tomatoes that were not heated.
    await expect(hands.key(/^Thin juice was ladled off/)).toHaveCount(0);
    await hands.goto('/kitchen');
    await throughSteps(page, server, page.getByText(/^Cook down/), 30);
    await hands.goto('/kitchen/change');
    await hands.press('Thin juice was ladled off: thick tomato sauce');
    await expect(hands.key('Keep it as it is')).toBeDisabled();
    await page.getByRole('group', { name: 'Measured thin juice' }).getByRole('textbox').fill('3 1/2');
    await expect(page.getByRole('button', { name: /^3 quarts of tomato juice/ })).toContainText(
      '40 min in Big pot, part of a quart over',
    );
    await expect(page.getByRole('button', { name: /^7 pints of tomato juice/ })).toContainText('35 min');
    await watch.fits();
    await isForAll(page);
    // Kept as it is, it is asked for as the juice it is; and thought better of.
    await hands.press('Keep it as it is');
    await expect(page.getByRole('radio', { name: 'juice' })).toBeChecked();
    await expect(page.getByRole('textbox', { name: 'How much is left' })).toHaveValue('3.5 quarts');
    await hands.goto('/kitchen/change');
    await hands.press('Thin juice was ladled off: thick tomato sauce');
    await page.getByRole('group', { name: 'Measured thin juice' }).getByRole('textbox').fill('3 1/2');
    await hands.press(/^3 quarts of tomato juice/);
    await expect.poll(async () => (await state()).batches.length).toBe(3);
    const [measured] = await told('output-measured');
    expect(measured?.volumeMl).toBeCloseTo(3.5 * 946.353, 0);
    await throughSteps(page, server, page.getByText(/^Acid into each jar, tomato juice$/), 40);
  });

  await test.step('it is written down as one: all that went in, and the juice', async () => {
    const [pot] = await told('pots-joined');
    await hands.goto(`/harvest/batch?batch=${pot?.batchId}`);
    await expect(page.getByRole('textbox', { name: 'Thin juice' })).toHaveValue('3.5');
    await expect(page.getByRole('textbox', { name: 'Full jars' })).toHaveValue('14');
    await watch.fits();
  });
  watch.calm();
});

// The same guide, guide 2: fruit purées in pints, 15 min to 1,000 ft; pears in syrup 20.
test('pears that fall apart in the syrup become purée by its own minutes; what nobody tested is said', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('800');
  await givePick(server, 'pear', 25);
  await plan(page, 'crop=pear&product=pears-halved&jar=pint', '9', 1);
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  await throughSteps(page, server, page.getByText(/^Boil 5 min/), 12);
  await hands.goto('/kitchen/change');
  await hands.press('It becomes something else: pears in syrup');
  const puree = page.getByRole('button', { name: /^Pear purée/ });
  await expect(puree).toContainText('15 min');
  await watch.fits();
  await isForAll(page);
  await puree.click();
  await hands.press('Do it so');
  await expect.poll(async () => (await told('recipe-changed'))[0]?.product).toBe('fruit-puree');
  // Nothing is peeled again: it goes on at the heat and the mill.
  await throughSteps(page, server, page.getByText(/^Through the mill/), 12);
  const peeled = (await state()).dayEvents.filter((event) => JSON.stringify(event).includes('"peel-core'));
  expect(peeled.filter(({ type }) => type === 'step-started').length).toBeLessThanOrEqual(1);
  await throughSteps(page, server, page.getByRole('link', { name: /^Load 1/ }).or(hands.key(/^Load 1/)), 20);
  await expect(page.getByText(/pear purée/i).first()).toBeVisible();
  watch.calm();
});
