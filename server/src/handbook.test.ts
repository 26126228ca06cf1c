import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { v7 as uuidV7 } from 'uuid';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

const ask = (more: Record<string, string>) => {
  const { altitudeFt, ...question } = EXAMPLES.question;
  const query = { ...question, ...('altitudeM' in more ? {} : { altitudeFt: String(altitudeFt) }), ...more };
  return server.call('GET', `/process?${new URLSearchParams(query)}`);
};

// USDA Complete Guide to Home Canning, 2015, guides 3, 4 and 7.
test.each([
  [
    'beans by dial',
    { product: 'snap-beans', method: 'pressure-dial' },
    { minutes: 25, pressurePsi: 12, ventMinutes: 10 },
  ],
  ['beans by weight', { product: 'snap-beans', method: 'pressure-weighted' }, { minutes: 25, pressurePsi: 15 }],
  [
    'jam by the sea',
    { product: 'jam-with-pectin', jar: 'half-pint', altitudeFt: '500' },
    { minutes: 5, sterilizeJars: { minutes: 10 }, alternatives: [{ minutes: 10 }] },
  ],
  ['jam on the hill', { product: 'jam-with-pectin', jar: 'half-pint' }, { minutes: 10, alternatives: [] }],
  ['steam', { product: 'applesauce', method: 'steam' }, { minutes: 30, steamF: 205.7 }],
  [
    'a low bath',
    { product: 'dill-fermented', pack: 'raw', method: 'low-temperature-bath' },
    { minutes: 30, bathF: { low: 180, high: 185 } },
  ],
  ['305 m', { altitudeM: '305' }, { minutes: 50, altitudeFt: 1_001 }],
])('GET /api/process, %s', async (_, more, expected) => {
  expect(await ask(more)).toMatchObject({ status: 200, body: { kind: 'tested', recalled: true, ...expected } });
});

test('an altitude told twice, or in metres beyond the mountains, is told so', async () => {
  expect(await ask({ altitudeM: '305', altitudeFt: '1000' })).toMatchObject({
    body: { error: { fields: { altitudeM: expect.any(String) } } },
  });
  expect(await ask({ altitudeM: '20000' })).toMatchObject({
    status: 400,
    body: { error: { fields: { altitudeM: expect.any(String) } } },
  });
});

test('a batch is held against its formula: refused beyond rule 17, by name of the nearest tested product', async () => {
  const { batchQuestion } = EXAMPLES;
  expect((await server.call('POST', '/process', batchQuestion)).body).toMatchObject({
    answer: { kind: 'tested', minutes: 40 },
    changes: [],
  });
  const ingredients = batchQuestion.ingredients.map((line) => line.replace('4 cups 5%', '3 cups 5%'));
  expect((await server.call('POST', '/process', { ...batchQuestion, ingredients })).body).toMatchObject({
    answer: { kind: 'refusal', cause: 'changed', instead: expect.arrayContaining(['pickled-beets', 'beets']) },
    changes: expect.arrayContaining([expect.objectContaining({ change: 'less-acid', verdict: 'never' })]),
  });
  const { pick, batch } = EXAMPLES;
  await server.call('POST', '/picks', pick);
  const onions = { ...batch, ingredients: ['22 lb tomatoes', '3 lb onions'] };
  expect(await server.call('POST', '/batches', onions)).toMatchObject({
    status: 422,
    body: { error: { code: 'changed' } },
  });
  const plain = { ...batch, ingredients: ['22 lb tomatoes', '1 Tbsp salt'] };
  expect((await server.call('POST', '/batches', plain)).status).toBe(201);
  expect((await server.call('POST', '/batches', plain)).status).toBe(200);
  const uses = plain.uses.map((use) => ({ ...use, crop: pick.crop }));
  expect((await server.call('GET', '/state')).body.batches).toEqual([{ ...plain, uses }]);
});

test('GET /api/products finds by any name, and says what is never for the shelf', async () => {
  const find = async (q: string) => (await server.call('GET', `/products?q=${encodeURIComponent(q)}`)).body;
  expect((await server.call('GET', '/products')).body.products).toHaveLength(92);
  expect((await find('catsup')).products[0]).toMatchObject({
    product: 'tomato-ketchup',
    methods: ['boiling-water', 'steam'],
  });
  expect((await find('pole beans')).products[0]).toMatchObject({
    product: 'snap-beans',
    packs: ['hot', 'raw'],
    methods: ['pressure-dial', 'pressure-weighted'],
  });
  expect((await find('pumpkin butter')).never).toMatchObject([{ instead: expect.arrayContaining(['freezer']) }]);
  expect(await server.call('GET', `/products?q=${'x'.repeat(81)}`)).toMatchObject({ status: 400 });
});

test('POST /api/convert answers what a crop fills, or which figure is not published', async () => {
  expect((await server.call('POST', '/convert', EXAMPLES.convert)).body).toMatchObject({
    value: expect.closeTo(2.73, 2),
  });
  const unknown = { amount: { value: 1, unit: 'bushel' }, to: 'lb', crop: 'tomatillo' };
  expect((await server.call('POST', '/convert', unknown)).body).toMatchObject({
    kind: 'refusal',
    instead: ['lb', 'kg'],
  });
  for (const value of [0, -2, 'some']) {
    expect(await server.call('POST', '/convert', { ...unknown, amount: { value, unit: 'lb' } })).toMatchObject({
      status: 400,
    });
  }
});

test('a row marked checked says so in every answer, through a restart, until the mark is taken back', async () => {
  const { check } = EXAMPLES;
  expect((await ask({})).body.checkedOn).toBeUndefined();
  await server.call('PUT', '/checked-rows', check);
  await server.call('PUT', '/checked-rows', { ...check, checkedOn: '2026-08-30' });
  await server.stop();
  server = await startServer(server.file);
  expect((await ask({})).body).toMatchObject({ checkedOn: '2026-08-30', recalled: true, rowId: check.rowId });
  expect((await ask({ jar: 'pint' })).body.checkedOn).toBeUndefined();
  await server.call('PUT', '/checked-rows', { ...check, checkedOn: null });
  expect((await ask({})).body.checkedOn).toBeUndefined();
});

test.each([
  ['a row that is not there', { rowId: 'boiling-water tomatoes-crushed hot quart 5/5/5/5' }, 404],
  ['a day that is none', { checkedOn: 'yesterday' }, 400],
])('%s is not marked', async (_, part, status) => {
  expect(await server.call('PUT', '/checked-rows', { ...EXAMPLES.check, ...part })).toMatchObject({ status });
});

test("the household's own source answers in its bands and travels with its mark; a refused one is not kept", async () => {
  const { source } = EXAMPLES;
  const question = { product: 'tomato-taco-sauce', jar: 'quart' };
  expect((await ask(question)).body).toMatchObject({ kind: 'refusal', cause: 'jar-too-large' });
  expect((await server.call('POST', '/sources', source)).status).toBe(201);
  expect((await server.call('POST', '/sources', source)).status).toBe(200);
  expect((await ask(question)).body).toMatchObject({ kind: 'tested', minutes: 30, own: true, recalled: false });
  expect((await ask({ ...question, altitudeFt: '7000' })).body).toMatchObject({ cause: 'own-band-missing' });
  for (const [part, field] of [
    [{ kind: 'film' }, 'kind'],
    [{ page: '' }, 'page'],
    [{ product: 'snap-beans' }, 'method'],
    [{ product: 'tomatoes-crushed', bands: [{ upToFt: 6_000, minutes: 50 }] }, 'bands'],
  ] as const) {
    expect(await server.call('POST', '/sources', { ...source, id: uuidV7(), ...part })).toMatchObject({
      status: 422,
      body: { error: { code: 'no-source', fields: { [field]: expect.stringMatching(/\.$/) } } },
    });
  }
  expect((await server.call('GET', '/state')).body.sources).toEqual([source]);
  expect((await server.call('DELETE', `/sources/${source.id}`)).status).toBe(204);
  expect((await ask(question)).body.kind).toBe('refusal');
});
