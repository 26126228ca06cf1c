import { randomBytes } from 'node:crypto';
import ICAL from 'ical.js';
import { v7 as uuidV7 } from 'uuid';
import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { createLog } from './log';
import { type Paper } from '@hoddle/core/formats/paper/paper';
import { checkedPdf, pagesOfPdf, wordsOfPdf } from './paper/outsidePrograms';
import { startServer } from './testServer';

const NOW = Date.UTC(2026, 7, 29, 14);
const HOUR = 3_600_000;
let clockMs = NOW;
let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => {
  clockMs = NOW;
  server = await startServer(undefined, { now: () => clockMs });
});
afterEach(() => server.stop());

const raw = (path: string) => fetch(server.address + path, { redirect: 'manual' });
const key = () => randomBytes(32).toString('base64url');

async function opened(content: object, until: number | null = null) {
  const request = { id: uuidV7(), name: 'For the neighbours', key: key(), until, content };
  const reply = await server.call('POST', '/open-addresses', request);
  return { request, reply, path: `/open/${request.key}` };
}

/** A batch of applesauce in Denver, and what else the calendar tells. */
async function household() {
  const { household: own } = (await server.call('GET', '/state')).body;
  const canner = {
    ...{ id: uuidV7(), name: 'Big pot', method: 'boiling-water', insideDiameterIn: 13.25, insideHeightIn: 10.5 },
    ...{ rackHeightIn: 0.6, declaredQuarts: 7, declaredPints: 9 },
  };
  const kitchen = { ...own.kitchen, timeZone: 'America/Denver' };
  await server.call('PUT', '/household', { ...own, altitudeFt: 800, canners: [canner], kitchen });
  const batch = {
    ...{ id: uuidV7(), product: 'applesauce', jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 800 },
    ...{ processMinutes: 20, cannerId: canner.id, startAt: NOW + 20 * HOUR, uses: [] },
    loads: [{ id: uuidV7(), number: 1, jars: 7 }],
  };
  expect((await server.call('POST', '/batches', batch)).status).toBe(201);
  const lot = { ...EXAMPLES.jarsIn.rows[0].lot, id: uuidV7() };
  expect((await server.call('POST', '/jars-in', { id: uuidV7(), rows: [{ lot, jars: 7 }], at: NOW })).status).toBe(201);
  return { batch, lot };
}

async function calendar(path: string) {
  const reply = await raw(path);
  expect([reply.status, reply.headers.get('content-type')]).toEqual([200, expect.stringContaining('text/calendar')]);
  const all = new ICAL.Component(ICAL.parse(await reply.text())).getAllSubcomponents('vevent');
  return new Map(
    all.map((each) => {
      const event = new ICAL.Event(each);
      const status = each.getFirstPropertyValue('status');
      return [event.uid, { title: event.summary, start: event.startDate.toString(), sequence: event.sequence, status }];
    }),
  );
}

test('a calendar is followed by its own address: what moves keeps its UID with the next sequence, what is given up is called off', async () => {
  const { batch, lot } = await household();
  const { path, request } = await opened({ kind: 'calendar', parts: ['days', 'steps', 'calls', 'jars'] });
  const first = await calendar(`${path}.ics`);
  const dayOf = (told: typeof first) => told.get(`day-${batch.id}@hoddle`);
  expect(dayOf(first)).toEqual({
    ...{ title: 'Preserving: applesauce', start: '2026-08-30T04:00:00', sequence: 0, status: 'CONFIRMED' },
  });
  expect(first.get(`jars-${lot.id}@hoddle`)).toMatchObject({ title: expect.stringMatching(/^Best by today: 7 /) });
  const steps = [...first].filter(([uid]) => uid.startsWith('step-'));
  expect(steps.length).toBeGreaterThan(5);
  expect(new Set(steps.map(([, { title }]) => title)).size).toBeGreaterThan(4);
  // Looked at again, nothing has changed.
  expect(await calendar(`${path}.ics`)).toEqual(first);
  // As a file of only the days it is the same entry.
  expect(dayOf(await calendar('/api/calendar?parts=days'))).toEqual(dayOf(first));

  await server.call('POST', '/kitchen/day-events', {
    ...{ id: uuidV7(), day: '2026-08-30', at: NOW, type: 'wish-made' },
    wish: { kind: 'not-before', at: batch.startAt + 2 * HOUR },
  });
  const moved = await calendar(`${path}.ics`);
  expect([...moved.keys()].sort()).toEqual([...first.keys()].sort());
  expect(dayOf(moved)).toMatchObject({ start: '2026-08-30T06:00:00', sequence: 1, status: 'CONFIRMED' });

  // Past midnight it is still what was planned, and not called off.
  clockMs = batch.startAt + 26 * HOUR;
  expect(dayOf(await calendar(`${path}.ics`))).toEqual(dayOf(moved));
  clockMs = NOW;

  expect((await server.call('DELETE', `/batches/${batch.id}`)).status).toBe(204);
  const without = await calendar(`${path}.ics`);
  expect(dayOf(without)).toMatchObject({ sequence: 2, status: 'CANCELLED' });
  expect(without.get(`jars-${lot.id}@hoddle`)).toMatchObject({ sequence: 0, status: 'CONFIRMED' });

  // Over a restart it is known what was told; taken back, it is over.
  const { file } = server;
  await server.stop();
  server = await startServer(file, { now: () => clockMs });
  expect(dayOf(await calendar(`${path}.ics`))).toMatchObject({ sequence: 2 });
  expect((await server.call('DELETE', `/open-addresses/${request.id}`)).status).toBe(204);
  const over = await raw(`${path}.ics`);
  expect([over.status, await over.text()]).toEqual([410, expect.stringContaining('not open any more')]);
  expect((await raw(`/open/${key()}.ics`)).status).toBe(404);
});

const shelf: Paper = {
  title: 'On the shelf <script>alert(1)</script>',
  note: 'for “Ann & Joe”',
  parts: [
    { kind: 'heading', words: 'Cellar' },
    { kind: 'list', tick: true, items: [{ words: '7 quarts plums', note: 'oldest first' }] },
    {
      kind: 'table',
      columns: [
        { words: 'What', share: 70 },
        { words: 'Jars', share: 30 },
      ],
      rows: [[{ words: 'ריבת שזיפים' }, { words: '12' }]],
    },
  ],
  foot: 'Oldest first.',
  recipe: { '@context': 'https://schema.org', '@type': 'Recipe', name: '</script><b>' },
};

test('a page is open as long as one said, without a key, runs nothing, and is the same on paper', async () => {
  const until = Date.now() + HOUR;
  const { path, reply, request } = await opened({ kind: 'page', paper: shelf, page: 'a4' }, until);
  expect(reply).toMatchObject({ status: 201, body: { kind: 'page', until, name: 'For the neighbours' } });
  expect(JSON.stringify(reply.body)).not.toContain(request.key);
  // The same once more is the same; another key under its id is not.
  expect((await server.call('POST', '/open-addresses', request)).status).toBe(200);
  expect((await server.call('POST', '/open-addresses', { ...request, key: key() })).status).toBe(409);
  const page = await raw(path);
  const html = await page.text();
  expect(page.headers.get('content-security-policy')).toContain("default-src 'none'");
  expect([page.headers.get('cache-control'), page.headers.get('referrer-policy')]).toEqual(['no-store', 'no-referrer']);
  expect(html).not.toMatch(/<script>alert|<\/script><b>/);
  for (const words of ['&lt;script&gt;', 'for “Ann &amp; Joe”', 'ריבת שזיפים', 'Open until'])
    expect(html).toContain(words);
  const [, jsonLd = ''] = /<script type="application\/ld\+json">(.*?)<\/script>/.exec(html) ?? [];
  expect(JSON.parse(jsonLd)).toEqual(shelf.recipe);
  const pdf = Buffer.from(await (await raw(`${path}.pdf`)).arrayBuffer());
  expect(checkedPdf(pdf)).toContain('No syntax or stream encoding errors found');
  expect(wordsOfPdf(pdf)).toMatch(/7 quarts plums[\s\S]*oldest first[\s\S]*12/);
  // As somebody of the home network who was never let in.
  const asGuest = await fetch(server.address + path, { headers: { 'x-forwarded-for': '192.168.1.77' } });
  expect(asGuest.status).toBe(200);
  expect(
    (await fetch(`${server.address}/api/open-addresses`, { headers: { 'x-forwarded-for': '192.168.1.77' } })).status,
  ).toBe(401);
  const past = await opened({ kind: 'page', paper: shelf, page: 'a4' }, Date.now() - 1);
  expect((await raw(past.path)).status).toBe(410);
});

test('the log of a busy day names no open address', async () => {
  const lines: string[] = [];
  const log = createLog('debug', { write: (line) => void lines.push(line) });
  await server.stop();
  server = await startServer(undefined, { now: () => clockMs }, { log });
  const { path, request } = await opened({ kind: 'page', paper: shelf, page: 'a4' });
  for (const ending of ['', '.pdf', '.ics', '?x=1']) await raw(path + ending);
  await raw('/open/x.ics');
  // A request is logged when its answer is out, which may be after it has come.
  const told = () => lines.filter((line) => line.includes('/open/')).length;
  while (told() < 5) await new Promise(setImmediate);
  expect(lines.join('')).not.toContain(request.key);
});

test.each([
  ['a key that is guessed', { key: 'plums' }],
  ['a calendar of nothing', { content: { kind: 'calendar', parts: [] } }],
  ['a page of another kind', { content: { kind: 'letter' } }],
  ['a name that is none', { name: ' ' }],
])('%s opens no address', async (_, part) => {
  const request = { ...EXAMPLES.openAddressRequest, id: uuidV7(), key: key(), ...part };
  expect((await server.call('POST', '/open-addresses', request)).status).toBe(400);
});

test('a long table goes on with its head on every sheet; a day of 90 steps stands on one', async () => {
  const row = (n: number) => [
    { words: `Step ${n}` },
    { words: 'Pour boiling water over the jars', note: '2 Tbsp bottled lemon juice' },
  ];
  const table = (rows: number) => ({
    ...{ title: 'Rows', page: 'letter' },
    parts: [
      {
        kind: 'table',
        columns: [
          { words: 'Whenever', share: 20 },
          { words: 'What', share: 80 },
        ],
        rows: Array.from({ length: rows }, (_, n) => row(n)),
      },
    ],
  });
  const pdfOf = async (paper: object) => {
    const init = {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ paper, page: 'letter' }),
    };
    return Buffer.from(await (await fetch(`${server.address}/api/papers`, init)).arrayBuffer());
  };
  const long = await pdfOf(table(200));
  const sheets = pagesOfPdf(long, 10).length;
  expect(sheets).toBeGreaterThan(4);
  const text = wordsOfPdf(long);
  expect(text.split('Whenever').length - 1).toBe(sheets);
  for (let n = 0; n < 200; n += 1) expect(text).toMatch(new RegExp(`Step ${n}\\b`));
  const one = await pdfOf({ ...table(90), onePage: true });
  expect(pagesOfPdf(one, 10)).toHaveLength(1);
  expect(wordsOfPdf(one)).toContain('Step 89');
});
