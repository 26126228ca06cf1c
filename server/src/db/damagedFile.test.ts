import { existsSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes, Sequelize } from 'sequelize';
import { Chance } from '../../bench/trust/chance';
import { copyFile, flipOne } from '../../bench/trust/flipBytes';
import { dataOf, sumOf } from '../backup/householdData';
import { fillHousehold } from '../backup/insertHousehold';
import { fennickHollow } from '../demo/fennickHollow';
import { newFile, startServer } from '../testServer';
import { openDatabase } from './openDatabase';
import { readState } from './readState';

const NOW = Date.UTC(2026, 7, 29, 12);
const clock = { now: () => NOW };

/** The demo's household in a file, its log beside it as a killed server leaves it. */
async function demoFile(): Promise<{ file: string; sum: string }> {
  const file = newFile();
  const db = await openDatabase(file, { clock });
  const { demoNow: _, ...household } = fennickHollow(new Date(NOW));
  await fillHousehold(db, { ...household, demoOffsetMs: 0 });
  const row = { id: '0198f3a0-0000-7000-8000-00000000d001', crop: 'damson', massKg: 3, softKg: 0 } as const;
  await db.write((transaction) =>
    db.tables.picks.create(
      { ...row, ripeness: 'ripe', place: 'cool', pickedAt: NOW, told: '3 kg', source: 'garden', plantingId: null },
      { transaction },
    ),
  );
  const sum = sumOf(dataOf(db.state.all));
  const killed = newFile();
  copyFile(file, killed);
  await db.close();
  return { file: killed, sum };
}

async function spoil(file: string, sql: string): Promise<void> {
  const other = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  await other.query(sql, { type: QueryTypes.RAW });
  await other.close();
}

// The same as `npm run bench:trust` does with 40 and more.
test('a byte flipped anywhere in the file or its log is noticed, or changes nothing', async () => {
  const { file, sum } = await demoFile();
  const chance = new Chance(20_260_829);
  const folder = mkdtempSync(join(tmpdir(), 'hoddle-flips-'));
  const flips = [];
  for (let n = 0; n < 40; n++) flips.push(await flipOne(file, folder, n, sum, chance));
  expect(flips.filter(({ outcome }) => outcome === 'missed')).toEqual([]);
  // Both ways of noticing were needed.
  expect(new Set(flips.map(({ outcome }) => outcome)).size).toBeGreaterThan(1);
});

test('a digit that changed on the disk: the row is left out and told, the rest works, and is not sealed by a write beside it', async () => {
  const { file } = await demoFile();
  const before = await openDatabase(file, { clock });
  const [first] = readState(before).picks;
  const others = readState(before).picks.length - 1;
  await before.close();
  await spoil(file, `UPDATE picks SET mass_kg = mass_kg + 1 WHERE id = '${first?.id}'`);
  await spoil(file, 'UPDATE households SET altitude_ft = 342');
  const server = await startServer(file, clock);
  const { body: state } = await server.call('GET', '/state');
  expect(state.picks).toHaveLength(others);
  // An altitude that may be wrong is none: every tested time is refused until it is said again.
  expect(state.household.altitudeFt).toBeNull();
  const { status, body: health } = await server.call('GET', '/health');
  expect([status, health.ok, health.setAside]).toEqual([503, false, 2]);
  const season = { weekly: [], notOn: [], mostAWeek: 2, freezerBags: 1 };
  expect((await server.call('PUT', '/season-days', season)).status).toBe(503);
  const tick = await server.call('PUT', '/shopping-ticks', { key: 'salt', ticked: true });
  expect(tick.status).toBe(200);
  await server.stop();
  const again = await openDatabase(file, { clock });
  expect(again.setAside.map(({ table }) => table).sort()).toEqual(['households', 'picks']);
  await again.close();
});

test('a file that vanishes: writes are refused with the reason, reading works, and nothing empty takes its place', async () => {
  const { file } = await demoFile();
  const server = await startServer(file, clock);
  await server.backups.take();
  const picks = (await server.call('GET', '/state')).body.picks.length;
  renameSync(file, `${file}.elsewhere`);
  const refused = await server.call('PUT', '/shopping-ticks', { key: 'salt', ticked: true });
  expect([refused.status, refused.body.error.code]).toEqual([503, 'file-gone']);
  expect(refused.body.error.message).toContain('deleted or moved');
  expect((await server.call('GET', '/state')).body.picks).toHaveLength(picks);
  expect((await server.call('GET', '/health')).body).toMatchObject({ ok: false, file: 'gone' });
  await server.stop();
  for (const part of ['-wal', '-shm']) rmSync(file + part, { force: true });
  await expect(openDatabase(file)).rejects.toThrow(
    /is gone: there was a household in it.*npm run restore -- .*json\.gz$/,
  );
  expect(existsSync(file)).toBe(false);
});

// `max_page_count` makes SQLite answer as a full disk does: SQLITE_FULL. https://www.sqlite.org/pragma.html#pragma_max_page_count
test('a full disk: what cannot be kept is refused with the reason, what is there is read, and room makes it work again', async () => {
  const { file } = await demoFile();
  const server = await startServer(file, clock);
  const full = Object.assign(new Error('SQLITE_FULL: database or disk is full'), { code: 'SQLITE_FULL' });
  const create = jest.spyOn(server.db.tables.picks, 'create').mockRejectedValueOnce(full);
  const pick = {
    ...{ id: '0198f3a0-0000-7000-8000-00000000d002', crop: 'damson', massKg: 3, softKg: 0, place: 'cool' },
    ...{ pickedAt: NOW, told: '3 kg' },
  };
  const refused = await server.call('POST', '/picks', pick);
  expect([refused.status, refused.body.error.code]).toEqual([503, 'file-full']);
  expect((await server.call('GET', '/health')).body).toMatchObject({ ok: false, file: 'full' });
  expect((await server.call('GET', '/state')).status).toBe(200);
  create.mockRestore();
  expect((await server.call('POST', '/picks', pick)).status).toBe(201);
  expect((await server.call('GET', '/health')).body.file).toBe('ok');
  await server.stop();
});

test('one file, one writer: who finds it taken is told by whom, and a killed one leaves no lock', async () => {
  const { file } = await demoFile();
  const first = await openDatabase(file, { clock });
  first.tellAddress('http://127.0.0.1:4860');
  await expect(openDatabase(file)).rejects.toThrow(
    new RegExp(
      `in use by another Hoddle: process ${process.pid} at http://127.0.0.1:4860, since .* Stop that one first\\.$`,
    ),
  );
  await first.close();
  const next = await openDatabase(file, { clock });
  await next.close();
});

test('a newer schema is refused with a line and left untouched', async () => {
  const { file } = await demoFile();
  await (await openDatabase(file, { clock })).close();
  await spoil(file, "INSERT INTO migrations VALUES ('0099-of-the-future')");
  const before = readFileSync(file);
  await expect(openDatabase(file)).rejects.toThrow(
    /^[^\n]*written by a newer Hoddle \(it knows "0099-of-the-future"\)[^\n]*$/,
  );
  expect(readFileSync(file).equals(before)).toBe(true);
});

test('a file that an older Hoddle left half migrated is brought up all the same', async () => {
  const file = newFile();
  const { fileOfVersion } = await import('./oldFile');
  await fileOfVersion(5, file);
  await spoil(file, 'ALTER TABLE jar_lots ADD COLUMN from_lot_id VARCHAR(36)');
  await spoil(file, "ALTER TABLE jar_lots ADD COLUMN seal VARCHAR(255) NOT NULL DEFAULT 'sealed'");
  const db = await openDatabase(file, { clock });
  expect(readState(db).household.name).toBe('Kept');
  expect(db.setAside).toEqual([]);
  await db.close();
});

test('files are for their owner alone', async () => {
  const { statSync } = await import('node:fs');
  const server = await startServer(newFile(), clock);
  await server.backups.take();
  await server.call('PUT', '/shopping-ticks', { key: 'salt', ticked: true });
  const { readdirSync } = await import('node:fs');
  const folder = `${server.file}.backups`;
  const files = [server.file, `${server.file}-wal`, ...readdirSync(folder).map((name) => join(folder, name))];
  for (const file of files) expect([file, statSync(file).mode & 0o077]).toEqual([file, 0]);
  await server.stop();
});

test('rubbish in place of the log is noticed', async () => {
  const { file } = await demoFile();
  const log = readFileSync(`${file}-wal`);
  // The first frame's own bytes: what is committed behind it is lost.
  log[100] = (log[100] ?? 0) ^ 1;
  writeFileSync(`${file}-wal`, log);
  const db = await openDatabase(file, { clock }).catch((error: Error) => error);
  if (db instanceof Error) expect(db.message).toContain('damaged');
  else {
    expect(db.commitsLost).toBeGreaterThan(0);
    await db.close();
  }
});
