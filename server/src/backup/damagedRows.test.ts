import * as v from 'valibot';
import { QueryTypes, Sequelize } from 'sequelize';
import { HouseholdState } from '@hoddle/contract/householdState';
import { Chance } from '../../bench/trust/chance';
import { copyFile } from '../../bench/trust/flipBytes';
import { openDatabase } from '../db/openDatabase';
import { readState } from '../db/readState';
import { type Tables } from '../db/tables';
import { fennickHollow } from '../demo/fennickHollow';
import { newFile, startServer } from '../testServer';
import { dataOf } from './householdData';
import { holdBackup } from './holdBackup';
import { fillHousehold } from './insertHousehold';
import { goOnWithout } from './restore';
import { withoutOrphans } from './withoutOrphans';

const NOW = Date.UTC(2026, 7, 29, 12);
const clock = { now: () => NOW };
let whole: string;
let tables: readonly string[];

beforeAll(async () => {
  whole = newFile();
  const db = await openDatabase(whole, { clock });
  const { demoNow: _, ...demo } = fennickHollow(new Date(NOW));
  await fillHousehold(db, { ...demo, demoOffsetMs: 0 });
  const filled = (Object.keys(db.tables) as (keyof Tables)[]).filter((name) => db.state.all[name].size > 0);
  tables = filled.map((name) => String(db.tables[name].tableName));
  await db.close();
});

/** A copy of the demo's file in which some rows do not hold what their sum says. */
async function damaged(sql: readonly string[]): Promise<string> {
  const file = newFile();
  copyFile(whole, file);
  const other = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  for (const each of sql) await other.query(each, { type: QueryTypes.RAW });
  await other.close();
  return file;
}

/** Why it was refused, or undefined where it was not. */
function faultOf(held: () => void): string | undefined {
  try {
    held();
    return undefined;
  } catch (error) {
    return String(error);
  }
}

const anyRow = (table: string, n: number) =>
  `rowid = (SELECT rowid FROM ${table} ORDER BY rowid LIMIT 1 OFFSET ${n} % (SELECT COUNT(*) FROM ${table}))`;

test('whichever rows of whichever tables are damaged: every screen reads the rest, and it can be gone on without them', async () => {
  expect(tables.length).toBeGreaterThan(14);
  const chance = new Chance(20_260_829);
  // One row of each table by itself, then several at once.
  const cases = [
    ...tables.map((table) => [table]),
    ...Array.from({ length: 12 }, () => Array.from({ length: 6 }, () => chance.of(tables))),
  ];
  for (const hit of cases) {
    const file = await damaged(
      hit.map(
        (table) => `UPDATE ${table} SET sum = (sum + 1) % 4294967296 WHERE ${anyRow(table, chance.below(1_000))}`,
      ),
    );
    const db = await openDatabase(file, { clock });
    expect([hit, db.setAside.length > 0]).toEqual([hit, true]);
    const told = v.safeParse(HouseholdState, readState(db));
    expect([hit, told.success ? '' : told.issues[0].message]).toEqual([hit, '']);
    // What is left fits together by the rules of a restore.
    const left = withoutOrphans(dataOf(db.state.all));
    expect([hit, faultOf(() => holdBackup(left, left as never))]).toEqual([hit, undefined]);
    await goOnWithout(db, `${file}.backups`, NOW);
    expect([hit, db.setAside]).toEqual([hit, []]);
    await db.close();
  }
});

test('gone on without: what is damaged is gone, the rest stays to the row, backups are taken again, the number on the lids is kept', async () => {
  const file = await damaged([
    'UPDATE households SET altitude_ft = 342',
    `UPDATE picks SET mass_kg = mass_kg + 1 WHERE ${anyRow('picks', 0)}`,
  ]);
  const before = await openDatabase(whole, { clock });
  const mark = before.state.told.parts.mark;
  const lots = readState(before).lots;
  await before.close();
  // The number is told beside the file while it is sound.
  const { writeFileSync } = await import('node:fs');
  writeFileSync(`${file}.holder`, JSON.stringify({ pid: 1, since: 1, mark }));
  const server = await startServer(file, clock);
  expect((await server.call('POST', '/backups')).status).toBe(503);
  expect((await server.call('GET', '/backups')).body.backups).toEqual([]);
  const { status, body } = await server.call('POST', '/without-damaged');
  expect([status, body.keptBefore]).toEqual([200, expect.stringMatching(/^before-restore-/)]);
  const { body: state } = await server.call('GET', '/state');
  expect([state.mark, state.household.altitudeFt, state.lots]).toEqual([mark, null, lots]);
  expect((await server.call('POST', '/backups')).body.backups).toHaveLength(1);
  expect((await server.call('GET', '/health')).body).toMatchObject({ file: 'ok', setAside: 0 });
  expect((await server.call('POST', '/without-damaged')).status).toBe(409);
  await server.stop();
  const again = await openDatabase(file, { clock });
  expect(again.setAside).toEqual([]);
  await again.close();
});
