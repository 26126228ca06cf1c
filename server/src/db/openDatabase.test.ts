import { readFileSync, writeFileSync } from 'node:fs';
import { QueryTypes, Sequelize } from 'sequelize';
import { newFile } from '../testServer';
import { UnusableFile } from './checkFile';
import { MIGRATIONS } from './migrations';
import { fileOfVersion, ID, MADE_AT } from './oldFile';
import { openDatabase } from './openDatabase';
import { readState } from './readState';

async function query(file: string, sql: string): Promise<Record<string, unknown>[]> {
  const other = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  const rows = await other.query<Record<string, unknown>>(sql, { type: QueryTypes.SELECT });
  await other.close();
  return rows;
}

test('a new file gets every migration, write-ahead logging and foreign keys', async () => {
  const file = newFile();
  const db = await openDatabase(file);
  await db.close();
  expect(await query(file, 'SELECT name FROM migrations ORDER BY name')).toEqual(
    MIGRATIONS.map(({ name }) => ({ name })),
  );
  expect(await query(file, 'PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
});

test('a movement of jars that are not there breaks a foreign key', async () => {
  const db = await openDatabase(newFile());
  const row = { id: ID.m, lotId: ID.s, kind: 'taken', jars: 1, at: MADE_AT } as const;
  await expect(db.write((transaction) => db.tables.movements.create(row, { transaction }))).rejects.toThrow(
    /FOREIGN KEY/,
  );
  await db.close();
});

test('opening again runs no migration twice and keeps what was written', async () => {
  const file = newFile();
  const first = await openDatabase(file);
  await first.write((transaction) =>
    first.tables.households.update({ name: 'Kept' }, { where: { id: 1 }, transaction }),
  );
  await first.close();
  const second = await openDatabase(file);
  expect((await second.tables.households.findAll()).map((row) => row.get('name'))).toEqual(['Kept']);
  await second.close();
});

test.each(MIGRATIONS.slice(0, -1).map((_, i) => i + 1))(
  'a file of version %d is brought to the newest, and everything in it is kept',
  async (version) => {
    const db = await openDatabase(await fileOfVersion(version, newFile()), { clock: { now: () => MADE_AT + 5 } });
    const state = readState(db);
    expect(state).toMatchObject({
      household: {
        name: 'Kept',
        altitudeFt: 3_420,
        units: 'us',
        canners: [
          {
            id: ID.c,
            declaredHalfPints: 9,
            layers: 1,
            electric: false,
            alsoBoilingWater: false,
            timesItself: false,
            lidLocks: false,
            testFits: [],
          },
        ],
        kitchen: { cooks: [{ name: 'Cook' }], cannerBurners: 2 },
        ownJars: [],
        places: [{ id: 'shelf' }, { id: 'refrigerator' }, { id: 'freezer' }],
        bestMonths: 12,
        dateOrder: null,
      },
      lots: [
        { id: ID.s, seal: 'sealed', place: 'shelf', crop: 'damson' },
        { id: ID.u, seal: 'unsealed', place: 'refrigerator', crop: 'damson' },
      ],
      movements: [{ jars: 8 }, { jars: 3, kind: 'taken' }, { jars: 1 }],
      use: [{ product: 'plums', jar: 'pint' }],
      goals: [],
      hardware: [],
      season: { days: { mostAWeek: 3 }, plan: null, pins: [], ticked: [] },
      picks: [{ id: ID.p, massKg: 10, softKg: 2, ripeness: 'ripe', source: 'garden', plantingId: null }],
      batches: [
        {
          id: ID.b,
          product: 'plums',
          processMinutes: 30,
          uses: [{ pickId: ID.p, crop: 'damson', massKg: 4 }],
          loads: [{ id: ID.l, jars: 9 }],
        },
      ],
      plantings: [],
      lotChanges: [],
      batchRecords: version < 3 ? [] : [{ id: ID.r, jarMake: '', lidMake: '', leftoverMl: 0, faults: [] }],
      dayEvents: [],
      checkedRows: [],
      sources: [],
      recipes: [],
    });
    expect([state.mark > 0, db.pantry.all.jars(ID.s), db.pantry.all.jars(ID.u)]).toEqual([true, 5, 1]);
    for (const absent of ['ingredients', 'againOf', 'recipe', 'without'])
      expect(state.batches[0]).not.toHaveProperty(absent);
    expect(state.lots[0]).not.toHaveProperty('readyAt');
    expect(state.batches[0]?.loads[0]).not.toHaveProperty('recipe');
    await db.close();
  },
);

test('a file that is not SQLite is told in one line and left as it was', async () => {
  const file = newFile();
  writeFileSync(file, 'Dear diary, today we picked tomatoes.');
  const opened = openDatabase(file);
  await expect(opened).rejects.toThrow(UnusableFile);
  await expect(opened).rejects.toThrow(/^[^\n]*is not a SQLite file[^\n]*$/);
  expect(readFileSync(file, 'utf8')).toBe('Dear diary, today we picked tomatoes.');
});

test("another program's database is left alone", async () => {
  const file = newFile();
  const other = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  await other.query('CREATE TABLE letters (id INTEGER)');
  await other.close();
  const before = readFileSync(file);
  await expect(openDatabase(file)).rejects.toThrow(/belongs to another program/);
  expect(readFileSync(file).equals(before)).toBe(true);
});
