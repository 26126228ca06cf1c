import { expect, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

test('own jars, a test fit, tools and pace: measured once, kept, and what cannot be is told', async ({ page }) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.goto('/bench/canners');

  await test.step('a jar wider than printed takes places from the rack', async () => {
    await hands.press('Measure a jar');
    const wide = page.getByRole('textbox', { name: 'Outside width, in' });
    await wide.fill('wide');
    await expect(page.getByRole('alert')).toContainText('“wide” is no measure of a jar');
    await expect(wide).toHaveValue('wide');
    await expect(hands.key('Keep this jar')).toBeDisabled();
    await wide.fill('4 1/2');
    await page.getByRole('textbox', { name: 'Height with its lid, in' }).fill('7');
    await hands.press('Keep this jar');
    await expect(page.getByText('4 1/2 in wide, 7 in high')).toBeVisible();
    await page.getByRole('link', { name: /Big pot/ }).click();
    await expect(page.getByText('as it was tried, or as they stand on the floor').first()).toBeVisible();
  });

  await test.step('a test fit rules over both', async () => {
    await hands.press('Tried with quarts: one more');
    await expect(page.getByText(/^tried: \d$/)).toBeVisible();
    await hands.press('Save');
    await watch.fits();
  });

  await test.step('a tool and the pace outlast a reload', async () => {
    await hands.press('Name a tool of your own');
    await page.getByRole('textbox', { name: 'The tool’s name' }).fill('Slicer');
    await page.getByRole('radio', { name: 'Slice', exact: true }).click();
    await hands.press('Keep this tool');
    await hands.press('Pace of your hands: one more');
    await expect(page.getByText('10 % longer')).toBeVisible();
    await page.reload();
    await expect(page.getByText('Slicer: slice')).toBeVisible();
    await expect(page.getByText('10 % longer')).toBeVisible();
    await expect(page.getByText('4 1/2 in wide, 7 in high')).toBeVisible();
    await watch.fits();
  });
  watch.calm();
});
