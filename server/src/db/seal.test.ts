import { Sequelize } from 'sequelize';
import { sendRaw } from '../../bench/trust/sendRaw';
import { newFile } from '../testServer';
import { openDatabase } from './openDatabase';
import { badKeys, sealAll } from './seal';
import { defineTables } from './tables';

const at = Date.UTC(2026, 7, 29);
const pick = (n: number) => ({
  ...{ id: `0198f3a0-0000-7000-8000-00000000e00${n}`, crop: 'damson', massKg: n, softKg: 0, ripeness: 'ripe' },
  ...{ place: 'cool', pickedAt: at, told: `${n} kg`, source: 'garden', plantingId: null },
});

test('rows are sealed anew when a migration changes what they hold, and a damaged one stays known as damaged', async () => {
  const file = newFile();
  const first = await openDatabase(file);
  await first.write(async (transaction) => {
    for (const n of [1, 2, 3]) await first.tables.picks.create(pick(n) as never, { transaction });
    await first.tables.goals.upsert(
      { product: 'plums', jar: 'pint', jars: 9, perMonth: null, priority: 'want' },
      { transaction },
    );
  });
  await first.close();

  const between = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  const tables = defineTables(between);
  await between.query("UPDATE picks SET mass_kg = 99 WHERE told = '2 kg'");
  const bad = await badKeys(between, tables);
  expect([...(bad.get('picks') ?? [])]).toEqual([pick(2).id]);
  // What a migration does: every row holds something else.
  await between.query("UPDATE picks SET ripeness = 'firm'");
  await between.query('UPDATE shelf_goals SET jars = 10');
  await sealAll(between, tables, bad);
  await between.close();

  const again = await openDatabase(file);
  expect(again.setAside).toEqual([{ table: 'picks', key: pick(2).id, reason: 'was changed on the disk' }]);
  expect([...again.state.all.picks.values()].map(({ told, ripeness }) => [told, ripeness])).toEqual([
    ['1 kg', 'firm'],
    ['3 kg', 'firm'],
  ]);
  expect([...again.state.all.goals.values()][0]?.jars).toBe(10);
  await again.close();
});

test('a restore whose rows do not arrive as they were sent changes nothing', async () => {
  const { startServer } = await import('../testServer');
  const server = await startServer();
  await server.call('POST', '/picks', { ...pick(1), pickedAt: at - 1 });
  const before = (await server.call('GET', '/backup')).body;
  const other = await startServer();
  for (const n of [1, 2, 3]) await other.call('POST', '/picks', { ...pick(n), pickedAt: at - 1 });
  const file = (await other.call('GET', '/backup')).body;
  // The driver loses a row on the way to the disk.
  const db = server.db.tables.picks.sequelize?.getQueryInterface();
  const real = db?.bulkInsert.bind(db) as (table: unknown, rows: object[], ...rest: unknown[]) => Promise<number>;
  jest
    .spyOn(db as never, 'bulkInsert')
    .mockImplementation(((table: unknown, rows: object[], ...rest: unknown[]) =>
      real(table, table === 'picks' ? rows.slice(1) : rows, ...rest)) as never);
  const body = JSON.stringify(file);
  const headers = { 'content-type': 'application/json' };
  expect((await sendRaw(server.address, { method: 'POST', path: '/restore', headers, body })).status).toBe(500);
  jest.restoreAllMocks();
  expect((await server.call('GET', '/backup')).body.sha256).toBe(before.sha256);
  expect((await server.call('POST', '/restore', file)).body.sha256).toBe(file.sha256);
  await Promise.all([server.stop(), other.stop()]);
});
