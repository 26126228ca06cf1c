import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { laterBy } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { SimulatedDevices } from '../simulatedDevices';
import { watchPage } from '../watchPage';

let server: RealServer;
let devices: SimulatedDevices | undefined;
test.afterEach(async () => {
  devices?.stop();
  devices = undefined;
  await server.stop();
});

interface Told {
  picks: { told: string; massKg: number; crop: string }[];
  household: { instruments: { containers: { name: string; grams: number }[] } };
  events: { type: string; by?: string }[];
  curves: { points: [number, number][] }[];
}
const told = async () => (await server.call('GET', '/state')).body as Told;

test('a basket weighs itself: its container is known by its weight, and what lies still fills the pick', async ({
  page,
}) => {
  server = await RealServer.start({ demo: true });
  const hands = kitchenHands(page, server.address);
  await hands.goto('/bench/instruments');
  await expect(page.getByText('No scale or probe speaks now.')).toBeVisible();
  await hands.press('Let them speak');
  await expect(page.getByRole('list', { name: 'Instruments' }).getByRole('listitem')).toHaveCount(7);
  await hands.press('Empty basket on');
  await page.getByRole('textbox', { name: 'This empty container is' }).fill('Peck basket');
  await hands.press('Keep it by its weight');
  await expect
    .poll(async () => (await told()).household.instruments.containers)
    .toMatchObject([{ name: 'Peck basket' }]);
  await hands.press('Scale empty');

  await hands.goto('/harvest/pick');
  await page.getByRole('radio', { name: /^Paste tomato/ }).click();
  await hands.press('Weigh it: Scale at the door');
  const happens = (what: string) =>
    fetch(`${server.address}/api/instruments/simulated`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ what }),
    });
  await happens('hang 2.2');
  await expect(page.getByText('Peck basket, empty: taken off')).toBeVisible({ timeout: 30_000 });
  await happens('hang 14.55');
  await expect(page.getByRole('textbox', { name: 'Picked' })).toHaveValue('12.35', { timeout: 30_000 });
  await hands.press('Picked');
  await expect.poll(async () => (await told()).picks.map((pick) => pick.told)).toContain('12.35 lb');
});

test('a load whose boil is found, and lost: the clock waits for a tap, the call is answered, the curve is drawn', async ({
  page,
}) => {
  test.setTimeout(300_000);
  server = await RealServer.start({ demo: true });
  const hands = kitchenHands(page, server.address);
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await page.getByText('likely done').waitFor();
  const plan = page.url();
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  await hands.goto(new URL(plan).pathname);
  await page.getByRole('link', { name: /^Load 1, 7 quarts/ }).click();
  await hands.loadIn('7 quarts are in, heat it');
  await expect(hands.key('It boils: start 55 min')).toBeVisible();
  await laterBy(server, 25);

  // Its pot has been on the burner for 22 minutes, and boils for one and a half.
  devices = await SimulatedDevices.start(server, ['--since', '22.5']);
  await hands.goto('/bench/instruments');
  await hands.press('Where is Probe, blue cable?');
  await page.getByRole('radio', { name: 'in Big enamel' }).click();
  await hands.goto('/kitchen');
  const pot = page.getByRole('group', { name: /^Big enamel/ }).first();
  await expect(pot.getByText('It boils, by the probe. Look into the pot, then tap.')).toBeVisible({ timeout: 60_000 });
  expect((await told()).events.filter(({ by }) => by)).toEqual([]);
  await expect(hands.key('Weigh tomatoes: Kitchen scale')).toBeVisible();
  await watchPage(page).reads();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await pot.getByRole('button', { name: 'It boils: start 55 min' }).click();
  await expect(pot.getByRole('timer')).toBeVisible();
  await expect(pot.getByText('It boils, by the probe. Look into the pot, then tap.')).toBeHidden();

  // A minute and a half of its boil are seen; then the flame goes out.
  await expect.poll(async () => (await told()).events.at(-1)?.type).toBe('boil-reached');
  await laterBy(server, 1.5);
  devices.happens('flame 1 0');
  await expect(page.getByRole('alert').getByText(/It boils no more, by the probe: Big enamel/)).toBeVisible({
    timeout: 120_000,
  });
  await pot.getByRole('button', { name: /^Lost/ }).click();
  await expect(pot.getByText(/the full 55 min start again/)).toBeVisible();
  await expect.poll(async () => (await told()).curves.length, { timeout: 90_000 }).toBe(1);
  await pot.getByRole('link', { name: /^More of Big enamel/ }).click();
  await page.getByRole('link', { name: 'What the probe read' }).click();
  await expect(page.getByRole('img', { name: /^The curve of this load: boiled from .* lost at/ })).toBeVisible();
});
