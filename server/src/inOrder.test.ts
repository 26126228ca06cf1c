import { v7 as uuidV7 } from 'uuid';
import { startServer } from './testServer';

const MIN = 60_000;
const NOW = Date.UTC(2026, 7, 29);

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

async function planned(product: string, more: object = {}) {
  const own = {
    ...{ id: uuidV7(), product, jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 0, processMinutes: 10 },
    ...{ cannerId: uuidV7(), startAt: NOW, uses: [], loads: [{ id: uuidV7(), number: 1, jars: 8 }] },
    ...more,
  };
  const reply = await server.call('POST', '/batches', own);
  expect([reply.status, reply.body]).toMatchObject([201, {}]);
  const loadId = own.loads[0]!.id;
  const step = (type: string, entry: string, at: number, told: object = {}) =>
    server.call('POST', '/kitchen/day-events', {
      ...{ id: uuidV7(), day: '2026-08-29', at: NOW + at * MIN, type, taskId: entry },
      ...told,
    });
  const load = (at: number) =>
    server.call('POST', '/kitchen/events', { id: uuidV7(), loadId, type: 'load-started', at: NOW + at * MIN, jars: 8 });
  return { id: own.id, loadId, step, load };
}

test('a three-hour salting that runs is not drained, not ended and not called over, by no screen and no call', async () => {
  const other = await planned('bread-and-butter-pickles');
  for (const entry of ['wash-blossom-end', 'slice', 'slice:onion', 'salt-ice-3h'].map((each) => `${each} ${other.id}`))
    expect([entry, (await other.step('done-before', entry, 0, { endedAt: NOW })).status]).toEqual([entry, 201]);
  const wait = `salt-ice-3h wait ${other.id}`;
  const refused = await other.step('step-started', `drain ${other.loadId}`, 5);
  expect(refused).toMatchObject({ status: 422, body: { error: { code: 'comes-before' } } });
  expect(refused.body.error.message).toMatch(/not over, 2 h 55 min left: its time is part of what was tested/);
  expect((await other.step('step-done', wait, 5)).body.error.code).toBe('not-over');
  expect((await other.step('step-done', wait, 5, { sure: true })).body.error.code).toBe('not-over');
  // Salted last night already: that is told with its time.
  expect((await other.step('done-before', wait, 6, { endedAt: NOW - 600 * MIN })).status).toBe(201);
  expect((await other.step('step-started', `drain ${other.loadId}`, 7)).status).toBe(201);
});

test('no load goes in unfilled; told hours later by a phone without signal it is kept', async () => {
  const { loadId, load, step } = await planned('tomatoes-crushed', { processMinutes: 35 });
  expect((await load(0)).body.error.code).toBe('comes-before');
  // A boil of two hours ago is cold.
  const boil = await step('done-before', `boil-5 wait ${loadId}`, 0, { endedAt: NOW - 120 * MIN });
  expect(boil.body.error.code).toBe('too-old');
  expect((await load(-60)).status).toBe(201);
  const { events } = (await server.call('GET', '/state')).body;
  expect(events).toMatchObject([{ type: 'load-started', loadId }]);
});
