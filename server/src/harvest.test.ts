import { v7 as uuidV7 } from 'uuid';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { startServer } from './testServer';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;
/** The test server's clock stands at this hour. */
const NOW = Date.UTC(2026, 7, 29);

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

const state = async () => (await server.call('GET', '/state')).body;

async function picked(more: object = {}) {
  const pick = {
    id: uuidV7(),
    crop: 'tomato-paste',
    massKg: 30,
    softKg: 5,
    ripeness: 'ripe',
    place: 'cool',
    pickedAt: NOW - DAY,
    told: '66 lb',
    source: 'garden',
    plantingId: null,
    ...more,
  };
  return { pick, reply: await server.call('POST', '/picks', pick) };
}

const changeOf = (pickId: string, more: object = {}) => ({
  id: uuidV7(),
  pickId,
  part: 'sound',
  from: 'cool',
  kind: 'eaten',
  to: null,
  massKg: 10,
  at: NOW,
  ...more,
});

const recordOf = (more: object = {}) => ({
  id: uuidV7(),
  batchId: null,
  product: 'tomatoes-crushed',
  crop: 'tomato-paste',
  massKg: 44 * KG_PER_LB,
  waterMl: 0,
  sugarKg: 0,
  jars: [{ jar: 'quart', count: 12 }],
  partJar: null,
  madeAt: NOW - DAY,
  note: 'A little thick.',
  learnFrom: true,
  ...more,
});

describe('picks', () => {
  test.each([
    ['tomorrow', NOW + 36 * HOUR],
    ['last year', NOW - 370 * DAY],
  ])('a pick of %s is told in a sentence, with its field, and not kept', async (_, pickedAt) => {
    expect((await picked({ pickedAt })).reply).toMatchObject({
      status: 400,
      body: { error: { code: 'invalid', fields: { pickedAt: expect.stringMatching(/\.$/) } } },
    });
    expect((await state()).picks).toEqual([]);
  });

  test('what an older page sends, without ripeness and source, is a ripe pick of the garden', async () => {
    const { pick } = await picked({ ripeness: undefined, source: undefined, plantingId: undefined });
    expect((await state()).picks).toEqual([{ ...pick, ripeness: 'ripe', source: 'garden', plantingId: null }]);
  });

  test('a pick is corrected as often as needed, never below what was used of it', async () => {
    const { pick } = await picked();
    await server.call('POST', '/lot-changes', changeOf(pick.id, { massKg: 20 }));
    const corrected = { ...pick, crop: 'damson', massKg: 26, told: '57 lb' };
    for (let times = 0; times < 2; times++)
      expect((await server.call('PUT', `/picks/${pick.id}`, corrected)).status).toBe(200);
    expect((await state()).picks).toEqual([corrected]);
    expect(await server.call('PUT', `/picks/${pick.id}`, { ...pick, massKg: 12 })).toMatchObject({
      status: 409,
      body: { error: { code: 'in-use' } },
    });
    expect((await server.call('PUT', `/picks/${uuidV7()}`, pick)).status).toBe(404);
    expect((await server.call('DELETE', `/picks/${pick.id}`)).body.error.code).toBe('in-use');
  });
});

describe('lots', () => {
  test('a lot is never overdrawn, however it is asked; the same send twice counts once', async () => {
    const { pick } = await picked();
    const eaten = changeOf(pick.id, { massKg: 20 });
    expect((await server.call('POST', '/lot-changes', eaten)).status).toBe(201);
    expect((await server.call('POST', '/lot-changes', eaten)).status).toBe(200);
    expect(await server.call('POST', '/lot-changes', changeOf(pick.id))).toMatchObject({
      status: 409,
      body: { error: { code: 'overdrawn', message: 'Only 11 lb of this lot are left.' } },
    });
    const replies = await Promise.all(
      Array.from({ length: 8 }, () => server.call('POST', '/lot-changes', changeOf(pick.id, { massKg: 1 }))),
    );
    expect(replies.map(({ status }) => status).sort()).toEqual([201, 201, 201, 201, 201, 409, 409, 409]);
    expect((await server.call('POST', '/lot-changes', changeOf(uuidV7()))).status).toBe(404);
  });

  test('a move can be taken back until what was moved is used', async () => {
    const { pick } = await picked();
    const moved = changeOf(pick.id, { kind: 'moved', to: 'freezer', massKg: 8 });
    const lost = changeOf(pick.id, { from: 'freezer', kind: 'lost', massKg: 3, at: NOW + HOUR });
    for (const change of [moved, lost]) expect((await server.call('POST', '/lot-changes', change)).status).toBe(201);
    expect((await server.call('DELETE', `/lot-changes/${moved.id}`)).body.error.code).toBe('in-use');
    for (const { id } of [lost, moved, moved])
      expect((await server.call('DELETE', `/lot-changes/${id}`)).status).toBe(204);
    expect((await state()).lotChanges).toEqual([]);
  });

  test.each([
    ['moved to nowhere', { kind: 'moved', to: null }],
    ['moved to where it is', { kind: 'moved', to: 'cool' }],
    ['eaten and carried', { to: 'freezer' }],
    ['less than nothing', { massKg: -1 }],
  ])('%s is refused with its field', async (_, more) => {
    const { pick } = await picked();
    expect((await server.call('POST', '/lot-changes', changeOf(pick.id, more))).status).toBe(400);
  });

  test('a batch cannot take what was eaten', async () => {
    const { pick } = await picked();
    await server.call('POST', '/lot-changes', changeOf(pick.id, { massKg: 25 }));
    const batch = {
      id: uuidV7(),
      product: 'tomatoes-crushed',
      jar: 'quart',
      pack: 'hot',
      method: 'boiling-water',
      altitudeFt: 3_420,
      processMinutes: 55,
      cannerId: uuidV7(),
      startAt: NOW,
      uses: [{ pickId: pick.id, massKg: 9, softKg: 5 }],
      loads: [{ id: uuidV7(), number: 1, jars: 3 }],
    };
    expect((await server.call('POST', '/batches', batch)).body.error.code).toBe('not-on-hand');
  });
});

test('the garden is set up once and mended; a look needs its bed; a bed goes with its looks, not with its picks', async () => {
  const bed = {
    id: uuidV7(),
    name: 'South bed',
    crop: 'tomato-paste',
    count: 60,
    unit: 'plants',
    firstWeek: 30,
    peakWeek: 35,
    lastWeek: 40,
    usualKg: null,
  };
  await server.call('PUT', `/plantings/${bed.id}`, bed);
  await server.call('PUT', `/plantings/${bed.id}`, { ...bed, count: 50 });
  expect((await state()).plantings).toEqual([{ ...bed, count: 50 }]);
  expect((await server.call('PUT', `/plantings/${bed.id}`, { ...bed, peakWeek: 20 })).status).toBe(400);
  await picked({ plantingId: bed.id });
  const look = { id: uuidV7(), plantingId: bed.id, kind: 'nothing-ripe', at: NOW };
  expect((await server.call('POST', '/garden-looks', look)).status).toBe(201);
  expect((await server.call('POST', '/garden-looks', { ...look, id: uuidV7(), plantingId: uuidV7() })).status).toBe(
    404,
  );
  expect((await server.call('DELETE', `/plantings/${bed.id}`)).status).toBe(204);
  const { plantings, gardenLooks, picks } = await state();
  expect([plantings, gardenLooks, picks.length]).toEqual([[], [], 1]);
});

describe('estimates that learn', () => {
  const ask = async () =>
    (
      await server.call('POST', '/estimate', {
        crop: 'tomato-paste',
        amount: { value: 44, unit: 'lb' },
        product: 'tomatoes-crushed',
        jar: 'quart',
      })
    ).body;

  // USDA Complete Guide to Home Canning, 2015, guide 3: about 2.75 lb to 3.1 lb a quart.
  test('a batch written down moves the estimate, narrows it, and stands in its basis', async () => {
    const before = await ask();
    expect(before.basis).toBe('handbook');
    const record = recordOf();
    expect((await server.call('POST', '/batch-records', record)).status).toBe(201);
    expect((await server.call('POST', '/batch-records', record)).status).toBe(200);
    const after = await ask();
    expect(after.basis).toBe('handbook + your 1 batch, last time 12 quarts from 44 lb');
    expect(after.jars.p50).toBeLessThan(before.jars.p50);
    expect(after.jars.p90 - after.jars.p10).toBeLessThan(before.jars.p90 - before.jars.p10);
    await server.call('DELETE', `/batch-records/${record.id}`);
    expect(await ask()).toEqual(before);
  });

  test('three times the possible jars are asked about, or kept as a thing apart', async () => {
    const slip = recordOf({ jars: [{ jar: 'quart', count: 45 }] });
    expect(await server.call('POST', '/batch-records', slip)).toMatchObject({
      status: 422,
      body: { error: { code: 'unlikely', message: expect.stringContaining('45 quarts from 44 lb') } },
    });
    const before = await ask();
    expect((await server.call('POST', '/batch-records', { ...slip, learnFrom: false })).status).toBe(201);
    expect(await ask()).toEqual(before);
    expect((await server.call('POST', '/batch-records', recordOf({ batchId: uuidV7() }))).status).toBe(404);
  });

  test('any lots together: what they make, what is left and missing; and the other way round', async () => {
    const lots = [
      { crop: 'damson', amount: { value: 19, unit: 'lb' } },
      { crop: 'tomato-paste', amount: { value: '1/2', unit: 'bushel' } },
    ];
    const { products } = (await server.call('POST', '/jars-from', { lots })).body;
    const jam = products.find(({ product }: { product: string }) => product === 'jam-with-pectin');
    expect(jam).toMatchObject({ crops: ['damson'], pots: 4, basis: 'formula' });
    const salsa = products.find(({ product }: { product: string }) => product === 'tomato-chile-salsa');
    expect(salsa.missing.map(({ crop }: { crop: string }) => crop)).toEqual(['pepper-hot', 'onion']);
    const none = { lots: [{ crop: 'tomatillo', amount: { value: 1, unit: 'bushel' } }] };
    expect((await server.call('POST', '/jars-from', none)).status).toBe(400);
    const question = { crop: 'tomato-paste', product: 'tomato-sauce-thin', jar: 'pint', jars: 30 };
    const { likelyKg, sureKg, sure } = (await server.call('POST', '/produce-for', question)).body;
    expect(sure).toBe(0.8);
    // About 5 lb a quart: 15 quarts are 75 lb, more to be sure.
    expect(likelyKg / KG_PER_LB).toBeGreaterThan(60);
    expect(sureKg).toBeGreaterThan(likelyKg);
    expect(await server.call('POST', '/produce-for', { ...question, crop: 'damson' })).toMatchObject({
      status: 200,
      body: { kind: 'refusal' },
    });
  });
});

test("the household's own measures are remembered, one figure for each crop", async () => {
  const colander = { crop: 'tomatillo', measure: 'Colander', massKg: 1.5 };
  await server.call('PUT', '/own-measures', colander);
  await server.call('PUT', '/own-measures', { ...colander, massKg: 1.6 });
  expect((await state()).ownMeasures).toEqual([{ crop: 'tomatillo', measure: 'colander', massKg: 1.6 }]);
});
