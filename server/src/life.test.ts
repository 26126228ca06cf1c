import { v7 as uuidV7 } from 'uuid';
import { startServer } from './testServer';

const NOW = Date.UTC(2026, 7, 29, 14);

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

const tell = (told: object) =>
  server.call('POST', '/kitchen/day-events', { id: uuidV7(), day: '2026-08-29', at: NOW, ...told });
const town = {
  ...{ type: 'errand-set', errandId: 'town', cook: 'Ann', words: 'Town' },
  ...{ fromMin: 840, toMin: 1_020, minutes: 80, atHome: false },
};

test('errands and wishes of a day are kept as they are told, over a restart too; sent again they are the same', async () => {
  const loadId = uuidV7();
  const told = [
    town,
    { ...town, errandId: 'Ann 1020-1080', later: 1, minutes: undefined },
    { type: 'errand-struck', errandId: 'Ann 390-450' },
    { type: 'wish-made', wish: { kind: 'pin', loadId, at: NOW } },
    { type: 'wish-made', wish: { kind: 'ready-by', at: NOW } },
    { type: 'wish-made', wish: { kind: 'way', batchId: loadId, method: 'steam' } },
    { type: 'wish-dropped', key: `pin ${loadId}` },
  ].map((each) => ({ id: uuidV7(), day: '2026-08-29', at: NOW, ...each }));
  for (const event of told) {
    expect((await server.call('POST', '/kitchen/day-events', event)).status).toBe(201);
    expect((await server.call('POST', '/kitchen/day-events', event)).status).toBe(200);
  }
  const { file } = server;
  await server.stop();
  server = await startServer(file);
  const { body } = await server.call('GET', '/state');
  expect(body.dayEvents).toEqual(JSON.parse(JSON.stringify(told)));
});

test('an errand is begun and over like any step, whatever stands before the jars', async () => {
  for (const type of ['step-started', 'step-done']) {
    expect((await tell({ type, taskId: 'errand town' })).status).toBe(201);
  }
});

test('what no day has is answered by a sentence: an errand longer than its time, one that ends before it begins, a wish nobody knows', async () => {
  const said = async (part: object) => {
    const { status, body } = await tell({ ...town, ...part });
    return [status, body.error?.message];
  };
  expect(await said({ minutes: 181 })).toEqual([400, expect.stringContaining('longer than the time there is for it')]);
  expect(await said({ toMin: 840, minutes: undefined })).toEqual([400, expect.stringContaining('end after it begins')]);
  expect(await said({ later: 7 })).toEqual([400, expect.stringContaining('at most 6')]);
  expect((await tell({ type: 'wish-made', wish: { kind: 'pin', loadId: 'x', at: NOW } })).status).toBe(400);
  expect((await tell({ type: 'wish-made', wish: { kind: 'soon' } })).status).toBe(400);
  const oven = { kind: 'way', batchId: uuidV7(), method: 'oven' };
  expect((await tell({ type: 'wish-made', wish: oven })).status).toBe(400);
});

test('what is repeated by weekday and where the kitchen stands are kept with the household; a place that is none is refused', async () => {
  const { body } = await server.call('GET', '/state');
  const milking = { fromMin: 1_020, toMin: 1_140, minutes: 60, atHome: false, words: 'Milking', weekdays: [1, 3] };
  const cooks = [
    { name: 'Ann', fromMin: 360, toMin: 1_260, breaks: [milking, { fromMin: 720, toMin: 750, atHome: true }] },
  ];
  const kitchen = { ...body.household.kitchen, cooks, timeZone: 'Australia/Sydney' };
  expect((await server.call('PUT', '/household', { ...body.household, kitchen })).status).toBe(200);
  const after = (await server.call('GET', '/state')).body.household.kitchen;
  expect(after).toMatchObject({ cooks, timeZone: 'Australia/Sydney' });
  const nowhere = await server.call('PUT', '/household', {
    ...body.household,
    kitchen: { ...kitchen, timeZone: 'Hollow/Fennick' },
  });
  expect([nowhere.status, nowhere.body.error.message]).toEqual([400, expect.stringContaining('is no time zone')]);
});

test('a batch is moved to another day as long as nothing of it has begun', async () => {
  const { household } = (await server.call('GET', '/state')).body;
  await server.call('PUT', '/household', { ...household, altitudeFt: 800 });
  const batch = {
    ...{ id: uuidV7(), product: 'applesauce', jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 800 },
    ...{
      processMinutes: 20,
      cannerId: uuidV7(),
      startAt: NOW,
      uses: [],
      loads: [{ id: uuidV7(), number: 1, jars: 2 }],
    },
  };
  expect((await server.call('POST', '/batches', batch)).status).toBe(201);
  const move = { id: uuidV7(), type: 'batch-moved', batchId: batch.id, startAt: NOW + 86_400_000 };
  expect([(await tell(move)).status, (await tell(move)).status]).toEqual([201, 200]);
  // What is written out has it on its new day.
  const day = (at: number) => new Date(at).toISOString().slice(0, 10);
  const table = (await server.call('GET', '/export?table=batches')).body as string;
  expect([table.includes(day(NOW + 86_400_000)), table.includes(day(NOW))]).toEqual([true, false]);
  expect((await tell({ ...move, id: uuidV7(), batchId: uuidV7() })).status).toBe(404);
  expect((await tell({ type: 'step-started', taskId: `jars ${batch.id}`, at: NOW + 60_000 })).status).toBe(201);
  const late = await tell({ ...move, id: uuidV7(), at: NOW + 120_000 });
  expect([late.status, late.body.error?.code]).toEqual([422, 'begun']);
  // Told by a phone without signal, of a moment before.
  expect((await tell({ ...move, id: uuidV7(), at: NOW + 30_000 })).status).toBe(201);
});
