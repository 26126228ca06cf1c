import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { CARDS, isOffered } from '@hoddle/core/handbook/cards';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

interface Line {
  item: string;
  into: string;
  then: string;
  amount: { value: number | null; unit: string };
  perJar?: object[];
}
const recipeFor = async (recipe: string, jar: string, count: number, more = {}) =>
  server.call('POST', '/recipe-for', { recipe, jars: [{ jar, count }], ...more });
const lineOf = (body: { ingredients: Line[] }, item: RegExp) => body.ingredients.find((line) => item.test(line.item));

// USDA Complete Guide to Home Canning, 2015, guide 6: bread-and-butter pickles, 8 pints of 6 lb cucumbers, 3 lb onions,
// 1/2 cup salt for the soak, 4 cups vinegar, 4 1/2 cups sugar.
test('a recipe for the jars of its page is that page, the soak poured off', async () => {
  const { status, body } = await recipeFor('bread-and-butter-pickles', 'pint', 8);
  expect([status, body.name, body.pots]).toEqual([200, 'Bread-and-butter pickles', 1]);
  expect(lineOf(body, /cucumber/)).toMatchObject({ amount: { value: 6, unit: 'lb' }, then: 'jar', kg: 6 * 0.45359237 });
  expect(lineOf(body, /salt/)).toMatchObject({ amount: { value: 1 / 2, unit: 'cup' }, then: 'drained' });
  expect(lineOf(body, /vinegar/)).toMatchObject({ amount: { value: 4, unit: 'cup' }, then: 'jar' });
  expect(lineOf(body, /sugar/)).toMatchObject({ amount: { value: 4.5, unit: 'cup' } });
});

test('in half the jars everything is half, the acid never less', async () => {
  const { body } = await recipeFor('tomato-chile-salsa', 'pint', 4);
  const whole = (await recipeFor('tomato-chile-salsa', 'pint', 8)).body;
  for (const line of body.ingredients as Line[]) {
    const other = (whole.ingredients as Line[]).find(({ item }) => item === line.item);
    if (typeof line.amount.value !== 'number' || typeof other?.amount.value !== 'number') continue;
    if (line.amount.unit !== other.amount.unit) continue;
    const isAcid = /vinegar|lemon/.test(line.item);
    if (isAcid) expect(line.amount.value).toBeGreaterThanOrEqual(other.amount.value / 2);
    else expect(line.amount.value / (other.amount.value / 2)).toBeCloseTo(1, 0);
  }
});

// The same guide, 3: 2 Tbsp of bottled lemon juice or 1/2 tsp of citric acid a quart of tomatoes.
test('a dose is told jar by jar, and one of a group is taken as it is asked for', async () => {
  const lemon = (await recipeFor('tomatoes-crushed', 'quart', 7)).body;
  expect(lineOf(lemon, /lemon/)).toMatchObject({
    oneOf: 'acid',
    perJar: [{ jar: 'quart', amount: { value: 2, unit: 'tbsp' } }],
    instead: expect.arrayContaining([expect.stringMatching(/citric/)]),
  });
  const taken = { taken: { acid: lineOf(lemon, /lemon/) && 'citric acid' } };
  const citric = (await recipeFor('tomatoes-crushed', 'quart', 7, taken)).body;
  expect(lineOf(citric, /lemon/)).toBeUndefined();
  expect(lineOf(citric, /citric/)).toMatchObject({ perJar: [{ amount: { value: 1 / 2, unit: 'tsp' } }] });
});

test('what is on hand is not missing', async () => {
  const crops = async () =>
    ((await server.call('POST', '/recipe-for', EXAMPLES.recipeFor)).body.missing ?? []).map(
      ({ crop }: { crop: string }) => crop,
    );
  const before = await crops();
  expect(before).toContain('onion');
  await server.call('POST', '/picks', { ...EXAMPLES.pick, crop: 'onion', massKg: 10, softKg: 0 });
  expect(await crops()).toEqual(before.filter((crop: string) => crop !== 'onion'));
});

test('every card that may be offered is listed and answers by its id; one with a slash too', async () => {
  const { body } = await server.call('GET', '/recipes');
  const offered = CARDS.filter(isOffered).map(({ card }) => card);
  expect(body.recipes.map(({ recipe }: { recipe: string }) => recipe).sort()).toEqual([...offered].sort());
  for (const id of offered) {
    const reply = await server.call('GET', `/recipes/${encodeURIComponent(id)}`);
    expect([id, reply.status, reply.body.recipe, typeof reply.body.source]).toEqual([id, 200, id, 'string']);
  }
  const found = (await server.call('GET', '/recipes?q=damson')).body.recipes as { crops: string[] }[];
  expect(found.length).toBeGreaterThan(0);
});

test('an unknown card, a jar never tested, no jars: each has its own sentence', async () => {
  expect(await server.call('GET', '/recipes/nothing')).toMatchObject({
    status: 404,
    body: { error: { code: 'no-recipe' } },
  });
  expect(await recipeFor('nothing', 'pint', 1)).toMatchObject({ status: 404 });
  expect(await recipeFor('tomato-chile-salsa', 'half-gallon', 1)).toMatchObject({
    status: 422,
    body: { error: { code: 'jar-too-large', fields: { jars: expect.stringContaining('pints') } } },
  });
  expect(await recipeFor('tomato-chile-salsa', 'pint', 0)).toMatchObject({ status: 400 });
  expect(await server.call('POST', '/recipe-for', { recipe: 'plums', jars: [] })).toMatchObject({ status: 400 });
});

test('a batch by a card of another product is refused, by its own it is kept with what it leaves out', async () => {
  const { pick, batch } = EXAMPLES;
  await server.call('POST', '/picks', pick);
  expect(await server.call('POST', '/batches', { ...batch, recipe: 'plums' })).toMatchObject({
    status: 422,
    body: { error: { code: 'not-tested' } },
  });
  const own = { ...batch, recipe: 'tomatoes-crushed', without: ['anti-brown-bath'] };
  expect((await server.call('POST', '/batches', own)).status).toBe(201);
  expect((await server.call('POST', '/batches', own)).status).toBe(200);
  expect((await server.call('GET', '/state')).body.batches).toMatchObject([
    { recipe: 'tomatoes-crushed', without: ['anti-brown-bath'], uses: [{ crop: pick.crop }] },
  ]);
});
