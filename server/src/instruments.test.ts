import { connect, type AddressInfo, type Server, type Socket } from 'node:net';
import { createServer as createHttp } from 'node:http';
import { drawsFrom } from '@hoddle/core/math/draws';
import { v7 as uuidV7 } from 'uuid';
import { WebSocket } from 'ws';
import { ownHosts } from './access/hosts';
import { socketDoor } from './instruments/socketDoor';
import { tcpDoor } from './instruments/tcpDoor';
import { startServer } from './testServer';

const MIN = 60_000;
const START = Date.UTC(2026, 7, 29, 14);
/** NOAA/US Standard Atmosphere and steam tables: at 3,420 ft water boils at 205.8 F. */
const BOIL_F = 205.8;

let now = START;
let server: Awaited<ReturnType<typeof startServer>>;
let wires: Server;
let doors: ReturnType<typeof socketDoor>;
let webPort = 0;
const opened: { end: () => void }[] = [];

beforeEach(async () => {
  now = START;
  server = await startServer(undefined, { now: () => now });
  wires = tcpDoor(server.watch.hub, server.pairing);
  doors = socketDoor({ hub: server.watch.hub, pairing: server.pairing, hosts: () => ownHosts('127.0.0.1') });
  const web = createHttp();
  doors.serve(web);
  await Promise.all([wires, web].map((each) => new Promise<void>((is) => each.listen(0, '127.0.0.1', () => is()))));
  webPort = (web.address() as AddressInfo).port;
  opened.push({ end: () => web.close() });
});
afterEach(async () => {
  for (const each of opened.splice(0)) each.end();
  doors.close();
  await new Promise((closed) => wires.close(closed));
  await server.stop();
});

/** A client that knows nothing of the server's code: it writes lines and reads lines, as docs/devices.md has them. */
async function client(hello: object | string = { type: 'hello' }) {
  const socket: Socket = connect((wires.address() as AddressInfo).port, '127.0.0.1');
  const heard: { type: string; [more: string]: unknown }[] = [];
  let rest = '';
  const waiting: (() => void)[] = [];
  socket.on('data', (data) => {
    const lines = (rest + data.toString()).split('\n');
    rest = lines.pop() ?? '';
    heard.push(...lines.map((line) => JSON.parse(line) as { type: string }));
    waiting.splice(0).forEach((go) => go());
  });
  let isClosed = false;
  socket.on('close', () => {
    isClosed = true;
    waiting.splice(0).forEach((go) => go());
  });
  socket.on('error', () => undefined);
  await new Promise((is) => socket.once('connect', is));
  const write = (line: object | string) => socket.write(`${typeof line === 'string' ? line : JSON.stringify(line)}\n`);
  opened.push({ end: () => socket.destroy() });
  const until = async (isSo: () => boolean) => {
    while (!isSo() && !isClosed) await new Promise<void>((go) => waiting.push(go));
  };
  write(hello);
  await until(() => heard.length > 0);
  return {
    heard,
    write,
    until,
    isOver: () => isClosed,
    /** All that was written before is taken: what follows is set aside, and said. */
    async flush() {
      const before = heard.length;
      write({ type: 'reading', id: `nobody-${Math.random()}`, at: now, value: 1 });
      await until(() => heard.slice(before).some(({ why }) => why === 'unannounced'));
    },
  };
}

const probe = { type: 'announce', id: 'p1', name: 'Probe', kind: 'probe', unit: 'F', step: 0.1 };

async function instruments() {
  await server.watch.look();
  return (await server.call('GET', '/instruments')).body;
}

test('an instrument is paired by a code like a phone, over TCP and WebSocket; it tells, and sees nothing; shut out it is heard no more', async () => {
  const { code } = server.pairing.openCode('instrument');
  const wrong = await client({ type: 'pair', code: 'AAAA-AAAA', name: 'Scale' });
  expect(wrong.heard).toEqual([{ type: 'refused', message: expect.any(String) }]);
  const paired = await client({ type: 'pair', code, name: 'Scale' });
  const { key } = paired.heard[0] as unknown as { key: string };
  expect(paired.heard[0]).toMatchObject({ type: 'paired', now: START });
  // The same code twice is no code.
  expect((await client({ type: 'pair', code, name: 'Other' })).heard[0]).toMatchObject({ type: 'refused' });
  expect((await client({ type: 'hello', key: `${key}x` })).heard[0]).toMatchObject({ type: 'refused' });
  const again = await client({ type: 'hello', key });
  expect(again.heard[0]).toMatchObject({ type: 'welcome' });

  const web = new WebSocket(`ws://127.0.0.1:${webPort}/instruments`);
  opened.push({ end: () => web.terminate() });
  const said: string[] = [];
  const first = new Promise<void>((is) => web.on('message', (data: Buffer) => is(void said.push(data.toString()))));
  await new Promise((is) => web.once('open', is));
  web.send(JSON.stringify({ type: 'hello', key }));
  await first;
  expect(JSON.parse(said[0] ?? '')).toMatchObject({ type: 'welcome', now: START });
  // A page of another origin is not even answered.
  const foreign = new WebSocket(`ws://127.0.0.1:${webPort}/instruments`, { origin: 'http://elsewhere.example' });
  await expect(new Promise((is, not) => foreign.once('open', is).once('error', not))).rejects.toThrow();

  const cookie = `hoddle_key=${key}`;
  const { port } = new URL(server.address);
  const asked = await fetch(`http://localhost:${port}/api/state`, { headers: { cookie, via: '1.1 proxy' } });
  expect(asked.status).toBe(403);

  again.write(probe);
  again.write({ type: 'reading', id: 'p1', at: now, value: 180 });
  await again.flush();
  expect(await instruments()).toMatchObject({ instruments: [{ id: 'p1', last: { value: 180 }, isLost: false }] });
  await server.pairing.revoke(key.split('.')[0] ?? '');
  again.write({ type: 'reading', id: 'p1', at: now, value: 190 });
  await again.until(() => again.isOver());
  expect(await instruments()).toMatchObject({ instruments: [{ last: { value: 180 }, isLost: true }] });
});

test('nonsense, huge lines, wrong units, floods, clocks an hour off, two of one name: said, set aside, and the rest goes on', async () => {
  expect((await client('POST / HTTP/1.1')).heard).toEqual([{ type: 'refused', message: expect.any(String) }]);
  const own = await client();
  own.write('{{{');
  own.write('x'.repeat(200_000));
  own.write({ ...probe, unit: 'kg' });
  own.write(probe);
  own.write({ ...probe, id: 'p2', name: ' probe ' });
  // An hour behind, and told: what it kept is dated by that.
  own.write({ ...probe, id: 'p3', name: 'Other', at: now - 60 * MIN });
  own.write({ type: 'reading', id: 'p3', at: now - 61 * MIN, value: 100 });
  own.write({ type: 'reading', id: 'p3', at: now - 60 * MIN, value: 101 });
  for (let k = 0; k < 500; k++) own.write({ type: 'reading', id: 'p1', at: now + k / 1_000, value: 200 });
  own.write({ type: 'reading', id: 'p1', at: now + 2_000, value: 4_000 });
  await own.flush();
  expect(own.heard.flatMap(({ why }) => why ?? [])).toEqual(
    expect.arrayContaining(['nonsense', 'too-long', 'wrong-unit', 'too-many', 'cannot-be']),
  );
  const { instruments: told } = await instruments();
  expect(told).toMatchObject([
    { id: 'p1', sharesName: true, setAside: { 'too-many': 450, 'cannot-be': 1 }, last: { value: 200 } },
    { id: 'p2', sharesName: true },
    { id: 'p3', sharesName: false, clockBehindMs: 60 * MIN, last: { at: START, value: 101 } },
  ]);
  for (let k = 0; k < 250; k++) own.write('nonsense again');
  await own.until(() => own.isOver());
  expect(own.heard.at(-1)).toMatchObject({ type: 'refused' });
});

/** Crushed tomatoes in quarts, 3,420 ft: 55 min. USDA Complete Guide 2015, guide 3, as recalled. */
async function loadIn(startsClock: 'tap' | 'probe') {
  const cannerId = uuidV7();
  const { household } = (await server.call('GET', '/state')).body;
  const at = { at: 'canner', cannerId };
  const places = ['p1', 'p2'].map((id) => ({ id, name: id, place: at }));
  const settings = { ...household, altitudeFt: 3_420, instruments: { places, containers: [], startsClock } };
  expect((await server.call('PUT', '/household', settings)).status).toBe(200);
  const basket = { id: uuidV7(), crop: 'tomato-paste', massKg: 30, softKg: 0, ripeness: 'ripe', place: 'cool' };
  await server.call('POST', '/picks', {
    ...basket,
    ...{ pickedAt: START, told: '66 lb', source: 'garden', plantingId: null },
  });
  const loadId = uuidV7();
  const batch = {
    ...{ id: uuidV7(), product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water' },
    ...{ altitudeFt: 3_420, processMinutes: 55, cannerId, startAt: START },
    uses: [{ pickId: basket.id, massKg: 10, softKg: 0 }],
    loads: [{ id: loadId, number: 1, jars: 7 }],
  };
  expect((await server.call('POST', '/batches', batch)).status).toBe(201);
  await server.fill(loadId, START);
  const tell = (type: string, more: object = {}) =>
    server.call('POST', '/kitchen/events', { id: uuidV7(), loadId, type, at: now, ...more });
  expect((await tell('load-started', { jars: 7 })).status).toBe(201);
  const own = await client();
  own.write({ ...probe, at: now });
  // A second one hangs over the rim of the same pot: what it reads is no part of the first one's curve.
  own.write({ ...probe, id: 'p2', name: 'Beside it', unit: 'C', at: now });
  const { normal } = drawsFrom(24);
  /** Five readings a second of a curve, and a look each second. */
  const goOn = async (seconds: number, warmF: (second: number) => number) => {
    for (let second = 0; second < seconds; second++) {
      for (let k = 0; k < 5; k++) {
        const value = warmF(second + k / 5) + 0.5 * normal();
        own.write({ type: 'reading', id: 'p1', at: now + 200 * k, value });
        own.write({ type: 'reading', id: 'p2', at: now + 200 * k, value: 40 });
      }
      now += 1_000;
      if (second % 5 === 4 || second === seconds - 1) {
        await own.flush();
        await server.watch.look();
      }
    }
  };
  const seal = (more: object = {}) =>
    tell('seal-checked', { sealed: Array(7).fill(true), sealedLotId: uuidV7(), unsealedLotId: uuidV7(), ...more });
  const calls = async () => (await server.call('GET', '/instruments')).body.calls;
  return { loadId, tell, goOn, seal, calls };
}

const rise = (second: number) => Math.min(BOIL_F, 170 + second / 8);

test('a boil is found and called, the clock waits for the tap; lost it is called; the kept curve keeps jars of a short load from the shelf', async () => {
  const { loadId, tell, goOn, seal, calls } = await loadIn('tap');
  await goOn(200, rise);
  expect(await calls()).toEqual([]);
  await goOn(170, (second) => rise(200 + second));
  expect(await calls()).toMatchObject([{ loadId, kind: 'boil-found', instrument: 'p1' }]);
  expect((await server.call('GET', '/state')).body.events.map(({ type }: { type: string }) => type)).toEqual([
    'load-started',
  ]);
  await tell('boil-reached');
  await goOn(120, () => BOIL_F);
  expect(await calls()).toEqual([]);
  await goOn(90, (second) => BOIL_F - second / 15);
  expect(await calls()).toMatchObject([
    { loadId, kind: 'boil-lost', instrument: 'p1' },
    { loadId, kind: 'elsewhere', instrument: 'p2' },
  ]);
  // Nobody answered, and the heat came back by itself.
  await goOn(120, (second) => Math.min(BOIL_F, BOIL_F - 6 + second / 20));
  now += 51 * MIN;
  await tell('heat-off');
  now += 5 * MIN;
  await tell('jars-out');
  await server.watch.look();
  const { curves } = (await server.call('GET', '/state')).body;
  expect(Math.min(...curves[0].points.map(([, tenths]: [number, number]) => tenths / 10))).toBeGreaterThan(165);
  expect(curves).toMatchObject([{ id: loadId, instrument: 'p1', measures: 'F', wants: expect.closeTo(BOIL_F, 0) }]);
  now += 14 * 60 * MIN;
  expect(await seal()).toMatchObject({ status: 422, body: { error: { code: 'boil-short' } } });
  expect((await seal({ curveSeen: true })).status).toBe(201);
});

test('where the household lets a probe begin the clock, its jars go to no shelf until somebody has said that it boils', async () => {
  const { tell, goOn, seal } = await loadIn('probe');
  await goOn(370, rise);
  const { events } = (await server.call('GET', '/state')).body;
  // Once, however often it is looked at, with the minutes of the table.
  expect(events.slice(1)).toMatchObject([{ type: 'boil-reached', by: 'probe', tested: 55 }]);
  now += 56 * MIN;
  await tell('heat-off');
  now += 5 * MIN;
  await tell('jars-out');
  now += 14 * 60 * MIN;
  expect(await seal()).toMatchObject({ status: 422, body: { error: { code: 'boil-unseen' } } });
  expect((await seal({ curveSeen: true })).status).toBe(422);
  expect((await tell('boil-seen')).status).toBe(201);
  expect((await seal()).status).toBe(201);
});
