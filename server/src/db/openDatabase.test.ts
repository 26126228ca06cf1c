import { readFileSync, writeFileSync } from 'node:fs';
import { QueryTypes, Sequelize } from 'sequelize';
import { newFile } from '../testServer';
import { UnusableFile } from './checkFile';
import { MIGRATIONS } from './migrations';
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
  const row = { id: 'm', lotId: 'none', kind: 'taken', jars: 1, at: 1 } as const;
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

/** A household's file as the migrations up to `count` made it, with one row in each table that a later one touches. */
async function fileOfVersion(count: number): Promise<string> {
  const file = newFile();
  const old = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  await old.query('PRAGMA application_id = 1213154380');
  await old.query('CREATE TABLE migrations (name VARCHAR(255) PRIMARY KEY)');
  for (const { name, up } of MIGRATIONS.slice(0, count)) {
    await up(old.getQueryInterface());
    await old.query('INSERT INTO migrations VALUES (?)', { replacements: [name] });
  }
  await old.query("UPDATE households SET name = 'Kept', altitude_ft = 3420");
  await old.query(
    "INSERT INTO batches (id, product, jar, pack, method, altitude_ft, process_minutes, canner_id, start_at) VALUES ('b', 'plums', 'pint', 'hot', 'boiling-water', 3420, 30, 'c', 1)",
  );
  await old.query(
    "INSERT INTO picks (id, crop, mass_kg, soft_kg, place, picked_at, told) VALUES ('p', 'damson', 10, 2, 'cool', 1, '22 lb')",
  );
  await old.query("INSERT INTO batch_uses (batch_id, pick_id, mass_kg, soft_kg) VALUES ('b', 'p', 4, 0)");
  await old.query("INSERT INTO loads (id, batch_id, number, jars) VALUES ('l', 'b', 1, 9)");
  await old.query(
    "INSERT INTO canners (id, position, name, method, inside_diameter_in, inside_height_in, rack_height_in, declared_quarts, declared_pints) VALUES ('c', 0, 'Pot', 'boiling-water', 13.25, 9.5, 0.6, 7, 9)",
  );
  if (count >= 4) await old.query('UPDATE canners SET declared_half_pints = 9');
  await old.query(
    "INSERT INTO jar_lots (id, load_id, product, jar, place, made_at, keeps_until) VALUES ('s', 'l', 'plums', 'pint', 'shelf', 1, 2), ('u', 'l', 'plums', 'pint', 'refrigerator', 1, 2)",
  );
  await old.query(
    "INSERT INTO movements (id, lot_id, kind, jars, at) VALUES ('m', 's', 'stored', 8, 5), ('t', 's', 'taken', 3, 5), ('n', 'u', 'stored', 1, 5)",
  );
  if (count >= 6) await old.query("UPDATE jar_lots SET seal = 'unsealed' WHERE id = 'u'");
  if (count >= 8) {
    await old.query("UPDATE batch_uses SET crop = 'damson'");
    await old.query("UPDATE jar_lots SET crop = 'damson'");
  }
  if (count >= 3) {
    await old.query(
      "INSERT INTO batch_records (id, batch_id, product, crop, mass_kg, water_ml, sugar_kg, jars, part_jar, made_at, note, learn_from) VALUES ('r', 'b', 'plums', 'damson', 4, 0, 0, '[]', NULL, 1, '', 1)",
    );
  }
  await old.close();
  return file;
}

test.each([1, 2, 3, 4, 5, 6, 7, 8, 9])(
  'a file of version %d is brought to the newest, and everything in it is kept',
  async (version) => {
    const db = await openDatabase(await fileOfVersion(version));
    const state = await readState(db, { now: () => 5 });
    expect(state).toMatchObject({
      household: {
        name: 'Kept',
        altitudeFt: 3_420,
        units: 'us',
        canners: [
          {
            id: 'c',
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
      },
      lots: [
        { id: 's', seal: 'sealed', place: 'shelf', crop: 'damson' },
        { id: 'u', seal: 'unsealed', place: 'refrigerator', crop: 'damson' },
      ],
      movements: [{ jars: 8 }, { jars: 1 }, { jars: 3, kind: 'taken' }],
      use: [{ product: 'plums', jar: 'pint' }],
      goals: [],
      hardware: [],
      season: { days: { mostAWeek: 3 }, plan: null, pins: [], ticked: [] },
      picks: [{ id: 'p', massKg: 10, softKg: 2, ripeness: 'ripe', source: 'garden', plantingId: null }],
      batches: [
        {
          id: 'b',
          product: 'plums',
          processMinutes: 30,
          uses: [{ pickId: 'p', crop: 'damson', massKg: 4 }],
          loads: [{ id: 'l', jars: 9 }],
        },
      ],
      plantings: [],
      lotChanges: [],
      batchRecords: version < 3 ? [] : [{ id: 'r', jarMake: '', lidMake: '', leftoverMl: 0, faults: [] }],
      dayEvents: [],
      checkedRows: [],
      sources: [],
      recipes: [],
    });
    expect([state.mark > 0, db.pantry.all.jars('s'), db.pantry.all.jars('u')]).toEqual([true, 5, 1]);
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
