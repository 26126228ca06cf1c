import { expect, test } from '@playwright/test';
import { BIG_POT } from '../bigPot';
import { atEight, giveDemoClock, laterBy } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { throughSteps } from '../throughSteps';
import { watchPage } from '../watchPage';

const HOUR = 60 * 60_000;

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
  await giveDemoClock(server);
  await atEight(server);
});
test.afterEach(() => server.stop());

const idOf = (last: string) => `0198f3a0-0000-7000-8000-0000000000${last}`;

interface State {
  readonly now: number;
  readonly household: { readonly kitchen: object };
  readonly events: readonly { type: string }[];
  readonly dayEvents: readonly { type: string; taskId?: string; endedAt?: number; until?: number }[];
  readonly lots: readonly { place: string; jar: string }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;

async function planned(batch: object, loads: number): Promise<void> {
  const { household, now } = await state();
  const put = await server.call('PUT', '/household', { ...household, altitudeFt: 500, canners: [BIG_POT] });
  expect(put.status).toBe(200);
  const reply = await server.call('POST', '/batches', {
    ...{ id: idOf('b1'), jar: 'pint', method: 'boiling-water', altitudeFt: 500, cannerId: BIG_POT.id, startAt: now },
    ...{ uses: [], loads: Array.from({ length: loads }, (_, i) => ({ id: idOf(`d${i}`), number: i + 1, jars: 8 })) },
    ...batch,
  });
  expect(reply.status).toBe(201);
}

// USDA Complete Guide to Home Canning, 2015, guide 6, as recalled: salted and iced 3 to 4 hours, then heated to a boil.
test('a salting is not cut short, was done last night by its time; and jars do not go in before what nobody told', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await planned({ product: 'bread-and-butter-pickles', pack: 'hot', processMinutes: 10 }, 1);
  await hands.goto('/kitchen');
  await hands.press('Start the day');

  await test.step('straight to the load: everything that nobody told is asked for', async () => {
    await hands.goto(`/plan/load/${idOf('d0')}`);
    const into = hands.key(/are in, heat it/);
    await expect(into).toBeDisabled();
    await expect(page.getByRole('checkbox', { name: /^Done: Reheat/ })).toBeVisible();
    await expect(page.getByRole('checkbox', { name: /^Done: Salt and ice/ }).first()).toBeVisible();
  });

  await test.step('the salting runs: no key ends it, and the one at hand says why', async () => {
    await hands.goto('/kitchen');
    const salting = page.getByRole('group', { name: /^Salt and ice/ });
    const why = page.getByRole('alert').filter({ hasText: 'its time is part of what was tested' });
    await throughSteps(page, server, why);
    await expect(salting.getByRole('timer')).toBeVisible();
    await expect(salting.getByRole('button', { name: /End|Done/ })).toHaveCount(0);
    await expect(why).toBeVisible();
    expect((await state()).dayEvents.some(({ taskId }) => taskId?.startsWith('drain'))).toBe(false);
    await watch.fits();
  });

  await test.step('its time is up by the clock, and the load still asks for the boil and the reheating', async () => {
    await laterBy(server, 185);
    await hands.goto(`/plan/load/${idOf('d0')}`);
    await expect(page.getByRole('checkbox', { name: /^Done: Salt and ice/ })).toHaveCount(0);
    await expect(page.getByRole('checkbox', { name: /^Done: Reheat/ })).toBeVisible();
    await hands.loadIn(/are in, heat it/);
    await expect.poll(async () => (await state()).events.map(({ type }) => type)).toEqual(['load-started']);
    const before = (await state()).dayEvents.filter(({ type }) => type === 'done-before');
    expect(before.map(({ taskId = '' }) => taskId).some((id) => id.startsWith('reheat'))).toBe(true);
  });
  watch.calm();
});

// Handbook rule 6: water of 140 F for raw jars, at the second load too.
test('the second raw load waits for cool water; a load told late without its acid is marked; every jar is put somewhere', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = kitchenHands(page, server.address);
  await planned({ product: 'tomatoes-raw-no-liquid', pack: 'raw', processMinutes: 85 }, 2);
  const { now } = await state();
  const late = { id: idOf('e1'), loadId: idOf('d0'), type: 'load-started', at: now - HOUR, jars: 8 };
  const fresh = await server.call('POST', '/kitchen/events', { ...late, id: idOf('e0'), at: now });
  expect(fresh).toMatchObject({ status: 422, body: { error: { code: 'comes-before' } } });
  expect((await server.call('POST', '/kitchen/events', late)).status).toBe(201);
  await hands.goto('/kitchen');
  await hands.goto(`/kitchen/${idOf('d0')}`);
  const marked = page.getByRole('alert').filter({ hasText: /Load 1 went in before this was over/ });
  await expect(marked).toContainText('Acid into each jar');
  await expect(marked).toContainText('no shelf jars');
  // The acid of an hour ago cannot be told any more.
  await expect(marked.getByRole('button')).toHaveCount(0);

  await test.step('cooled, by the thermometer, before the second load', async () => {
    for (const [type, minute] of [
      ['boil-reached', -40],
      ['heat-off', 46],
      ['jars-out', 52],
    ] as const) {
      const event = { id: crypto.randomUUID(), loadId: idOf('d0'), type, at: now + minute * 60_000 };
      expect((await server.call('POST', '/kitchen/events', event)).status).toBe(201);
    }
    await laterBy(server, 55);
    await hands.goto('/kitchen');
    await expect(page.getByText('Too hot for raw jars')).toBeVisible();
    await hands.goto(`/plan/load/${idOf('d1')}`);
    await expect(page.getByRole('checkbox', { name: /^Done: Cool the water to 140 F: \d+ qt out/ })).toBeVisible();
    await hands.loadIn(/are in, heat it/);
    await expect.poll(async () => (await state()).events.filter(({ type }) => type === 'load-started').length).toBe(2);
  });

  await test.step('an errand has an end', async () => {
    await hands.goto('/kitchen/change');
    await hands.press(/has to go$/);
    await expect(page.getByText(/^Until when is/)).toBeVisible();
    await hands
      .key(/^Back at/)
      .first()
      .click();
    await hands.press(/^(Do it so|Tell it all the same)$/);
    await expect.poll(async () => (await state()).dayEvents.some(({ until }) => until !== undefined)).toBe(true);
    await watch.fits();
  });

  await test.step('a jar that was not full stands in the refrigerator', async () => {
    const record = {
      ...{ id: idOf('aa'), batchId: idOf('b1'), product: 'tomatoes-raw-no-liquid', crop: 'tomato-paste', massKg: 10 },
      ...{ waterMl: 0, sugarKg: 0, jars: [{ jar: 'pint', count: 15 }], partJar: { jar: 'pint', part: 0.5 } },
      ...{ madeAt: now, note: '', jarMake: '', lidMake: '', leftoverMl: 0, faults: [], learnFrom: true },
    };
    const kept = await server.call('POST', '/batch-records', record);
    expect([kept.status, kept.body]).toMatchObject([201, {}]);
    await hands.goto('/kitchen/close');
    await expect(page.getByText(/These differ/)).toBeVisible();
    await hands.press('The jar that is 1/2 full: into the refrigerator');
    await expect(page.getByText(/in the refrigerator, eaten by/)).toBeVisible();
    await expect.poll(async () => (await state()).lots.map(({ place }) => place)).toEqual(['refrigerator']);
  });
  watch.calm();
});
