import { expect, type Page } from '@playwright/test';
import { kitchenHands } from './kitchenHands';

/** When the day is over, as the plan says it. */
export const finish = (page: Page) => page.getByText(/^Likely .*, 9 in 10 by /);

/** Tomatoes and plums on hand, a pot and a second one; both products planned. */
export async function planTwo(page: Page, address: string) {
  const hands = kitchenHands(page, address);
  await hands.setUpKitchen('3420');
  await hands.goto('/bench/canners');
  await hands.press('Add a canner');
  await page.getByRole('textbox', { name: 'Its name' }).fill('Second pot');
  await page.getByRole('radio', { name: /21-quart enamel/ }).click();
  await hands.press('Write it down');
  await hands.pick('Paste tomatoes', '46');
  await hands.pick('Damson plums', '19');
  for (const path of [
    '/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart',
    '/plan/make?crop=damson&product=plums&jar=pint',
  ]) {
    await hands.goto(path);
    await hands.press(/^Plan \d+/);
    await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  }
  await expect(finish(page)).toBeVisible();
  // A plan that is still looked for may go in another order a second later.
  await expect(page.getByRole('button', { name: 'Take this plan' })).toHaveCount(0, { timeout: 90_000 });
  return hands;
}
