import { expect, type Page, test } from '@playwright/test';
import { pot } from '../boilingPot';
import { handRests } from '../handRests';
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
  readonly events: readonly { readonly type: string; readonly way?: string; readonly loadId: string }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;

const over = (page: Page) =>
  expect(page.getByRole('button', { name: 'Take this plan' })).toHaveCount(0, { timeout: 90_000 });

async function planPlums(page: Page, toFit = false) {
  const hands = kitchenHands(page, server.address);
  await hands.goto('/plan/make?crop=damson&product=plums&jar=pint');
  if (toFit) await page.getByRole('radio', { name: 'to fit each canner' }).click();
  await hands.press(/^Plan \d+ pints/);
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  await expect(finish(page)).toBeVisible();
  await over(page);
  return hands;
}

// Plums, hot, in pints at 3,420 ft: 30 min in boiling water. USDA Complete Guide 2015, guide 2, as recalled; as long in steam.
test('loads that fit each canner go into the pot and the steam pan side by side, each said by its own way, and the one in steam is told so', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await planPlums(page, true);
  const inSteam = page.getByRole('link', { name: /30 min steam, Steam pan/ });
  await expect(inSteam.first()).toBeVisible();
  await expect(page.getByRole('link', { name: /30 min boil, Big enamel/ }).first()).toBeVisible();
  await watch.fits();
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  const own = pot(page, 'Steam pan');
  await throughSteps(page, server, hands.key(/^Load \d into the canner$/), 60);
  await own.getByRole('button', { name: 'Water is on' }).click();
  await own.getByRole('button', { name: /^Load \d into it$/ }).click();
  await expect(page.getByText('In Steam pan these jars go in a steam canner, for the same 30 min.')).toBeVisible();
  await expect(page.getByText(/steady column/).first()).toBeVisible();
  await watch.fits();
  await hands.loadIn(/in, heat it$/);
  await expect.poll(async () => (await state()).events.at(-1)).toMatchObject({ type: 'load-started', way: 'steam' });
  await expect(own.getByText(/^Heating/)).toBeVisible();
  await expect(own.getByRole('button', { name: 'Steady at 206 F: start 30 min' })).toBeVisible();
});

test('what is put off is on the other day, says when that is over and whether it keeps; planned backwards it is begun on the market’s day', async ({
  page,
  context,
}) => {
  const watch = watchPage(page);
  const hands = await planPlums(page);

  await test.step('a week on the plums do not keep, and it is said', async () => {
    await hands.press('Damsons in syrup: another day');
    await page.getByRole('radiogroup', { name: 'Day it is made' }).getByRole('radio').last().click();
    await expect(page.getByRole('alert')).toContainText(/does not keep so long. Freeze .* by/);
    await watch.fits();
  });

  await test.step('on Sunday they are', async () => {
    await page.getByRole('radio', { name: 'Tomorrow' }).click();
    await expect(page.getByText(/^That day is likely over by/)).toBeVisible({ timeout: 60_000 });
    await expect(page.getByRole('alert')).toHaveCount(0);
    await hands.press(/^Begin Sunday at/);
    await expect(page.getByRole('heading', { name: /^Sunday, \d loads/ })).toBeVisible();
    const other = await context.newPage();
    await other.goto(`${server.address}/plan`);
    await expect(other.getByRole('heading', { name: /^Sunday, \d loads/ })).toBeVisible();
    await other.close();
  });

  await test.step('back to Saturday, ready by Sunday: it can begin on Sunday, and the wish goes along', async () => {
    await hands.press('Damsons in syrup: another day');
    await page.getByRole('radio', { name: 'Today' }).click();
    await hands.press(/^Begin Saturday at/);
    await expect(page.getByRole('heading', { name: /^Saturday, \d loads/ })).toBeVisible();
    await page.getByRole('link', { name: /Errands and wishes/ }).click();
    await page.getByRole('button', { name: /^Ready by \d/ }).click();
    await page.getByRole('radiogroup', { name: 'Ready on' }).getByRole('radio', { name: 'Sunday' }).click();
    await expect(page.getByText(/^It can begin as late as Sunday/)).toBeVisible({ timeout: 90_000 });
    await watch.fits();
    await hands.press('Begin then');
    await hands.goto('/plan');
    await expect(page.getByRole('heading', { name: /^Sunday, \d loads/ })).toBeVisible();
    await page.getByRole('link', { name: /Errands and wishes/ }).click();
    await expect(page.getByRole('group', { name: 'Ready by' })).toBeVisible();
  });
});

test('of two batches one is put off: it stands under what is also planned, a phone has it too, and from there it comes back', async ({
  page,
  context,
}) => {
  const hands = await planPlums(page);
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await over(page);
  const both = await page.getByRole('heading', { level: 1 }).innerText();
  await hands.press('Damsons in syrup: another day');
  await page.getByRole('radio', { name: 'Tomorrow' }).click();
  await hands.press(/^Begin Sunday at/);
  const also = page.getByRole('list', { name: 'Planned for other days' });
  await expect(also.getByRole('link')).toHaveText(/damsons in syrup.*Sunday 30 Aug, from 8:00 am/);
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(both);
  const phone = await context.newPage();
  await phone.goto(`${server.address}/plan`);
  await phone.getByRole('list', { name: 'Planned for other days' }).getByRole('link').click();
  await expect(phone.getByRole('heading', { name: 'Damsons in syrup' })).toBeVisible();
  await phone.getByRole('radio', { name: 'Today' }).click();
  await handRests(phone);
  await phone.getByRole('button', { name: /^Begin Saturday at/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(both);
  await expect(also).toHaveCount(0);
  await phone.close();
});
