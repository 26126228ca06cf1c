import { v7 as uuidV7 } from 'uuid';
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
