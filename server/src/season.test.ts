import pino from 'pino';
import { type SeasonPlanReply } from '@hoddle/contract/season';
import { fennickHollow } from './demo/fennickHollow';
import { fillHousehold } from './backup/insertHousehold';
import { type SeasonOutcome } from './season/planHousehold';
import { SeasonJobs } from './season/seasonJobs';
import { startServer } from './testServer';

const NOW = new Date(2026, 7, 29, 7, 40);
const ID = '0198f3a0-0000-7000-8000-00000000b00';

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer(undefined, { now: () => NOW.getTime() })));
afterEach(() => server.stop());

/** Fennick Hollow on its Saturday morning, on this clock. */
async function atFennickHollow(): Promise<void> {
  const { demoNow: _, ...data } = fennickHollow(NOW);
  await fillHousehold(server.db, { ...data, demoOffsetMs: null });
}

const ask = (body: object) => server.call('POST', '/season-plans', body);
const look = async (id: string) => (await server.call('GET', `/season-plans/${id}`)).body as SeasonPlanReply;

/** Looks until the planning is over. */
async function outcome(id: string): Promise<SeasonPlanReply> {
  for (;;) {
    const reply = await look(id);
    if (reply.state !== 'planning') return reply;
    await new Promise((later) => setTimeout(later, 50));
  }
}

test('a season is planned from the household, and the plan is kept once it is taken', async () => {
  await atFennickHollow();
  const first = await ask({ id: `${ID}1`, weeks: 12, seconds: 30 });
  expect([first.status, first.body.state]).toEqual([202, 'planning']);
  const { state, report, bound } = await outcome(`${ID}1`);
  expect(state).toBe('done');
  expect(report?.jars).toBeGreaterThan(40);
  expect(bound).toBeGreaterThanOrEqual((report?.worth ?? Infinity) - 1e-6);
  // Saturdays and Wednesday evenings, as the household gives them.
  for (const { at } of report?.days ?? []) expect([3, 6]).toContain(new Date(at).getDay());
  // Sour cherries are over: said, not planned.
  expect(report?.leftOut.map(({ product }) => product)).toContain('cherries-whole');
  for (const { want, have, planned, range } of report?.goals ?? []) {
    expect(range.p10).toBeLessThanOrEqual(range.p50);
    expect(range.p90).toBeLessThanOrEqual(have + planned);
    expect(want).toBeGreaterThan(0);
  }
  const { season: before } = (await server.call('GET', '/state')).body;
  expect(before.plan).toBeNull();
  const pins = [{ day: report?.days[0]?.day, recipe: report?.days[0]?.batches[0]?.recipe, jars: 3 }];
  expect((await server.call('PUT', '/season-plan', { plan: report, pins })).status).toBe(200);
  await server.call('PUT', '/shopping-ticks', { key: 'sugar kg', ticked: true });
  await server.call('PUT', '/shopping-ticks', { key: 'sugar kg', ticked: true });
  const { season } = (await server.call('GET', '/state')).body;
  expect(season).toMatchObject({ plan: report, pins, ticked: ['sugar kg'] });
  await server.call('PUT', '/shopping-ticks', { key: 'sugar kg', ticked: false });
  expect((await server.call('GET', '/state')).body.season.ticked).toEqual([]);
});

test('asked twice under one id it is one planning; stopped, it ends with what it has', async () => {
  const told: ((news: { seconds: number; worth: number }) => void)[] = [];
  let stopped = 0;
  let end: (outcome: SeasonOutcome) => void = () => undefined;
  const jobs = new SeasonJobs(
    (_, onNews) => {
      told.push(onNews);
      return { outcome: new Promise((ended) => (end = ended)), stop: () => (stopped += 1) };
    },
    pino({ level: 'silent' }),
  );
  const task = { state: {} as never, request: { weeks: 4, seconds: 9, cautious: false } };
  jobs.start('a', task);
  expect(jobs.start('a', task)).toEqual(jobs.reply('a'));
  expect(told).toHaveLength(1);
  told[0]?.({ seconds: 1.5, worth: 40 });
  expect(jobs.reply('a')).toMatchObject({ state: 'planning', seconds: 1.5, worth: 40, bound: null });
  jobs.stop('a');
  jobs.stop('unknown');
  expect(stopped).toBe(1);
  end({ kind: 'nothing', message: 'Nothing.' });
  await new Promise((later) => setImmediate(later));
  expect(jobs.reply('a')).toMatchObject({ state: 'done', message: 'Nothing.' });
});

test.each([
  ['no altitude', async () => undefined, 'altitude'],
  [
    'no goals',
    async () => {
      await atFennickHollow();
      await server.db.write((transaction) => server.db.tables.goals.destroy({ where: {}, transaction }));
    },
    'No jars are wanted yet',
  ],
  [
    'no days',
    async () => {
      await atFennickHollow();
      await server.call('PUT', '/season-days', { weekly: [], notOn: [], mostAWeek: 2, freezerBags: 10 });
    },
    'No days are given',
  ],
  [
    'only what is not tested',
    async () => {
      await atFennickHollow();
      await server.db.write((transaction) => server.db.tables.goals.destroy({ where: {}, transaction }));
      await server.call('PUT', '/goals', { product: 'pickled-beets', jar: 'half-gallon', jars: 9, perMonth: null });
    },
    'Nothing that is wanted can be made here',
  ],
])('%s: why there is no plan is a sentence', async (_, prepare, words) => {
  await prepare();
  await ask({ id: `${ID}3`, seconds: 2 });
  const { state, report, message } = await outcome(`${ID}3`);
  expect([state, report]).toEqual(['done', null]);
  expect(message).toContain(words);
});

test('a planning that the server does not know of is a 404, and a question that makes no sense a 400', async () => {
  expect((await server.call('GET', `/season-plans/${ID}9`)).status).toBe(404);
  expect((await ask({ id: `${ID}4`, weeks: 0 })).body.error.message).toContain('1 or more');
  expect((await ask({ id: `${ID}4`, whatIf: 'snow' })).status).toBe(400);
  const hours = [{ weekday: 6, fromMin: 600, toMin: 480 }];
  const { status, body } = await server.call('PUT', '/season-days', {
    weekly: hours,
    notOn: [],
    mostAWeek: 2,
    freezerBags: 1,
  });
  expect([status, body.error.message]).toEqual([400, expect.stringContaining('must begin before they end')]);
});

test('a planning that breaks, or runs out of memory, says so and is over', async () => {
  const broken = () => ({ outcome: Promise.reject(new Error('ERR_WORKER_OUT_OF_MEMORY')), stop: () => undefined });
  const jobs = new SeasonJobs(broken, pino({ level: 'silent' }));
  const request = { weeks: 4, seconds: 1, cautious: false };
  expect(jobs.start('a', { state: {} as never, request }).state).toBe('planning');
  await new Promise((later) => setImmediate(later));
  expect(jobs.reply('a')).toMatchObject({ state: 'failed', report: null });
  expect(jobs.reply('a')?.message).toContain('The plan before is kept');
});
