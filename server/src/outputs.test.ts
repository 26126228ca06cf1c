import { v7 as uuidV7 } from 'uuid';
import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { startServer } from './testServer';

const NOW = Date.UTC(2026, 7, 29);

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => {
  server = await startServer();
  const { household } = (await server.call('GET', '/state')).body;
  expect((await server.call('PUT', '/household', { ...household, altitudeFt: 800 })).status).toBe(200);
});
afterEach(() => server.stop());

const state = async () => (await server.call('GET', '/state')).body;

async function picked(more: object = {}): Promise<string> {
  const id = uuidV7();
  const pick = { id, crop: 'tomato-slicing', massKg: 20, softKg: 0, ripeness: 'ripe', place: 'cool', pickedAt: NOW };
  const reply = await server.call('POST', '/picks', { ...pick, told: '45 lb', source: 'garden', ...more });
  expect(reply.status).toBe(201);
  return id;
}

const batch = (more: object) => ({
  ...{ id: uuidV7(), jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 800, cannerId: uuidV7() },
  ...{ startAt: NOW, uses: [], loads: [{ id: uuidV7(), number: 1, jars: 4 }] },
  ...more,
});
const sauceOf = (pickId: string) =>
  batch({
    ...{ product: 'tomato-sauce-thick', processMinutes: 35, gives: ['thin-juice'] },
    uses: [{ pickId, crop: 'tomato-slicing', massKg: 20, softKg: 0 }],
  });
const juiceOf = (batchId: string, more: object = {}) => {
  const from = { batchId, kind: 'thin-juice', crop: 'tomato-slicing' };
  return batch({ product: 'tomato-juice', jar: 'quart', processMinutes: 40, from, ...more });
};

test('a pot with two products is kept as it was told, twice the same once, and given up together', async () => {
  const sauce = sauceOf(await picked());
  const juice = juiceOf(sauce.id);
  for (const status of [201, 200])
    for (const own of [sauce, juice]) expect((await server.call('POST', '/batches', own)).status).toBe(status);
  expect((await state()).batches).toEqual(
    expect.arrayContaining([expect.objectContaining(juice), expect.objectContaining(sauce)]),
  );
  expect((await server.call('DELETE', `/batches/${sauce.id}`)).status).toBe(204);
  expect((await state()).batches).toEqual([]);
});

test.each([
  ['jam gives no thin juice', { product: 'applesauce', processMinutes: 20, gives: ['thin-juice'] }, 'no-output'],
  ['thin juice is no sauce', { product: 'tomato-sauce-thin', processMinutes: 35 }, 'no-output'],
  ['its time is the tested one of juice', { processMinutes: 35 }, 'too-short'],
])('%s: refused', async (_, more, code) => {
  const told = 'gives' in more ? batch(more) : juiceOf(uuidV7(), more);
  expect(await server.call('POST', '/batches', told)).toMatchObject({ status: 422, body: { error: { code } } });
});

test('a pot that is not planned gives nothing; one whose juice was ladled off is given up without it', async () => {
  const orphan = juiceOf(uuidV7());
  expect((await server.call('POST', '/batches', orphan)).body.error.code).toBe('no-output');
  expect((await state()).batches).toEqual([]);
  const sauce = sauceOf(await picked());
  const juice = juiceOf(sauce.id);
  for (const own of [sauce, juice]) expect((await server.call('POST', '/batches', own)).status).toBe(201);
  const told = { id: uuidV7(), day: '2026-08-29', at: NOW, type: 'output-measured', batchId: sauce.id, taskId: 't' };
  const measured = { ...told, kind: 'thin-juice', volumeMl: 4_000 };
  expect((await server.call('POST', '/kitchen/day-events', measured)).status).toBe(201);
  expect((await server.call('DELETE', `/batches/${sauce.id}`)).status).toBe(204);
  expect((await state()).batches.map(({ id }: { id: string }) => id)).toEqual([juice.id]);
});

test('what begins with a pot takes no produce besides: nothing is used twice', async () => {
  const pickId = await picked();
  const uses = [{ pickId, crop: 'tomato-slicing', massKg: 1, softKg: 0 }];
  expect((await server.call('POST', '/batches', juiceOf(uuidV7(), { uses }))).body.error.code).toBe('no-output');
});

test('what was left behind is used up once, and the record keeps what was measured and what was not', async () => {
  const sauce = sauceOf(await picked());
  expect((await server.call('POST', '/batches', sauce)).status).toBe(201);
  const of = { batchId: sauce.id, kind: 'peels-and-cores' };
  const pickId = await picked({ crop: 'apple', massKg: 3, told: '6 1/2 lb', of });
  expect((await state()).picks).toEqual(expect.arrayContaining([expect.objectContaining({ id: pickId, of })]));
  const jelly = (massKg: number) =>
    batch({
      ...{ product: 'jelly-no-pectin', jar: 'half-pint', processMinutes: 10 },
      uses: [{ pickId, crop: 'apple', massKg, softKg: 0 }],
    });
  expect((await server.call('POST', '/batches', jelly(2))).status).toBe(201);
  expect((await server.call('POST', '/batches', jelly(2))).body.error.code).toBe('not-on-hand');
  const change = { id: uuidV7(), pickId, part: 'sound', from: 'cool', kind: 'composted', to: null, massKg: 1, at: NOW };
  expect((await server.call('POST', '/lot-changes', change)).status).toBe(201);
  expect((await server.call('POST', '/lot-changes', { ...change, id: uuidV7() })).body.error.code).toBe('overdrawn');

  const record = {
    ...{ id: uuidV7(), batchId: sauce.id, product: 'tomato-sauce-thick', crop: 'tomato-slicing', massKg: 20 },
    ...{ waterMl: 0, sugarKg: 0, jars: [{ jar: 'pint', count: 12 }], partJar: null, madeAt: NOW, note: '' },
    ...{ juiceMl: 5_200, trimmingsTo: 'animals', learnFrom: true },
  };
  expect((await server.call('POST', '/batch-records', record)).status).toBe(201);
  expect((await state()).batchRecords).toEqual([
    expect.objectContaining({ juiceMl: 5_200, trimmingsKg: null, cookedOffMl: null, trimmingsTo: 'animals' }),
  ]);
});

// USDA Complete Guide, Guide 3, crushed tomatoes to 1,000 ft: pints 35 and quarts 45 min.
test('two sizes are one batch: each held against its own time, shared only where both fit, sealed in their own jars', async () => {
  const { household } = (await server.call('GET', '/state')).body;
  // As the handbook has it: 7 quarts or 9 pints.
  const [canner] = EXAMPLES.household.canners;
  expect((await server.call('PUT', '/household', { ...household, altitudeFt: 800, canners: [canner] })).status).toBe(
    200,
  );
  const [first, last] = [uuidV7(), uuidV7()];
  const two = (jars: number, size: object, more: object = {}) =>
    batch({
      ...{ product: 'tomatoes-crushed', jar: 'quart', processMinutes: 45, cannerId: canner.id },
      loads: [
        { id: first, number: 1, jars: 4 },
        { id: last, number: 2, jars, size: { jar: 'pint', ...size }, ...more },
      ],
    });
  const code = async (own: object) => (await server.call('POST', '/batches', own)).body.error?.code;
  expect(await code(two(3, { processMinutes: 30 }))).toBe('too-short');
  expect(await code(two(4, { processMinutes: 35 }, { withLoadId: first }))).toBe('share');
  const own = two(3, { processMinutes: 35 });
  expect((await server.call('POST', '/batches', own)).status).toBe(201);
  expect((await state()).batches).toEqual([expect.objectContaining({ loads: own.loads })]);

  const tell = async (loadId: string, type: string, minutes: number, more: object = {}) => {
    const event = { id: uuidV7(), loadId, type, at: NOW - 3 * 86_400_000 + minutes * 60_000, ...more };
    expect((await server.call('POST', '/kitchen/events', event)).status).toBe(201);
  };
  await tell(last, 'load-started', 0, { jars: 3 });
  await tell(last, 'boil-reached', 20);
  await tell(last, 'heat-off', 56);
  await tell(last, 'jars-out', 62);
  const lots = { sealedLotId: uuidV7(), unsealedLotId: uuidV7() };
  await tell(last, 'seal-checked', 62 + 13 * 60, { sealed: [true, true, false], ...lots });
  expect((await state()).lots).toEqual([
    expect.objectContaining({ jar: 'pint', seal: 'sealed' }),
    expect.objectContaining({ jar: 'pint', seal: 'unsealed' }),
  ]);
});

test('juice that nobody planned to ladle off is made of the pot once it was measured', async () => {
  const sauce = batch({
    ...{ product: 'tomato-sauce-thick', processMinutes: 35 },
    uses: [{ pickId: await picked(), crop: 'tomato-slicing', massKg: 20, softKg: 0 }],
  });
  expect((await server.call('POST', '/batches', sauce)).status).toBe(201);
  const juice = juiceOf(sauce.id);
  expect((await server.call('POST', '/batches', juice)).body.error.code).toBe('no-output');
  const told = { id: uuidV7(), day: '2026-08-29', at: NOW, type: 'output-measured', batchId: sauce.id, taskId: 't' };
  const measured = { ...told, kind: 'thin-juice', volumeMl: 4_000 };
  expect((await server.call('POST', '/kitchen/day-events', measured)).status).toBe(201);
  expect((await server.call('POST', '/batches', juice)).status).toBe(201);
});

test('pots of one card are poured together, once, before any jar is in a canner; given up, both are gone', async () => {
  const [a, b] = [sauceOf(await picked()), sauceOf(await picked())];
  const jam = batch({
    ...{ product: 'tomatoes-crushed', processMinutes: 35 },
    uses: [{ pickId: await picked(), crop: 'tomato-slicing', massKg: 2, softKg: 0 }],
  });
  for (const own of [a, b, jam]) expect((await server.call('POST', '/batches', own)).status).toBe(201);
  const pour = (withId: string, id = uuidV7()) =>
    server.call('POST', '/kitchen/day-events', {
      ...{ id, day: '2026-08-29', at: NOW, type: 'pots-joined', batchId: a.id, withId },
    });
  expect((await pour(uuidV7())).status).toBe(404);
  expect((await pour(jam.id)).body.error.code).toBe('two-pots');
  const id = uuidV7();
  expect([(await pour(b.id, id)).status, (await pour(b.id, id)).status]).toEqual([201, 200]);
  // The second one is in the first by now.
  expect((await pour(b.id)).status).toBe(404);
  const started = { id: uuidV7(), loadId: b.loads[0]?.id, type: 'load-started', jars: 4, at: NOW - 3 * 86_400_000 };
  expect((await server.call('POST', '/kitchen/events', started)).status).toBe(201);
  expect((await server.call('DELETE', `/batches/${a.id}`)).body.error.code).toBe('begun');
});

test('a pot is given up with what was poured into it', async () => {
  const [a, b] = [sauceOf(await picked()), sauceOf(await picked())];
  for (const own of [a, b, juiceOf(b.id)]) expect((await server.call('POST', '/batches', own)).status).toBe(201);
  const joined = { id: uuidV7(), day: '2026-08-29', at: NOW, type: 'pots-joined', batchId: a.id, withId: b.id };
  expect((await server.call('POST', '/kitchen/day-events', joined)).status).toBe(201);
  expect((await server.call('DELETE', `/batches/${a.id}`)).status).toBe(204);
  expect((await state()).batches).toEqual([]);
});

test('another card is told before jars of the batch are in a canner, or not at all', async () => {
  const { gives: _, ...sauce } = { gives: [], ...sauceOf(await picked()) };
  expect((await server.call('POST', '/batches', sauce)).status).toBe(201);
  const startedAt = NOW - 3 * 86_400_000;
  const started = { id: uuidV7(), loadId: sauce.loads[0]?.id, type: 'load-started', jars: 4, at: startedAt };
  expect((await server.call('POST', '/kitchen/events', started)).status).toBe(201);
  const thin = { product: 'tomato-sauce-thin', recipe: 'tomato-sauce-thin', pack: 'hot', processMinutes: 35 };
  const tell = (at: number) =>
    server.call('POST', '/kitchen/day-events', {
      ...{ id: uuidV7(), day: '2026-08-26', at, type: 'recipe-changed', batchId: sauce.id, ...thin },
    });
  expect((await tell(startedAt + 60_000)).body.error.code).toBe('begun');
  // Told late by a phone without signal, it was before.
  expect((await tell(startedAt - 60_000)).status).toBe(201);
});
