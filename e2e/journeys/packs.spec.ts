import { expect, test } from '@playwright/test';
import { kitchenHands } from '../kitchenHands';
import { finish } from '../planTwo';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => (server = await RealServer.start()));
test.afterEach(() => server.stop());

interface State {
  readonly batches: readonly { readonly pack: string; readonly processMinutes: number; readonly method: string }[];
}

// USDA Complete Guide to Home Canning, 2015, guide 2, as recalled: peaches in quarts at 3,001 to 6,000 ft, hot 35, raw 40 min.
test('peaches go raw into their jars for raw peaches’ own minutes; side by side with hot ones the plan says what each takes', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('3420');
  await hands.findCrop('peach', /^Peach/);
  await hands.type('20');
  await hands.press('Picked');
  await hands.goto('/plan/make?crop=peach&product=peaches&jar=quart');
  const packs = page.getByRole('radiogroup', { name: 'Pack' });
  await expect(packs.getByRole('radio', { name: /^hot pack.*35 min/ })).toBeChecked();
  await packs.getByRole('radio', { name: /^raw pack.*40 min/ }).click();
  await expect(page.getByText(/raw pack, quarts: packed raw and covered with boiling liquid/)).toBeVisible();
  await watch.fits();
  await hands.press(/^Plan \d+ quarts/);
  await expect(finish(page)).toBeVisible({ timeout: 60_000 });
  const planned = async () => ((await server.call('GET', '/state')).body as State).batches;
  await expect.poll(planned).toMatchObject([{ pack: 'raw', processMinutes: 40 }]);
  await expect(page.getByRole('link', { name: /40 min boil/ }).first()).toBeVisible();

  await hands.goto('/plan/steps');
  await expect(page.getByText(/^Pack (raw )?into hot jars/).first()).toBeVisible();
  await expect(page.getByText(/^Boil in syrup/)).toHaveCount(0);

  await hands.goto('/plan/compare');
  await page.getByRole('radio', { name: 'Peaches in syrup, hot pack, 35 min' }).click();
  await expect(page.getByText(/^Heat .* kWh/)).toHaveCount(2, { timeout: 60_000 });
  await watch.fits();
});
