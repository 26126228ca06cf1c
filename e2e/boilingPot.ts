import { expect, type Page } from '@playwright/test';
import { atEight, giveDemoClock, laterBy, seesClock } from './demoClock';
import { handRests } from './handRests';
import { planTwo } from './planTwo';
import { type RealServer } from './realServer';

/** A pot on the kitchen's screen. */
export const pot = (page: Page, canner: string) => page.getByRole('group', { name: new RegExp(`^${canner}`) }).first();

/** Two products, two canners, the day begun, and quarts at the boil in the big pot: 55 minutes. */
export async function boilingPot(page: Page, server: RealServer): Promise<void> {
  await giveDemoClock(server);
  await atEight(server);
  const hands = await planTwo(page, server.address);
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  const own = pot(page, 'Big pot');
  const water = own.getByRole('button', { name: 'Water is on' });
  await water
    .or(own.getByRole('button', { name: /^Load \d into it$/ }))
    .first()
    .waitFor();
  if (await water.isVisible()) await water.click();
  await own.getByRole('button', { name: /^Load \d into it$/ }).click();
  await hands.loadIn(/are in, heat it/);
  await expect(own.getByText(/^Heating/)).toBeVisible();
  await laterBy(server, 20);
  await seesClock(page, server);
  await handRests(page);
  await own.getByRole('button', { name: /^It boils: start/ }).click();
  await expect(own.getByRole('timer')).toBeVisible();
  // Told, and not only tapped: what comes next may be that there is no signal.
  const told = async () => ((await server.call('GET', '/state')).body as { events: { type: string }[] }).events;
  await expect.poll(async () => (await told()).map(({ type }) => type)).toContain('boil-reached');
}
