import { expect, type Page, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { finish, planTwo as planTwoAt } from '../planTwo';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

const planTwo = (page: Page) => planTwoAt(page, server.address);

/** The search has come to its end. */
const over = async (page: Page) => {
  await expect(finish(page)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take this plan' })).toHaveCount(0, { timeout: 60_000 });
};

/** The plan that this browser keeps. */
const keptPlan = (page: Page) =>
  page.evaluate(() => {
    const kept = JSON.parse(localStorage.getItem('hoddle-day-plan') ?? '{}');
    return kept.state?.plan as
      { makespanMin: number; lowerBoundMin: number; proven: boolean; cannerOf: Record<string, string> } | undefined;
  });

test('two products on two canners are laid out; with one canner taken away the day is solved anew', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await planTwo(page);
  await expect(page.getByText(/Proven: no plan|Best so far/)).toBeVisible();
  await over(page);
  const canners = async () => new Set(Object.values((await keptPlan(page))?.cannerOf ?? {})).size;
  const two = await keptPlan(page);
  expect(two?.lowerBoundMin).toBeLessThanOrEqual(two?.makespanMin ?? 0);
  await watch.fits();

  await test.step('every step says what it waits for', async () => {
    await page.getByRole('button', { name: /Why then/ }).click();
    await expect(page.getByText('The day begins with it.').first()).toBeVisible();
    await expect(
      page.getByText(/^What makes the day so long: .* of hands, .* in .*, one after the other/),
    ).toBeVisible();
    await expect(page.getByText(/ sooner(, the most that was found)?\.$|^Nothing of this saves time/)).toBeVisible({
      timeout: 90_000,
    });
    expect(await page.getByRole('listitem').count()).toBeGreaterThan(20);
    await watch.fits();
  });

  await test.step('what must lie ready is listed', async () => {
    await hands.goto('/plan/before');
    await expect(page.getByText(/quarts and \d+ to spare/)).toBeVisible();
    await expect(page.getByText('its rack in').first()).toBeVisible();
    await expect(page.getByText('bottled lemon juice').first()).toBeVisible();
  });

  await test.step('one canner less', async () => {
    await hands.goto('/bench/canners');
    await page.getByRole('button', { name: 'Take away Big pot' }).click();
    await hands.goto('/plan');
    await expect(page.getByText(/Big pot\.$/)).toHaveCount(0);
    await over(page);
    await expect.poll(canners).toBe(1);
    const one = await keptPlan(page);
    // One canner is never sooner than two.
    expect(one?.makespanMin).toBeGreaterThanOrEqual(two?.makespanMin ?? 0);
  });

  await test.step('a small pot instead: the loads are parted anew', async () => {
    await hands.goto('/bench/canners');
    await hands.press('Add a canner');
    await page.getByRole('textbox', { name: 'Its name' }).fill('Narrow pot');
    await page.getByRole('radio', { name: /tall narrow/ }).click();
    await hands.press('Write it down');
    await page.getByRole('button', { name: 'Take away Second pot' }).click();
    await hands.goto('/plan');
    await expect(page.getByRole('alert')).toContainText('This day cannot be done as it is.');
    for (const parted of [/^Part \d+ quarts anew/, /^Part \d+ pints anew/]) {
      await hands.press(parted);
      await expect(page.getByRole('button', { name: parted })).toHaveCount(0);
    }
    await expect(page.getByRole('alert')).toHaveCount(0);
    await expect(finish(page)).toBeVisible();
  });

  await test.step('no canner at all', async () => {
    await hands.goto('/bench/canners');
    await page.getByRole('button', { name: 'Take away Narrow pot' }).click();
    await hands.goto('/plan');
    await expect(page.getByRole('alert')).toContainText('This day cannot be done as it is.');
    await expect(page.getByRole('alert')).toContainText('No canner is written down');
    await page.reload();
    await expect(page.getByRole('alert')).toContainText('No canner is written down');
  });
  watch.calm();
});

test('what spoils first is proposed as a day, and the proposal is taken', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.pick('Damson plums', '19');
  await hands.pick('Pole beans', '9');
  await hands.goto('/plan');
  // Plums keep for more than four days: they can wait.
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByText(/^Pole beans keep until /)).toBeVisible();
  await hands.press('Plan all of this');
  await expect(page.getByRole('link', { name: /^Load \d, .*beans/ }).first()).toBeVisible();
  await expect(finish(page)).toBeVisible();
});

test('a plan is kept over a reload, and is the same on another page', async ({ page, browser }) => {
  await planTwo(page);
  // How late it may be is told after a few tries and again after all of them.
  const settled = async (on: Page) => {
    await over(on);
    let last = '';
    const isLast = async () => {
      const [before, told] = [last, JSON.stringify(await keptPlan(on))];
      last = told;
      return before === told;
    };
    await expect.poll(isLast, { intervals: [3_000] }).toBe(true);
    return keptPlan(on);
  };
  const first = await settled(page);
  await page.reload();
  expect(await settled(page)).toEqual(first);
  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await elsewhere.goto(`${server.address}/plan`);
  expect(await settled(elsewhere)).toEqual(first);
  await other.close();
});

test('a search whose worker is killed keeps the last good plan and says so', async ({ page }) => {
  // Only the first plan of the search comes through; then its worker is gone.
  await page.addInitScript(() => {
    const Real = window.Worker;
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        this.addEventListener('message', ({ data }) => data.kind === 'plan' && this.terminate());
      }
    };
  });
  await planTwo(page);
  // The first one is an early plan: had it been the last one, nothing would be cut off.
  expect((await keptPlan(page))?.proven).toBe(false);
  await expect(page.getByText('The search was cut off. The last good plan stays.')).toBeVisible({ timeout: 60_000 });
  await expect(finish(page)).toBeVisible();
});
