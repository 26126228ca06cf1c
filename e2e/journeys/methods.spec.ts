import { expect, type Page, test } from '@playwright/test';
import { atEight, giveDemoClock } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

async function addCanner(page: Page, hands: ReturnType<typeof kitchenHands>, name: string, kind: RegExp) {
  await hands.goto('/bench/canners');
  await hands.press('Add a canner');
  await page.getByRole('textbox', { name: 'Its name' }).fill(name);
  await page.getByRole('radio', { name: kind }).click();
  await hands.press('Write it down');
}

// USDA Complete Guide to Home Canning, 2015, guide 4, snap beans: pints 20 min, weighted gauge at 15 psi above 1,000 ft.
test('green beans under pressure: planned, vented, held at 15 psi, and down by themselves', async ({ page }) => {
  await giveDemoClock(server);
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await atEight(server);
  await hands.pick('Pole beans', '9');
  const make = '/plan/make?crop=bean-snap&product=snap-beans&jar=pint';

  await test.step('without a pressure canner it is said, and nothing can be planned', async () => {
    await hands.goto(make);
    await expect(page.getByText(/No canner is written down that processes in a pressure canner/)).toBeVisible();
    await expect(hands.key(/^Plan \d+/)).toHaveCount(0);
  });

  await test.step('with one its loads stand in two layers', async () => {
    await addCanner(page, hands, 'Heavy one', /23-quart pressure/);
    await hands.goto(make);
    await expect(page.getByText('Heavy one holds 18 pints')).toBeVisible();
    await hands.press(/^Plan \d+ pints/);
    await page
      .getByRole('link', { name: /^Load 1, \d+ pints green beans: .*20 min at 15 psi from .*then \d\d min rest/ })
      .click();
    await expect(page.getByText('2 to 3 in of water in all')).toBeVisible();
    await watch.fits();
  });

  await test.step('the clock starts at pressure; under it the whole time starts again', async () => {
    await hands.loadIn(/pints are in, heat it/);
    await hands.pass('+20 min');
    await hands.press('Strong steam: vent 10 min');
    await hands.press('Vented, at 15 psi: start 20 min');
    await expect(page.getByText(/^Vented 10 min\? It is \d+ s since it began to vent/)).toBeVisible();
    await hands.press('Not yet');
    await hands.pass('+20 min');
    await expect(page.getByText('Weight on, up to 15 psi')).toBeVisible();
    await hands.press('Vented, at 15 psi: start 20 min');
    await hands.pass('+5 min');
    await hands.press(/Under 15 psi/);
    await expect(page.getByText('Pressure lost: the full 20 min start again')).toBeVisible();
    await hands.press('At 15 psi again: start 20 min');
    await hands.pass('+20 min');
  });

  await test.step('the lid stays on while it comes down', async () => {
    await hands.press('Heat off: it comes down by itself');
    await expect(page.getByText('It comes down by itself', { exact: true })).toBeVisible();
    await expect(hands.key('Jars are out')).toHaveCount(0);
    await hands.pass('+20 min');
    await hands.pass('+20 min');
    await hands.press('It is at 0 psi: weight off');
    await expect(hands.key('Jars are out')).toBeDisabled();
    await hands.pass('+20 min');
    await expect(page.getByText('At 0 psi only, lid away from your face')).toBeVisible();
    await hands.press('Jars are out');
    await watch.fits();
  });
  watch.calm();
});

test('plums go in boiling water or steam, as the cook chooses; steam is not offered past 45 min', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await addCanner(page, hands, 'Flat pan', /steam pan/);
  await hands.pick('Damson plums', '19');
  await hands.goto('/plan/make?crop=damson&product=plums&jar=pint');
  await page.getByRole('radio', { name: 'steam', exact: true }).click();
  await expect(page.getByText(/^Flat pan holds/)).toBeVisible();
  await hands.press(/^Plan \d+/);
  await page.getByRole('link', { name: /^Load 1, .*30 min steam from/ }).click();
  await expect(page.getByText(/under the rack/)).toBeVisible();
  // What the cook chose stays chosen, as a wish that can be let go.
  await hands.goto('/plan/life');
  await expect(page.getByRole('listitem').filter({ hasText: 'Damsons in syrup in a steam canner only' })).toBeVisible();
  // 50 min at this altitude.
  await hands.pick('Paste tomatoes', '46');
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-whole-in-water&jar=pint');
  await expect(page.getByText('Big pot holds 9 pints')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'steam', exact: true })).toHaveCount(0);
});

test('three odd pints go in with another load at its longer time, when the cook says so', async ({ page }) => {
  await giveDemoClock(server);
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await atEight(server);
  await hands.pick('Paste tomatoes', '46');
  await hands.pick('Damson plums', '19');
  const fewer = (jars: string) => page.getByRole('textbox', { name: 'Jars to fill' }).fill(jars);
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-whole-in-water&jar=pint');
  await fewer('6');
  await hands.press('Plan 6 pints');
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();

  await hands.goto('/plan/make?crop=damson&product=plums&jar=pint');
  await fewer('3');
  const share = page.getByRole('checkbox', { name: /^Share load 1, all at 50 min: saves/ });
  await expect(share).toContainText('softer after 50');
  await share.click();
  await hands.press('Plan 3 pints');
  await expect(page.getByText('With 3 pints damsons in syrup.')).toBeVisible();
  await watch.fits();
  await page.getByRole('link', { name: /^Load 1, 6 pints .* with 3 pints damsons .*50 min boil/ }).click();
  await expect(page.getByText('and 3 pints damsons in syrup')).toBeVisible();
  await expect(page.getByText(/^All 50 min, the longest time in this canner/)).toBeVisible();
  await watch.fits();

  await hands.loadIn('9 pints are in, heat it');
  await hands.boils('It boils: start 50 min');
  await hands.pass('+1 h');
  await hands.press('Heat off, lid off: wait 5 min');
  await hands.pass('+5 min');
  await hands.press('Jars are out');
  await expect(page.getByRole('list', { name: 'On the towel' })).toContainText('9 pints');
  // Each batch has its own lids to press.
  await hands.pass('Tomorrow 9 am');
  await hands.goto('/');
  for (const jars of ['6 pints whole tomatoes in water', '3 pints damsons in syrup']) {
    await expect(page.getByText(jars, { exact: true })).toBeVisible();
  }
  watch.calm();
});
