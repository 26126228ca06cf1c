import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parse } from 'csv-parse/sync';
import { BACKUP_VERSION } from '@hoddle/contract/backup';
import { sumOf } from './backup/householdData';
import { fillHousehold } from './backup/insertHousehold';
import { fennickHollow } from './demo/fennickHollow';
import { backupsOf } from './db/openDatabase';
import { newFile, startServer } from './testServer';

type Server = Awaited<ReturnType<typeof startServer>>;
let server: Server;
/** Others that a test has started. */
let others: Server[] = [];
beforeEach(async () => (server = await startServer()));
afterEach(async () => {
  await Promise.all([server, ...others].map((each) => each.stop()));
  others = [];
});

const NOW = Date.UTC(2026, 7, 29);
const id = (n: number) => `0198f3a0-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
const lot = (n: number, more = {}) => ({
  ...{ id: id(n), product: 'tomatoes-crushed', jar: 'quart', place: 'shelf', seal: 'sealed' },
  ...{ madeAt: Date.UTC(2026, 6, 1), keepsUntil: Date.UTC(2027, 6, 1), ...more },
});
const putIn = (n: number, jars: number, to = server) =>
  to.call('POST', '/jars-in', { id: id(900_000 + n), at: NOW, rows: [{ lot: lot(n), jars }] });
let next = 1_000;
const move = (lotNumber: number, kind: string, jars = 1, more = {}) => ({
  ...{ id: id((next += 1)), lotId: id(lotNumber), kind, jars, at: NOW, ...more },
});
const post = (movement: object) => server.call('POST', '/movements', movement);

/** Without the API's document held against every answer: there are ten thousand. */
const quickly = (movement: object) =>
  fetch(`${server.address}/api/movements`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(movement),
  });

async function jarsOf(of: Server, lotId: string): Promise<number> {
  const { body } = await of.call('GET', '/state');
  const { jarsBefore = 0 } = body.lots.find((each: { id: string }) => each.id === lotId) ?? {};
  const undone = new Set(body.movements.map(({ undoes }: { undoes?: string }) => undoes));
  return body.movements
    .filter((each: { id: string; kind: string }) => !['undone', 'short'].includes(each.kind) && !undone.has(each.id))
    .reduce((sum: number, each: { lotId: string; intoLotId?: string; kind: string; jars: number }) => {
      if (each.intoLotId === lotId) return sum + each.jars;
      if (each.lotId !== lotId) return sum;
      return ['stored', 'returned', 'found'].includes(each.kind) ? sum + each.jars : sum - each.jars;
    }, jarsBefore);
}

test('10,000 random operations of 8 hands at once: no lot ever holds fewer than none, and the file says what the answers said', async () => {
  for (let n = 1; n <= 6; n++) await putIn(n, 30);
  let seed = 8;
  const random = (below: number) => (seed = (seed * 48_271) % 2_147_483_647) % below;
  // By lot, what the accepted movements add up to.
  const sums = new Map(Array.from({ length: 6 }, (_, i) => [id(i + 1), 30]));
  const taken: { id: string; lotId: string; jars: number; undone: boolean }[] = [];
  let refused = 0;
  const hand = async () => {
    for (let i = 0; i < 10_000 / 8; i++) {
      const n = 1 + random(6);
      const kind = ['taken', 'taken', 'given', 'broken', 'returned', 'found', 'undone'][random(7)] ?? 'taken';
      const target = taken[random(Math.max(1, taken.length))];
      const movement =
        kind === 'undone' && target
          ? { ...move(n, kind), lotId: target.lotId, undoes: target.id }
          : move(n, kind === 'undone' ? 'taken' : kind, 1 + random(3));
      const { status } = await quickly(movement);
      if (status === 409) refused += 1;
      else expect(status).toBe(201);
      if (status !== 201) continue;
      const sign = ['returned', 'found'].includes(movement.kind) ? 1 : -1;
      if (movement.kind !== 'undone') {
        sums.set(movement.lotId, (sums.get(movement.lotId) ?? 0) + sign * movement.jars);
        if (sign < 0) taken.push({ id: movement.id, lotId: movement.lotId, jars: movement.jars, undone: false });
      } else if (target && !target.undone) {
        target.undone = true;
        sums.set(target.lotId, (sums.get(target.lotId) ?? 0) + target.jars);
      }
    }
  };
  await Promise.all(Array.from({ length: 8 }, hand));
  expect(refused).toBeGreaterThan(100);
  for (const [lotId, jars] of sums) {
    expect(jars).toBeGreaterThanOrEqual(0);
    expect(await jarsOf(server, lotId)).toBe(jars);
  }
  // Read anew from the file, it is the same.
  const { file } = server;
  await server.stop();
  server = await startServer(file);
  for (const [lotId, jars] of sums) expect(await jarsOf(server, lotId)).toBe(jars);
});

test('taking more than there is is answered with how many are left; a movement sent again is the same one', async () => {
  await putIn(1, 3);
  const took = move(1, 'taken', 2);
  expect([(await post(took)).status, (await post(took)).status]).toEqual([201, 200]);
  const { status, body } = await post(move(1, 'taken', 2));
  expect([status, body.error.message]).toEqual([409, expect.stringContaining('1, and 2 were to go')]);
  const undo = move(1, 'undone', 2, { undoes: took.id });
  expect((await post(undo)).status).toBe(201);
  expect((await post(move(1, 'undone', 2, { undoes: took.id }))).status).toBe(201);
  expect(await jarsOf(server, id(1))).toBe(3);
  expect((await post(move(1, 'undone', 1, { undoes: id(77) }))).status).toBe(404);
  expect((await post(move(99, 'taken'))).status).toBe(404);
  expect((await post(move(1, 'moved'))).status).toBe(400);
});

// Handbook rules 9 and 10.
test('an opened jar has its own days in the refrigerator and never goes back to a shelf', async () => {
  await putIn(1, 3);
  expect((await post(move(1, 'opened', 1, { intoLotId: id(50), toPlace: 'refrigerator' }))).status).toBe(201);
  const { body } = await server.call('GET', '/state');
  expect(body.lots.find((each: { id: string }) => each.id === id(50))).toMatchObject({
    ...{ seal: 'opened', place: 'refrigerator', fromLotId: id(1), keepsUntil: NOW + 7 * 24 * 3_600_000 },
  });
  const back = await post(move(50, 'moved', 1, { intoLotId: id(51), toPlace: 'shelf' }));
  expect([back.status, back.body.error.code]).toEqual([422, 'wrong-place']);
  // Other jars' id is not taken over.
  await putIn(2, 3);
  expect((await post(move(1, 'moved', 1, { intoLotId: id(2), toPlace: 'freezer' }))).status).toBe(409);
  expect(await jarsOf(server, id(1))).toBe(2);
});

test('jars from a file: all or none, and put in again without effect', async () => {
  const rows = [1, 2, 3].map((n) => ({ lot: lot(n), jars: n }));
  const file = { id: id(500), at: NOW, rows };
  expect((await server.call('POST', '/jars-in', file)).body).toEqual({ added: 3, known: 0 });
  expect((await server.call('POST', '/jars-in', file)).body).toEqual({ added: 0, known: 3 });
  const clash = {
    ...file,
    rows: [
      { lot: lot(9), jars: 1 },
      { lot: lot(1, { product: 'plums' }), jars: 1 },
    ],
  };
  expect((await server.call('POST', '/jars-in', clash)).status).toBe(409);
  expect((await server.call('POST', '/jars-in', { ...file, rows: [rows[0], rows[0]] })).status).toBe(409);
  const { body } = await server.call('GET', '/state');
  expect(body.lots.map((each: { id: string }) => each.id).sort()).toEqual([1, 2, 3].map(id));
});

async function withDemo(): Promise<Server> {
  const other = await startServer(newFile(), { now: () => Date.UTC(2026, 7, 29) });
  const { demoNow: _, ...household } = fennickHollow(new Date(2026, 2, 3));
  await fillHousehold(other.db, { ...household, demoOffsetMs: 0 });
  others.push(other);
  return other;
}
const backupOf = async (of: Server) => (await of.call('GET', '/backup')).body;
const restore = (text: string) =>
  fetch(`${server.address}/api/restore`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: text,
  }).then(async (reply) => ({
    status: reply.status,
    body: (await reply.json()) as { sha256: string; keptBefore: string; error?: { code: string; message: string } },
  }));

test('a backup restored elsewhere is the same household to the last jar, and what was there before is kept', async () => {
  const demo = await withDemo();
  const backup = await backupOf(demo);
  await putIn(1, 3);
  const { status, body } = await restore(JSON.stringify(backup));
  expect([status, body.sha256]).toEqual([200, backup.sha256]);
  expect((await backupOf(server)).sha256).toBe(backup.sha256);
  const [here, there] = [(await server.call('GET', '/state')).body, (await demo.call('GET', '/state')).body];
  const drawer = (state: { hardware: object[] }) => state.hardware.map((each) => JSON.stringify(each)).sort();
  expect([here.lots, here.movements, drawer(here)]).toEqual([there.lots, there.movements, drawer(there)]);
  expect(readdirSync(backupsOf(server.file))).toContain(body.keptBefore);
  const kept = await startServer(join(backupsOf(server.file), body.keptBefore));
  others.push(kept);
  expect(await jarsOf(kept, id(1))).toBe(3);
});

test('a backup of the first version, which knew of no season, is restored whole', async () => {
  const { data, ...file } = await backupOf(await withDemo());
  const { season: _, goals, ...rest } = data;
  const older = { ...rest, goals: goals.map(({ priority: __, ...goal }: { priority: string }) => goal) };
  const { status, body } = await restore(JSON.stringify({ ...file, version: 1, data: older, sha256: sumOf(older) }));
  expect([status, (body as unknown as { lots: number }).lots]).toEqual([200, data.lots.length]);
  const { body: state } = await server.call('GET', '/state');
  expect(state.goals.every(({ priority }: { priority: string }) => priority === 'want')).toBe(true);
  expect(state.season).toMatchObject({ plan: null, pins: [], ticked: [] });
});

test('a backup of the second version, whose batches did not tell the crop they took, learns it from its picks', async () => {
  const { data, ...file } = await backupOf(await withDemo());
  const plain = ({ crop: _, ...use }: { crop: string }) => use;
  const older = {
    ...data,
    batches: data.batches.map((each: { uses: [] }) => ({ ...each, uses: each.uses.map(plain) })),
  };
  expect((await restore(JSON.stringify({ ...file, version: 2, data: older, sha256: sumOf(older) }))).status).toBe(200);
  const byId = (batches: { id: string }[]) => Object.fromEntries(batches.map((each) => [each.id, each]));
  expect(byId((await server.call('GET', '/state')).body.batches)).toEqual(byId(data.batches));
});

test('a backup that is newer, cut short, changed, hostile or none of ours is refused with a sentence and changes nothing', async () => {
  await putIn(1, 3);
  const good = await backupOf(server);
  const text = JSON.stringify(good);
  const data = (part: object) => JSON.stringify({ ...good, data: { ...good.data, ...part } });
  const hostile = `${text.slice(0, -1)},"__proto__":{"polluted":true}}`;
  for (const [bad, code] of [
    [JSON.stringify({ ...good, version: BACKUP_VERSION + 1 }), 'newer'],
    [text.slice(0, text.length - 40), 'cut-short'],
    ['', 'cut-short'],
    [text.replace('"jars":3', '"jars":4'), 'damaged'],
    [data({ movements: [{ ...good.data.movements[0], jars: 1e300 }] }), 'damaged'],
    [text.replace('"jars":3', '"jars":1e999'), 'damaged'],
    [data({ lots: [{ ...good.data.lots[0], madeAt: 8e18 }] }), 'damaged'],
    [hostile, 'hostile'],
    [text.replace('"product"', '"constructor"'), 'hostile'],
    ['{"format":"something else"}', 'no-backup'],
    ['[]', 'no-backup'],
    ['null', 'no-backup'],
  ] as const) {
    const { status, body } = await restore(bad);
    expect([code, status, body.error?.code]).toEqual([code, 422, code]);
    expect(body.error?.message).toMatch(/Nothing was changed\.$/);
  }
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  expect((await backupOf(server)).sha256).toBe(good.sha256);
});

test('a recall over the API walks from one lot to every jar of its batch', async () => {
  const demo = await withDemo();
  const { lots, batches } = (await demo.call('GET', '/state')).body;
  const asked = lots.find((each: { loadId?: string; fromLotId?: string }) => each.fromLotId && each.loadId);
  const { body } = await demo.call('GET', `/recalls/${asked.id}`);
  const batch = batches.find((each: { id: string }) => each.id === body.batch.id);
  const loads = batch.loads.map(({ id: loadId }: { id: string }) => loadId);
  const found = body.loads.flatMap((load: { lots: { lot: { id: string; loadId: string } }[] }) => load.lots);
  expect(found.every((each: { lot: { loadId: string } }) => loads.includes(each.lot.loadId))).toBe(true);
  expect(found.map((each: { lot: { id: string } }) => each.lot.id)).toEqual(
    expect.arrayContaining([asked.id, asked.fromLotId]),
  );
  expect(body.made).toBe(batch.loads.reduce((sum: number, load: { jars: number }) => sum + load.jars, 0));
  expect((await demo.call('GET', `/recalls/${id(1)}`)).status).toBe(404);
});

test('every table goes out as CSV that another parser reads, one row a thing', async () => {
  const demo = await withDemo();
  const { data } = await backupOf(demo);
  const rowsOf = async (table: string) => {
    const { body } = await demo.call('GET', `/export?table=${table}`);
    return parse(body as string, { columns: true, bom: true }) as Record<string, string>[];
  };
  expect((await rowsOf('picks')).length).toBe(data.picks.length);
  expect((await rowsOf('batches')).map((row) => row.id).sort()).toEqual(
    data.batches.map((each: { id: string }) => each.id).sort(),
  );
  expect((await rowsOf('movements')).length).toBe(data.movements.length);
  const jars = (await rowsOf('jars')).reduce((sum, row) => sum + Number(row.jars), 0);
  const { body } = await demo.call('GET', '/state');
  const here = body.lots.reduce((sum: number, each: { id: string }) => sum + demo.db.pantry.all.jars(each.id), 0);
  expect(jars).toBe(here);
  expect((await demo.call('GET', '/export?table=households')).status).toBe(400);
});

test('a file of that name in the folder is nobody’s: a restore never overwrites it', async () => {
  const own = join(backupsOf(server.file), 'before-restore-2026-08-29T00-00-00-000Z.sqlite');
  mkdirSync(dirname(own));
  writeFileSync(own, 'mine');
  const { body } = await restore(JSON.stringify(await backupOf(server)));
  expect(body.keptBefore).toBe('before-restore-2026-08-29T00-00-00-001Z.sqlite');
  expect(readFileSync(own, 'utf8')).toBe('mine');
});
