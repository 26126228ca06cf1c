import { expect, test } from '@playwright/test';
import { BIG_POT } from '../bigPot';
import { atEight, giveDemoClock, laterBy, seesClock } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
  await giveDemoClock(server);
  await atEight(server);
});
test.afterEach(() => server.stop());

const LOAD = '0198f3a0-0000-7000-8000-0000000000b2';

async function kitchenAt(altitudeFt: number): Promise<void> {
  const { household } = (await server.call('GET', '/state')).body as { household: object };
  expect((await server.call('PUT', '/household', { ...household, altitudeFt, canners: [BIG_POT] })).status).toBe(200);
}

// Applesauce in quarts: 20 minutes to 1,000 ft, 35 above 6,000. USDA Complete Guide 2015, guide 2, as recalled.
test('planned at 800 ft and cooked at 6,500: the plan says it, the clock runs 35 minutes, and 20 of them are no process', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await kitchenAt(800);
  const { now } = (await server.call('GET', '/state')).body as { now: number };
  const planned = await server.call('POST', '/batches', {
    ...{ id: '0198f3a0-0000-7000-8000-0000000000b1', product: 'applesauce', jar: 'quart', pack: 'hot' },
    ...{ method: 'boiling-water', altitudeFt: 800, processMinutes: 20, cannerId: BIG_POT.id, startAt: now, uses: [] },
    loads: [{ id: LOAD, number: 1, jars: 3 }],
  });
  expect(planned.status).toBe(201);
  await kitchenAt(6_500);

  await hands.goto('/plan');
  await expect(page.getByText('35 min at 6,500 ft; planned with 20 min at 800 ft.')).toBeVisible();
  await hands.goto(`/plan/load/${LOAD}`);
  await expect(page.getByText('35 min at 6,500 ft; planned with 20 min at 800 ft.')).toBeVisible();
  await hands.loadIn(/are in, heat it/);
  await laterBy(server, 20);
  // What is tapped is told at the time that the page shows.
  await seesClock(page, server);
  await hands.boils('It boils: start 35 min');
  await laterBy(server, 21);
  await expect(page.getByRole('timer')).toHaveText(/^1[34]:\d\d$/);
  const { events } = (await server.call('GET', '/state')).body as { events: { type: string; tested?: number }[] };
  expect(events.find(({ type }) => type === 'boil-reached')?.tested).toBe(35);
  await laterBy(server, 15);
  await hands.press(/^Heat off/);
  await laterBy(server, 6);
  await hands.press('Jars are out');
  watch.calm();
});
