import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { v7 as uuidV7 } from 'uuid';
import { startServer } from './testServer';

const MIN = 60_000;
const HOUR = 60 * MIN;
const START = Date.UTC(2026, 7, 29, 8);

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

const pick = (kg = 30) => ({
  id: uuidV7(),
  crop: 'tomato-paste',
  massKg: kg,
  softKg: 5,
  ripeness: 'ripe',
  place: 'cool',
  pickedAt: START,
  told: '66 lb',
  source: 'garden',
  plantingId: null,
});

function batchOf(pickId: string, massKg: number, jars = [7], minutes = 55) {
  return {
    id: uuidV7(),
    product: 'tomatoes-crushed',
    jar: 'quart',
    pack: 'hot',
    method: 'boiling-water',
    altitudeFt: 3_420,
    processMinutes: minutes,
    cannerId: uuidV7(),
    startAt: START,
    uses: [{ pickId, massKg, softKg: 0 }],
    loads: jars.map((count, i) => ({ id: uuidV7(), number: i + 1, jars: count })),
  };
}

/** A batch whose only load is out of the canner. */
async function cooledLoad() {
  const basket = pick();
  await server.call('POST', '/picks', basket);
  const batch = batchOf(basket.id, 10);
  await server.call('POST', '/batches', batch);
  const loadId = batch.loads[0]!.id;
  const told = [
    { type: 'load-started', at: START, jars: 7 },
    { type: 'boil-reached', at: START + 20 * MIN },
    { type: 'heat-off', at: START + 75 * MIN },
    { type: 'jars-out', at: START + 80 * MIN },
  ];
  await server.fill(loadId, START);
  for (const event of told)
    expect((await server.call('POST', '/kitchen/events', { id: uuidV7(), loadId, ...event })).status).toBe(201);
  return loadId;
}

const sealCheck = (loadId: string, sealed: boolean[]) => ({
  id: uuidV7(),
  loadId,
  type: 'seal-checked',
  at: START + 16 * HOUR,
  sealed,
  sealedLotId: uuidV7(),
  unsealedLotId: uuidV7(),
});

describe('GET /api/process', () => {
  const ask = (more: Record<string, string>) => {
    const query = {
      product: 'tomatoes-crushed',
      pack: 'hot',
      jar: 'quart',
      method: 'boiling-water',
      altitudeFt: '3420',
      ...more,
    };
    return server.call('GET', `/process?${new URLSearchParams(query)}`);
  };

  // USDA Complete Guide to Home Canning, 2015, guide 3, crushed tomatoes in quarts, 3,001 to 6,000 ft: 55 min.
  test('a tested process carries its minutes, headspace, acid, source and that it is recalled', async () => {
    expect(await ask({})).toMatchObject({
      status: 200,
      body: {
        kind: 'tested',
        minutes: 55,
        headspaceIn: 0.5,
        acid: { bottledLemonJuiceTbsp: 2 },
        source: expect.stringContaining('guide 3'),
        recalled: true,
      },
    });
  });

  test.each([
    ['a half-gallon', { jar: 'half-gallon' }],
    ['an unknown product', { product: 'moon-butter' }],
    ['an unknown jar', { jar: 'bathtub' }],
    ['steam over 45 min', { method: 'steam' }],
    ['pumpkin butter', { product: 'pumpkin butter' }],
  ])('%s is a refusal with a way out, not an error', async (_, more) => {
    const { status, body } = await ask(more);
    expect([status, body.kind, body.instead.length > 0]).toEqual([200, 'refusal', true]);
  });

  test.each(['-5000', 'abc', '', '20000', 'NaN', '1e3'])(
    'altitude %j is nonsense: 400 with the field',
    async (altitudeFt) => {
      expect(await ask({ altitudeFt })).toMatchObject({
        status: 400,
        body: { error: { code: 'invalid', fields: { altitudeFt: expect.any(String) } } },
      });
    },
  );

  test('an altitude left out is told to be missing', async () => {
    expect(await server.call('GET', '/process?product=plums&pack=hot&jar=pint&method=boiling-water')).toMatchObject({
      status: 400,
      body: { error: { fields: { altitudeFt: 'is missing' } } },
    });
  });
});

describe('POST /api/estimate', () => {
  const ask = (amount: object, more = {}) =>
    server.call('POST', '/estimate', {
      crop: 'tomato-paste',
      amount,
      product: 'tomatoes-crushed',
      jar: 'quart',
      ...more,
    });

  // The same guide: 22 lb make a canner load of 7 quarts.
  test('22 lb fill 7 quarts within the range', async () => {
    const { status, body } = await ask({ value: 22, unit: 'lb' });
    expect([status, body.jars.p10 <= 7, body.jars.p90 >= 7, body.basis]).toEqual([200, true, true, 'handbook']);
    expect(body.massKg).toBeCloseTo(9.979, 3);
  });

  test('an amount as a cook types it is read', async () => {
    expect((await ask({ value: '1 1/4', unit: 'bushel' })).body.massKg).toBeCloseTo(1.25 * 53 * 0.45359237, 6);
  });

  test.each([
    ['negative', { value: -3, unit: 'lb' }],
    ['ten thousand bushels', { value: 10_000, unit: 'bushel' }],
    ['an unknown unit', { value: 3, unit: 'stone' }],
    ['no number', { value: 'many', unit: 'lb' }],
  ])('%s is 400 with a sentence', async (_, amount) => {
    expect(await ask(amount)).toMatchObject({
      status: 400,
      body: { error: { code: 'invalid', message: expect.stringMatching(/\.$/) } },
    });
  });

  test('a product that is not made of this crop is a refusal', async () => {
    expect(await ask({ value: 3, unit: 'lb' }, { crop: 'damson' })).toMatchObject({
      status: 200,
      body: { kind: 'refusal' },
    });
  });
});

describe('writes', () => {
  test('a repeat is the same write; the same id for something else is not taken', async () => {
    const basket = pick();
    expect((await server.call('POST', '/picks', basket)).status).toBe(201);
    expect((await server.call('POST', '/picks', basket)).status).toBe(200);
    expect(await server.call('POST', '/picks', { ...basket, massKg: 99 })).toMatchObject({
      status: 409,
      body: { error: { code: 'id-taken' } },
    });
    const { body } = await server.call('GET', '/state');
    expect(body.picks).toEqual([basket]);
  });

  test('more soft than picked is refused with the field', async () => {
    expect(await server.call('POST', '/picks', { ...pick(), softKg: 31 })).toMatchObject({
      status: 400,
      body: { error: { fields: { softKg: expect.any(String) } } },
    });
  });

  // USDA Complete Guide to Home Canning, 2015, guide 4: snap beans, pints, 20 min; a weight of 15 psi above 1,000 ft.
  test('a batch under pressure is held against the tested pressure, and keeps it', async () => {
    const basket = { ...pick(), crop: 'bean-snap' };
    await server.call('POST', '/picks', basket);
    const way = { product: 'snap-beans', jar: 'pint', method: 'pressure-weighted' };
    const batch = { ...batchOf(basket.id, 4, [8], 20), ...way };
    for (const told of [{}, { pressurePsi: 10 }]) {
      expect(await server.call('POST', '/batches', { ...batch, ...told })).toMatchObject({
        status: 422,
        body: { error: { code: 'too-low', fields: { pressurePsi: expect.stringContaining('15 psi') } } },
      });
    }
    const kept = { ...batch, pressurePsi: 15 };
    expect((await server.call('POST', '/batches', kept)).status).toBe(201);
    expect((await server.call('POST', '/batches', kept)).status).toBe(200);
    const { body } = await server.call('GET', '/state');
    // What was taken from the basket is told with its crop.
    expect(body.batches).toEqual([{ ...kept, uses: [{ ...kept.uses[0], crop: 'bean-snap' }] }]);
  });

  test('jars that go in with a load of another batch follow it, and their lids are pressed apart', async () => {
    const basket = pick();
    await server.call('POST', '/picks', basket);
    const host = batchOf(basket.id, 10);
    await server.call('POST', '/batches', host);
    const withLoadId = host.loads[0]!.id;
    const beside = (own: ReturnType<typeof batchOf>) => ({
      ...own,
      loads: own.loads.map((load) => ({ ...load, withLoadId })),
    });
    const guest = beside(batchOf(basket.id, 3, [2], 60));
    for (const [other, status] of [
      [{ ...guest, jar: 'pint', processMinutes: 45 }, 422],
      [{ ...guest, loads: [{ ...guest.loads[0]!, withLoadId: uuidV7() }] }, 422],
      [guest, 201],
    ] as const) {
      expect((await server.call('POST', '/batches', other)).status).toBe(status);
    }
    const told = [
      { type: 'load-started', at: START, jars: 7 },
      { type: 'boil-reached', at: START + 20 * MIN },
      { type: 'heat-off', at: START + 79 * MIN },
    ];
    const tell = (event: object) =>
      server.call('POST', '/kitchen/events', { id: uuidV7(), loadId: withLoadId, ...event });
    await server.fill(withLoadId, START);
    for (const event of told) await tell(event);
    // A minute short of the guest's time: the boil counts as lost.
    await tell({ type: 'jars-out', at: START + 84 * MIN });
    const check = () => server.call('POST', '/kitchen/events', sealCheck(guest.loads[0]!.id, [true, true]));
    expect((await check()).status).toBe(422);
    await tell({ type: 'boil-reached', at: START + 100 * MIN });
    await tell({ type: 'heat-off', at: START + 160 * MIN });
    await tell({ type: 'jars-out', at: START + 165 * MIN });
    expect((await check()).status).toBe(201);
    const { body } = await server.call('GET', '/state');
    expect(body.lots).toMatchObject([{ product: 'tomatoes-crushed', loadId: guest.loads[0]!.id }]);
    expect((await server.call('POST', '/batches', beside(batchOf(basket.id, 1, [1])))).status).toBe(409);
  });

  test('a batch shorter than tested, or of produce that is gone, is refused and leaves nothing behind', async () => {
    const basket = pick();
    await server.call('POST', '/picks', basket);
    expect(await server.call('POST', '/batches', batchOf(basket.id, 10, [7], 50))).toMatchObject({
      status: 422,
      body: { error: { code: 'too-short' } },
    });
    expect(await server.call('POST', '/batches', batchOf(basket.id, 31))).toMatchObject({
      status: 409,
      body: { error: { code: 'not-on-hand' } },
    });
    expect(await server.call('POST', '/batches', { ...batchOf(basket.id, 1), jar: 'half-gallon' })).toMatchObject({
      status: 422,
      body: { error: { code: 'not-tested' } },
    });
    expect((await server.call('GET', '/state')).body.batches).toEqual([]);
  });

  test('a batch that has begun cannot be given up, one that has not can', async () => {
    const basket = pick();
    await server.call('POST', '/picks', basket);
    const [idle, begun] = [batchOf(basket.id, 5), batchOf(basket.id, 5)];
    for (const batch of [idle, begun]) await server.call('POST', '/batches', batch);
    await server.fill(begun.loads[0]!.id, START);
    await server.call('POST', '/kitchen/events', {
      id: uuidV7(),
      loadId: begun.loads[0]!.id,
      type: 'load-started',
      at: START,
      jars: 7,
    });
    expect((await server.call('DELETE', `/batches/${idle.id}`)).status).toBe(204);
    expect((await server.call('DELETE', `/batches/${idle.id}`)).status).toBe(204);
    expect((await server.call('DELETE', `/batches/${begun.id}`)).body.error.code).toBe('begun');
    expect((await server.call('DELETE', `/picks/${basket.id}`)).body.error.code).toBe('in-use');
  });

  test('a seal check puts jars on the shelf once, however often it is sent', async () => {
    const check = sealCheck(await cooledLoad(), [true, true, true, true, true, true, false]);
    expect((await server.call('POST', '/kitchen/events', check)).status).toBe(201);
    expect((await server.call('POST', '/kitchen/events', check)).status).toBe(200);
    const { body } = await server.call('GET', '/state');
    expect(body.movements).toMatchObject([
      { kind: 'stored', jars: 6 },
      { kind: 'stored', jars: 1 },
    ]);
    expect(body.lots.map((lot: { place: string }) => lot.place).sort()).toEqual(['refrigerator', 'shelf']);
  });

  test('a seal check of more jars than went in is refused and not kept', async () => {
    const loadId = await cooledLoad();
    const check = sealCheck(loadId, Array(8).fill(true));
    expect(await server.call('POST', '/kitchen/events', check)).toMatchObject({
      status: 422,
      body: { error: { code: 'seal-check', message: '7 jars came out of this load, not 8.' } },
    });
    expect((await server.call('GET', '/state')).body.events).toHaveLength(4);
  });

  test('no lot ever holds fewer jars than none, even when eight take at once', async () => {
    const check = sealCheck(await cooledLoad(), Array(7).fill(true));
    await server.call('POST', '/kitchen/events', check);
    const take = () =>
      server.call('POST', '/movements', {
        id: uuidV7(),
        lotId: check.sealedLotId,
        kind: 'taken',
        jars: 1,
        at: START + 20 * HOUR,
      });
    const replies = await Promise.all(Array.from({ length: 8 }, take));
    expect(replies.map(({ status }) => status).sort()).toEqual([201, 201, 201, 201, 201, 201, 201, 409]);
  });

  test('the household keeps its altitude, and none is none', async () => {
    const canner = {
      id: uuidV7(),
      name: 'Pot',
      method: 'boiling-water',
      insideDiameterIn: 13.25,
      insideHeightIn: 9.5,
      rackHeightIn: 0.6,
      declaredQuarts: 7,
      declaredPints: 9,
    };
    const household = { name: 'Home', altitudeFt: null, units: 'metric', burners: 4, canners: [canner] };
    await server.call('PUT', '/household', household);
    await server.call('PUT', '/household', household);
    expect((await server.call('GET', '/state')).body.household).toMatchObject(household);
    expect(await server.call('PUT', '/household', { ...household, altitudeFt: -12 })).toMatchObject({
      status: 400,
      body: { error: { fields: { altitudeFt: expect.any(String) } } },
    });
  });

  test('what a canner is and what the kitchen has is kept, also when an older page saves its settings', async () => {
    await server.call('PUT', '/household', EXAMPLES.household);
    const { kitchen: _, ownJars: __, ...older } = EXAMPLES.household;
    await server.call('PUT', '/household', older);
    expect((await server.call('GET', '/state')).body.household).toEqual(EXAMPLES.household);
    const [canner] = EXAMPLES.household.canners;
    const electric = { ...EXAMPLES.household, canners: [{ ...canner, method: 'pressure-dial', electric: true }] };
    expect(await server.call('PUT', '/household', electric)).toMatchObject({
      status: 400,
      body: { error: { code: 'invalid' } },
    });
  });

  test('a real household has no clock to move', async () => {
    expect(await server.call('PUT', '/clock', { offsetMs: 1_000 })).toMatchObject({
      status: 409,
      body: { error: { code: 'real-clock' } },
    });
  });
});

describe('the running day', () => {
  const DAY = '2026-08-29';
  const dayEvent = (more: object) => ({ id: uuidV7(), day: DAY, at: START, ...more });

  test('loads dropped on the day give their produce back, new ones can be started, and a repeat is the same write', async () => {
    const basket = pick(30);
    await server.call('POST', '/picks', basket);
    const batch = batchOf(basket.id, 30, [7, 7]);
    await server.call('POST', '/batches', batch);
    const [first, second] = batch.loads;
    const added = { id: uuidV7(), number: 3, jars: 4 };
    const change = dayEvent({ type: 'loads-changed', batchId: batch.id, loads: [added], produceUsed: 0.5 });
    for (const load of batch.loads) await server.fill(load.id, START);
    await server.call('POST', '/kitchen/events', {
      ...{ id: uuidV7(), loadId: first!.id, type: 'load-started', at: START, jars: 7 },
    });
    expect((await server.call('POST', '/kitchen/day-events', change)).status).toBe(201);
    expect((await server.call('POST', '/kitchen/day-events', change)).status).toBe(200);
    // What went in stays; the second load is gone, and half of the produce can be planned again.
    const again = batchOf(basket.id, 15);
    expect((await server.call('POST', '/batches', again)).status).toBe(201);
    expect((await server.call('POST', '/batches', batchOf(basket.id, 1))).status).toBe(409);
    const start = { id: uuidV7(), loadId: added.id, type: 'load-started', at: START, jars: 4 };
    await server.fill(added.id, START);
    expect((await server.call('POST', '/kitchen/events', start)).status).toBe(201);
    // A screen without signal has started the dropped load meanwhile: nothing that was told is lost.
    const late = { id: uuidV7(), loadId: second!.id, type: 'load-started', at: START, jars: 7 };
    expect((await server.call('POST', '/kitchen/events', late)).status).toBe(201);
    const foreign = dayEvent({ type: 'loads-changed', batchId: again.id, loads: [first], produceUsed: 1 });
    expect((await server.call('POST', '/kitchen/day-events', foreign)).status).toBe(409);
  });

  // The National Center, strawberry jam; USDA Complete Guide, 2015, guide 7: jam without pectin, half-pints, 5 min below 1,001 ft.
  test('fruit that is added must be there, and another card comes with its own tested time', async () => {
    const basket = { ...pick(), crop: 'blackberry', massKg: 5, softKg: 0 };
    await server.call('POST', '/picks', basket);
    const way = { product: 'jam-with-pectin', recipe: 'jam-with-pectin/berry', jar: 'half-pint' };
    const batch = { ...batchOf(basket.id, 2, [9], 10), ...way };
    expect((await server.call('POST', '/batches', batch)).status).toBe(201);
    const add = (massKg: number, more = {}) =>
      server.call(
        'POST',
        '/kitchen/day-events',
        dayEvent({
          ...{ type: 'produce-added', batchId: batch.id },
          use: { pickId: basket.id, crop: 'blackberry', massKg, softKg: 0 },
          ...more,
        }),
      );
    expect((await add(2)).status).toBe(201);
    expect(await add(2)).toMatchObject({ status: 409, body: { error: { code: 'not-on-hand' } } });
    expect((await add(1, { batchId: uuidV7() })).status).toBe(404);
    expect((await server.call('POST', '/batches', batchOf(basket.id, 2))).status).toBe(409);
    // 4 kg are reserved by now, of 5: what stays over at the gate is on hand again, once, and not more than was taken.
    const measured = { id: uuidV7(), type: 'measured', batchId: batch.id, taskId: 'crush-measure l', amount: 8 };
    const over = (massKg: number, more = {}) =>
      server.call(
        'POST',
        '/kitchen/day-events',
        dayEvent({ ...measured, left: [{ pickId: basket.id, crop: 'blackberry', massKg, softKg: 0 }], ...more }),
      );
    const cold = { part: 'sound', from: basket.place, kind: 'moved', to: 'refrigerator', at: START };
    const move = { id: uuidV7(), pickId: basket.id, ...cold, massKg: 1.5 };
    expect(await over(4.5, { id: uuidV7() })).toMatchObject({ status: 409, body: { error: { code: 'not-taken' } } });
    expect((await over(0.5, { id: uuidV7(), batchId: uuidV7() })).status).toBe(404);
    for (const wrong of [{ amount: -1 }, { amount: 1e4 }, { loadIds: [] }, { loadIds: ['x'] }, { taskId: '' }]) {
      expect(await over(0.5, { id: uuidV7(), ...wrong })).toMatchObject({
        status: 400,
        body: { error: { code: 'invalid' } },
      });
    }
    expect([(await over(0.5)).status, (await over(0.5)).status]).toEqual([201, 200]);
    expect((await server.call('POST', '/lot-changes', move)).status).toBe(201);
    expect((await server.call('POST', '/batches', batchOf(basket.id, 1.6))).status).toBe(409);
    const other = (processMinutes: number, recipe = 'jam-no-pectin/berry') =>
      server.call(
        'POST',
        '/kitchen/day-events',
        dayEvent({
          ...{ type: 'recipe-changed', batchId: batch.id, product: 'jam-no-pectin', recipe },
          ...{ pack: 'hot', processMinutes },
        }),
      );
    expect(await other(4)).toMatchObject({ status: 422, body: { error: { code: 'too-short' } } });
    expect(await other(30, 'tomato-chile-salsa')).toMatchObject({
      status: 422,
      body: { error: { code: 'not-tested' } },
    });
    expect((await other(30)).status).toBe(201);
    const { dayEvents } = (await server.call('GET', '/state')).body;
    expect(dayEvents.map(({ type }: { type: string }) => type)).toEqual([
      'produce-added',
      'measured',
      'recipe-changed',
    ]);
  });

  test('a day with a load still in its canner is not closed', async () => {
    const basket = pick();
    await server.call('POST', '/picks', basket);
    const batch = batchOf(basket.id, 10);
    await server.call('POST', '/batches', batch);
    const loadId = batch.loads[0]!.id;
    await server.fill(loadId, START);
    await server.call('POST', '/kitchen/events', { id: uuidV7(), loadId, type: 'load-started', at: START, jars: 7 });
    const close = dayEvent({ type: 'day-closed' });
    expect(await server.call('POST', '/kitchen/day-events', close)).toMatchObject({
      status: 422,
      body: { error: { code: 'still-in' } },
    });
    const { dayEvents } = (await server.call('GET', '/state')).body;
    expect(dayEvents.filter(({ type }: { type: string }) => type === 'day-closed')).toEqual([]);
  });

  test('jars that broke are no longer asked for at the seal check, and unsealed ones can go in again', async () => {
    const loadId = await cooledLoad();
    const broke = { id: uuidV7(), loadId, type: 'jars-left', at: START + 81 * MIN, jars: 6 };
    await server.call('POST', '/kitchen/events', broke);
    const check = sealCheck(loadId, [true, true, true, true, false, false]);
    const again = { ...check, unsealed: 'reprocess' };
    expect((await server.call('POST', '/kitchen/events', again)).status).toBe(201);
    const { lots } = (await server.call('GET', '/state')).body;
    expect(lots).toEqual([expect.objectContaining({ place: 'shelf' })]);
  });

  test('whoever listens hears of every write', async () => {
    const heard = new AbortController();
    const reply = await fetch(`${server.address}/api/changes`, { signal: heard.signal });
    expect(reply.headers.get('content-type')).toBe('text/event-stream');
    const lines = reply.body!.pipeThrough(new TextDecoderStream()).getReader();
    expect((await lines.read()).value).toContain('data: here');
    await server.call('POST', '/picks', pick());
    expect((await lines.read()).value).toContain('"picks":{"gone":[],"put":[');
    heard.abort();
  });
});

test('everything is there after a restart', async () => {
  const check = sealCheck(await cooledLoad(), Array(7).fill(true));
  await server.call('POST', '/kitchen/events', check);
  const before = (await server.call('GET', '/state')).body;
  await server.stop();
  server = await startServer(server.file);
  expect((await server.call('GET', '/state')).body).toEqual(before);
});

test.each([
  ['an unknown address', 'GET', '/nowhere', undefined, 404],
  ['no body', 'POST', '/picks', undefined, 400],
  ['a body that is a list', 'POST', '/picks', [], 400],
  [
    'an event of a load that is not there',
    'POST',
    '/kitchen/events',
    { id: uuidV7(), loadId: uuidV7(), type: 'boil-lost', at: START },
    404,
  ],
  ['more than a megabyte', 'POST', '/picks', { told: 'x'.repeat(1_100_000) }, 413],
])('%s is answered with a code and a sentence, never a stack', async (_, method, path, body, status) => {
  const reply = await server.call(method, path, body);
  expect([reply.status, Object.keys(reply.body), typeof reply.body.error.code]).toEqual([status, ['error'], 'string']);
  expect(JSON.stringify(reply.body)).not.toMatch(/at \w+ \(|node_modules/);
});
