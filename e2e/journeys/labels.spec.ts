import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.afterEach(() => server.stop());

// Job 22, to paper: labels for a fair, on a sheet that was begun, with what such a label names; and by hand.
test('jars of one lot to labels: name, small print, a begun sheet, another size, by hand', async ({ page }) => {
  server = await RealServer.start({ demo: true });
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf');
  await page.getByRole('link', { name: 'Labels' }).click();
  const labels = page.getByRole('textbox', { name: /^Labels for Thin tomato sauce, pint/ }).first();
  await expect(page.getByText('Say for which jars: their labels stand here.')).toBeVisible();
  await labels.fill('40');
  const label = page.getByRole('img', { name: /^Label: Thin tomato sauce/ });
  await expect(label).toBeVisible();
  await expect(page.getByText('2 sheets of labels.')).toBeVisible();

  await test.step('what a label of what is sold names, with the words for one’s own rules', async () => {
    await page.getByRole('textbox', { name: 'A note, two lines or more' }).fill('Harvest fair\nclass 12');
    await page.getByRole('checkbox', { name: /some cannot eat/ }).click();
    await page.getByRole('textbox', { name: /Net weight/ }).fill('Net 16 fl oz (473 ml)');
    await page.getByRole('textbox', { name: /The line your rules/ }).fill('Made in a home kitchen');
    await expect(label).toHaveAccessibleName(
      /Boiling water|Steam|Made .*, Best by .*Harvest fair.*class 12.*473 ml.*home kitchen/,
    );
    await expect(page.getByText('Check your local rules')).toBeVisible();
    await watch.fits();
  });

  await test.step('a sheet that was begun, and one of a size that does not stand on it', async () => {
    await page.getByRole('radio', { name: /21 to an A4/ }).click();
    await page.getByRole('textbox', { name: 'First label on the sheet' }).fill('5');
    await expect(page.getByText('3 sheets of labels.')).toBeVisible();
    await page.getByRole('radio', { name: 'Another size' }).click();
    await page.getByRole('textbox', { name: 'Labels across' }).fill('4');
    await expect(page.getByRole('alert').getByText('4 across do not fit: 3 do.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeDisabled();
    await page.getByRole('textbox', { name: 'Labels across' }).fill('2');
  });

  const saving = page.waitForEvent('download');
  await hands.press('Save as PDF');
  const saved = readFileSync(await (await saving).path());
  expect(saved.subarray(0, 5).toString()).toBe('%PDF-');
  await expect(page.getByText('Print it at full size')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Lines to write by hand' })).toContainText('40 pints:Thin tomato sauce');

  await test.step('the code of the label, typed or followed, is the jar’s', async () => {
    const code = /([0-9A-Z]{5}), Harvest fair/.exec((await label.getAttribute('aria-label')) ?? '')?.[1] ?? '';
    await hands.goto(`/J/${code}`);
    await expect(page.getByText(/pints thin tomato sauce/)).toBeVisible();
    await page.goto(`${server.address}/j/${code.toLowerCase()}`);
    await expect(page).toHaveURL(new RegExp(`/J/${code.toLowerCase()}$`));
    await expect(page.getByText(/pints thin tomato sauce/)).toBeVisible();
  });
  watch.calm();
});
