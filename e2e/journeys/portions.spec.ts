import { expect, test } from '@playwright/test';
import { atEight, giveDemoClock, laterBy, seesClock } from '../demoClock';
import { handRests } from '../handRests';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
});
test.afterEach(() => server.stop());

interface State {
  readonly household: { readonly kitchen: { readonly cooks: readonly unknown[] } };
}

test('two cooks hand on to each other: one washes, the other scalds what is washed, and both go on at once', async ({
  page,
}) => {
  await giveDemoClock(server);
  await atEight(server);
  // Both are there from nine on.
  await laterBy(server, 120);
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);

  const at = (step: string) => page.getByRole('group', { name: /, now$/ }).filter({ hasText: step });

  await test.step('a second pair of hands, and 22 lb of tomatoes', async () => {
    await hands.setUpKitchen('5200');
    await hands.goto('/bench/canners');
    await hands.press('Add a cook');
    const cooks = async () => ((await server.call('GET', '/state')).body as State).household.kitchen.cooks.length;
    await expect.poll(cooks).toBe(2);
    await hands.pick('Paste tomatoes', '22');
    await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
    await hands.press(/^Plan \d+ quarts/);
    await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take this plan' })).toHaveCount(0, { timeout: 90_000 });
  });

  await test.step('why then: as soon as the first is there', async () => {
    await hands.goto('/plan/steps');
    await expect(
      page.getByText(/^As soon as the first basin from “Wash, pick over .*” of load 1 is there/),
    ).toBeVisible();
    await watch.fits();
  });

  await test.step('in the kitchen one begins beside the other', async () => {
    await hands.goto('/kitchen');
    await hands.press('Start the day');
    const washer = (await at('Wash, pick over').getAttribute('aria-label')) ?? '';
    await at('Wash, pick over').getByRole('button', { name: 'Start' }).click();
    await at('Wash 7 quarts').getByRole('button', { name: 'Start' }).click();
    await laterBy(server, 12);
    await seesClock(page, server);
    await handRests(page);
    await at('Wash 7 quarts').getByRole('button', { name: 'Done' }).click();
    const fed = page
      .getByRole('group', { name: /, now$/ })
      .filter({ hasText: /Fed by “Wash, pick over .*”: take what is done of it/ });
    await expect(fed).toContainText('Scald and peel');
    // Whoever began it stays at it, after a reload too.
    await page.reload();
    await expect(page.getByRole('group', { name: washer })).toContainText(/^(Cook|Helper 1)to .*Wash, pick over/);
    await handRests(page);
    await fed.getByRole('button', { name: 'Start' }).click();
    const both = page.getByRole('group', { name: /, now$/ }).getByRole('button', { name: 'Done' });
    await expect(both).toHaveCount(2);
    await watch.fits();
  });

  await test.step('what feeds is over when it is told, or when what it fed is', async () => {
    await laterBy(server, 60);
    await seesClock(page, server);
    await handRests(page);
    await at('Scald and peel').getByRole('button', { name: 'Done' }).click();
    await expect(at('Wash, pick over')).toHaveCount(0);
    await expect(at('Core and trim').first()).toBeVisible();
  });
});
