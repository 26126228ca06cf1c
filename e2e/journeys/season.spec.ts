import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

/** A planning takes its seconds, and longer on a machine that is busy. */
const PLANNED = { timeout: 90_000 };

interface Season {
  readonly plan: null | {
    readonly jars: number;
    readonly days: readonly {
      readonly day: string;
      readonly batches: readonly { readonly recipe: string; readonly jars: number }[];
      readonly takings: readonly { readonly toPickKg: number; readonly thawedKg: number }[];
    }[];
  };
  readonly pins: readonly { readonly day: string; readonly recipe: string }[];
  readonly days: { readonly notOn: readonly string[] };
  readonly ticked: readonly string[];
}

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start({ demo: true });
});
test.afterEach(() => server.stop());

const season = async () => ((await server.call('GET', '/state')).body as { season: Season }).season;

/** Days of the plan that is kept. */
async function plannedDays() {
  const { plan } = await season();
  if (!plan) throw new Error('no plan is kept');
  return plan.days;
}

async function planned(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Days to come' })).toBeVisible(PLANNED);
}

test('goals set, the season planned, a day lost, planned again, the changes read and taken, the list ticked', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);

  await test.step('goals: how many jars, and how much they matter', async () => {
    await hands.goto('/shelf/board?product=pickled-beets&jar=pint');
    await hands.press('pints wanted: one more');
    await expect(page.getByRole('textbox', { name: 'pints wanted' })).toHaveValue('19');
    await page.getByRole('radio', { name: 'a staple' }).click();
    await expect
      .poll(async () => ((await server.call('GET', '/state')).body as { goals: object[] }).goals)
      .toContainEqual({ product: 'pickled-beets', jar: 'pint', jars: 19, perMonth: null, priority: 'staple' });
  });

  await test.step('the first plan makes itself, and is kept', async () => {
    await hands.goto('/plan/season');
    await planned(page);
    await expect(page.getByText(/^19 wanted: 3 here, \d+ planned/)).toBeVisible();
    await watch.fits();
    await expect.poll(async () => (await season()).plan?.jars ?? 0).toBeGreaterThan(60);
  });

  await test.step('a day whose produce still hangs is not opened with what would be spoiled by then', async () => {
    // Nothing that is on hand on the demo's 29 August keeps for ten days.
    const hanging = (await plannedDays()).filter(
      ({ day, takings }) => day > '2026-09-08' && takings.every(({ toPickKg, thawedKg }) => toPickKg > 0 && !thawedKg),
    );
    expect(hanging.length).toBeGreaterThan(0);
    for (const { day } of hanging) {
      await hands.goto(`/plan/on/${day}`);
      await expect(page.getByText(/still to be picked/).first()).toBeVisible();
      await expect(hands.key(/^Open the day/)).toHaveCount(0);
    }
  });

  const lost = (await plannedDays())[1];
  if (!lost) throw new Error('a season of one day');

  await test.step('a batch is pinned on a day that stays', async () => {
    const [first] = await plannedDays();
    await hands.goto(`/plan/on/${first?.day}`);
    await page
      .getByRole('checkbox', { name: /^Keep it on this day/ })
      .first()
      .click();
    await expect.poll(async () => (await season()).pins).toMatchObject([{ day: first?.day }]);
  });

  await test.step('a day is lost: planned again, and nothing is changed until it is taken', async () => {
    await hands.goto(`/plan/on/${lost.day}`);
    await hands.press('This day is lost: plan again');
    await expect(page.getByRole('heading', { name: 'Planning again' })).toBeVisible();
    // Where it is done before it is stopped there is nothing to stop.
    await hands
      .key('Good enough: stop')
      .click({ timeout: 5_000 })
      .catch(() => undefined);
    await expect(page.getByRole('heading', { name: /^Planned again: \d+ change/ })).toBeVisible(PLANNED);
    expect((await season()).days.notOn).toContain(lost.day);
    expect((await plannedDays()).map(({ day }) => day)).toContain(lost.day);
  });

  await test.step('the changes are read and taken', async () => {
    await hands.press('See the changes');
    await expect(page.getByRole('listitem').first()).toBeVisible();
    await watch.fits();
    await hands.press('Take the new plan');
    await planned(page);
    await expect.poll(async () => (await plannedDays()).map(({ day }) => day)).not.toContain(lost.day);
    const [pin] = (await season()).pins;
    const kept = (await plannedDays()).find(({ day }) => day === pin?.day)?.batches.map(({ recipe }) => recipe);
    expect(kept).toContain(pin?.recipe);
  });

  await test.step('the shopping list is ticked in the shop, over a reload, and goes out as CSV', async () => {
    await hands.goto('/plan/buy');
    const lids = page.getByRole('checkbox', { name: /regular lids/ });
    await lids.click();
    await expect(lids).toBeChecked();
    await expect.poll(async () => (await season()).ticked).toEqual(['lid regular pieces']);
    await page.reload();
    await expect(lids).toBeChecked();
    const saved = page.waitForEvent('download');
    await hands.press('As CSV');
    const rows = readFileSync(await (await saved).path(), 'utf8').split('\r\n');
    expect(rows[0]).toBe('what,amount,needed by,here,bought');
    expect(rows.find((row) => row.startsWith('regular lids,'))).toMatch(/,yes$/);
  });
  watch.calm();
});

test('what if stands beside the plan, and a server that stops leaves the plan as it was', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.goto('/plan/season');
  await planned(page);
  await expect.poll(async () => (await season()).plan?.jars ?? 0).toBeGreaterThan(60);
  const before = await season();

  await test.step('no lids: fewer jars, and the plan stays', async () => {
    await hands.goto('/plan/what-if');
    await hands.press('Ask: No lids to be had');
    await expect(page.getByText(/^-\d+ jars, -\d+ h$/)).toBeVisible(PLANNED);
    expect((await season()).plan).toEqual(before.plan);
  });

  await test.step('stopped in the middle: said, and the plan before is kept', async () => {
    await hands.goto('/plan/season');
    await planned(page);
    await hands.press('Plan again');
    await expect(page.getByRole('heading', { name: 'Planning again' })).toBeVisible();
    await server.stop('SIGKILL');
    await expect(page.getByText(/The planning broke off/)).toBeVisible({ timeout: 30_000 });
    await expect(page.getByRole('heading', { name: 'Days to come' })).toBeVisible();
    await server.start();
    expect((await season()).plan).toEqual(before.plan);
  });
});

test('the coming garden: what each crop comes to, what its beds of now give, and when it is sown', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);

  await test.step('in a year with jars and beds: what each crop comes to, and when it is sown', async () => {
    await hands.goto('/plan/season');
    await hands.press('Next spring');
    const beds = page.getByRole('list', { name: 'What to set' });
    await expect(beds.getByRole('listitem').filter({ hasText: 'Paste tomatoes' })).toContainText(
      /set \d+ plants.*60 plants now: enough in .* year/,
      PLANNED,
    );
    await expect(beds.getByRole('listitem').filter({ hasText: 'Sour cherries' })).toContainText('2 trees now');
    const sown = page.getByRole('list', { name: 'Sowing list' });
    await expect(sown.getByRole('listitem').filter({ hasText: 'Paste tomatoes' })).toContainText(
      /in pots about \d+ \w+; out about \d+ \w+, not before your last frost/,
    );
    // Trees that are enough need no line.
    await expect(sown).not.toContainText('Sour cherries');
    await expect(page.getByText(/extension office knows your frosts/)).toBeVisible();
    const [file] = await Promise.all([page.waitForEvent('download'), hands.press('As CSV')]);
    const rows = readFileSync(await file.path(), 'utf8')
      .trim()
      .split('\r\n');
    expect(rows[0]).toBe('what,set,sow,set out,not before last frost');
    expect(rows.find((row) => row.startsWith('Paste tomatoes'))).toMatch(
      /^Paste tomatoes,\d+ plants,20\d\d-\d\d-\d\d,20\d\d-\d\d-\d\d,yes$/,
    );
    await watch.fits();
  });
});

test('a first spring with nothing on the shelf: wanted by name, sown by the common figures', async ({ page }) => {
  const fresh = await RealServer.start();
  try {
    const watch = watchPage(page);
    const hands = kitchenHands(page, fresh.address);
    await hands.setUpKitchen('800');
    await hands.goto('/plan/spring');
    await hands.press('Say what is wanted');
    await hands.press(/^Want 12 pints/);
    await expect(page.getByRole('alert')).toContainText('What is to be in them?');
    await page.getByRole('textbox', { name: 'What is wanted' }).fill('crushed tom');
    await page.getByRole('radio', { name: 'Crushed tomatoes' }).click();
    await page.getByRole('radio', { name: 'quarts' }).click();
    await page.getByRole('textbox', { name: 'Jars for a year' }).fill('42');
    await page.getByRole('textbox', { name: 'Jars for a year' }).press('Enter');
    await hands.press('Want 42 quarts crushed tomatoes');
    await expect(page.getByRole('link', { name: /Crushed tomatoes/ })).toContainText('42 quarts');
    await watch.fits();
    await hands.goto('/plan/spring');
    const bed = page.getByRole('listitem').filter({ hasText: 'Paste tomatoes' }).first();
    await expect(bed).toContainText('none grow here yet', PLANNED);
    // 42 quarts take 22 lb for each seven, 10 lb grow on a plant: 14, and more for eight years in ten.
    const set = Number(/set (\d+) plants/.exec((await bed.textContent()) ?? '')?.[1]);
    expect(set).toBeGreaterThan(14);
    expect(set).toBeLessThan(30);
    await expect(page.getByRole('list', { name: 'Sowing list' })).toContainText('7 weeks in pots, then out');
    await watch.fits();
  } finally {
    await fresh.stop();
  }
});
