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

// USDA Complete Guide to Home Canning, 2015, guide 3: 28 lb of tomatoes for a canner load of 9 pints of thick sauce, 13.4 quarts.
test('what the largest pot holds is held against the fullest moment of what is planned', async ({ page }) => {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('800');
  await hands.goto('/bench/canners');
  await hands.press('The largest big pot holds: one more');
  await expect(page.getByRole('group', { name: 'The largest big pot holds' })).toContainText('8 quarts');
  await hands.pick('Paste tomatoes', '28');
  await hands.goto('/plan/make?crop=tomato-paste&product=tomato-sauce-thick&jar=pint');
  await hands.press(/^Plan \d+ pints/);
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  await hands.goto('/plan/before');
  await expect(
    page.getByText('14 quarts in the pot at its fullest: 2 of your largest pots side by side.'),
  ).toBeVisible();
  await hands.goto('/bench/canners');
  await hands.press('Big pots: one less');
  await hands.goto('/plan/before');
  await expect(page.getByText(/You have 1: cook one after the other, or plan smaller loads\.$/)).toBeVisible();
});
