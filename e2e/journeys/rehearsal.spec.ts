import { expect, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';

let server: RealServer;
test.afterEach(() => server.stop());

const kept = async () => {
  const { now: _, ...state } = (await server.call('GET', '/state')).body as Record<string, unknown>;
  return JSON.stringify(state);
};

test('somebody who has never canned lives through a lesson at 60 times: taps as in earnest, a boil that stops, and nothing of it is kept', async ({
  page,
}) => {
  test.setTimeout(420_000);
  server = await RealServer.start();
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  const before = await kept();
  await hands.goto('/plan/rehearse');
  await page.getByRole('radio', { name: /^60x/ }).click();
  await hands.press('Look at lesson 2');
  await expect(page.getByText('Acid goes into every jar, the quart’s dose into quarts.')).toBeVisible();
  await hands.press('Begin this lesson');
  const band = page.getByRole('region', { name: 'Rehearsal' });
  await expect(band).toContainText('Tomatoes in quarts');
  await hands.press('Start the day');
  await expect(band.getByRole('button', { name: 'On to the next' })).toBeVisible();

  // As a learner goes on: whatever key is there is pressed, and the clock set on where there is none.
  const boils = page.getByRole('button', { name: /^It boils: start 55 min/ });
  const open = page.getByRole('button', { name: /^Load 1 into it$/ });
  const keys = [
    open,
    page.getByRole('button', { name: /are in, heat it/ }),
    ...['All of these are done', 'Start', 'Done', 'Water is on'].map((name) => hands.key(name).first()),
  ];
  for (let tap = 0; tap < 90 && !(await boils.isVisible()); tap++) {
    const shown = await Promise.all(keys.map(async (key) => (await key.isVisible()) && (await key.isEnabled())));
    const key = keys.find((_, i) => shown[i]);
    if (key) await key.click({ timeout: 5_000 }).catch(() => undefined);
    else await band.getByRole('button', { name: 'On to the next' }).click();
  }
  await expect(boils).toBeVisible();
  await expect(band.getByText(/big bubbles all over/)).toBeVisible({ timeout: 60_000 });
  await hands.press(/^It boils: start 55 min/);
  await expect(page.getByRole('timer').first()).toBeVisible();

  // The water lies still in the middle of it; nobody tells, and the clock runs on.
  const next = band.getByRole('button', { name: 'On to the next' });
  const stopped = band.getByText(/the water lies still/);
  const heatOff = page.getByRole('button', { name: 'Heat off, lid off: wait 5 min' });
  for (const wanted of [stopped, heatOff]) {
    for (let k = 0; k < 6 && !(await wanted.isVisible()); k++) await next.click();
    await expect(wanted).toBeVisible({ timeout: 90_000 });
  }
  await hands.press('Heat off, lid off: wait 5 min');
  const out = page.getByRole('button', { name: 'Jars are out' });
  await expect(out).toBeEnabled({ timeout: 60_000 });
  await out.click();
  await band.getByRole('button', { name: 'What was learned' }).click();
  await expect(page.getByRole('heading', { name: 'Tomatoes in quarts: what was learned' })).toBeVisible();
  await expect(page.getByText(/for \d+ min of its time it did not boil/)).toBeVisible();
  await expect(page.getByText('7 quarts boiled too short: to the refrigerator, not the shelf.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Rules' }).getByRole('listitem')).toHaveCount(3);
  expect(await kept()).toBe(before);
  await expect(band).toBeHidden();
});

test('a cook shows the first lesson to its end, and what writes elsewhere is shut meanwhile', async ({ page }) => {
  test.setTimeout(420_000);
  server = await RealServer.start();
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('800');
  await hands.goto('/plan/rehearse');
  await page.getByRole('radio', { name: /^60x/ }).click();
  await hands.press('Look at lesson 1');
  await hands.press('Begin this lesson');
  await hands.press('Start the day');
  const band = page.getByRole('region', { name: 'Rehearsal' });
  await band.getByRole('button', { name: 'Show me' }).click();
  // Nothing of the shelf can be written while something is rehearsed.
  await hands.press('Back to the day');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByText('This is not part of a rehearsal.', { exact: false })).toBeVisible();
  await hands.press('Back to the kitchen');
  await expect(band.getByRole('button', { name: 'What was learned' })).toBeVisible({ timeout: 300_000 });
  await band.getByRole('button', { name: 'What was learned' }).click();
  await expect(page.getByText(/^8 jars would stand on the shelf/)).toBeVisible();
  expect((await kept()).includes('"batches":[]')).toBe(true);
});
