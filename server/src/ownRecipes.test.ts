import fc from 'fast-check';
import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { anyOwnRecipe } from '@hoddle/core/process/anyOwnRecipe';
import { recipeFaults } from '@hoddle/core/process/recipeFaults';
import { startServer } from './testServer';

type Server = Awaited<ReturnType<typeof startServer>>;
let server: Server;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

const RECIPE = EXAMPLES.ownRecipe;
const PRODUCT = `own:${RECIPE.id}`;
const AT = EXAMPLES.batch.startAt;
const put = (recipe: object, of = server) => of.call('PUT', `/recipes/${RECIPE.id}`, recipe);
const state = async (of = server) => (await of.call('GET', '/state')).body;

const LOAD = '0198f3a0-0000-7000-8000-000000000f01';
const BATCH = {
  ...{ id: '0198f3a0-0000-7000-8000-000000000f00', product: PRODUCT, recipe: `${PRODUCT}@1`, jar: 'pint', pack: 'raw' },
  ...{ method: 'refrigerator', altitudeFt: 3_420, processMinutes: 0, cannerId: '', startAt: AT, uses: [] },
  loads: [{ id: LOAD, number: 1, jars: 2 }],
};
const KEPT = {
  id: '0198f3a0-0000-7000-8000-000000000f02',
  loadId: LOAD,
  at: AT,
  type: 'kept-cold',
  jars: 2,
  lotId: '0198f3a0-0000-7000-8000-000000000f03',
};

test('a page is put as often as one likes, a changed one is the next revision, and an older one never comes back', async () => {
  expect((await put(RECIPE)).status).toBe(201);
  expect((await put(RECIPE)).status).toBe(200);
  expect(await put({ ...RECIPE, name: 'Other' })).toMatchObject({
    status: 409,
    body: { error: { code: 'changed-elsewhere' } },
  });
  expect((await put({ ...RECIPE, name: 'Other', revision: 2 })).status).toBe(201);
  expect((await put({ ...RECIPE, name: 'Third', revision: 1 })).status).toBe(409);
  const { recipes } = await state();
  expect(recipes.map(({ revision, name }: { revision: number; name: string }) => [revision, name])).toEqual([
    [1, RECIPE.name],
    [2, 'Other'],
  ]);
});

test('what may not be is refused part by part, with its rule', async () => {
  const source = {
    title: 'A family book',
    kind: 'family',
    page: '3',
    method: 'boiling-water',
    jar: 'pint',
    bands: [{ upToFt: 1_000, minutes: 10 }],
  };
  expect(await put({ ...RECIPE, source })).toMatchObject({
    status: 422,
    body: { error: { code: 'may-not-be', fields: { 'source.kind': expect.any(String) } } },
  });
  const raised = RECIPE.lines.map((line, i) => (i === 0 ? { ...line, role: 'acid-food' } : line));
  expect(await put({ ...RECIPE, lines: raised })).toMatchObject({
    status: 422,
    body: { error: { fields: { 'lines.0.role': expect.any(String) } } },
  });
  const waits = [{ ...RECIPE.steps[0], after: ['s2'] }, RECIPE.steps[1]];
  expect(await put({ ...RECIPE, steps: waits })).toMatchObject({
    status: 422,
    body: { error: { fields: { 'steps.0.after': expect.any(String) } } },
  });
  // Half done, everything else may stay as it is.
  expect((await put({ ...RECIPE, source, draft: true })).status).toBe(201);
});

test('it is found, worked out, offered from lots and answered like any product', async () => {
  await put(RECIPE);
  expect((await server.call('GET', '/recipes?q=carrot%20sticks')).body.recipes[0]).toMatchObject({
    recipe: `${PRODUCT}@1`,
    name: RECIPE.name,
    source: 'our own recipe',
  });
  expect(
    (await server.call('POST', '/recipe-for', { recipe: `${PRODUCT}@1`, jars: [{ jar: 'pint', count: 4 }] })).body,
  ).toMatchObject({ name: RECIPE.name, ingredients: expect.any(Array) });
  const lots = { lots: [{ crop: 'carrot', amount: { value: 3, unit: 'lb' } }] };
  const from = (await server.call('POST', '/jars-from', lots)).body.products.map(
    ({ product }: { product: string }) => product,
  );
  expect(from).toContain(PRODUCT);
  const process = await server.call(
    'GET',
    `/process?product=${PRODUCT}&pack=raw&jar=pint&method=boiling-water&altitudeFt=3420`,
  );
  expect(process.body).toMatchObject({
    kind: 'refusal',
    cause: 'own-untested',
    instead: expect.arrayContaining(['refrigerator: 2 to 3 months']),
  });
});

test('kept cold, it stands in the refrigerator with its days, each thing once; a batch keeps the page it was planned by', async () => {
  await put(RECIPE);
  expect(await server.call('POST', '/batches', { ...BATCH, processMinutes: 10 })).toMatchObject({
    status: 422,
    body: { error: { code: 'kept-cold' } },
  });
  expect((await server.call('POST', '/batches', BATCH)).status).toBe(201);
  await put({ ...RECIPE, name: 'Changed', revision: 2 });
  expect((await server.call('POST', '/kitchen/events', KEPT)).body.error.code).toBe('comes-before');
  await server.fill(KEPT.loadId, KEPT.at);
  expect((await server.call('POST', '/kitchen/events', KEPT)).status).toBe(201);
  expect((await server.call('POST', '/kitchen/events', KEPT)).status).toBe(200);
  const { lots, batches } = await state();
  expect(lots).toEqual([
    expect.objectContaining({
      product: PRODUCT,
      recipe: `${PRODUCT}@1`,
      seal: 'cold',
      place: 'refrigerator',
      readyAt: AT + 24 * 3_600_000,
    }),
  ]);
  expect(batches[0]).toMatchObject({ recipe: `${PRODUCT}@1`, method: 'refrigerator' });
  const again = { ...KEPT, id: '0198f3a0-0000-7000-8000-000000000f04', lotId: '0198f3a0-0000-7000-8000-000000000f05' };
  expect((await server.call('POST', '/kitchen/events', again)).status).toBe(422);
});

test('struck out while nothing is made of it, refused once jars stand under it, and nothing is kept of what nobody knows', async () => {
  expect((await server.call('PUT', '/goals', { product: PRODUCT, jar: 'pint', jars: 4, perMonth: null })).status).toBe(
    422,
  );
  await put(RECIPE);
  expect((await server.call('DELETE', `/recipes/${RECIPE.id}`)).status).toBe(204);
  expect((await server.call('POST', '/batches', BATCH)).status).toBe(422);
  await put(RECIPE);
  await server.call('POST', '/batches', BATCH);
  await server.fill(KEPT.loadId, KEPT.at);
  await server.call('POST', '/kitchen/events', KEPT);
  expect(await server.call('DELETE', `/recipes/${RECIPE.id}`)).toMatchObject({
    status: 409,
    body: { error: { code: 'in-use', message: expect.stringContaining('Jars stand under it') } },
  });
  // Put away it is offered no more, and its jars keep their name.
  await put({ ...RECIPE, revision: 2, archived: true });
  expect(
    (await server.call('GET', '/recipes?q=carrot%20sticks')).body.recipes.map(
      ({ product }: { product: string }) => product,
    ),
  ).not.toContain(PRODUCT);
  expect((await server.call('GET', '/export?table=jars')).body).toContain(RECIPE.name);
});

test('a backup carries the recipes, page by page, and what was made by them', async () => {
  await put(RECIPE);
  await server.call('POST', '/batches', BATCH);
  await server.fill(KEPT.loadId, KEPT.at);
  await server.call('POST', '/kitchen/events', KEPT);
  await put({ ...RECIPE, revision: 2, name: 'Changed' });
  const backup = (await server.call('GET', '/backup')).body;
  const other = await startServer();
  const reply = await fetch(`${other.address}/api/restore`, {
    method: 'POST',
    body: JSON.stringify(backup),
    headers: { 'content-type': 'application/json' },
  });
  expect(reply.status).toBe(200);
  const [before, after] = [await state(), await state(other)];
  for (const part of ['recipes', 'lots', 'batches']) expect(after[part]).toEqual(before[part]);
  await other.stop();
});

describe('reading', () => {
  const read = (body: object) => server.call('POST', '/recipes/read', body);

  test('a text is a draft, and what no page holds stays as text', async () => {
    const { status, body } = await read({
      text: `Jam\n${Array.from({ length: 300 }, () => '1 cup sugar').join('\n')}`,
    });
    expect([status, body.draft, body.lines.length, body.unread.length]).toEqual([200, true, 60, 240]);
    expect((await read({ text: 'x'.repeat(60_001) })).status).toBe(400);
    expect((await read({})).status).toBe(400);
  });

  test('a file of another program, one of ours, and one that somebody altered', async () => {
    const jsonLd = {
      '@context': 'https://schema.org',
      '@type': 'Recipe',
      name: '<script>alert(1)</script>Jam',
      recipeIngredient: ['4 cups figs', 3, null],
      recipeInstructions: { '@type': 'HowToStep', text: 'Boil.' },
    };
    expect((await read({ jsonLd })).body).toMatchObject({ name: 'Jam', lines: [{ item: 'figs' }, {}] });
    const altered = {
      ...jsonLd,
      additionalProperty: [
        { propertyID: 'page', value: '{"yields":{"low":-1}}' },
        { propertyID: 'ingredient/1', value: 'no json' },
      ],
    };
    expect((await read({ jsonLd: altered })).body.lines).toHaveLength(2);
  });
});

test('whatever page is put, it is kept or refused with a sentence, and the state can be read after', async () => {
  await fc.assert(
    fc.asyncProperty(anyOwnRecipe, async (recipe) => {
      const reply = await server.call('PUT', `/recipes/${recipe.id}`, { ...recipe, revision: 1 });
      const faults = recipeFaults(recipe);
      expect(reply.status).toBe(faults.length > 0 ? 422 : 201);
      expect((await server.call('GET', '/state')).status).toBe(200);
    }),
    { numRuns: 60 },
  );
});
