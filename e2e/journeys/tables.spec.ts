import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { read, utils } from 'xlsx';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.afterEach(() => server.stop());

interface Told {
  picks: { crop: string; massKg: number }[];
  batchRecords: unknown[];
}

test('other years come in from tables: columns, dates and words asked about, in old letters, twice without effect; all of it goes out', async ({
  page,
}) => {
  server = await RealServer.start();
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf/files');
  const choose = async (name: string, buffer: Buffer) => {
    const chooser = page.waitForEvent('filechooser');
    await hands.press('Choose a CSV file');
    await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer });
  };
  await page.getByRole('radio', { name: 'Picks' }).click();
  // Windows-1252, a title over it, a column nobody knows, dates of either order, a crop that is spelled wrong.
  const rows = [
    'Ernte 2025;;',
    'Wann;crop;lb',
    '9/8/25;Paste tomatoes;42',
    '9/7/25;Plumbs;12,5',
    '31/2/25;Damson plums;3',
  ];
  await choose('ernte.csv', Buffer.from(rows.join('\r\n').replace('Ernte', 'Ernte für'), 'latin1'));
  await page
    .getByRole('radiogroup', { name: 'Which column tells the day?' })
    .getByRole('radio', { name: 'Wann' })
    .click();
  await expect(page.getByText('2 rows cannot be read:')).toBeVisible();
  await expect(page.getByText(/Line 5: the day, "31\/2\/25", is not a day of the calendar/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save 1 row' })).toBeDisabled();
  await watch.fits();
  await hands.press('It is plums');
  await expect(page.getByText('1 row cannot be read:')).toBeVisible();
  await hands.press('Only the 2 rows that can be read');
  await expect(page.getByText('2 rows saved.')).toBeVisible();
  const state = async () => (await server.call('GET', '/state')).body as Told;
  expect((await state()).picks.map(({ crop }) => crop).sort()).toEqual(['plum', 'tomato-paste']);

  await hands.press('Another file');
  const open = 'date,crop,lb\n9/8/25,Paste tomatoes,42\n9/7/25,Plums,12.5\n';
  await choose('again.csv', Buffer.from(open, 'utf16le'));
  await page.getByRole('group', { name: 'Day or month first' }).getByRole('button', { name: 'The day' }).click();
  await hands.press('Save 2 rows');
  await expect(page.getByText('0 rows saved; 2 rows were here already.')).toBeVisible();

  await hands.press('Another file');
  await page.getByRole('radio', { name: 'Batches of other years' }).click();
  await hands.press('Paste rows instead');
  await page
    .getByRole('textbox', { name: 'Rows of the table' })
    .fill(
      'made,product,produce,jars,size\n2025-09-09,Crushed tomatoes,46 lb,15,quart\n2025-09-10,Crushed tomatoes,46 lb,150,quart',
    );
  await hands.press('Look at them');
  // Of which tomatoes is asked once.
  await hands.press('It is paste tomatoes');
  await expect(page.getByText(/unlikely, so nothing is learned from it/)).toBeVisible();
  await hands.press('Save 2 rows');
  await expect(page.getByText('2 rows saved.')).toBeVisible();
  expect((await state()).batchRecords).toHaveLength(2);

  const coming = page.waitForEvent('download');
  await hands.press('All lists in one workbook (XLSX)');
  const book = read(readFileSync(await (await coming).path()));
  expect(utils.sheet_to_json(book.Sheets.picks ?? {})).toMatchObject([{ crop: 'Plums', lb: 12.5 }, { lb: 42 }]);
  // What was picked a year ago is not on hand.
  expect(utils.sheet_to_json(book.Sheets['on-hand'] ?? {})).toEqual([]);
  watch.calm();
});

test('five thousand rows are read with their progress shown while the page answers', async ({ page }) => {
  server = await RealServer.start();
  const hands = kitchenHands(page, server.address);
  await hands.goto('/shelf/files');
  await page.getByRole('radio', { name: 'Picks' }).click();
  const rows = Array.from(
    { length: 5_000 },
    (_, i) =>
      `2025-${String(1 + (i % 12)).padStart(2, '0')}-${String(1 + (i % 28)).padStart(2, '0')},Damson plums,${1 + (i % 97)}`,
  );
  const chooser = page.waitForEvent('filechooser');
  await hands.press('Choose a CSV file');
  await (
    await chooser
  ).setFiles({ name: 'years.csv', mimeType: 'text/csv', buffer: Buffer.from(`date,crop,lb\n${rows.join('\n')}`) });
  await hands.press('Save 5,000 rows');
  await expect(page.getByText('5,000 rows saved.')).toBeVisible();
  expect(((await server.call('GET', '/state')).body as Told).picks).toHaveLength(5_000);
});
