import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { v7 as uuidV7 } from 'uuid';
import { startServer } from './testServer';

const MIN = 60_000;
const NOW = Date.UTC(2026, 7, 29);

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

async function kitchenAt(altitudeFt: number): Promise<void> {
  const { household } = (await server.call('GET', '/state')).body;
  expect((await server.call('PUT', '/household', { ...household, altitudeFt })).status).toBe(200);
}

const batch = (more: object = {}) => ({
  ...{ id: uuidV7(), product: 'applesauce', jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 800 },
  ...{ processMinutes: 20, cannerId: uuidV7(), startAt: NOW, uses: [], loads: [{ id: uuidV7(), number: 1, jars: 2 }] },
  ...more,
});

async function planned(more: object = {}): Promise<string> {
  const own = batch(more);
  const reply = await server.call('POST', '/batches', own);
  expect(reply.status).toBe(201);
  return own.loads[0]?.id ?? '';
}

const tell = async (loadId: string, at: number, type: string, more: object = {}) => {
  if (type === 'load-started') await server.fill(loadId, at);
  return server.call('POST', '/kitchen/events', { id: uuidV7(), loadId, at, type, ...more });
};
const checked = (loadId: string, at: number) =>
  tell(loadId, at, 'seal-checked', { sealed: [true, true], sealedLotId: uuidV7(), unsealedLotId: uuidV7() });

// Applesauce in quarts: 20 minutes to 1,000 ft, 35 above 6,000. USDA Complete Guide 2015, guide 2, as recalled.
test('planned at 800 ft, run at 6,500: what a phone without signal tells is kept, and 20 minutes are no 35', async () => {
  await kitchenAt(800);
  const loadId = await planned();
  await kitchenAt(6_500);
  // Told hours later by a phone that still thought of 20.
  const told = [
    ['load-started', 0, { jars: 2 }],
    ['boil-reached', 20, { tested: 20 }],
    ['heat-off', 41, { tested: 20 }],
    ['jars-out', 47, {}],
  ] as const;
  for (const [type, minute, more] of told)
    expect((await tell(loadId, NOW + minute * MIN, type, more)).status).toBe(201);
  expect(await checked(loadId, NOW + 900 * MIN)).toMatchObject({
    status: 422,
    body: { error: { code: 'seal-check' } },
  });
  const { events } = (await server.call('GET', '/state')).body;
  expect(events.map(({ tested }: { tested?: number }) => tested)).toEqual([undefined, 35, 35, undefined]);
  // The full time then.
  for (const [type, minute] of [
    ['boil-reached', 60],
    ['heat-off', 95],
    ['jars-out', 101],
  ] as const)
    await tell(loadId, NOW + minute * MIN, type);
  expect((await checked(loadId, NOW + 900 * MIN)).status).toBe(201);
});

test('jars that were out when the kitchen’s altitude was put right stay what they are', async () => {
  await kitchenAt(800);
  const loadId = await planned();
  for (const [type, minute, more] of [
    ['load-started', 0, { jars: 2 }],
    ['boil-reached', 20, {}],
    ['heat-off', 41, {}],
    ['jars-out', 47, {}],
  ] as const)
    await tell(loadId, NOW + minute * MIN, type, more);
  await kitchenAt(6_500);
  expect((await checked(loadId, NOW + 900 * MIN)).status).toBe(201);
});

test('nothing is started now that nothing is tested for any more; what happened already is kept', async () => {
  await kitchenAt(5_000);
  expect((await server.call('POST', '/sources', EXAMPLES.source)).status).toBe(201);
  const { product, jar, pack, method, bands } = EXAMPLES.source;
  const own = { product, jar, pack, method, altitudeFt: 5_000, processMinutes: bands[0].minutes };
  const loadId = await planned(own);
  await server.call('DELETE', `/sources/${EXAMPLES.source.id}`);
  const started = await tell(loadId, NOW, 'load-started', { jars: 2 });
  expect(started).toMatchObject({ status: 422, body: { error: { code: 'not-tested' } } });
  expect((await tell(loadId, NOW - 60 * MIN, 'load-started', { jars: 2 })).status).toBe(201);
});

test('jars go into a steam pan where steam is tested for as long as they are processed, and nowhere else', async () => {
  await kitchenAt(800);
  const [one, two] = [await planned(), await planned()];
  const put = { jars: 2, cannerId: uuidV7() };
  for (const way of ['pressure-weighted', 'low-temperature-bath']) {
    expect(await tell(one, NOW, 'load-started', { ...put, way })).toMatchObject({
      status: 422,
      body: { error: { code: 'not-tested' } },
    });
  }
  expect((await tell(one, NOW, 'load-started', { ...put, way: 'oven' })).status).toBe(400);
  expect((await tell(one, NOW, 'load-started', { ...put, way: 'steam' })).status).toBe(201);
  for (const [type, minute] of [
    ['boil-reached', 12],
    ['heat-off', 33],
    ['jars-out', 39],
  ] as const)
    expect((await tell(one, NOW + minute * MIN, type)).status).toBe(201);
  expect((await checked(one, NOW + 900 * MIN)).status).toBe(201);
  // 50 minutes of crushed tomatoes in quarts at 2,000 ft: past what steam is tested for. USDA Complete Guide 2015, guide 3.
  await kitchenAt(2_000);
  const long = await planned({ product: 'tomatoes-crushed', altitudeFt: 2_000, processMinutes: 50 });
  expect((await tell(long, NOW, 'load-started', { ...put, way: 'steam' })).status).toBe(422);
  expect((await tell(two, NOW, 'load-started', { ...put, way: 'steam' })).status).toBe(201);
});
